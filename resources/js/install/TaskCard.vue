<script setup lang="ts">
import type { FittingTask } from '@/api/types'
import { useJob } from '@/job/store'
import PhotoButton from '@/log/PhotoButton.vue'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { computed, ref, watch } from 'vue'
import CheckFields from './CheckFields.vue'
import FloorLevels from './FloorLevels.vue'
import HowItWentIn from './HowItWentIn.vue'
import type { useFitting } from './useFitting'

/** The step at hand: what is done, who carries, what is read and what to do when it is out, and one large button. */
const props = defineProps<{ task: FittingTask; fitting: ReturnType<typeof useFitting>; wide: boolean }>()
const emit = defineEmits<{ later: []; done: [] }>()
const job = useJob()
const installing = computed(() => job.job?.choices.installing)

const MOST_SCREWS = 6
const isDone = computed(() => props.fitting.isDone(props.task))
const waits = computed(() => props.fitting.waitsFor(props.task))
const dries = computed(() => props.fitting.dries(props.task))
const isOut = computed(() => props.fitting.isOut(props.task))
const unread = computed(() =>
  props.task.checks.filter((check) => props.fitting.judged(props.task, check) === null),
)
const people = computed(() => ['', 'one person', 'two people', 'three people'][props.task.people] ?? '')
const time = (minutes: number) =>
  minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60 || ''}`.trim()

const allScrews = ref(false)
watch(
  () => props.task.id,
  () => (allScrews.value = false),
)
const screws = computed(() => (allScrews.value ? props.task.screws : props.task.screws.slice(0, MOST_SCREWS)))
/** What may still be put behind it. */
const others = computed(() =>
  props.fitting.planned.value
    .filter((one) => one.id !== props.task.id && !props.fitting.isDone(one) && !one.licensed)
    .map((one) => ({ value: one.id, label: one.name })),
)
const wish = (other: string) =>
  job.edit('job', {
    path: 'installing.before',
    value: [...(installing.value?.before ?? []), [props.task.id, other]],
  })
const wishes = computed(() => (installing.value?.before ?? []).filter(([first]) => first === props.task.id))
const forget = (other: string) =>
  job.edit('job', {
    path: 'installing.before',
    value: (installing.value?.before ?? []).filter(
      ([first, second]) => first !== props.task.id || second !== other,
    ),
  })
const nameOf = (id: string) => props.fitting.byId.value.get(id)?.name ?? 'a step that is no more'
const date = (day: string) =>
  job.edit('job', { path: `installing.dates.${props.task.licensed ?? ''}`, value: day || null })

async function done() {
  await props.fitting.tick(props.task)
  emit('done')
}
</script>

<template>
  <article class="task">
    <h1>{{ task.name }}</h1>
    <p class="facts soft">
      {{ time(task.minutes) }} · {{ people }}<template v-if="task.start"> · {{ task.start.text }}</template
      ><template v-if="isDone && task.done_at"> · done {{ task.done_at.text }}</template>
    </p>
    <p v-if="task.problem" class="problem" role="alert">{{ task.problem }}</p>
    <p v-for="sentence in task.words" :key="sentence" class="words">{{ sentence }}</p>
    <p v-if="task.tools.length > 0"><strong>Carry in:</strong> {{ task.tools.join(', ') }}.</p>
    <div v-if="task.licensed" class="licensed">
      <label :for="`date-${task.licensed}`">Day on which somebody licensed comes</label>
      <InputText
        :id="`date-${task.licensed}`"
        type="date"
        :model-value="installing?.dates[task.licensed] ?? ''"
        @change="(event: Event) => date((event.target as HTMLInputElement).value)"
      />
    </div>
    <FloorLevels v-if="task.packs.length > 0" :key="task.id" :task="task" :fitting="fitting" />
    <ul v-if="task.screws.length > 0" class="screws">
      <li v-for="(screw, i) in screws" :key="i">
        <strong class="measure">{{ screw.at }}</strong> {{ screw.words }}
        <span v-if="screw.warning" class="warning">{{ screw.warning }}</span>
      </li>
      <li v-if="task.screws.length > MOST_SCREWS && !allScrews">
        <Button text size="small" :label="`All ${task.screws.length} screws`" @click="allScrews = true" />
      </li>
    </ul>
    <CheckFields
      v-for="check in task.checks"
      :key="task.id + check.key"
      :task="task"
      :check="check"
      :fitting="fitting"
    />
    <HowItWentIn v-if="task.kind === 'box-in'" :task="task" />
    <p v-if="task.caution" class="caution">{{ task.caution }}</p>
    <p class="soft why">
      <template v-if="waits.length > 0">Waits for: {{ waits.map((one) => one.name).join(', ') }}. </template>
      <template v-else-if="task.held && !isDone">{{ task.held }} </template>
      <template v-else-if="dries">All is done before it; dry {{ dries.text }}. </template>
      <template v-else-if="!isDone">All that it waits for is done. </template>
      <template v-if="task.before.length > 0">After it: {{ task.before.join(', ') }}.</template>
    </p>
    <div v-if="wide && !isDone" class="wish">
      <span :id="`wish-${task.id}`">Do it before</span>
      <Select
        :aria-labelledby="`wish-${task.id}`"
        :model-value="null"
        :options="others"
        option-label="label"
        option-value="value"
        placeholder="another step …"
        filter
        @update:model-value="wish"
      />
      <Button
        v-for="[, other] in wishes"
        :key="other"
        text
        size="small"
        icon-pos="right"
        :label="`before ${nameOf(other)} ×`"
        @click="forget(other)"
      />
      <p v-if="job.refused['installing.before']" class="problem" role="alert">
        {{ job.refused['installing.before'] }}
      </p>
    </div>
    <p v-if="isOut && !isDone" class="problem">
      Something reads out of its limit: set it right, or read again.
    </p>
    <footer class="buttons">
      <Button
        v-if="!isDone"
        class="main"
        :label="unread.length > 0 && task.checks.length > 0 ? 'Done, not read' : 'Done'"
        :disabled="isOut || waits.length > 0"
        @click="done"
      />
      <Button v-else outlined label="Not done" @click="fitting.untick(task)" />
      <Button v-if="!isDone" outlined label="Later" @click="emit('later')" />
      <PhotoButton :where="task.name" />
    </footer>
  </article>
</template>

<style scoped>
.task h1 {
  margin: 0 0 2px;
  font-size: 26px;
  line-height: 1.2;
}
.facts {
  margin: 0 0 8px;
}
.words {
  margin: 0 0 6px;
  font-size: 18px;
  line-height: 1.35;
}
.problem {
  margin: 8px 0;
  color: var(--brick);
  font-weight: 600;
}
.screws {
  margin: 8px 0;
  padding: 0;
  list-style: none;
}
.screws .measure {
  white-space: normal;
}
.screws li {
  padding: 5px 0;
  border-bottom: 1px dashed var(--line);
}
.warning {
  display: block;
  color: var(--ochre);
}
.caution {
  margin: 12px 0 0;
  padding: 10px 12px;
  border-left: 4px solid var(--ochre);
  border-radius: 6px;
  background: var(--ochre-wash);
}
.why {
  margin: 10px 0 0;
}
.licensed,
.wish {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
  margin: 10px 0 0;
}
.wish .problem {
  flex-basis: 100%;
}
.buttons {
  position: sticky;
  /* Down to the edge of its card, past the padding. */
  bottom: -14px;
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 14px;
  padding: 10px 0;
  background: var(--card);
}
.buttons :deep(button),
.buttons :deep(label) {
  min-height: 52px;
}
.buttons .main {
  flex: 1 1 140px;
  max-width: 260px;
  font-size: 18px;
}
@media (max-width: 900px) {
  .buttons {
    /* Down to the edge of the screen, past what is kept free there. */
    bottom: -56px;
  }
  /* What waits to be sent lies over the bottom: the buttons stand above it. */
  :global(.outbox ~ .station .buttons) {
    bottom: 0;
  }
}
</style>

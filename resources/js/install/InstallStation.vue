<script setup lang="ts">
import type { Drawing } from '@/api/types'
import DrawingView from '@/drawing/DrawingView.vue'
import { useJob } from '@/job/store'
import { isTyping } from '@/job/typing'
import { keysOn } from '@/shell/preferences'
import { useEventListener, useMediaQuery, useWakeLock } from '@vueuse/core'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import Message from 'primevue/message'
import Select from 'primevue/select'
import SelectButton from 'primevue/selectbutton'
import { computed, onMounted, ref } from 'vue'
import DryingList from './DryingList.vue'
import SessionsDialog from './SessionsDialog.vue'
import StepList from './StepList.vue'
import TaskCard from './TaskCard.vue'
import { useFitting } from './useFitting'
import WallPanel from './WallPanel.vue'

/** Fitting day: what next, what to carry in, what must be dry, where a screw may go. */
const job = useJob()
const fitting = useFitting()
const { station } = fitting
const isPhone = useMediaQuery('(max-width: 900px)')

const LOOKS = [
  { value: 'now', label: 'Now' },
  { value: 'wall', label: 'Wall' },
  { value: 'drying', label: 'Drying' },
]
const looks = ref('now')
const whenOpen = ref(false)
const listOpen = ref(false)
/** The step that is looked at: the one at hand, unless somebody looks elsewhere. */
const looked = ref<string | null>(null)
const later = ref(new Set<string>())
const next = computed(
  () => fitting.ready.value.find((task) => !later.value.has(task.id)) ?? fitting.current.value,
)
const task = computed(() => fitting.byId.value.get(looked.value ?? '') ?? next.value)
const finished = computed(
  () => fitting.tasks.value.length > 0 && fitting.done.value === fitting.tasks.value.length,
)
/** What a second person may do meanwhile. */
const beside = computed(() => fitting.ready.value.filter((one) => one.id !== task.value?.id).slice(0, 3))

const wallKey = ref<string | null>(null)
const wall = computed(() => {
  const walls = station.value?.walls ?? []
  const key = looks.value === 'wall' ? wallKey.value : (task.value?.wall ?? null)
  return walls.find((one) => one.key === key) ?? walls[0] ?? null
})
/** What of the wall is looked at: where the step at hand is done. */
const part = computed(() => (looks.value === 'now' ? wall.value?.shown[task.value?.id ?? ''] : undefined))
/** The wall with the layer of the step at hand alone. */
const drawing = computed<Drawing | null>(() => {
  const whole = wall.value?.drawing
  if (!whole) return null
  const mine = `task ${task.value?.id ?? ''}`
  return {
    ...whole,
    layers: whole.layers.filter(
      (layer) => !layer.name.startsWith('task ') || (looks.value === 'now' && layer.name === mine),
    ),
  }
})

function look(id: string) {
  looked.value = id === next.value?.id ? null : id
  looks.value = 'now'
  listOpen.value = false
}
function putOff() {
  if (task.value) later.value = new Set([...later.value, task.value.id])
  looked.value = null
}
function onDone() {
  looked.value = null
  later.value = new Set()
}
async function visit(start: string | null, end: string | null) {
  if (start && end)
    await job.edit('job', {
      path: 'installing.sessions.add',
      value: { start, end, people: 1, weeks: 1, note: 'visit' },
    })
  else
    await job.edit('job', {
      path: 'installing.sessions',
      value: (job.job?.choices.installing.sessions ?? []).map((one) =>
        one.cancelled ? one : { ...one, people: Math.min(3, one.people + 1) },
      ),
    })
}

const sessions = computed(() => station.value?.sessions ?? [])
const said = computed(() => {
  const now = station.value
  if (!now) return ''
  if (sessions.value.length === 0) return 'Say when you have time, and dates appear.'
  const left = Object.keys(now.unplaced).length
  if (now.end)
    return `It ends on ${now.end.text}${now.proven ? ', and cannot end earlier with these sessions' : ''}.`
  return sessions.value.every((one) => one.past)
    ? `The last session is over; ${left} steps remain: add one.`
    : `${left} steps have no date yet: each says why.`
})
const loads = computed(() => station.value?.drying.filter((one) => one.for.startsWith('heavy')).at(-1))

const lock = useWakeLock()
onMounted(() => {
  if (lock.isSupported.value) void lock.request('screen').catch(() => undefined)
})
useEventListener(document, 'keydown', (event: KeyboardEvent) => {
  if (!keysOn.value || isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
  if (whenOpen.value || listOpen.value) return
  if (event.key.toLowerCase() === 'l') putOff()
  if (event.key.toLowerCase() === 'w') looks.value = looks.value === 'wall' ? 'now' : 'wall'
})
</script>

<template>
  <div v-if="station" class="install">
    <section v-if="fitting.tasks.value.length === 0" class="card empty">
      <h1>Nothing to fit yet</h1>
      <p>
        When a space is measured and furnished, the steps of fitting day stand here in their order: what goes
        in first, where it is screwed, what must dry.
      </p>
      <RouterLink class="go" :to="`/jobs/${job.job?.id}/fit`">Go to Fit</RouterLink>
    </section>
    <template v-else>
      <aside v-if="!isPhone" class="card steps">
        <header class="head">
          <p :class="{ soft: sessions.length > 0 }">{{ said }}</p>
          <Button outlined size="small" label="When…" @click="whenOpen = true" />
        </header>
        <details v-if="station.helps.length > 0" class="helps">
          <summary>What would help</summary>
          <p v-for="help in station.helps.slice(0, 4)" :key="help.sentence">
            {{ help.sentence }}
            <Button text size="small" label="Do that" @click="visit(help.start, help.end)" />
          </p>
        </details>
        <StepList :fitting="fitting" :shown="task?.id ?? null" @look="look" />
      </aside>
      <section class="card picture">
        <header class="head">
          <SelectButton
            v-model="looks"
            :options="LOOKS"
            option-label="label"
            option-value="value"
            :allow-empty="false"
            aria-label="What is shown"
          />
          <Select
            v-if="looks === 'wall' && station.walls.length > 1"
            v-model="wallKey"
            :options="station.walls"
            option-label="name"
            option-value="key"
            aria-label="Wall"
            :placeholder="wall?.name ?? ''"
          />
          <span v-else-if="looks === 'now' && wall" class="soft">{{ wall.name }}</span>
        </header>
        <DryingList v-if="looks === 'drying'" :fitting="fitting" class="scroll" />
        <DrawingView
          v-else-if="drawing"
          class="drawing"
          :drawing="drawing"
          :selected="task?.id"
          :part="part"
        />
      </section>
      <section class="card text scroll">
        <Message v-if="station.pieces && fitting.done.value === 0" severity="info" :closable="false">{{
          station.pieces
        }}</Message>
        <Message v-for="one in station.refused" :key="one" severity="warn" :closable="false">{{
          one
        }}</Message>
        <WallPanel v-if="looks === 'wall' && wall" :wall="wall" :fitting="fitting" />
        <template v-else-if="finished && looked === null">
          <h1>All fitted</h1>
          <p>
            {{ fitting.done.value }} steps.
            <template v-if="loads">Heavy loads, and doors shut, from {{ loads.until.text }}.</template>
          </p>
          <RouterLink class="go" :to="`/jobs/${job.job?.id}/log`">To the Log</RouterLink>
        </template>
        <template v-else-if="task">
          <p class="soft step-no">
            Step {{ Math.min(fitting.done.value + 1, fitting.tasks.value.length) }} of
            {{ fitting.tasks.value.length }}
            <Button v-if="looked" text size="small" label="Back to the step at hand" @click="looked = null" />
            <Button v-if="isPhone" text size="small" label="All steps" @click="listOpen = true" />
          </p>
          <TaskCard :task="task" :fitting="fitting" :wide="!isPhone" @later="putOff" @done="onDone" />
          <p v-if="beside.length > 0 && !looked" class="soft">
            Beside it:
            <Button
              v-for="one in beside"
              :key="one.id"
              text
              size="small"
              :label="one.name"
              @click="look(one.id)"
            />
          </p>
        </template>
      </section>
      <Dialog v-model:visible="listOpen" modal header="All steps" :style="{ width: '480px' }">
        <header class="head">
          <p>{{ said }}</p>
          <Button outlined size="small" label="When…" @click="((listOpen = false), (whenOpen = true))" />
        </header>
        <p v-for="help in station.helps.slice(0, 2)" :key="help.sentence" class="soft">
          {{ help.sentence }}
          <Button text size="small" label="Do that" @click="visit(help.start, help.end)" />
        </p>
        <StepList :fitting="fitting" :shown="task?.id ?? null" @look="look" />
      </Dialog>
      <SessionsDialog v-model:visible="whenOpen" :fitting="fitting" />
    </template>
  </div>
</template>

<style scoped>
.install {
  display: grid;
  grid-template-columns: 350px minmax(240px, 1fr) minmax(360px, 1.05fr);
  gap: 14px;
  height: 100%;
}
.card {
  min-height: 0;
  padding: 14px;
}
.empty {
  grid-column: 1 / -1;
  align-self: start;
  max-width: 560px;
}
.steps,
.scroll {
  overflow: auto;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  justify-content: space-between;
}
.head p {
  flex: 1 1 160px;
  margin: 0;
}
.helps {
  margin: 6px 0 0;
}
.helps summary {
  padding: 4px 0;
  color: var(--chalk);
  font-weight: 600;
  cursor: pointer;
}
:root.dark .helps summary {
  color: var(--ink);
}
.helps p {
  margin: 0 0 4px;
}
.picture {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.drawing {
  flex: 1;
  min-height: 0;
}
.step-no {
  margin: 0;
}
@media (max-width: 1100px) {
  .install {
    grid-template-columns: 300px minmax(200px, 0.8fr) minmax(320px, 1fr);
  }
}
@media (max-width: 900px) {
  .install {
    display: flex;
    flex-direction: column;
    gap: 8px;
    height: auto;
  }
  .picture {
    order: 2;
    height: 330px;
  }
  .picture:has(.drying) {
    height: auto;
  }
  .text {
    overflow: visible;
  }
}
</style>

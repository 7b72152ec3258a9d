<script setup lang="ts">
import type { FittingTask } from '@/api/types'
import { computed } from 'vue'
import type { useFitting } from './useFitting'

/** All steps in the sessions of the person's own time, with what must dry between. */
const props = defineProps<{ fitting: ReturnType<typeof useFitting>; shown: string | null }>()
const emit = defineEmits<{ look: [id: string] }>()

const station = computed(() => props.fitting.station.value)
const minutes = (task: FittingTask) =>
  `${Math.floor(task.minutes / 60)}:${String(task.minutes % 60).padStart(2, '0')}`
const chain = computed(() => new Set(station.value?.chain ?? []))

/** What is done first, then each session with its steps, then what has no date. */
const bands = computed(() => {
  const { planned, isDone } = props.fitting
  const done = planned.value.filter(isDone)
  const open = planned.value.filter((task) => !isDone(task))
  const sessions = (station.value?.sessions ?? []).map((session) => ({
    key: session.id,
    title: `${session.day}, ${session.hours}`,
    soft: session.people > 1 ? `${session.people} people` : '',
    tasks: open.filter((task) => task.session === session.id),
  }))
  const dated = new Set(sessions.flatMap((session) => session.tasks.map((task) => task.id)))
  const undated = open.filter((task) => !dated.has(task.id))
  return [
    { key: 'done', title: 'Done', soft: '', tasks: done },
    ...sessions,
    {
      key: 'open',
      title: sessions.length > 0 ? 'Without a date' : 'In this order',
      soft: '',
      tasks: undated,
    },
  ].filter((band) => band.tasks.length > 0)
})
/** Between two steps a bar says until when something dries. */
const dryBefore = (task: FittingTask) => {
  const dry = props.fitting.dries(task)
  return dry ? `dries until ${dry.text}` : ''
}
const state = (task: FittingTask) =>
  props.fitting.isDone(task) ? 'done' : props.fitting.isReady(task) ? 'ready' : 'waits'
/** Why it has no date: what only waits for another that has none says nothing more. */
function why(task: FittingTask): string {
  const sentence = station.value?.unplaced[task.id] ?? ''
  const has = (station.value?.sessions.length ?? 0) > 0 && !props.fitting.isDone(task)
  return has && !sentence.includes(' waits for ') ? sentence : ''
}
</script>

<template>
  <div class="bands">
    <section v-for="band in bands" :key="band.key">
      <h2>
        {{ band.title }} <span class="soft">{{ band.soft }}</span>
      </h2>
      <ol>
        <li v-for="task in band.tasks" :key="task.id">
          <p v-if="dryBefore(task)" class="dry">{{ dryBefore(task) }}</p>
          <button
            type="button"
            class="step"
            :class="[state(task), { shown: task.id === shown, chain: chain.has(task.id) }]"
            :aria-current="task.id === shown ? 'step' : undefined"
            @click="emit('look', task.id)"
          >
            <span class="dot" aria-hidden="true"></span>
            <span class="name"
              >{{ task.name }}<span v-if="state(task) === 'done'" class="visually-hidden">, done</span></span
            >
            <span class="minutes measure"
              ><template v-if="task.people > 1">{{ task.people === 2 ? 'two' : 'three' }} · </template
              >{{ task.minutes > 0 ? minutes(task) : 'date' }}</span
            >
            <span v-if="why(task)" class="soft why">{{ why(task) }}</span>
          </button>
        </li>
      </ol>
    </section>
  </div>
</template>

<style scoped>
.bands h2 {
  margin: 10px 0 4px;
  font-size: 16px;
}
ol {
  margin: 0;
  padding: 0;
  list-style: none;
}
.step {
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr) auto;
  gap: 2px 8px;
  align-items: center;
  width: 100%;
  min-height: 38px;
  padding: 4px 8px;
  border: 1px solid transparent;
  border-radius: 8px;
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.step.shown {
  border-color: var(--chalk);
  background: var(--chalk-wash);
}
.step.waits .name {
  color: var(--soft);
}
.step.ready .name {
  font-weight: 600;
}
.dot {
  width: 16px;
  height: 16px;
  border: 2px solid var(--line-strong);
  border-radius: 50%;
}
.ready .dot {
  border-color: var(--chalk);
}
.done .dot {
  border-color: var(--moss);
  background: var(--moss);
}
.chain .minutes {
  color: var(--chalk);
}
:root.dark .chain .minutes {
  text-decoration: underline;
}
.why {
  grid-column: 2 / -1;
  font-size: 14px;
}
.dry {
  margin: 2px 0 2px 30px;
  padding: 2px 10px;
  border-radius: 4px;
  background: repeating-linear-gradient(115deg, var(--ochre-wash) 0 8px, transparent 8px 16px);
  color: var(--ochre);
  font-size: 14px;
}
@media (max-width: 900px) {
  .step {
    min-height: 46px;
  }
}
</style>

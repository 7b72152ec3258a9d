<script setup lang="ts">
import type { JobFact, LogStation } from '@/api/types'
import { useJob } from '@/job/store'
import { useNow, useStorage } from '@vueuse/core'
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed } from 'vue'
import { session } from '@/shell/session'

/** Start and stop, with what is worked at: works with the network gone. */
const props = defineProps<{ station: LogStation; standing: JobFact[] }>()
const job = useJob()
const now = useNow({ interval: 20_000 })

const work = useStorage('incastro.work', 'install')
const person = useStorage('incastro.person', '')
const me = computed(() => session.value?.user?.name ?? 'me')
const people = computed(() => [...new Set([me.value, ...props.station.people])])
const who = computed(() => (people.value.includes(person.value) ? person.value : me.value))

interface Running {
  id: string
  person: string
  work: string
  from: string
}
/** What runs: of each person what was begun last, unless it has an end. */
const running = computed<Running[]>(() => {
  const newest = new Map<string, Running & { ended: boolean }>()
  for (const fact of props.standing) {
    if (fact.kind !== 'hours' || fact.body?.minutes || fact.body?.typed) continue
    const from = typeof fact.body?.from === 'string' ? fact.body.from : fact.at
    const name = (fact.body?.person as string) || me.value
    const known = newest.get(name)
    if (!known || new Date(known.from) <= new Date(from))
      newest.set(name, {
        id: fact.id,
        person: name,
        work: String(fact.body?.work),
        from,
        ended: Boolean(fact.body?.to),
      })
  }
  return [...newest.values()].filter((one) => !one.ended)
})
const mine = computed(() => running.value.find((one) => one.person === who.value) ?? null)
const others = computed(() => running.value.filter((one) => one.person !== who.value))
const label = (value: string) => props.station.kinds.work.find((kind) => kind.value === value)?.label ?? value
function long(from: string): string {
  const minutes = Math.max(0, Math.floor((now.value.getTime() - new Date(from).getTime()) / 60_000))
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`
}
const isForgotten = (from: string) => now.value.getTime() - new Date(from).getTime() > 12 * 3600_000

const start = () =>
  job.note('Clock', 'started', [
    {
      kind: 'hours',
      part: null,
      body: { person: who.value, work: work.value, from: new Date().toISOString() },
      withdraws: [],
    },
  ])
/** The stretch takes the place of its beginning. */
const stop = (one: Running) =>
  job.note('Clock', 'stopped', [
    {
      kind: 'hours',
      part: null,
      body: { person: one.person, work: one.work, from: one.from, to: new Date().toISOString() },
      withdraws: [],
    },
    { kind: 'withdrawal', part: null, withdraws: [one.id] },
  ])
</script>

<template>
  <div class="card clock">
    <div class="row">
      <Select
        v-model="work"
        :options="station.kinds.work"
        option-label="label"
        option-value="value"
        aria-label="Worked at"
      />
      <Select
        v-if="people.length > 1"
        v-model="person"
        :options="people"
        :placeholder="me"
        aria-label="Who"
      />
    </div>
    <template v-if="mine">
      <p class="time measure" role="timer">{{ long(mine.from) }}</p>
      <p class="soft">{{ label(mine.work) }}, {{ mine.person }}</p>
      <p v-if="isForgotten(mine.from)" class="forgotten">
        Still running? Stop it, then write down how long it really was.
      </p>
      <Button severity="secondary" label="Stop" @click="stop(mine)" />
    </template>
    <Button v-else label="Start" @click="start" />
    <p v-for="one in others" :key="one.id" class="other">
      {{ one.person }}: {{ label(one.work) }}, <span class="measure">{{ long(one.from) }}</span>
      <Button text size="small" label="Stop" :aria-label="`Stop ${one.person}`" @click="stop(one)" />
    </p>
  </div>
</template>

<style scoped>
.clock {
  display: grid;
  gap: 8px;
}
.row {
  display: flex;
  gap: 8px;
}
.row > * {
  flex: 1;
}
.clock p {
  margin: 0;
}
.time {
  font-weight: 600;
  font-size: 44px;
  line-height: 1.1;
}
.clock > :deep(button) {
  min-height: 60px;
  font-size: 20px;
}
.forgotten {
  color: var(--ochre);
  font-weight: 600;
}
</style>

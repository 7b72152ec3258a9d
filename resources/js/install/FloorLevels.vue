<script setup lang="ts">
import type { FittingTask } from '@/api/types'
import { useJob } from '@/job/store'
import { readLength, Unreadable } from '@/tape/lengthReader'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import type { useFitting } from './useFitting'

/** What lies under each bearer, back and front; and how far the floor lies under the level line there, where somebody reads it on the day. */
const props = defineProps<{ task: FittingTask; fitting: ReturnType<typeof useFitting> }>()
const job = useJob()

const ENDS = ['back', 'front'] as const
const rows = computed(() => {
  const rows = []
  for (let i = 0; i + 1 < props.task.packs.length; i += 2)
    rows.push({
      number: i / 2 + 1,
      at: props.task.packs[i]?.at ?? '',
      back: props.task.packs[i],
      front: props.task.packs[i + 1],
    })
  return rows
})
const facts = (place: string) =>
  props.fitting.of('level', props.task.id).filter((fact) => fact.body?.place === place)
const read = (place: string) => (facts(place).at(-1)?.body?.text as string | undefined) ?? ''
const open = ref(props.task.packs.some((pack) => read(pack.place) !== ''))
const fault = ref('')

async function keep(place: string, text: string) {
  const typed = text.trim()
  if (typed === read(place)) return
  fault.value = ''
  const withdraws = facts(place).map((fact) => fact.id)
  try {
    if (typed !== '') readLength(typed, job.job?.unit ?? 'mm')
  } catch (error) {
    if (!(error instanceof Unreadable)) throw error
    fault.value = error.message
    return
  }
  await job.note(props.task.name, typed === '' ? 'not read' : typed, [
    typed === ''
      ? { kind: 'withdrawal', part: null, withdraws }
      : { kind: 'level', part: props.task.id, body: { place, text: typed }, withdraws },
  ])
}
</script>

<template>
  <table class="packs">
    <thead>
      <tr>
        <th>Bearer</th>
        <th>back</th>
        <th>front</th>
      </tr>
    </thead>
    <tbody v-for="row in rows" :key="row.number">
      <tr>
        <td>
          {{ row.number }} at <span class="measure">{{ row.at }}</span>
        </td>
        <td v-for="end in ENDS" :key="end" class="measure pack">{{ row[end]?.text }}</td>
      </tr>
      <tr v-if="open" class="down">
        <td class="soft">down to it</td>
        <td v-for="end in ENDS" :key="end">
          <InputText
            :model-value="read(row[end]?.place ?? '')"
            class="measure"
            inputmode="decimal"
            autocomplete="off"
            :aria-label="`From the level line down to the floor, bearer ${row.number}, ${end}`"
            @change="(event: Event) => keep(row[end]?.place ?? '', (event.target as HTMLInputElement).value)"
          />
        </td>
      </tr>
    </tbody>
  </table>
  <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
  <Button v-if="!open" text size="small" label="Read the floor under the level line…" @click="open = true" />
  <p v-else class="soft">
    From the line straight down, where each bearer will stand. The packs follow from three places on.
  </p>
</template>

<style scoped>
.packs {
  width: 100%;
  margin: 8px 0;
  border-collapse: collapse;
  font-size: 17px;
  table-layout: fixed;
}
.packs th,
.packs td {
  padding: 4px 8px 4px 0;
  text-align: left;
}
.packs thead th,
.packs tbody tr:last-child td {
  border-bottom: 1px dashed var(--line);
}
/* Three shims and a tapered pair go on two lines of a phone. */
.pack {
  font-weight: 600;
  white-space: normal;
}
.down :deep(input) {
  width: 100%;
  max-width: 110px;
  min-height: 44px;
  font-size: 17px;
  text-align: right;
}
.fault {
  color: var(--brick);
  font-weight: 600;
}
</style>

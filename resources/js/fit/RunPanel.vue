<script setup lang="ts">
import type { FitStation } from '@/api/types'
import { useJob } from '@/job/store'
import WorkingButton from '@/job/WorkingButton.vue'
import LengthField from '@/tape/LengthField.vue'
import Button from 'primevue/button'
import { computed } from 'vue'
import ChoiceRow from './ChoiceRow.vue'
import type { useLayout } from './useLayout'

/** The run as a whole: its height and depth, its ends, what spans its bays, and further runs. */
const props = defineProps<{ station: FitStation; layout: ReturnType<typeof useLayout> }>()
const job = useJob()
const { run, runChoice, tier, set, act, openRun } = props.layout
const unit = computed(() => job.job?.unit ?? 'mm')
const members = computed(() => props.layout.layout.value?.members ?? [])
const bayIds = computed(() => runChoice.value?.bays.map((bay) => bay.id) ?? [])
const tierIds = computed(() => runChoice.value?.bays.flatMap((bay) => bay.tiers.map((one) => one.id)) ?? [])
const plinth = computed(() =>
  members.value.find((one) => one.kind === 'plinth' && one.cells.some((cell) => bayIds.value.includes(cell))),
)
const panels = computed(() =>
  members.value.filter(
    (one) => one.kind === 'end-panel' && one.cells.some((cell) => bayIds.value.includes(cell)),
  ),
)
const endBay = (side: string) => (side === 'left' ? bayIds.value[0] : bayIds.value.at(-1))
/** Ends against no wall that have no panel yet. */
const openSides = computed(() =>
  (run.value?.open_sides ?? []).filter(
    (side) => !panels.value.some((one) => one.cells.includes(endBay(side) ?? '')),
  ),
)
const worktops = computed(() =>
  members.value.filter(
    (one) => one.kind === 'worktop' && one.cells.some((cell) => tierIds.value.includes(cell)),
  ),
)
/** Walls along which no run stands yet. */
const free = computed(() =>
  props.station.walls.filter((wall) => !props.station.runs.some((one) => one.wall === wall.wall)),
)

async function addRun(wall: number): Promise<void> {
  const before = props.station.runs.map((one) => one.id)
  await act('add-run', { wall })
  const made = job.space?.choices.layout.runs.find((one) => !before.includes(one.id))
  if (made) openRun.value = made.id
}

/** A worktop lies over the selected tier and those beside it at the same level. */
function addWorktop(): void {
  const at = props.layout.place.value.tier
  const cells = (runChoice.value?.bays ?? []).flatMap((bay) => bay.tiers[at]?.id ?? [])
  void act('add-member', { kind: 'worktop', cells })
}
const remove = (id: string) => set(`layout.members.${id}`, null)
</script>

<template>
  <section v-if="run && runChoice" class="card" aria-label="Run">
    <header>
      <h2>Run along the {{ run.name }}</h2>
      <WorkingButton :working="run.width" label="Width of the run" />
    </header>
    <p class="soft small">
      A <em>run</em> is furniture along one wall; a <em>bay</em> is one of its columns, a <em>tier</em> one
      cell of a bay.
    </p>
    <LengthField
      label="Height over its foot"
      :text="runChoice.height?.typed || ''"
      when-empty="as high as goes in"
      :unit="unit"
      :refused="job.refused[`layout.runs.${run.id}.height`]"
      @change="set(`layout.runs.${run.id}.height`, $event)"
    />
    <LengthField
      label="Depth"
      :text="runChoice.depth?.typed || ''"
      when-empty="as deep as usual"
      :unit="unit"
      :refused="job.refused[`layout.runs.${run.id}.depth`]"
      @change="set(`layout.runs.${run.id}.depth`, $event)"
    />
    <template v-if="station.runs.length > 1">
      <ChoiceRow
        v-for="end in ['left', 'right'] as const"
        :key="end"
        :label="`Its ${end} end`"
        :value="run.ends[end]"
        :choices="run.end_choices"
        @change="set(`layout.runs.${run.id}.${end}`, $event)"
      />
    </template>
    <div v-for="(one, i) in run.plinths" :key="one.id" class="row">
      <span>Plinth {{ one.mark }}, levelled to the highest floor</span>
      <WorkingButton
        :working="one.length"
        :label="i === 0 ? 'Length of the plinth' : `Length of plinth ${one.mark}`"
      />
    </div>
    <div v-for="one in run.worktops" :key="one.id" class="row">
      <span>Worktop {{ one.mark }}</span>
      <WorkingButton :working="one.length" :label="`Length of worktop ${one.mark}`" />
    </div>
    <div class="actions">
      <Button
        v-if="plinth"
        size="small"
        severity="secondary"
        outlined
        label="Take the plinth away"
        @click="remove(plinth.id)"
      />
      <Button
        v-else
        size="small"
        severity="secondary"
        outlined
        label="Put it on a plinth"
        @click="act('add-member', { kind: 'plinth', cells: bayIds })"
      />
      <Button
        v-if="tier"
        size="small"
        severity="secondary"
        outlined
        label="Worktop over this tier"
        @click="addWorktop"
      />
      <Button
        v-for="one in worktops"
        :key="one.id"
        size="small"
        severity="secondary"
        outlined
        label="Take the worktop away"
        @click="remove(one.id)"
      />
      <Button
        v-for="side in openSides"
        :key="side"
        size="small"
        severity="secondary"
        outlined
        :label="`End panel, ${side} side`"
        @click="act('add-member', { kind: 'end-panel', cells: [endBay(side)] })"
      />
      <Button
        v-for="one in panels"
        :key="one.id"
        size="small"
        severity="secondary"
        outlined
        label="Take the end panel away"
        @click="remove(one.id)"
      />
      <Button
        v-for="wall in free"
        :key="wall.wall"
        size="small"
        severity="secondary"
        outlined
        :label="`Add a run: ${wall.name}`"
        @click="addRun(wall.wall)"
      />
      <Button
        v-if="station.runs.length > 1"
        size="small"
        severity="secondary"
        outlined
        label="Take this run away"
        @click="act('remove-run', { cell: run.id })"
      />
    </div>
  </section>
</template>

<style scoped>
header {
  display: flex;
  gap: 8px;
  align-items: baseline;
  justify-content: space-between;
}
h2 {
  font-size: 17px;
}
.small {
  margin: 4px 0;
  font-size: 14px;
}
.row {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  min-height: 44px;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 8px;
}
.actions :deep(.p-button) {
  color: var(--ink);
  border-color: var(--line-strong);
  min-height: 40px;
}
</style>

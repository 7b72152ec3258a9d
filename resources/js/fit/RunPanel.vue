<script setup lang="ts">
import type { FitStation } from '@/api/types'
import { useJob } from '@/job/store'
import WorkingButton from '@/job/WorkingButton.vue'
import LengthField from '@/tape/LengthField.vue'
import TradeText from '@/words/TradeText.vue'
import Button from 'primevue/button'
import { computed } from 'vue'
import ChoiceRow from './ChoiceRow.vue'
import UnitPanel from './UnitPanel.vue'
import { useUnits } from './useUnits'
import type { useLayout } from './useLayout'

/** The run as a whole: its height and depth, its ends, what spans its bays, and further runs. */
const props = defineProps<{ station: FitStation; layout: ReturnType<typeof useLayout> }>()
const job = useJob()
const { run, runChoice, tier, set, act, openRun } = props.layout
const unit = computed(() => job.job?.unit ?? 'mm')
const { of } = useUnits()
const bayIds = computed(() => runChoice.value?.bays.map((bay) => bay.id) ?? [])
const members = computed(() => run.value?.members ?? [])
const endBay = (side: string) => (side === 'left' ? bayIds.value[0] : bayIds.value.at(-1))

interface Addition {
  key: string
  label: string
  kind: string
  cells: (string | undefined)[]
}
/** What may be added: round or under all bays, over the selected tier and those beside it, or beside an end that no wall closes. */
const additions = computed(() =>
  of('member').flatMap((one): Addition[] => {
    const held = members.value.filter((other) => other.form === one.form)
    const add = (key: string, label: string, cells: (string | undefined)[]) =>
      held.some((other) => cells.some((cell) => cell && other.cells.includes(cell)))
        ? []
        : [{ key: `${one.kind}-${key}`, label, kind: one.kind, cells }]
    if (one.form === 'around')
      return [{ key: one.kind, label: one.label, kind: one.kind, cells: bayIds.value }]
    if (one.form === 'under') return add('all', `${one.label} under it`, bayIds.value)
    if (one.form === 'beside')
      return (run.value?.open_sides ?? []).flatMap((side) =>
        add(side, `${one.label}, ${side} side`, [endBay(side)]),
      )
    const at = props.layout.place.value.tier
    return tier.value
      ? add(
          'over',
          `${one.label} over this tier`,
          (runChoice.value?.bays ?? []).map((bay) => bay.tiers[at]?.id),
        )
      : []
  }),
)
/** What stands before the wall of this run, beside which it may begin and end. */
const standing = computed(() =>
  props.station.surfaces.filter((one) => one.stands && one.wall === run.value?.wall),
)
const BESIDE = [
  { name: 'from', label: 'Begins at' },
  { name: 'to', label: 'Ends at' },
] as const
const besides = (end: 'from' | 'to') => [
  { value: '', label: end === 'from' ? 'the left end of the wall' : 'the right end of the wall' },
  ...standing.value.map((one) => ({
    value: one.id,
    label: `the ${end === 'from' ? 'right' : 'left'} side of ${one.mark}`,
  })),
]
/** Walls along which no run stands yet. */
const free = computed(() =>
  props.station.walls.filter((wall) => !props.station.runs.some((one) => one.wall === wall.wall)),
)

/** Sides of what stands before walls, beside which no run stands yet. */
const sides = computed(() =>
  props.station.surfaces
    .filter((one) => one.stands)
    .flatMap((one) =>
      BESIDE.filter(({ name }) => !props.station.runs.some((other) => other.beside[name] === one.id)).map(
        ({ name }) => ({
          key: `${one.id}-${name}`,
          label: `Add a run ${name === 'from' ? 'right' : 'left'} of ${one.mark}`,
          wall: one.wall,
          beside: { [name]: one.id },
        }),
      ),
    ),
)

async function addRun(wall: number, beside: Record<string, string> = {}): Promise<void> {
  const before = props.station.runs.map((one) => one.id)
  await act('add-run', { wall, ...beside })
  const made = job.space?.choices.layout.runs.find((one) => !before.includes(one.id))
  if (made) openRun.value = made.id
}

/** What goes under a plinth, by bearer. */
const shims = (mark: string) =>
  Object.entries(props.station.decisions)
    .filter(([name]) => name.startsWith(`Under ${mark}, `))
    .map(([name, working]) => [name.slice(`Under ${mark}, `.length), working] as const)

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
    <template v-if="standing.length > 0">
      <ChoiceRow
        v-for="end in BESIDE"
        :key="end.name"
        :label="end.label"
        :value="run.beside[end.name] ?? ''"
        :choices="besides(end.name)"
        @change="set(`layout.runs.${run.id}.${end.name}`, $event || null)"
      />
    </template>
    <section v-for="one in members" :key="one.id" class="member" :aria-label="one.holds.label">
      <div v-for="row in one.rows" :key="row.mark" class="row">
        <span><TradeText :text="one.holds.label" /> {{ row.mark }}</span>
        <WorkingButton
          :working="row.length"
          :label="`Length of ${one.holds.label.toLowerCase()} ${row.mark}`"
        />
      </div>
      <template v-for="row in one.rows" :key="`under-${row.mark}`">
        <details v-if="shims(row.mark).length > 0">
          <summary>Shims under {{ row.mark }}, from the floor as found</summary>
          <div v-for="[name, working] in shims(row.mark)" :key="name" class="row">
            <span>{{ name }}</span>
            <WorkingButton :working="working" :label="`Shims under ${row.mark}, ${name}`" />
          </div>
        </details>
      </template>
      <UnitPanel :holds="one.holds" :path="`layout.members.${one.id}`" />
      <Button
        size="small"
        severity="secondary"
        outlined
        :label="`Take the ${one.holds.label.toLowerCase()} away`"
        @click="remove(one.id)"
      />
    </section>
    <div class="actions">
      <Button
        v-for="one in additions"
        :key="one.key"
        size="small"
        severity="secondary"
        outlined
        :label="one.label"
        @click="act('add', { list: 'members', kind: one.kind, cells: one.cells.filter(Boolean) })"
      />
      <Button
        v-for="side in sides"
        :key="side.key"
        size="small"
        severity="secondary"
        outlined
        :label="side.label"
        @click="addRun(side.wall, side.beside)"
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
details {
  margin: 4px 0;
}
summary {
  min-height: 40px;
  padding: 8px 0;
  cursor: pointer;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 8px;
}
.member {
  padding-bottom: 8px;
  border-bottom: 1px solid var(--line);
}
.member > :deep(.p-button),
.actions :deep(.p-button) {
  color: var(--ink);
  border-color: var(--line-strong);
  min-height: 40px;
}
</style>

<script setup lang="ts">
import type { FitStation } from '@/api/types'
import { useVocabulary } from '@/api/vocabulary'
import { useJob } from '@/job/store'
import WorkingButton from '@/job/WorkingButton.vue'
import LengthField from '@/tape/LengthField.vue'
import Button from 'primevue/button'
import { computed } from 'vue'
import ChoiceRow from './ChoiceRow.vue'
import DecisionRows from './DecisionRows.vue'
import FindingList from '@/job/FindingList.vue'
import UnitPanel from './UnitPanel.vue'
import UnitTiles from './UnitTiles.vue'
import { namesOf } from './useFlags'
import type { useLayout } from './useLayout'
import { useUnits } from './useUnits'

/** The selected cell: what it holds, its sizes, and what can be done with it in one press. */
const props = defineProps<{ station: FitStation; layout: ReturnType<typeof useLayout> }>()
const job = useJob()
const words = useVocabulary()
const { of } = useUnits()
const { run, cell, bay, tier, place, set, act, isShare } = props.layout
const unit = computed(() => job.job?.unit ?? 'mm')
const box = computed(() => run.value?.boxes.find((one) => one.id === cell.value?.box) ?? null)

const title = computed(() => {
  if (!cell.value) return ''
  const where = `Bay ${place.value.bay + 1}`
  const tiers = bay.value?.tiers.length ?? 1
  return tiers > 1 ? `${where}, tier ${place.value.tier + 1} of ${tiers}` : where
})

/** "4 of 12 shares", or nothing where the size is the cell's own. */
const share = computed(() => {
  const size = bay.value?.size
  if (!size || !isShare(size)) return 'its own width'
  const all = (props.layout.runChoice.value?.bays ?? []).reduce(
    (sum, one) => sum + (isShare(one.size) ? one.size.share : 0),
    0,
  )
  return all === size.share ? 'all of the run' : `${size.share} of ${all} shares`
})

const typed = (size: { share: number } | { typed: string; nm: number } | undefined, now: string) =>
  !size || 'share' in size ? '' : size.typed || now

const snaps = computed(() => [
  { value: 'none', label: 'nothing' },
  ...props.station.things
    .filter((thing) => thing.wall === run.value?.wall)
    .map((thing) => ({ value: thing.id, label: thing.name })),
])
/** Tiers of the other bays, whose tops a shelf line may follow. */
const lines = computed(() => [
  { value: 'none', label: 'nothing' },
  ...(props.layout.runChoice.value?.bays ?? []).flatMap((one, b) =>
    one.id === bay.value?.id
      ? []
      : one.tiers.map((other, t) => ({ value: other.id, label: `bay ${b + 1}, tier ${t + 1}` })),
  ),
])
const field = (name: string) => `layout.${name}`

const serious = computed(() => props.station.findings.filter((one) => one.severity !== 'note'))
/** What is found about the cell, its box, its bay or what closes it. */
const found = computed(() => {
  const names = cell.value ? namesOf(cell.value) : []
  return serious.value.filter((one) => [one.place, ...one.related].some((name) => names.includes(name)))
})

/** Another front takes the place of the one that is there. */
async function setFront(kind: string): Promise<void> {
  if (cell.value?.front) await set(field(`fronts.${cell.value.front.id}`), null)
  if (kind !== 'nothing') await act('add', { list: 'fronts', kind, cells: [tier.value?.id] })
}
</script>

<template>
  <section v-if="cell && bay && tier" class="card" aria-label="Selected cell">
    <header>
      <h2>{{ box ? `Box ${box.mark}` : cell.holds.label }}</h2>
      <span class="soft">{{ title }} · {{ share }}</span>
    </header>
    <FindingList :findings="found" :among="serious" label="About this cell" />
    <template v-if="!cell.bought">
      <UnitTiles
        label="Inside"
        name="What it holds"
        list="tiers"
        :tier="tier.id"
        :kind="cell.holds.kind"
        :families="['inside', 'cell']"
        @change="set(field(`tiers.${tier.id}.holds`), $event)"
      />
      <p v-if="job.refused[field(`tiers.${tier.id}.holds`)]" class="refused" role="alert">
        {{ job.refused[field(`tiers.${tier.id}.holds`)] }}
      </p>
      <UnitPanel :holds="cell.holds" :path="field(`tiers.${tier.id}`)" />
    </template>
    <template v-if="cell.boxed">
      <p v-if="cell.spanned" class="soft">The front of a cell below closes this one too.</p>
      <UnitTiles
        v-if="!cell.bought"
        label="In front"
        name="In front"
        list="fronts"
        :tier="tier.id"
        :kind="cell.front?.holds.kind ?? 'nothing'"
        :families="['front']"
        nothing="Open"
        @change="setFront"
      />
      <UnitPanel
        v-if="cell.front && !cell.bought"
        :holds="cell.front.holds"
        :path="field(`fronts.${cell.front.id}`)"
      />
      <section v-for="one in cell.options" :key="one.id" class="option" :aria-label="one.holds.label">
        <header>
          <h3>{{ one.holds.label }}</h3>
          <Button
            text
            severity="secondary"
            label="Take it away"
            :aria-label="`Take the ${one.holds.label.toLowerCase()} away`"
            @click="set(field(`options.${one.id}`), null)"
          />
        </header>
        <UnitPanel :holds="one.holds" :path="field(`options.${one.id}`)" />
      </section>
      <div class="adds">
        <Button
          v-for="kind in of('option')"
          :key="kind.kind"
          severity="secondary"
          outlined
          size="small"
          :label="`Add: ${kind.label.toLowerCase()}`"
          @click="act('add', { list: 'options', kind: kind.kind, cells: [tier?.id] })"
        />
      </div>
    </template>
    <LengthField
      label="Width of the bay"
      :text="typed(bay.size, cell.width.text)"
      when-empty="its share"
      :unit="unit"
      :refused="job.refused[field(`bays.${bay.id}.size`)]"
      @change="set(field(`bays.${bay.id}.size`), $event)"
    />
    <LengthField
      label="Height of the tier"
      :text="typed(tier.size, cell.height.text)"
      when-empty="its share"
      :unit="unit"
      :refused="job.refused[field(`tiers.${tier.id}.size`)]"
      @change="set(field(`tiers.${tier.id}.size`), $event)"
    />
    <LengthField
      label="Depth of the tier"
      :text="tier.depth?.typed ?? ''"
      when-empty="as the run"
      :unit="unit"
      :refused="job.refused[field(`tiers.${tier.id}.depth`)]"
      @change="set(field(`tiers.${tier.id}.depth`), $event)"
    />
    <ChoiceRow
      v-if="station.sloped"
      label="Under the slope"
      :value="bay.top"
      :choices="words.tops"
      @change="set(field(`bays.${bay.id}.top`), $event)"
    />
    <div v-if="place.bay > 0" class="row">
      <label for="shares">Shares a board with the bay to its left</label>
      <input
        id="shares"
        type="checkbox"
        :checked="bay.joined"
        @change="set(field(`bays.${bay.id}.joined`), ($event.target as HTMLInputElement).checked)"
      />
    </div>
    <div v-if="place.tier > 0" class="row">
      <label for="shares-below">Shares a board with the tier below</label>
      <input
        id="shares-below"
        type="checkbox"
        :checked="tier.joined"
        @change="set(field(`tiers.${tier.id}.joined`), ($event.target as HTMLInputElement).checked)"
      />
    </div>
    <ChoiceRow
      v-if="snaps.length > 1"
      label="Its right side lines up with"
      :value="bay.snap ?? 'none'"
      :choices="snaps"
      @change="set(field(`bays.${bay.id}.snap`), $event === 'none' ? null : $event)"
    />
    <ChoiceRow
      v-if="lines.length > 1"
      label="Its top lines up with"
      :value="tier.snap ?? 'none'"
      :choices="lines"
      @change="set(field(`tiers.${tier.id}.snap`), $event === 'none' ? null : $event)"
    />
    <dl v-if="box">
      <dt>Outer width</dt>
      <dd><WorkingButton :working="box.width" label="Width of the box" /></dd>
      <dt>
        Outer height<template v-if="box.angle">, top at {{ box.angle }}°</template>
      </dt>
      <dd><WorkingButton :working="box.height" label="Height of the box" /></dd>
      <dt>Outer depth</dt>
      <dd><WorkingButton :working="box.depth" label="Depth of the box" /></dd>
      <DecisionRows :decisions="station.decisions" :mark="box.mark" />
    </dl>
    <dl v-else>
      <dt>Width</dt>
      <dd><WorkingButton :working="cell.width" label="Width of the cell" /></dd>
      <dt>Height</dt>
      <dd><WorkingButton :working="cell.height" label="Height of the cell" /></dd>
      <DecisionRows v-if="cell.mark" :decisions="station.decisions" :mark="cell.mark" />
    </dl>
  </section>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-items: baseline;
  justify-content: space-between;
}
.option {
  padding: 6px 0;
  border-top: 1px dashed var(--line);
}
.option h3 {
  margin: 0;
}
.adds {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 6px 0;
}
.row {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  min-height: 48px;
}
.row input[type='checkbox'] {
  width: 24px;
  height: 24px;
}
dl {
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: center;
  margin: 8px 0 0;
  border-top: 1px dashed var(--line);
}
dd {
  margin: 0;
  text-align: right;
}
</style>

<script setup lang="ts">
import { api } from '@/api/client'
import type { Drawing } from '@/api/types'
import DrawingView from '@/drawing/DrawingView.vue'
import FindingList from '@/job/FindingList.vue'
import { useJob } from '@/job/store'
import { useQuery } from '@tanstack/vue-query'
import { refThrottled, useLocalStorage } from '@vueuse/core'
import Button from 'primevue/button'
import Select from 'primevue/select'
import SelectButton from 'primevue/selectbutton'
import Slider from 'primevue/slider'
import { computed, ref, watch } from 'vue'
import CellPanel from './CellPanel.vue'
import GapLedger from './GapLedger.vue'
import GoingIn from './GoingIn.vue'
import RunPanel from './RunPanel.vue'
import SurfacePanel from './SurfacePanel.vue'
import StartingLayouts from './StartingLayouts.vue'
import TemplateMenu from './TemplateMenu.vue'
import { useLayout } from './useLayout'

const job = useJob()
const station = job.station('fit')
const exaggeration = useLocalStorage('incastro.fit.exaggeration', 4)
const layout = useLayout(station)
const { run, selected, openRun } = layout

const VIEWS = [
  { value: 'elevation', label: 'Elevation' },
  { value: 'plan', label: 'Plan' },
  { value: 'section', label: 'Section' },
  { value: 'solid', label: 'Solid' },
  { value: 'apart', label: 'Apart' },
]
const view = ref('elevation')
const cutAt = ref(0)
/** A section is first cut through the selected bay, not where two boxes meet; then wherever its line is dragged. */
watch([view, run], ([, now], [before, old]) => {
  if (view.value !== 'section' || !now) return
  const isThere = before === 'section' && old?.id === now.id
  if (isThere && cutAt.value >= now.from && cutAt.value <= now.to) return
  const bay = now.cells.find((cell) => cell.id === selected.value)?.bay
  cutAt.value = (now.bays.find((one) => one.id === bay) ?? now.bays[0])?.middle ?? now.from
})

const findings = computed(() => station.value?.findings ?? [])
const clashes = computed(() => findings.value.filter((finding) => finding.severity !== 'note'))
const notes = computed(() => findings.value.filter((finding) => finding.severity === 'note'))
const clashing = computed(() =>
  findings.value
    .filter((finding) => finding.severity === 'clash')
    .flatMap((finding) => [finding.place, ...finding.related]),
)

/** The line is dragged smoothly; a section is asked for where it rests a moment. */
const cutSettled = refThrottled(cutAt, 120, true)

/** Other looks are asked for when they are looked at. */
const other = useQuery({
  queryKey: computed(() => [
    'view',
    job.space?.id,
    job.space?.version,
    job.job?.version,
    view.value,
    run.value?.id,
    view.value === 'section' ? cutSettled.value : 0,
  ]),
  queryFn: () =>
    api<Drawing>(
      'GET',
      `/api/spaces/${job.space?.id}/view?${new URLSearchParams({ view: view.value, run: run.value?.id ?? '', at: String(cutSettled.value) })}`,
    ),
  enabled: computed(() => view.value !== 'elevation' && run.value !== null),
  placeholderData: (before: Drawing | undefined) => before,
  shallow: true,
})
const drawing = computed(() =>
  view.value === 'elevation' ? (run.value?.drawing ?? null) : (other.data.value ?? null),
)
const runs = computed(
  () =>
    station.value?.runs.map((one) => ({
      value: one.id,
      label: `Run along the ${one.name}`,
    })) ?? [],
)

/** A box, a mark or a dimension stands for the cell it belongs to. */
function select(ref: string): void {
  const cells = run.value?.cells ?? []
  const id = ref.replace(/^(name|tier):/, '')
  selected.value =
    cells.find((cell) => cell.id === id)?.id ??
    cells.find((cell) => cell.box === id || cell.bay === ref.replace(/^bay:/, ''))?.id ??
    (/^(left|right|top|foot|back):/.test(ref) ? ref : selected.value)
}
</script>

<template>
  <div v-if="station && !station.ready" class="card waits">
    <h2>Nothing can be fitted yet</h2>
    <p v-for="finding in clashes" :key="finding.code + finding.place">{{ finding.sentence }}</p>
    <p v-if="clashes.length === 0">
      The space is not known: heights, depths and at least one width are needed.
    </p>
    <RouterLink :to="`/jobs/${job.job?.id}/measure`">Go on measuring <kbd>1</kbd></RouterLink>
  </div>
  <StartingLayouts v-else-if="station?.empty" />
  <div v-else-if="station && run" class="fit-station">
    <section class="card drawing-card" aria-label="Drawing">
      <div class="bar">
        <SelectButton
          v-model="view"
          :options="VIEWS"
          option-value="value"
          option-label="label"
          :allow-empty="false"
          aria-label="View"
        />
        <Select
          v-if="runs.length > 1"
          :model-value="run.id"
          :options="runs"
          option-value="value"
          option-label="label"
          aria-label="Run"
          @update:model-value="openRun = $event"
        />
        <TemplateMenu class="right" :run="run.id" />
      </div>
      <DrawingView
        v-if="drawing"
        :drawing="drawing"
        :exaggeration="view === 'elevation' || view === 'section' ? exaggeration : 1"
        :selected="selected"
        :clashing="clashing"
        @select="select"
      />
      <p v-else role="status" class="soft">Drawing …</p>
      <DrawingView
        v-if="view === 'section' && run.drawing"
        class="where"
        :drawing="run.drawing"
        small
        :cut="{ at: cutAt, from: run.from, to: run.to }"
        @cut="cutAt = $event"
      />
      <div v-if="view === 'elevation'" class="slider">
        <span id="crooked-fit"
          >Crookedness <span class="measure">×{{ exaggeration }}</span></span
        >
        <Slider v-model="exaggeration" :min="1" :max="20" aria-labelledby="crooked-fit" />
      </div>
      <div v-else-if="view === 'section'" class="slider">
        <span id="cut-at">Cut through here</span>
        <Slider
          v-model="cutAt"
          :min="Math.round(run.from)"
          :max="Math.round(run.to)"
          :step="10"
          aria-labelledby="cut-at"
        />
      </div>
    </section>
    <aside class="side">
      <FindingList :findings="clashes" label="What clashes" />
      <CellPanel :station="station" :layout="layout" />
      <RunPanel :station="station" :layout="layout" />
      <SurfacePanel :station="station" :layout="layout" />
      <GoingIn :carried="station.carried" />
      <section class="card notes">
        <h3>Mind</h3>
        <FindingList :findings="notes" label="Mind" />
      </section>
      <Button
        text
        label="Start from another layout"
        @click="layout.set('layout', { runs: [], members: [], closings: {}, openings: [] })"
      />
    </aside>
    <GapLedger v-if="run.edges.length > 0" v-model:selected="selected" class="ledger" :edges="run.edges" />
  </div>
</template>

<style scoped>
.fit-station {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 340px;
  grid-template-rows: minmax(0, 1fr) auto;
  gap: 14px;
  height: 100%;
}
.drawing-card {
  position: relative;
  display: flex;
  flex-direction: column;
  min-height: 0;
  padding: 8px;
}
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.bar .right {
  margin-left: auto;
}
.drawing-card :deep(.drawing) {
  flex: 1;
  height: auto;
}
.drawing-card :deep(.where) {
  position: absolute;
  right: 14px;
  bottom: 14px;
  width: 240px;
  height: 190px;
  border: 1px solid var(--line);
  border-radius: 10px;
  background: var(--card);
}
.slider {
  position: absolute;
  bottom: 14px;
  left: 14px;
  display: grid;
  gap: 12px;
  width: 170px;
  padding: 8px 16px 18px;
  border: 1px solid var(--line);
  border-radius: 10px;
  background: var(--card);
}
.side {
  position: relative;
  display: grid;
  grid-row: 1 / 3;
  grid-column: 2;
  align-content: start;
  gap: 12px;
  min-height: 0;
  overflow: auto;
}
.notes {
  padding: 12px 4px;
  font-size: 15px;
}
.notes h3 {
  padding: 0 14px 4px;
}
.ledger {
  position: relative;
  max-height: min(236px, 32vh);
  overflow: auto;
}
.waits {
  align-self: start;
}
@media (max-width: 900px) {
  .fit-station {
    display: flex;
    flex-direction: column;
    height: auto;
  }
  .side {
    overflow: visible;
  }
  .drawing-card :deep(.drawing) {
    flex: none;
    height: min(420px, 100vw);
  }
  .ledger {
    max-height: none;
  }
  .bar :deep(.p-togglebutton) {
    padding: 4px 2px;
    font-size: 15px;
  }
  .bar :deep(.p-togglebutton-content) {
    padding: 8px;
  }
  .slider,
  .drawing-card :deep(.where) {
    position: static;
    width: auto;
  }
  .drawing-card :deep(.where) {
    flex: none;
    height: 220px;
  }
}
</style>

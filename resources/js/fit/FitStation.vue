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
import Tab from 'primevue/tab'
import TabList from 'primevue/tablist'
import TabPanel from 'primevue/tabpanel'
import TabPanels from 'primevue/tabpanels'
import Tabs from 'primevue/tabs'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import CellCommands from './CellCommands.vue'
import CellPanel from './CellPanel.vue'
import GapLedger from './GapLedger.vue'
import GoingIn from './GoingIn.vue'
import RunPanel from './RunPanel.vue'
import SurfacePanel from './SurfacePanel.vue'
import StartingLayouts from './StartingLayouts.vue'
import TemplateMenu from './TemplateMenu.vue'
import { useFlags } from './useFlags'
import { useLayout } from './useLayout'

/** Three dimensions are fetched when somebody looks at them. */
const RoundView = defineAsyncComponent(() => import('@/round/RoundView.vue'))

const job = useJob()
const station = job.station('fit')
const exaggeration = useLocalStorage('incastro.fit.exaggeration', 4)
const layout = useLayout(station)
const { run, selected, openRun, actions } = layout

const VIEWS = [
  { value: 'wall', label: 'Wall' },
  { value: 'plan', label: 'Plan' },
  { value: 'section', label: 'Section' },
  { value: 'round', label: 'Round' },
]
const view = ref('wall')
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
const serious = computed(() => findings.value.filter((finding) => finding.severity !== 'note'))
const notes = computed(() => findings.value.filter((finding) => finding.severity === 'note'))
const clashing = computed(() =>
  findings.value
    .filter((finding) => finding.severity === 'clash')
    .flatMap((finding) => [finding.place, ...finding.related]),
)
const { flags, opened: openFinding } = useFlags(serious, run)

const leaf = ref('cell')
const edges = computed(() => run.value?.edges ?? [])
/** What is pressed opens its leaf: an edge that of the gaps, a flag and the verdict that of the findings. */
function openFlag(number: number): void {
  openFinding.value = number
  leaf.value = 'findings'
}
/** The verdict leads here. */
const route = useRoute()
watch(
  () => route.query.leaf,
  (asked) => {
    if (asked === 'findings') openFlag(1)
  },
  { immediate: true },
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
  enabled: computed(() => (view.value === 'plan' || view.value === 'section') && run.value !== null),
  placeholderData: (before: Drawing | undefined) => before,
  shallow: true,
})
const drawing = computed(() =>
  view.value === 'wall' ? (run.value?.drawing ?? null) : (other.data.value ?? null),
)
const runs = computed(
  () =>
    station.value?.runs.map((one) => ({
      value: one.id,
      label: `Run along the ${one.name}`,
    })) ?? [],
)

/** A box, a mark or a dimension stands for the cell it belongs to; a press shows its leaf. */
function select(ref: string): void {
  const cells = run.value?.cells ?? []
  const id = ref.replace(/^(name|tier):/, '')
  const cell =
    cells.find((cell) => cell.id === id)?.id ??
    cells.find((cell) => cell.box === id || cell.bay === ref.replace(/^bay:/, ''))?.id
  const isEdge = /^(left|right|top|foot|back):/.test(ref)
  if (cell || isEdge) {
    selected.value = cell ?? ref
    leaf.value = cell ? 'cell' : 'gaps'
  }
}
</script>

<template>
  <div v-if="station && !station.ready" class="card waits">
    <h2>Nothing can be fitted yet</h2>
    <p v-for="finding in serious" :key="finding.code + finding.place">{{ finding.sentence }}</p>
    <p v-if="serious.length === 0">
      The space is not known: heights, depths and at least one width are needed.
    </p>
    <RouterLink :to="`/jobs/${job.job?.id}/measure`">Go on measuring <kbd>1</kbd></RouterLink>
  </div>
  <div v-else-if="station?.empty" class="begins" :class="{ beside: station.surfaces.length > 0 }">
    <StartingLayouts />
    <aside>
      <FindingList v-if="serious.length > 0" :findings="serious" :among="serious" label="What clashes" />
      <SurfacePanel :station="station" :layout="layout" />
    </aside>
  </div>
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
        <div v-if="view === 'wall' || view === 'section'" class="slider">
          <span id="crooked-fit"
            >crookedness <span class="measure">×{{ exaggeration }}</span></span
          >
          <Slider v-model="exaggeration" :min="1" :max="20" aria-labelledby="crooked-fit" />
        </div>
        <TemplateMenu :run="run.id" />
      </div>
      <RoundView
        v-if="view === 'round'"
        :run="run.id"
        :exaggeration="exaggeration"
        :selected="selected"
        @select="select"
      />
      <DrawingView
        v-else-if="drawing"
        :drawing="drawing"
        :exaggeration="view === 'plan' ? 1 : exaggeration"
        :selected="selected"
        :clashing="clashing"
        :flags="view === 'wall' ? flags : []"
        @select="select"
        @flag="openFlag"
      >
        <template v-if="view === 'wall'" #beside="place">
          <CellCommands v-if="layout.cell.value" v-bind="place" :actions="actions" />
        </template>
      </DrawingView>
      <p v-else role="status" class="soft">Drawing …</p>
      <DrawingView
        v-if="view === 'section' && run.drawing"
        class="where"
        :drawing="run.drawing"
        small
        :cut="{ at: cutAt, from: run.from, to: run.to }"
        @cut="cutAt = $event"
      />
      <div v-if="view === 'section'" class="slider low">
        <span id="cut-at">cut through here</span>
        <Slider
          v-model="cutAt"
          :min="Math.round(run.from)"
          :max="Math.round(run.to)"
          :step="10"
          aria-labelledby="cut-at"
        />
      </div>
    </section>
    <Tabs v-model:value="leaf" lazy class="card side">
      <TabList aria-label="About the furniture">
        <Tab value="cell">Cell</Tab>
        <Tab value="gaps"
          >Gaps <span class="count">{{ edges.length }}</span></Tab
        >
        <Tab value="findings"
          >Findings <span class="count" :class="serious[0]?.severity">{{ serious.length || '' }}</span></Tab
        >
      </TabList>
      <TabPanels>
        <TabPanel value="cell">
          <CellPanel :station="station" :layout="layout" />
          <RunPanel :station="station" :layout="layout" />
          <SurfacePanel :station="station" :layout="layout" />
          <Button
            text
            label="Start from another layout"
            @click="
              layout.set('layout', {
                runs: [],
                members: [],
                closings: {},
                openings: [],
                surfaces: job.space?.choices.layout.surfaces ?? [],
              })
            "
          />
        </TabPanel>
        <TabPanel value="gaps">
          <GapLedger v-model:selected="selected" :edges="edges" />
        </TabPanel>
        <TabPanel value="findings">
          <p v-if="serious.length === 0" class="settled">Nothing clashes, and nothing warns.</p>
          <FindingList
            v-model:opened="openFinding"
            :findings="serious"
            :among="serious"
            label="What clashes"
          />
          <GoingIn :carried="station.carried" />
          <section v-if="notes.length > 0" class="notes">
            <h3>Mind</h3>
            <FindingList :findings="notes" label="Mind" />
          </section>
        </TabPanel>
      </TabPanels>
    </Tabs>
  </div>
</template>

<style scoped>
.begins {
  display: grid;
  gap: 14px;
  align-items: start;
}
@media (width >= 900px) {
  .begins.beside {
    grid-template-columns: minmax(0, 1fr) 356px;
  }
}
.fit-station {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 356px;
  gap: 14px;
  height: 100%;
}
.drawing-card {
  position: relative;
  display: flex;
  flex-direction: column;
  min-height: 0;
  padding: 8px 8px 4px;
}
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
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
  display: flex;
  gap: 16px;
  align-items: center;
  margin-left: auto;
  color: var(--soft);
}
.slider :deep(.p-slider) {
  width: 110px;
}
.slider.low {
  position: absolute;
  bottom: 14px;
  left: 14px;
  padding: 10px 16px;
  border: 1px solid var(--line);
  border-radius: 10px;
  background: var(--card);
}
.side {
  display: flex;
  flex-direction: column;
  min-height: 0;
  padding: 6px 0 0;
}
.side :deep(.p-tabpanels) {
  position: relative;
  flex: 1;
  min-height: 0;
  padding: 0;
  overflow: auto;
  background: none;
}
.side :deep(.p-tablist-tab-list),
.side :deep(.p-tablist) {
  background: none;
}
.side :deep(.p-tab) {
  padding: 10px 16px;
}
.side :deep(.p-tabpanel > section) {
  border: 0;
  border-bottom: 1px solid var(--line);
  border-radius: 0;
  background: none;
}
.count {
  color: var(--soft);
}
.count.clash {
  color: var(--brick);
}
.count.warning {
  color: var(--ochre);
}
.settled {
  margin: 14px 16px;
  color: var(--moss);
}
.notes {
  padding: 12px 4px;
  font-size: 15px;
}
.notes h3 {
  padding: 0 14px 4px;
}
.waits {
  align-self: start;
}
@media (max-width: 900px) {
  .fit-station {
    display: flex;
    flex-direction: column;
    height: auto;
    padding-bottom: 96px;
  }
  .side :deep(.p-tabpanels) {
    overflow: visible;
  }
  .drawing-card :deep(.drawing) {
    flex: none;
    height: min(440px, 92vw);
  }
  .bar :deep(.p-togglebutton) {
    padding: 4px 2px;
    font-size: 15px;
  }
  .bar :deep(.p-togglebutton-content) {
    padding: 8px;
  }
  .slider.low,
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

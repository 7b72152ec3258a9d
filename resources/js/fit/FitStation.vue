<script setup lang="ts">
import DrawingView from '@/drawing/DrawingView.vue'
import FindingCard from '@/job/FindingCard.vue'
import { useJob } from '@/job/store'
import WorkingButton from '@/job/WorkingButton.vue'
import LengthField from '@/tape/LengthField.vue'
import { useLocalStorage } from '@vueuse/core'
import InputNumber from 'primevue/inputnumber'
import Slider from 'primevue/slider'
import { computed, ref } from 'vue'
import GapLedger from './GapLedger.vue'

const job = useJob()
const station = job.station('fit')
const exaggeration = useLocalStorage('incastro.fit.exaggeration', 4)
const selected = ref<string | undefined>()
const layout = computed(() => job.space?.choices.layout)
const unit = computed(() => job.job?.unit ?? 'mm')
const run = computed(() => station.value?.run ?? null)
const clashes = computed(() => station.value?.findings.filter((finding) => finding.severity !== 'note') ?? [])
const notes = computed(() => station.value?.findings.filter((finding) => finding.severity === 'note') ?? [])

const sizes = [
  { key: 'width', label: 'Width' },
  { key: 'height', label: 'Height' },
  { key: 'depth', label: 'Depth' },
] as const

const counts = [
  { key: 'fixed_shelves', label: 'Fixed shelves' },
  { key: 'adjustable_shelves', label: 'Adjustable shelves' },
] as const

const set = (path: string, value: unknown) => job.edit('space', { path, value })

function setShelves(key: 'fixed_shelves' | 'adjustable_shelves', value: number | null) {
  if (value !== null && value !== layout.value?.[key]) void set(`layout.${key}`, value)
}
</script>

<template>
  <div v-if="station && layout" class="fit-station">
    <section v-if="station.drawing && run" class="card drawing-card">
      <DrawingView
        :drawing="station.drawing"
        :exaggeration="exaggeration"
        :selected="selected"
        @select="selected = $event"
      />
      <a class="svg" :href="`/api/spaces/${job.space?.id}/elevation.svg`" download>Drawing as SVG, 1:10</a>
      <div class="slider">
        <span id="crooked-fit"
          >Crookedness <span class="measure">×{{ exaggeration }}</span></span
        >
        <Slider v-model="exaggeration" :min="1" :max="20" aria-labelledby="crooked-fit" />
      </div>
    </section>
    <section v-else class="card waits">
      <h2>Nothing can be fitted yet</h2>
      <p v-for="finding in clashes" :key="finding.code">{{ finding.sentence }}</p>
      <p v-if="clashes.length === 0">
        The space is not known: heights, depths and at least one width are needed.
      </p>
      <RouterLink :to="`/jobs/${job.job?.id}/measure`">Go on measuring <kbd>1</kbd></RouterLink>
    </section>
    <aside class="side">
      <FindingCard v-for="finding in clashes" :key="finding.code + finding.place" :finding="finding" />
      <section class="card">
        <h2>Box {{ run?.box.mark }}</h2>
        <p class="soft small">
          A <em>box</em> is a cupboard’s carcass. Left empty, it is made as large as goes in along its whole
          way home.
        </p>
        <div v-for="size in sizes" :key="size.key" class="size">
          <LengthField
            :label="size.label"
            :text="layout[size.key]?.typed ?? ''"
            when-empty="largest"
            :unit="unit"
            :refused="job.refused[`layout.${size.key}`]"
            @change="set(`layout.${size.key}`, $event)"
          />
          <WorkingButton v-if="run" :working="run.box[size.key]" :label="`${size.label} of the box`" />
        </div>
        <div v-for="shelves in counts" :key="shelves.key" class="count">
          <label :for="shelves.key">{{ shelves.label }}</label>
          <InputNumber
            :model-value="layout[shelves.key]"
            :input-id="shelves.key"
            show-buttons
            button-layout="horizontal"
            :min="0"
            :max="20"
            @update:model-value="setShelves(shelves.key, $event)"
          />
        </div>
        <div v-for="(working, name) in station.decisions" :key="name" class="count">
          <span>{{ name }}</span>
          <WorkingButton :working="working" :label="String(name)" />
        </div>
        <div v-if="run" class="count">
          <span>Plinth, levelled to the highest floor</span>
          <WorkingButton :working="run.plinth.length" label="Length of the plinth" />
        </div>
      </section>
      <section class="card notes">
        <h3>Mind</h3>
        <FindingCard v-for="finding in notes" :key="finding.code" :finding="finding" />
      </section>
    </aside>
    <GapLedger v-if="run" v-model:selected="selected" class="ledger" :edges="run.edges" />
  </div>
</template>

<style scoped>
.fit-station {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  grid-template-rows: minmax(300px, 1fr) auto;
  gap: 14px;
  height: 100%;
}
.drawing-card {
  position: relative;
  min-height: 300px;
  padding: 8px;
}
.drawing-card :deep(.drawing) {
  position: absolute;
  inset: 8px;
  width: auto;
  height: auto;
}
.svg {
  position: absolute;
  top: 14px;
  right: 16px;
  padding: 10px 0;
  font-size: 15px;
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
  display: grid;
  grid-row: 1 / 3;
  grid-column: 2;
  align-content: start;
  gap: 12px;
  min-height: 0;
  overflow: auto;
}
.small {
  font-size: 14px;
}
.size {
  display: grid;
  justify-items: stretch;
  padding: 4px 0;
  border-bottom: 1px dashed var(--line);
}
.size :deep(.size) {
  justify-self: end;
}
.count {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  min-height: 48px;
}
.count :deep(input) {
  width: 56px;
  text-align: center;
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
  }
  .side {
    overflow: visible;
  }
  .drawing-card {
    display: flex;
    flex-direction: column;
  }
  .drawing-card :deep(.drawing) {
    position: static;
    height: 460px;
  }
  .svg {
    position: static;
  }
  .slider {
    position: static;
    width: auto;
  }
}
</style>

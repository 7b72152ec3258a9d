<script setup lang="ts">
import type { MeasureStation } from '@/api/types'
import { useJob } from '@/job/store'
import LengthField from '@/tape/LengthField.vue'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import Select from 'primevue/select'
import { computed, reactive, ref } from 'vue'

/** A reading that the sheet does not ask for: another diagonal, a corner by 3-4-5, a height, a row of offsets by rule. */
const props = defineProps<{ station: MeasureStation }>()
const emit = defineEmits<{ close: [] }>()

const job = useJob()
const kinds = [
  { value: 'diagonal', label: 'Diagonal, corner to corner' },
  { value: 'corner', label: 'Corner, by angle gauge' },
  { value: 'three_four_five', label: 'Corner, by 3-4-5' },
  { value: 'tie', label: 'Tie, corner to a mark on a wall' },
  { value: 'side', label: 'Side' },
  { value: 'plumb', label: 'Plumb of a wall' },
  { value: 'height', label: 'Height at a place' },
  { value: 'offsets-plumb', label: 'Offsets by rule, from a plumb straightedge' },
  { value: 'offsets-level', label: 'Offsets by rule, from a level straightedge' },
]
const form = reactive({
  kind: 'diagonal',
  from: 0,
  to: 2,
  wall: 0,
  along: '',
  height: '',
  depth: '',
  plane: 0,
})
const busy = ref(false)
const id = `x-${crypto.randomUUID()}`

const unit = computed(() => job.job?.unit ?? 'mm')
const corners = computed(() =>
  props.station.shape.corners.map((corner, value) => ({ value, label: corner.name })),
)
const walls = computed(() =>
  props.station.shape.edges
    .map((edge, value) => ({ value, label: edge.label, kind: edge.kind }))
    .filter((edge) => edge.kind === 'wall'),
)
const planes = computed(() => props.station.shape.planes.map((label, value) => ({ value, label })))
const isOffsets = computed(() => form.kind.startsWith('offsets'))
const needs = computed(() => ({
  from: ['diagonal', 'corner', 'three_four_five', 'tie', 'side'].includes(form.kind),
  to: form.kind === 'diagonal',
  wall: ['tie', 'plumb', 'height'].includes(form.kind) || isOffsets.value,
  along: ['tie', 'plumb', 'height', 'offsets-plumb'].includes(form.kind),
  height: ['plumb', 'offsets-level'].includes(form.kind),
  depth: form.kind === 'height',
}))
const refused = (name: string) =>
  Object.entries(job.refused).find(([path]) => path.startsWith('extras.') && path.endsWith(`.${name}`))?.[1]

async function add() {
  busy.value = true
  const value = {
    kind: isOffsets.value ? 'offset' : form.kind,
    from: needs.value.from ? form.from : null,
    to: needs.value.to ? form.to : null,
    wall: needs.value.wall ? form.wall : null,
    along: form.along || null,
    height: form.height || null,
    depth: form.depth || null,
    level: form.kind === 'offsets-level',
    plane: form.kind === 'height' ? form.plane : 0,
  }
  const done = await job.edit('space', { path: `extras.${id}`, value })
  busy.value = false
  if (done) emit('close')
}
</script>

<template>
  <Dialog visible modal header="Add a reading" :style="{ width: '480px' }" @update:visible="emit('close')">
    <form class="form" novalidate @submit.prevent="add">
      <label class="pair">
        <span>What</span>
        <Select
          v-model="form.kind"
          :options="kinds"
          option-label="label"
          option-value="value"
          aria-label="Kind of reading"
        />
      </label>
      <label v-if="needs.from" class="pair">
        <span>{{ form.kind === 'side' ? 'Side from corner' : needs.to ? 'From corner' : 'Corner' }}</span>
        <Select
          v-model="form.from"
          :options="corners"
          option-label="label"
          option-value="value"
          aria-label="From corner"
        />
      </label>
      <label v-if="needs.to" class="pair">
        <span>To corner</span>
        <Select
          v-model="form.to"
          :options="corners"
          option-label="label"
          option-value="value"
          aria-label="To corner"
        />
      </label>
      <p v-if="refused('to') ?? refused('from')" class="refused" role="alert">
        {{ refused('to') ?? refused('from') }}
      </p>
      <label v-if="needs.wall" class="pair">
        <span>Wall</span>
        <Select
          v-model="form.wall"
          :options="walls"
          option-label="label"
          option-value="value"
          aria-label="Wall"
        />
      </label>
      <LengthField
        v-if="needs.along"
        label="From the wall’s left end"
        :text="form.along"
        :unit="unit"
        :refused="refused('along')"
        @change="form.along = $event"
      />
      <LengthField
        v-if="needs.height"
        label="Above the floor"
        :text="form.height"
        :unit="unit"
        :refused="refused('height')"
        @change="form.height = $event"
      />
      <LengthField
        v-if="needs.depth"
        label="Out from the wall"
        :text="form.depth"
        :unit="unit"
        :refused="refused('depth')"
        @change="form.depth = $event"
      />
      <label v-if="form.kind === 'height' && planes.length > 1" class="pair">
        <span>Up to the</span>
        <Select
          v-model="form.plane"
          :options="planes"
          option-label="label"
          option-value="value"
          aria-label="Plane of the ceiling"
        />
      </label>
      <p v-if="isOffsets" class="soft">
        Hold a straight board or a level
        {{ form.kind === 'offsets-level' ? 'level along' : 'plumb against' }} the wall and read the gap behind
        it every {{ unit === 'mm' ? '250 mm' : '10 in' }}, to half a millimetre. A template is made from
        these.
      </p>
      <Button type="submit" label="Put it into the book" :loading="busy" />
    </form>
  </Dialog>
</template>

<style scoped>
.form {
  display: grid;
  gap: 10px;
}
.pair {
  display: grid;
  grid-template-columns: 140px 1fr;
  gap: 10px;
  align-items: center;
}
</style>

<script setup lang="ts">
import type { SpaceChoices } from '@/api/types'
import { useVocabulary } from '@/api/vocabulary'
import { useJob } from '@/job/store'
import LengthField from '@/tape/LengthField.vue'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import Select from 'primevue/select'
import SelectButton from 'primevue/selectbutton'
import { computed } from 'vue'

/** Where on the walls the readings are taken; moving one moves the slot, not what was read there. */
const visible = defineModel<boolean>('visible', { required: true })
const job = useJob()
const words = useVocabulary()
const sheet = computed(() => job.space?.choices.sheet)
const shape = computed(() => job.space?.choices.shape)
const isOther = computed(() => job.space?.choices.kind === 'other')
const isAlcove = computed(() =>
  ['alcove', 'closet', 'under-stair', 'roof-slope'].includes(job.space?.choices.kind ?? ''),
)
const edgeKinds = [
  { value: 'wall', label: 'wall' },
  { value: 'open', label: 'open' },
  { value: 'door', label: 'door' },
]
const name = (corner: number) => String.fromCharCode(65 + corner)

type Edges = SpaceChoices['shape']['edges']
const setEdges = (edges: Edges) => job.edit('space', { path: 'shape.edges', value: edges })
const setEdge = (at: number, kind: Edges[number]) =>
  setEdges((shape.value?.edges ?? []).map((edge, i) => (i === at ? kind : edge)))
const setOutside = (corner: number, is: boolean) => {
  const others = (shape.value?.outside ?? []).filter((other) => other !== corner)
  return job.edit('space', { path: 'shape.outside', value: is ? [...others, corner] : others })
}
const fields = [
  { key: 'low', label: 'Lowest widths, above the floor' },
  { key: 'middle', label: 'Middle widths, above the floor', whenEmpty: 'half way' },
  { key: 'high', label: 'Highest widths, below the ceiling' },
  { key: 'back', label: 'Widths at the back, from the back wall' },
  { key: 'front', label: 'Widths at the front, from the front line' },
  { key: 'level', label: 'Length of your level' },
] as const
</script>

<template>
  <Dialog v-model:visible="visible" modal header="Where to measure" :style="{ width: '560px' }">
    <div v-if="shape" class="shape">
      <label class="pair">
        <span>Ceiling</span>
        <Select
          :model-value="shape.ceiling"
          :options="words.ceilings"
          option-label="label"
          option-value="value"
          aria-label="Ceiling"
          @update:model-value="job.edit('space', { path: 'shape.ceiling', value: $event })"
        />
      </label>
      <template v-if="isOther">
        <p class="soft">
          Corners go anticlockwise as seen from above, and A–B is the back wall: as you face it, A is at its
          right end.
        </p>
        <div v-for="(edge, i) in shape.edges" :key="i" class="edge">
          <span class="measure">{{ name(i) }}–{{ name((i + 1) % shape.edges.length) }}</span>
          <SelectButton
            :model-value="edge"
            :options="edgeKinds"
            option-label="label"
            option-value="value"
            :allow-empty="false"
            :aria-label="`What stands between ${name(i)} and ${name((i + 1) % shape.edges.length)}`"
            @update:model-value="setEdge(i, $event)"
          />
          <label
            ><input
              type="checkbox"
              :checked="shape.outside.includes(i)"
              @change="setOutside(i, ($event.target as HTMLInputElement).checked)"
            />
            {{ name(i) }} is an outside corner</label
          >
        </div>
        <p v-if="job.refused['shape.edges'] ?? job.refused['shape.outside']" class="refused" role="alert">
          {{ job.refused['shape.edges'] ?? job.refused['shape.outside'] }}
        </p>
        <div class="buttons">
          <Button outlined label="One corner more" @click="setEdges([...shape.edges, 'wall'])" />
          <Button outlined label="One corner less" @click="setEdges(shape.edges.slice(0, -1))" />
        </div>
      </template>
    </div>
    <p class="soft">Set these before you measure. Readings already taken stay as they are.</p>
    <div v-if="sheet" class="fields">
      <LengthField
        v-for="field in fields.filter((one) => isAlcove || (one.key !== 'back' && one.key !== 'front'))"
        :key="field.key"
        :label="field.label"
        :text="sheet[field.key]?.typed ?? ''"
        v-bind="'whenEmpty' in field ? { whenEmpty: field.whenEmpty } : {}"
        :unit="job.job?.unit ?? 'mm'"
        :refused="job.refused[`sheet.${field.key}`]"
        @change="job.edit('space', { path: `sheet.${field.key}`, value: $event })"
      />
    </div>
  </Dialog>
</template>

<style scoped>
@media (max-width: 760px) {
  .edge {
    grid-template-columns: 50px 1fr;
  }
}
.shape {
  display: grid;
  gap: 8px;
  margin-bottom: 12px;
}
.pair {
  display: grid;
  grid-template-columns: 90px 1fr;
  gap: 10px;
  align-items: center;
}
.edge {
  display: grid;
  grid-template-columns: 50px auto 1fr;
  gap: 4px 10px;
  align-items: center;
}
.buttons {
  display: flex;
  gap: 8px;
}
.fields {
  display: grid;
  gap: 10px;
}
</style>

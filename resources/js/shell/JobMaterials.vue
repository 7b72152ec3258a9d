<script setup lang="ts">
import type { MaterialEntry, StockEntry } from '@/api/types'
import { useVocabulary } from '@/api/vocabulary'
import { useJob } from '@/job/store'
import { valueOf } from '@/job/typing'
import LengthField from '@/tape/LengthField.vue'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { computed, useId } from 'vue'

/** The materials of a job, what each is for, and the sheets and boards that can be bought. */
const job = useJob()
const words = useVocabulary()
const id = useId()
const choices = computed(() => job.job?.choices)
const unit = computed(() => job.job?.unit ?? 'mm')
const set = (path: string, value: unknown) => job.edit('job', { path, value })
const refused = (path: string) => job.refused[path]

const stockOf = (material: string): StockEntry[] =>
  choices.value?.stock.filter((entry) => entry.material === material) ?? []

/** What serves a purpose that the job names nothing for. */
function usual(purpose: string): string {
  const other = words.value.purposes.find((one) => one.value === purpose)?.falls_back_to
  if (!other) return 'nothing yet'
  const served = choices.value?.uses[other]
  return choices.value?.materials.find((one) => one.id === served)?.name ?? usual(other)
}
const servings = computed(() =>
  words.value.purposes.map((one) => ({
    ...one,
    options: [
      ...(one.falls_back_to || !choices.value?.uses[one.value]
        ? [{ id: 'usual', name: `as usual: ${usual(one.value)}` }]
        : []),
      ...(choices.value?.materials ?? []),
    ],
  })),
)

/** What is asked of each kind, and what a new one begins with: in millimetres, and in inches. */
const kinds = {
  sheet: {
    label: 'Sheet material',
    thick: 'Thickness, as measured on the sheet',
    size: 'sheet',
    add: 'Another sheet material',
    first: { name: 'another sheet material', thickness: ['15', '19/32'], width: null, density: 650 },
  },
  board: {
    label: 'Board, bought by length',
    thick: 'Thickness, as measured',
    size: 'length',
    add: 'A board, bought by length',
    first: { name: 'another board', thickness: ['18', '3/4'], width: ['90', '3 1/2'], density: 500 },
  },
  moulding: {
    label: 'Moulding, bought by length and never ripped',
    thick: 'Thickness, as measured',
    size: 'length',
    add: 'A moulding',
    first: { name: 'another moulding', thickness: ['12', '1/2'], width: ['45', '1 3/4'], density: 500 },
  },
} as const

function addMaterial(kind: MaterialEntry['kind']): void {
  const { thickness, width, ...first } = kinds[kind].first
  const at = unit.value === 'mm' ? 0 : 1
  void set(`materials.${kind}-${crypto.randomUUID().slice(0, 8)}`, {
    kind,
    ...first,
    thickness: thickness[at],
    width: width?.[at] ?? null,
    cover: null,
    wood: null,
  })
}

function addStock(material: MaterialEntry): void {
  const like = stockOf(material.id)[0]
  const isBoard = material.kind !== 'sheet'
  const metric = unit.value === 'mm'
  void set(`stock.${material.id.slice(0, 24)}-${crypto.randomUUID().slice(0, 8)}`, {
    material: material.id,
    name: isBoard ? 'another length' : 'another sheet',
    length: like?.length.typed || (isBoard ? (metric ? '2400' : '96') : metric ? '2440' : '96'),
    width: isBoard ? null : like?.width?.typed || (metric ? '1220' : '48'),
    price: like?.price ?? 0,
    quantity: null,
  })
}
</script>

<template>
  <h2>Materials</h2>
  <section v-for="one in choices?.materials ?? []" :key="one.id" class="material" :aria-label="one.name">
    <div class="field">
      <label :for="`${id}-name-${one.id}`">{{ kinds[one.kind].label }}</label>
      <InputText
        :id="`${id}-name-${one.id}`"
        :model-value="one.name"
        @change="set(`materials.${one.id}.name`, valueOf($event))"
      />
      <p v-if="refused(`materials.${one.id}.name`)" class="refused">
        {{ refused(`materials.${one.id}.name`) }}
      </p>
    </div>
    <LengthField
      :label="kinds[one.kind].thick"
      :text="one.thickness.typed"
      :unit="unit"
      :refused="refused(`materials.${one.id}.thickness`)"
      @change="set(`materials.${one.id}.thickness`, $event)"
    />
    <template v-if="one.kind !== 'sheet'">
      <LengthField
        :label="`Width of the ${one.kind}`"
        :text="one.width?.typed ?? ''"
        :unit="unit"
        :refused="refused(`materials.${one.id}.width`)"
        @change="set(`materials.${one.id}.width`, $event)"
      />
      <LengthField
        v-if="one.kind === 'board'"
        label="Of it shows, once fixed"
        :text="one.cover?.typed ?? ''"
        when-empty="all of it"
        :unit="unit"
        :refused="refused(`materials.${one.id}.cover`)"
        @change="set(`materials.${one.id}.cover`, $event)"
      />
    </template>
    <div class="row">
      <label :for="`${id}-wood-${one.id}`">What it is, for its strength</label>
      <Select
        :input-id="`${id}-wood-${one.id}`"
        :model-value="one.wood"
        :options="words.woods"
        option-value="value"
        option-label="label"
        placeholder="not stated"
        show-clear
        :aria-label="`What ${one.name} is`"
        @update:model-value="set(`materials.${one.id}.wood`, $event)"
      />
    </div>
    <div v-for="sheet in stockOf(one.id)" :key="sheet.id" class="sheet">
      <InputText
        :model-value="sheet.name"
        :aria-label="`Name of the ${kinds[one.kind].size}`"
        @change="set(`stock.${sheet.id}.name`, valueOf($event))"
      />
      <LengthField
        label="Length"
        :text="sheet.length.typed"
        :unit="unit"
        :refused="refused(`stock.${sheet.id}.length`)"
        @change="set(`stock.${sheet.id}.length`, $event)"
      />
      <LengthField
        v-if="one.kind === 'sheet'"
        label="Width"
        :text="sheet.width?.typed ?? ''"
        :unit="unit"
        :refused="refused(`stock.${sheet.id}.width`)"
        @change="set(`stock.${sheet.id}.width`, $event)"
      />
      <label class="row"
        >Price, {{ choices?.currency }}
        <InputText
          class="number"
          inputmode="decimal"
          :model-value="String(sheet.price)"
          @change="set(`stock.${sheet.id}.price`, valueOf($event))"
        />
      </label>
      <p v-if="refused(`stock.${sheet.id}.price`)" class="refused">
        {{ refused(`stock.${sheet.id}.price`) }}
      </p>
      <label class="row"
        >In stock (empty: any number)
        <InputText
          class="number"
          inputmode="numeric"
          :model-value="sheet.quantity === null ? '' : String(sheet.quantity)"
          @change="set(`stock.${sheet.id}.quantity`, valueOf($event))"
        />
      </label>
      <p v-if="refused(`stock.${sheet.id}.quantity`)" class="refused">
        {{ refused(`stock.${sheet.id}.quantity`) }}
      </p>
      <Button
        text
        severity="secondary"
        :label="`Take this ${kinds[one.kind].size} out`"
        @click="set(`stock.${sheet.id}`, null)"
      />
    </div>
    <p v-if="refused(`materials.${one.id}`)" class="refused" role="alert">
      {{ refused(`materials.${one.id}`) }}
    </p>
    <div class="actions">
      <Button
        outlined
        :label="`Add a ${one.kind === 'sheet' ? 'sheet size' : 'length'}`"
        @click="addStock(one)"
      />
      <Button
        text
        severity="secondary"
        label="Take the material out"
        :aria-label="`Take ${one.name} out`"
        @click="set(`materials.${one.id}`, null)"
      />
    </div>
  </section>
  <div class="actions">
    <Button v-for="(kind, name) in kinds" :key="name" outlined :label="kind.add" @click="addMaterial(name)" />
  </div>

  <h2>What is made of what</h2>
  <div v-for="one in servings" :key="one.value" class="serving">
    <label :for="`${id}-use-${one.value}`">{{ one.label }}</label>
    <Select
      :input-id="`${id}-use-${one.value}`"
      :model-value="choices?.uses[one.value] ?? 'usual'"
      :options="one.options"
      option-value="id"
      option-label="name"
      :aria-label="one.label"
      @update:model-value="set(`uses.${one.value}`, $event === 'usual' ? null : $event)"
    />
    <p v-if="refused(`uses.${one.value}`)" class="refused" role="alert">{{ refused(`uses.${one.value}`) }}</p>
  </div>
</template>

<style scoped>
h2 {
  margin: 22px 0 10px;
}
.material {
  padding: 12px 0;
  border-top: 1px solid var(--line);
}
.sheet {
  display: grid;
  gap: 6px;
  margin: 10px 0;
  padding: 10px;
  border: 1px solid var(--line);
  border-radius: 8px;
}
.row {
  display: grid;
  grid-template-columns: 1fr minmax(130px, auto);
  align-items: center;
  gap: 8px;
}
.number {
  text-align: right;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.serving {
  display: grid;
  grid-template-columns: 1fr 240px;
  align-items: center;
  gap: 4px 8px;
  min-height: 48px;
}
.serving .refused {
  grid-column: 1 / -1;
}
</style>

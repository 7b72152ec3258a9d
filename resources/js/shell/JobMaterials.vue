<script setup lang="ts">
import type { MaterialEntry, StockEntry } from '@/api/types'
import { useVocabulary } from '@/api/vocabulary'
import { useJob } from '@/job/store'
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
const valueOf = (event: Event) => (event.target as HTMLInputElement).value

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

function addMaterial(kind: MaterialEntry['kind']): void {
  const metric = unit.value === 'mm'
  void set(`materials.${kind}-${crypto.randomUUID().slice(0, 8)}`, {
    kind,
    ...(kind === 'sheet'
      ? { name: 'another sheet material', thickness: metric ? '15' : '19/32', width: null }
      : { name: 'another board', thickness: metric ? '18' : '3/4', width: metric ? '90' : '3 1/2' }),
    cover: null,
    density: kind === 'sheet' ? 650 : 500,
  })
}

function addStock(material: MaterialEntry): void {
  const like = stockOf(material.id)[0]
  const isBoard = material.kind === 'board'
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
      <label :for="`${id}-name-${one.id}`">{{
        one.kind === 'board' ? 'Board, bought by length' : 'Sheet material'
      }}</label>
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
      :label="one.kind === 'board' ? 'Thickness, as measured' : 'Thickness, as measured on the sheet'"
      :text="one.thickness.typed"
      :unit="unit"
      :refused="refused(`materials.${one.id}.thickness`)"
      @change="set(`materials.${one.id}.thickness`, $event)"
    />
    <template v-if="one.kind === 'board'">
      <LengthField
        label="Width of the board"
        :text="one.width?.typed ?? ''"
        :unit="unit"
        :refused="refused(`materials.${one.id}.width`)"
        @change="set(`materials.${one.id}.width`, $event)"
      />
      <LengthField
        label="Of it shows, once fixed"
        :text="one.cover?.typed ?? ''"
        when-empty="all of it"
        :unit="unit"
        :refused="refused(`materials.${one.id}.cover`)"
        @change="set(`materials.${one.id}.cover`, $event)"
      />
    </template>
    <div v-for="sheet in stockOf(one.id)" :key="sheet.id" class="sheet">
      <InputText
        :model-value="sheet.name"
        :aria-label="one.kind === 'board' ? 'Name of the length' : 'Name of the sheet'"
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
        :label="one.kind === 'board' ? 'Take this length out' : 'Take this sheet out'"
        @click="set(`stock.${sheet.id}`, null)"
      />
    </div>
    <p v-if="refused(`materials.${one.id}`)" class="refused" role="alert">
      {{ refused(`materials.${one.id}`) }}
    </p>
    <div class="actions">
      <Button
        outlined
        :label="one.kind === 'board' ? 'Add a length' : 'Add a sheet size'"
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
    <Button outlined label="Another sheet material" @click="addMaterial('sheet')" />
    <Button outlined label="A board, bought by length" @click="addMaterial('board')" />
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
  grid-template-columns: 1fr 130px;
  align-items: center;
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

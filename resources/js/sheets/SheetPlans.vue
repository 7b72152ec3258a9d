<script setup lang="ts">
import { api, Refused } from '@/api/client'
import type { SheetsSideBySide } from '@/api/types'
import { useJob } from '@/job/store'
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import { computed, ref, watch } from 'vue'

/** What the sheets are planned for: plans side by side, the one to keep, and fronts that stay together. */
const job = useJob()
const station = job.station('sheets')
const sheets = computed(() => job.answer?.job.choices.sheets)
const money = (amount: number) => `${station.value?.currency ?? ''}\u00a0${amount.toFixed(2)}`
const set = (name: string, value: unknown) => job.edit('job', { path: `sheets.${name}`, value })

const plans = ref<SheetsSideBySide['plans'] | null>(null)
const busy = ref(false)
const trouble = ref('')
/** What was compared holds for the pieces of that moment. */
watch(
  () => station.value?.kept.hash,
  () => (plans.value = null),
)
async function compare() {
  if (!job.job) return
  busy.value = true
  trouble.value = ''
  try {
    plans.value = (await api<SheetsSideBySide>('GET', `/api/jobs/${job.job.id}/sheets/side-by-side`)).plans
  } catch (error) {
    if (!(error instanceof Refused)) throw error
    trouble.value = error.message
  } finally {
    busy.value = false
  }
}

const keepsFirst = computed(
  () => station.value?.kept.first && sheets.value?.keeps_first === station.value.kept.hash,
)
</script>

<template>
  <section v-if="station && sheets" class="card">
    <h2>Plan of the sheets</h2>
    <p v-if="keepsFirst" class="small">
      The first plan is kept, although a better one was found.
      <Button text label="Take the better one" @click="set('keeps_first', null)" />
    </p>
    <p v-else-if="station.kept.first" class="small">
      The first plan was <span class="measure">{{ money(station.kept.first.price) }}</span> with
      {{ station.kept.first.settings }} fence settings.
      <Button text label="Go back to it" @click="set('keeps_first', station.kept.hash)" />
    </p>
    <table v-if="plans">
      <thead>
        <tr>
          <th scope="col">for</th>
          <th scope="col">price</th>
          <th scope="col">sheets</th>
          <th scope="col">settings at the saw</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="plan in plans" :key="plan.objective" :class="{ chosen: plan.chosen }">
          <td>
            <Button
              text
              :label="plan.label"
              :disabled="plan.chosen"
              :aria-label="plan.chosen ? `${plan.label}: taken` : `Take ${plan.label.toLowerCase()}`"
              @click="set('objective', plan.objective)"
            />
            <span v-if="plan.offcut" class="left measure">{{ plan.offcut }} left in one</span>
          </td>
          <td class="measure">{{ money(plan.price) }}</td>
          <td class="measure">{{ plan.sheets }}</td>
          <td class="measure">{{ plan.settings }}</td>
        </tr>
      </tbody>
    </table>
    <Button v-else fluid outlined label="Compare with other plans" :loading="busy" @click="compare" />
    <p v-if="trouble" class="refused" role="alert">{{ trouble }}</p>
    <label class="fronts">
      <Checkbox
        binary
        :model-value="sheets.fronts_in_order"
        @update:model-value="set('fronts_in_order', $event)"
      />
      Fronts of one height from one strip, in order
    </label>
  </section>
</template>

<style scoped>
.small {
  margin: 4px 0;
  font-size: 14px;
}
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 14px;
}
th {
  padding: 0 6px 4px 0;
  font-weight: 400;
  text-align: right;
  vertical-align: bottom;
}
th:first-child,
td:first-child {
  text-align: left;
}
td {
  padding: 2px 6px 2px 0;
  border-top: 1px solid var(--line);
  text-align: right;
}
td:first-child :deep(button) {
  padding-left: 0;
  text-align: left;
}
.chosen td {
  color: var(--moss);
  font-weight: 600;
}
.left {
  display: block;
  padding-bottom: 4px;
  font-size: 13px;
  font-weight: 400;
}
.fronts {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 44px;
  margin-top: 6px;
  font-size: 14px;
}
</style>

<script setup lang="ts">
import { api, Refused } from '@/api/client'
import type { SheetsSideBySide } from '@/api/types'
import { useJob } from '@/job/store'
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import InputNumber from 'primevue/inputnumber'
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
      Better than the first plan, which was
      <span class="measure">{{ money(station.kept.first.price) }}</span><template
        v-if="station.kept.first.now < station.kept.first.settings"
      >
        with {{ station.kept.first.settings }} settings of the saw; now it is set
        {{ station.kept.first.now }} times</template
      >.
      <Button text label="Go back to it" @click="set('keeps_first', station.kept.hash)" />
    </p>
    <ul v-if="plans">
      <li v-for="plan in plans" :key="plan.objective">
        <button
          type="button"
          class="plan"
          :aria-pressed="plan.chosen"
          @click="set('objective', plan.objective)"
        >
          <span class="what">{{ plan.label }}<template v-if="plan.chosen">, taken</template></span>
          <span class="measure">{{ money(plan.price) }}</span>
          <span class="figures"
            >{{ plan.sheets }} {{ plan.sheets === 1 ? 'sheet' : 'sheets' }}, the saw is set
            {{ plan.settings }} times<template v-if="plan.offcut"
              >, <span class="measure">{{ plan.offcut }}</span> left in one</template
            ></span
          >
        </button>
      </li>
    </ul>
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
    <label class="fronts">
      <Checkbox
        binary
        :model-value="sheets.boxes_together"
        @update:model-value="set('boxes_together', $event)"
      />
      Each box from one sheet, where sheets differ in thickness
    </label>
    <div class="fronts">
      <label for="seconds">Look for a better plan, seconds</label>
      <InputNumber
        input-id="seconds"
        :model-value="sheets.seconds"
        :min="0"
        :max="60"
        @update:model-value="set('seconds', $event)"
      />
    </div>
  </section>
</template>

<style scoped>
.small {
  margin: 4px 0;
  font-size: 14px;
}
ul {
  margin: 6px 0;
  padding: 0;
  list-style: none;
}
.plan {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  width: 100%;
  min-height: 44px;
  padding: 8px 0;
  border: 0;
  border-top: 1px solid var(--line);
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.what {
  color: var(--chalk);
  font-weight: 600;
}
.plan[aria-pressed='true'] .what {
  color: var(--moss);
}
.figures {
  grid-column: 1 / -1;
  font-size: 14px;
}
.fronts :deep(input) {
  width: 70px;
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

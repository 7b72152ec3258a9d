<script setup lang="ts">
import DrawingView from '@/drawing/DrawingView.vue'
import { useJob } from '@/job/store'
import Button from 'primevue/button'
import Message from 'primevue/message'
import SelectButton from 'primevue/selectbutton'
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import SheetPlans from './SheetPlans.vue'
import ReleaseCard from './ReleaseCard.vue'
import ToBuy from './ToBuy.vue'

const job = useJob()
const station = job.station('sheets')
const selected = ref<string | undefined>()
const TABS = [
  { value: 'sheets', label: 'Sheets' },
  { value: 'buy', label: 'To buy' },
]
const route = useRoute()
const tab = ref(route.query.tab === 'buy' ? 'buy' : 'sheets')
const money = (amount: number) => `${station.value?.currency ?? ''}\u00a0${amount.toFixed(2)}`

const proof = computed(() => {
  if (!station.value) return ''
  const { sheets, bound, fewest } = station.value
  if (sheets.length === 0) return ''
  return fewest
    ? sheets.length === 1
      ? 'One sheet does.'
      : `This cannot be done with fewer than ${sheets.length} sheets: ${bound.because}.`
    : `${sheets.length} sheets found; ${bound.sheets} ${bound.sheets === 1 ? 'is' : 'are'} not excluded.`
})
/** What a price says: what is found, and below which nothing can be. */
const excluded = (what: string, price: number, bound: number) =>
  price <= bound + 0.005
    ? `${what} cannot be had for less.`
    : `${money(price)} for ${what.toLowerCase()}; less than ${money(bound)} is excluded.`
const priceProof = computed(() => {
  if (!station.value) return ''
  const { bound, sheets, boards, sheet_price, board_price, board_bound } = station.value
  return [
    sheets.length > 0 ? excluded('Sheets', sheet_price, bound.price) : '',
    boards.length > 0 ? excluded('Boards', board_price, board_bound) : '',
  ].join(' ')
})

/** A locked sheet stays as it is laid out while its pieces keep their sizes; the locked ones come first. */
async function lock(i: number) {
  const sheets = station.value?.sheets ?? []
  const sheet = sheets[i]
  if (!sheet) return
  const locked = sheets.filter((one, k) => (k === i ? !one.locked : one.locked)).map((one) => one.lock)
  await job.edit('job', { path: 'sheets.locked', value: locked })
}

/** A better plan comes while somebody looks: it is asked for again until the looking ends. */
const ASKED_AGAIN = 3000
const first = ref<{ price: number; settings: number; pieces: string } | null>(null)
const better = ref('')
watch(
  station,
  (now) => {
    if (!now) return
    const pieces = job.answer?.tape.pieces ?? ''
    const before = first.value
    if (before?.pieces === pieces && (now.price < before.price || now.settings < before.settings))
      better.value =
        now.price < before.price
          ? `Better while you looked: ${money(before.price)} became ${money(now.price)}.`
          : `Better while you looked: ${before.settings} fence settings became ${now.settings}.`
    if (before?.pieces !== pieces) better.value = ''
    first.value = { price: now.price, settings: now.settings, pieces }
  },
  { immediate: true },
)
useIntervalFn(() => {
  const waits = station.value?.improving || station.value?.to_buy.prices.asking
  if (waits && job.job && !job.busy) void job.load(job.job.id, 'sheets')
}, ASKED_AGAIN)
</script>

<template>
  <div v-if="station" class="page">
    <SelectButton
      v-model="tab"
      class="tabs"
      :options="TABS"
      option-value="value"
      option-label="label"
      :allow-empty="false"
      aria-label="Sheets or what to buy"
    />
    <ToBuy v-if="tab === 'buy'" />
    <div v-else class="sheets-station">
      <p v-if="station.sheets.length + station.boards.length === 0" class="card">
        There is nothing to cut yet.
        <RouterLink :to="`/jobs/${job.job?.id}/measure`">Go on measuring</RouterLink>
      </p>
      <template v-else>
        <aside class="side">
          <section class="card">
            <h2>Sheets and boards</h2>
            <table>
              <tbody>
                <tr v-for="line in station.buy" :key="line.what">
                  <td class="measure count">{{ line.quantity }} ×</td>
                  <td>
                    {{ line.what }}<br /><span class="measure soft">{{ line.size }}</span>
                  </td>
                  <td class="measure price">{{ money(line.total) }}</td>
                </tr>
              </tbody>
              <tfoot>
                <tr>
                  <td></td>
                  <td>in all</td>
                  <td class="measure price">{{ money(station.price) }}</td>
                </tr>
              </tfoot>
            </table>
            <p v-if="proof">{{ proof }} {{ priceProof }}</p>
            <p v-if="station.improving" class="soft" role="status">Looking for a better plan …</p>
            <p v-else-if="better" class="better" role="status">{{ better }}</p>
            <p v-if="station.sheets.length > 0" class="soft">{{ station.settings }} fence settings.</p>
            <a class="print" :href="`/api/jobs/${job.job?.id}/cut-sheet`" download>Cut sheet as PDF</a>
          </section>
          <SheetPlans v-if="station.sheets.length > 0" />
          <ReleaseCard />
          <Message v-for="line in station.unplaced" :key="line" severity="error">{{ line }}</Message>
        </aside>
        <section class="list">
          <article v-for="(sheet, i) in station.sheets" :key="i" class="card sheet">
            <header>
              <h2>{{ sheet.title }}</h2>
              <span class="soft"
                ><button
                  v-if="sheet.lock"
                  type="button"
                  class="lock"
                  :aria-pressed="sheet.locked"
                  @click="lock(i)"
                >
                  {{ sheet.locked ? 'Locked' : 'Lock' }}</button
                >{{ sheet.used }} % becomes pieces ·
                <a :href="`/api/jobs/${job.job?.id}/sheets/${i + 1}.svg`" download>SVG</a> ·
                <a :href="`/api/jobs/${job.job?.id}/sheets/${i + 1}.dxf`" download>DXF</a></span
              >
            </header>
            <DrawingView :drawing="sheet.drawing" :selected="selected" @select="selected = $event" />
          </article>
          <article v-for="one in station.boards" :key="one.title" class="card boards">
            <header>
              <h2>{{ one.title }}</h2>
            </header>
            <DrawingView :drawing="one.drawing" :selected="selected" @select="selected = $event" />
          </article>
          <Button
            v-if="selected"
            class="clear"
            text
            label="Clear the selection"
            @click="selected = undefined"
          />
        </section>
      </template>
    </div>
  </div>
</template>

<style scoped>
.better {
  color: var(--moss);
  font-weight: 600;
}
.page {
  display: grid;
  gap: 12px;
  justify-items: start;
}
.page > * {
  width: 100%;
}
.page > .tabs {
  width: auto;
}
.sheets-station {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 340px;
  gap: 16px;
}
.side {
  display: grid;
  gap: 14px;
  align-content: start;
  grid-column: 2;
  grid-row: 1;
}
.list {
  display: grid;
  gap: 14px;
}
.sheet header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  justify-content: space-between;
}
.lock {
  margin-right: 12px;
  padding: 6px 12px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: none;
  color: inherit;
  font: inherit;
  cursor: pointer;
}
.lock[aria-pressed='true'] {
  border-color: var(--moss);
  color: var(--moss);
  font-weight: 600;
}
.sheet :deep(.drawing) {
  height: 430px;
}
.boards :deep(.drawing) {
  height: 240px;
}
table {
  width: 100%;
  margin: 8px 0 12px;
  border-collapse: collapse;
}
td {
  padding: 6px 8px 6px 0;
  border-bottom: 1px solid var(--line);
  vertical-align: top;
}
tfoot td {
  border: 0;
  font-weight: 600;
}
.price {
  text-align: right;
}
.print {
  display: block;
  margin-top: 10px;
  padding: 12px;
  border-radius: 8px;
  background: var(--chalk);
  color: var(--on-chalk);
  font-weight: 600;
  text-align: center;
  text-decoration: none;
}
.small {
  margin: 6px 0 0;
  font-size: 14px;
}
@media (max-width: 900px) {
  .sheets-station {
    display: flex;
    flex-direction: column;
  }
  .sheet :deep(.drawing) {
    height: 240px;
  }
}
</style>

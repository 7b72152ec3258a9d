<script setup lang="ts">
import { api, Refused } from '@/api/client'
import type { BuyLine, ToBuy } from '@/api/types'
import { useJob } from '@/job/store'
import { useStanding } from '@/outbox/standing'
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import InputNumber from 'primevue/inputnumber'
import InputText from 'primevue/inputtext'
import ToggleSwitch from 'primevue/toggleswitch'
import { computed, ref } from 'vue'

/** The list for the shops: a trip each, in packs, without what is at hand; what is in the bag is ticked, also without a network. */
const job = useJob()
const station = job.station('sheets')
const list = computed(() => station.value?.to_buy ?? null)
const inShop = ref(false)
const openLine = ref<string | null>(null)
const trouble = ref('')

const standing = useStanding<ToBuy['facts'][number]>(
  () => list.value?.facts ?? [],
  (fact) => fact,
)
const ticksOf = (line: BuyLine) =>
  standing.value.filter((fact) => fact.kind === 'bought' && fact.part === line.key)
const isTicked = (line: BuyLine) => ticksOf(line).length > 0
/** Ticked, or at hand: nothing more is to be bought of it. */
const isDone = (line: BuyLine) => isTicked(line) || line.done

const trips = computed(() =>
  (list.value?.trips ?? [])
    .map((trip) => ({ ...trip, lines: trip.lines.filter((line) => !inShop.value || !isDone(line)) }))
    .filter((trip) => trip.lines.length > 0),
)
const all = computed(() => list.value?.trips.flatMap((trip) => trip.lines) ?? [])
const left = computed(() => all.value.filter((line) => !isDone(line)).length)
const money = (minor: number) => `${list.value?.currency ?? ''} ${(minor / 100).toFixed(2)}`

async function tick(line: BuyLine) {
  const ticks = ticksOf(line)
  await (ticks.length > 0
    ? job.note(line.what, 'not bought', [
        { kind: 'withdrawal', part: null, withdraws: ticks.map((fact) => fact.id) },
      ])
    : job.note(line.what, 'bought', [
        { kind: 'bought', part: line.key, amount: line.amount || 1, withdraws: [] },
      ]))
}

const set = (name: string, value: unknown) => job.edit('job', { path: `buying.${name}`, value })
/** What is left out stays in a list of its own, from which it is put back. */
const struckNow = () => (list.value?.struck ?? []).map(({ key, why }) => ({ key, why }))
const strike = (line: BuyLine) => set('struck', [...struckNow(), { key: line.key, why: '' }])
const putBack = (key: string) =>
  set(
    'struck',
    struckNow().filter((one) => one.key !== key),
  )
const because = (key: string, why: string) =>
  set(
    'struck',
    struckNow().map((one) => (one.key === key ? { key, why } : one)),
  )

async function atHand(line: BuyLine, amount: number) {
  if (!job.job) return
  trouble.value = ''
  try {
    await api('POST', `/api/homes/${job.job.home_id}/at-hand`, { item: line.key, amount })
    await job.load(job.job.id, 'sheets')
  } catch (error) {
    if (!(error instanceof Refused)) throw error
    trouble.value = Object.values(error.fields).join(' ') || error.message
  }
}
</script>

<template>
  <div v-if="list" class="to-buy">
    <header class="head">
      <p class="left" role="status">
        <strong>{{
          all.length === 0
            ? 'Nothing to buy yet.'
            : left === 0
              ? 'All bought.'
              : `${left} of ${all.length} to buy`
        }}</strong>
        <span class="measure">{{ list.total.unknown > 0 ? '≥ ' : '' }}{{ money(list.total.minor) }}</span>
      </p>
      <label class="shop"><ToggleSwitch v-model="inShop" /> In the shop: only what is to go</label>
      <span class="files">
        <a :href="`/api/jobs/${job.job?.id}/to-buy.pdf`" download>PDF</a>
        <a :href="`/api/jobs/${job.job?.id}/to-buy.csv`" download>CSV</a>
      </span>
    </header>
    <p v-if="trouble" class="refused" role="alert">{{ trouble }}</p>
    <p v-if="list.prices.asking" class="soft" role="status">Asking for prices …</p>
    <p v-else-if="list.prices.note" class="soft">{{ list.prices.note }}</p>
    <p v-if="all.length > 0 && trips.length === 0" class="card">
      Everything is in the bag. Switch “In the shop” off to see the whole list.
    </p>
    <section v-for="trip in trips" :key="trip.shop" class="card">
      <h2>
        {{ trip.shop }}
        <span class="soft when"
          >before {{ trip.needed_by }}<template v-if="trip.load">, {{ trip.load }}</template></span
        >
      </h2>
      <ul>
        <li v-for="line in trip.lines" :key="line.key" :class="{ done: isDone(line) }">
          <label class="tick" :aria-label="`Bought: ${line.what}`">
            <Checkbox
              binary
              :model-value="isDone(line)"
              :disabled="line.done && !isTicked(line)"
              @update:model-value="tick(line)"
            />
          </label>
          <span class="measure amount">{{
            isDone(line) ? (isTicked(line) ? 'bought' : 'at hand') : line.to_buy
          }}</span>
          <button
            type="button"
            class="what"
            :aria-expanded="openLine === line.key"
            @click="openLine = openLine === line.key ? null : line.key"
          >
            <span>{{ line.what }}</span>
            <span v-if="line.size" class="measure soft">{{ line.size }}</span>
            <span v-if="line.packs && line.packs !== `${line.to_buy} × piece`" class="soft">{{
              line.packs
            }}</span>
          </button>
          <span class="measure price">{{
            line.price === null ? '?' : line.price === 0 ? '' : money(line.price)
          }}</span>
          <div v-if="openLine === line.key" class="more">
            <p>
              The plan takes <span class="measure">{{ line.use }}</span><template v-if="line.spare"
                >, and <span class="measure">{{ line.spare }}</span> are spare</template
              ><template v-if="line.for.length > 0">: {{ line.for.join('; ') }}</template
              >.
              <template v-if="line.note"> {{ line.note }}</template>
              <template v-if="line.priced_on"> The price was named on {{ line.priced_on }}.</template>
              <template v-if="line.price === null">
                No price is known: the job’s rules take it, under what is bought by the piece.</template
              >
            </p>
            <p v-if="line.counted" class="hand">
              <label :for="`hand-${line.key}`">At hand</label>
              <InputNumber
                :input-id="`hand-${line.key}`"
                :model-value="line.at_hand"
                :min="0"
                :max="1000000"
                show-buttons
                @update:model-value="atHand(line, $event ?? 0)"
              />
            </p>
            <p v-else class="hand">
              <Button
                v-if="line.at_hand === 0"
                text
                label="There is enough at hand"
                @click="atHand(line, 1000000)"
              />
              <Button v-else text label="There is none at hand" @click="atHand(line, 0)" />
            </p>
            <Button text label="Leave it out" @click="strike(line)" />
          </div>
        </li>
      </ul>
    </section>
    <section v-if="list.struck.length > 0" class="card">
      <h2>Left out</h2>
      <ul>
        <li v-for="one in list.struck" :key="one.key" class="out">
          <span>{{ one.what }}</span>
          <InputText
            :model-value="one.why"
            :aria-label="`Why ${one.what} is left out`"
            placeholder="you have your own?"
            @change="because(one.key, ($event.target as HTMLInputElement).value)"
          />
          <Button text label="Put it back" @click="putBack(one.key)" />
        </li>
      </ul>
    </section>
    <section v-if="all.length > 0 && !inShop" class="card how">
      <label
        ><ToggleSwitch :model-value="list.in_one_trip" @update:model-value="set('one_trip', $event)" /> All in
        one trip</label
      >
      <label for="spare-lost">Spare of screws, brads and pins, %</label>
      <InputNumber
        input-id="spare-lost"
        :model-value="list.spare.lost"
        :min="0"
        :max="100"
        @update:model-value="set('lost', $event)"
      />
      <label for="spare-over">Spare of banding, caulk and finish, %</label>
      <InputNumber
        input-id="spare-over"
        :model-value="list.spare.over"
        :min="0"
        :max="100"
        @update:model-value="set('over', $event)"
      />
    </section>
  </div>
</template>

<style scoped>
.to-buy {
  display: grid;
  gap: 12px;
  max-width: 880px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 24px;
  align-items: center;
}
.left {
  display: flex;
  gap: 16px;
  align-items: baseline;
  margin: 0;
  font-size: 20px;
}
.shop {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 44px;
}
.files {
  display: flex;
  gap: 16px;
  margin-left: auto;
}
.files a {
  padding: 10px 4px;
}
.when {
  font-weight: 400;
  font-size: 15px;
}
ul {
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 44px 86px minmax(0, 1fr) auto;
  gap: 0 10px;
  align-items: center;
  min-height: 52px;
  border-top: 1px solid var(--line);
}
.tick {
  display: grid;
  place-items: center;
  height: 44px;
  cursor: pointer;
}
.amount {
  font-weight: 600;
  font-size: 18px;
  text-align: right;
}
.what {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  min-height: 44px;
  padding: 8px 4px;
  align-items: center;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.done .what,
.done .price {
  color: var(--moss);
  text-decoration: line-through;
}
.done .amount {
  color: var(--moss);
  font-weight: 400;
  font-size: 15px;
}
.more {
  grid-column: 2 / -1;
  padding: 0 0 10px;
  font-size: 15px;
}
.out {
  grid-template-columns: minmax(0, 1fr) minmax(0, 220px) auto;
}
.how {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 8px 16px;
  align-items: center;
}
.how > label:first-child {
  display: flex;
  grid-column: 1 / -1;
  gap: 10px;
  align-items: center;
  min-height: 44px;
}
.how :deep(input) {
  width: 90px;
}
.hand {
  display: flex;
  gap: 12px;
  align-items: center;
}
.hand :deep(input) {
  width: 110px;
}
@media (max-width: 760px) {
  li {
    grid-template-columns: 44px 64px minmax(0, 1fr) auto;
    gap: 0 6px;
  }
}
</style>

<script setup lang="ts">
import type { Reading } from '@/api/types'
import FindingList from '@/job/FindingList.vue'
import { useJob } from '@/job/store'
import { useOutbox } from '@/outbox/store'
import { isTyping } from '@/job/typing'
import MeasureText from '@/tape/MeasureText.vue'
import { useEventListener, useMediaQuery } from '@vueuse/core'
import Button from 'primevue/button'
import SelectButton from 'primevue/selectbutton'
import { computed, nextTick, ref, watch } from 'vue'
import AddReading from './AddReading.vue'
import DevicePanel from './DevicePanel.vue'
import OpenReading from './OpenReading.vue'
import PaperMenu from './PaperMenu.vue'
import SheetPlaces from './SheetPlaces.vue'
import ThingsPanel from './ThingsPanel.vue'
import Views from './Views.vue'
import WallTexture from './WallTexture.vue'

const job = useJob()
const outbox = useOutbox()
const station = job.station('measure')
const isPhone = useMediaQuery('(max-width: 760px)')
const openSlot = ref<string | null>(null)
const openThing = ref<string | null>(null)
const placesOpen = ref(false)
const addOpen = ref(false)
const page = ref<'readings' | 'things'>('readings')
const pages = [
  { value: 'readings', label: 'Readings' },
  { value: 'things', label: 'Things on walls' },
]
const list = ref<HTMLElement | null>(null)

/** What waits on this device stands in the book already. */
const readings = computed<Reading[]>(() => {
  const waiting = outbox.unsent.filter((one) => one.space === job.space?.id)
  if (waiting.length === 0) return station.value?.readings ?? []
  const back = new Set(waiting.flatMap((one) => one.facts.map((fact) => fact.withdraws)))
  return (station.value?.readings ?? []).map((reading) => {
    const own = waiting.filter((one) => one.slot === reading.slot && !back.has(one.id))
    const takes = reading.takes.filter((take) => !back.has(take.id))
    return own.length === 0 && takes.length === reading.takes.length
      ? reading
      : {
          ...reading,
          takes: [
            ...takes,
            ...own.map((one) => ({
              id: one.id,
              typed: one.text,
              end: one.end,
              taken_at: one.facts.at(-1)?.taken_at ?? '',
              value: { nm: null, text: one.text },
              waits: true,
            })),
          ],
        }
  })
})
const open = computed(() => readings.value.find((reading) => reading.slot === openSlot.value) ?? null)
const next = computed(
  () => readings.value.find((reading) => reading.required && reading.takes.length === 0) ?? null,
)

/** Asked where it is seen once the tape has been laid down. */
const asksTexture = computed(() => station.value?.to_go === 0 && !job.space?.choices.texture)

const doubts = computed(
  () => station.value?.findings.filter((finding) => finding.severity === 'warning') ?? [],
)
const notes = computed(
  () => station.value?.findings.filter((finding) => finding.severity !== 'warning') ?? [],
)
const doubtOf = (slot: string) =>
  doubts.value.find((finding) => finding.place === slot && slot !== '') ?? null
const suspects = computed(() => doubts.value.flatMap((finding) => [finding.place, ...finding.related]))
/** Said at its reading; what belongs to no line of the book stands above it. */
const above = computed(() =>
  doubts.value.filter(
    (finding) =>
      !finding.place.startsWith('thing:') &&
      !readings.value.some((reading) => reading.slot === finding.place),
  ),
)

watch(
  readings,
  (now) => {
    if (now.length > 0 && !open.value) openSlot.value = (next.value ?? now[0])?.slot ?? null
  },
  { immediate: true },
)

/** The reading kept last, while nothing has been typed into the next one. */
const keptLast = ref<string | null>(null)
watch(doubts, () => {
  // What was just kept comes into doubt: it opens again, unless the next number has been begun.
  if (keptLast.value && doubtOf(keptLast.value)) void openReading(keptLast.value)
})

async function openReading(slot: string) {
  keptLast.value = null
  if (slot.startsWith('thing:')) {
    page.value = 'things'
    openThing.value = slot.slice(6)
    return
  }
  if (!readings.value.some((reading) => reading.slot === slot)) return
  page.value = 'readings'
  openSlot.value = slot
  await nextTick()
  list.value?.querySelector('.open')?.scrollIntoView({ block: 'nearest' })
}

/** On from the open reading: to the next that is missing while some are, else to the next in order. */
function goOn(skipped: boolean) {
  const all = readings.value
  const at = all.findIndex((reading) => reading.slot === openSlot.value)
  const after = [...all.slice(at + 1), ...all.slice(0, at)]
  const on = skipped
    ? after[0]
    : (after.find((reading) => reading.required && reading.takes.length === 0) ?? after[0])
  const kept = skipped ? null : openSlot.value
  if (on) void openReading(on.slot)
  keptLast.value = kept
}

const shown = (take: Reading['takes'][number]) =>
  take.end && take.value.nm !== 0 ? `${take.value.text} ${take.end}` : take.value.text
const startsGroup = (i: number) => readings.value[i]?.group !== readings.value[i - 1]?.group
const selected = computed(() =>
  page.value === 'things'
    ? openThing.value
      ? `thing:${openThing.value}`
      : undefined
    : (openSlot.value ?? undefined),
)

function focusField() {
  list.value?.querySelector<HTMLInputElement>('.open input')?.focus()
}

useEventListener(document, 'keydown', (event: KeyboardEvent) => {
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
  if (event.key.toLowerCase() === 'r' && doubts.value[0])
    void openReading(doubts.value[0].place).then(focusField)
  if (event.key.toLowerCase() === 'o') page.value = page.value === 'things' ? 'readings' : 'things'
  if (event.key === 'Enter' && openSlot.value && event.target === document.body) {
    event.preventDefault()
    focusField()
  }
})
</script>

<template>
  <div v-if="station" class="measure-station">
    <Views :station="station" :selected="selected" :suspects="suspects" @select="openReading">
      <div class="said card" tabindex="0" role="region" aria-label="What the readings say">
        <h3>What the readings say</h3>
        <p v-for="sentence in station.sentences" :key="sentence">{{ sentence }}</p>
        <p v-for="finding in notes" :key="finding.code + finding.place" class="note">
          {{ finding.sentence }}
        </p>
      </div>
    </Views>
    <section ref="list" class="book" aria-label="Tape book">
      <div class="title">
        <h2>Tape book</h2>
        <SelectButton
          v-model="page"
          :options="pages"
          option-value="value"
          option-label="label"
          :allow-empty="false"
          aria-label="What the book shows"
        />
      </div>
      <ThingsPanel v-if="page === 'things'" v-model:open="openThing" :station="station" />
      <template v-else>
        <p v-if="station.to_go === 0" class="done">
          <RouterLink :to="`/jobs/${job.job?.id}/fit`"
            >All readings are there: see what fits <kbd>2</kbd></RouterLink
          >
        </p>
        <WallTexture v-if="asksTexture" :shape="station.shape" />
        <FindingList :findings="above" label="What does not agree" />
        <DevicePanel v-if="job.space?.choices.practice" :open="open" />
        <ol>
          <li
            v-for="(reading, i) in readings"
            :key="reading.slot"
            :class="{ now: reading.slot === openSlot }"
          >
            <h3 v-if="startsGroup(i) && !isPhone" class="group">{{ reading.group }}</h3>
            <OpenReading
              v-if="reading.slot === openSlot"
              :reading="reading"
              :number="i + 1"
              :doubt="doubtOf(reading.slot)"
              @next="goOn(false)"
              @begin="keptLast = null"
              @skip="goOn(true)"
            />
            <button
              v-else
              type="button"
              class="line"
              :class="{
                suspect: suspects.includes(reading.slot),
                empty: reading.takes.length === 0,
              }"
              @click="openReading(reading.slot)"
            >
              <span class="soft">{{ i + 1 }}</span>
              <span
                >{{ reading.label
                }}<span v-if="!reading.required && reading.takes.length === 0" class="soft">
                  · if you can</span
                ><span v-if="reading.takes.some((take) => take.waits)" class="soft"> · waits here</span
                ><span v-if="doubtOf(reading.slot)" class="doubt"
                  >{{ doubtOf(reading.slot)?.sentence }} <kbd>R</kbd></span
                ></span
              >
              <span class="values">
                <MeasureText
                  v-for="take in reading.takes"
                  :key="take.id"
                  class="value"
                  :class="{ struck: take.struck }"
                  :text="shown(take)"
                />
                <span v-if="reading.takes.length === 0" class="value soft">–</span>
              </span>
            </button>
          </li>
        </ol>
        <WallTexture v-if="!asksTexture" :shape="station.shape" />
        <div class="more">
          <Button text severity="secondary" label="Where to measure" @click="placesOpen = true" />
          <Button text severity="secondary" label="Add a reading" @click="addOpen = true" />
          <PaperMenu />
        </div>
      </template>
    </section>
    <SheetPlaces v-model:visible="placesOpen" />
    <AddReading v-if="addOpen" :station="station" @close="addOpen = false" />
  </div>
</template>

<style scoped>
.measure-station {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 400px;
  gap: 20px;
  height: 100%;
}
.said {
  position: relative;
  max-height: 42%;
  overflow: auto;
  padding: 10px 14px;
  background: var(--paper);
  font-size: 15px;
}
.said p {
  margin: 4px 0 0;
}
.said .note {
  color: var(--soft);
}
.book {
  position: relative;
  min-height: 0;
  overflow: auto;
}
.title {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 4px;
}
.title h2 {
  margin: 0;
}
ol {
  display: grid;
  gap: 2px;
  margin: 6px 0;
  padding: 0;
  list-style: none;
}
.group {
  padding: 10px 10px 2px;
  color: var(--soft);
  font-size: 14px;
}
.line {
  display: grid;
  grid-template-columns: 26px 1fr auto;
  gap: 8px;
  align-items: center;
  width: 100%;
  min-height: 44px;
  padding: 6px 10px;
  border: 0;
  border-bottom: 1px solid var(--line);
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.line:hover {
  background: var(--chalk-wash);
}
.values {
  display: grid;
  justify-items: end;
}
.value {
  font-weight: 600;
  font-size: 17px;
}
.struck {
  color: var(--soft);
  font-weight: 400;
  text-decoration: line-through;
}
.suspect {
  background: var(--ochre-wash);
}
.doubt {
  display: block;
  color: var(--ochre);
  font-size: 15px;
}
.more {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.done {
  padding: 12px;
}
@media (max-width: 760px) {
  .measure-station {
    display: flex;
    flex-direction: column;
    height: auto;
    gap: 10px;
  }
  .measure-station > :first-child {
    order: 2;
  }
  .said {
    max-height: none;
  }
  .book {
    order: 1;
    overflow: visible;
  }
  .book ol {
    display: flex;
    flex-direction: column;
  }
  .book li.now {
    order: -1;
  }
  .title h2 {
    display: none;
  }
  .title {
    order: 3;
    justify-content: center;
  }
}
</style>

<script setup lang="ts">
import type { Reading } from '@/api/types'
import DrawingView from '@/drawing/DrawingView.vue'
import FindingCard from '@/job/FindingCard.vue'
import { useJob } from '@/job/store'
import MeasureText from '@/tape/MeasureText.vue'
import { useLocalStorage } from '@vueuse/core'
import Button from 'primevue/button'
import Slider from 'primevue/slider'
import { computed, nextTick, ref, watch } from 'vue'
import OpenReading from './OpenReading.vue'
import SheetPlaces from './SheetPlaces.vue'

const job = useJob()
const station = job.station('measure')
const exaggeration = useLocalStorage('incastro.measure.exaggeration', 8)
const openSlot = ref<string | null>(null)
const placesOpen = ref(false)
const list = ref<HTMLElement | null>(null)

const readings = computed(() => station.value?.readings ?? [])
const open = computed(() => readings.value.find((reading) => reading.slot === openSlot.value) ?? null)

watch(
  readings,
  (now) => {
    if (now.length > 0 && !open.value)
      openSlot.value =
        (now.find((reading) => reading.required && reading.takes.length === 0) ?? now[0])?.slot ?? null
  },
  { immediate: true },
)

async function openReading(slot: string) {
  openSlot.value = slot
  await nextTick()
  list.value?.querySelector('.open')?.scrollIntoView({ block: 'nearest' })
}

/** On from the open reading: to the next that is missing while some are, else to the next in order. */
function goOn(skipped: boolean) {
  const all = readings.value
  const at = all.findIndex((reading) => reading.slot === openSlot.value)
  const after = [...all.slice(at + 1), ...all.slice(0, at)]
  const next = skipped
    ? after[0]
    : (after.find((reading) => reading.required && reading.takes.length === 0) ?? after[0])
  if (next) void openReading(next.slot)
}

const shown = (reading: Reading) =>
  reading.takes
    .map((take) => (take.end && take.value.nm !== 0 ? `${take.value.text} ${take.end}` : take.value.text))
    .join(', ')
const isSuspect = (reading: Reading) =>
  station.value?.findings.some(
    (finding) => finding.severity === 'warning' && finding.place === reading.slot,
  ) ?? false
</script>

<template>
  <div v-if="station" class="measure-station">
    <section class="card drawings" aria-label="The space from its readings">
      <div class="elevation">
        <h3>{{ station.drawings.elevation.name }}</h3>
        <DrawingView
          :drawing="station.drawings.elevation"
          :exaggeration="exaggeration"
          :selected="openSlot ?? undefined"
          quiet
          @select="openReading"
        />
      </div>
      <div class="plan">
        <h3>{{ station.drawings.plan.name }}</h3>
        <DrawingView
          :drawing="station.drawings.plan"
          :exaggeration="exaggeration"
          :selected="openSlot ?? undefined"
          quiet
          @select="openReading"
        />
        <div class="slider">
          <span id="crooked"
            >Crookedness drawn <span class="measure">×{{ exaggeration }}</span></span
          >
          <Slider v-model="exaggeration" :min="1" :max="20" aria-labelledby="crooked" />
        </div>
        <div class="said card">
          <h3>What the readings say</h3>
          <p v-for="sentence in station.sentences" :key="sentence">{{ sentence }}</p>
        </div>
      </div>
    </section>
    <section ref="list" class="book" aria-label="Tape book">
      <div class="title">
        <h2>Tape book</h2>
        <Button text severity="secondary" label="Where to measure" @click="placesOpen = true" />
      </div>
      <FindingCard
        v-for="finding in station.findings"
        :key="finding.code + finding.place"
        :finding="finding"
      />
      <ol>
        <li v-for="(reading, i) in readings" :key="reading.slot">
          <OpenReading
            v-if="reading.slot === openSlot"
            :reading="reading"
            :number="i + 1"
            @next="goOn(false)"
            @skip="goOn(true)"
          />
          <button
            v-else
            type="button"
            class="line"
            :class="{ suspect: isSuspect(reading), empty: reading.takes.length === 0 }"
            @click="openReading(reading.slot)"
          >
            <span class="soft">{{ i + 1 }}</span>
            <span
              >{{ reading.label
              }}<span v-if="!reading.required && reading.takes.length === 0" class="soft">
                · if you can</span
              ></span
            >
            <MeasureText class="value" :text="reading.takes.length > 0 ? shown(reading) : '–'" />
          </button>
        </li>
      </ol>
      <p v-if="station.to_go === 0" class="done">
        <RouterLink :to="`/jobs/${job.job?.id}/fit`"
          >All readings are there: see what fits <kbd>2</kbd></RouterLink
        >
      </p>
    </section>
    <SheetPlaces v-model:visible="placesOpen" />
  </div>
</template>

<style scoped>
.measure-station {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 400px;
  gap: 20px;
  height: 100%;
}
.drawings {
  display: grid;
  grid-template-columns: minmax(0, 1.15fr) minmax(0, 1fr);
  gap: 16px;
  min-height: 0;
}
.elevation,
.plan {
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.elevation :deep(.drawing),
.plan :deep(.drawing) {
  flex: 1;
}
.slider {
  display: grid;
  gap: 12px;
  padding: 8px 12px 18px;
}
.said {
  padding: 10px 14px;
  background: var(--paper);
  font-size: 15px;
}
.said p {
  margin: 4px 0 0;
}
.book {
  min-height: 0;
  overflow: auto;
}
.title {
  display: flex;
  align-items: center;
  justify-content: space-between;
}
ol {
  display: grid;
  gap: 2px;
  margin: 6px 0;
  padding: 0;
  list-style: none;
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
.value {
  font-weight: 600;
  font-size: 17px;
}
.suspect {
  background: var(--ochre-wash);
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
  .drawings {
    display: flex;
    flex-direction: column;
    order: 2;
  }
  .elevation,
  .plan {
    height: 420px;
  }
  .plan {
    height: auto;
  }
  .plan :deep(.drawing) {
    flex: none;
    height: 240px;
  }
  .book {
    order: 1;
    overflow: visible;
  }
  .book ol {
    display: flex;
    flex-direction: column;
  }
  .book li:has(.open) {
    order: -1;
  }
  .title h2 {
    display: none;
  }
  .title {
    position: absolute;
    visibility: hidden;
  }
}
</style>

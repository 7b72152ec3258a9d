<script setup lang="ts">
import type { JobFact } from '@/api/types'
import { useJob } from '@/job/store'
import { useStanding } from '@/outbox/standing'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import AlbumView from './AlbumView.vue'
import ClosingQuestions from './ClosingQuestions.vue'
import RunningClock from './RunningClock.vue'
import WriteDialog from './WriteDialog.vue'

/** The record: five minutes at the end of a day, and one evening a year later. */
const job = useJob()
const station = job.station('log')
const standing = useStanding<JobFact>(
  () => station.value?.facts ?? [],
  (fact) => ({ ...fact, body: fact.body ?? null, author: '' }),
)
const writing = ref(false)
const waiting = computed(() => {
  const known = new Set(station.value?.facts.map((fact) => fact.id) ?? [])
  return standing.value.filter((fact) => !known.has(fact.id) && fact.kind !== 'task_done').length
})

const widest = computed(() =>
  Math.max(
    1,
    ...(station.value?.hours.kinds.flatMap((one) => [one.actual_seconds, one.estimate_seconds ?? 0]) ?? []),
  ),
)
const share = (seconds: number | null) => `${(100 * (seconds ?? 0)) / widest.value}%`
const paidShare = computed(() => {
  const money = station.value?.money
  if (!money) return ['0%', '0%']
  const most = Math.max(1, money.paid_minor, money.estimate_minor ?? 0)
  return [
    `${(100 * Math.max(0, money.paid_minor)) / most}%`,
    `${(100 * (money.estimate_minor ?? 0)) / most}%`,
  ]
})
const isEmpty = computed(
  () =>
    station.value !== null &&
    station.value.entries.length === 0 &&
    station.value.problems.length === 0 &&
    station.value.by_itself.length === 0 &&
    station.value.photos.length === 0,
)
const day = (at: string) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })
const takeBack = (id: string, text: string) =>
  job.note('Log', `not: ${text}`, [{ kind: 'withdrawal', part: null, withdraws: [id] }])
const isStanding = (id: string | null) => id === null || standing.value.some((fact) => fact.id === id)
</script>

<template>
  <div v-if="station" class="log">
    <section class="today">
      <RunningClock :station="station" :standing="standing" />
      <div class="card write">
        <Button label="Write what happened" @click="writing = true" />
        <p v-if="waiting > 0" class="soft" role="status">
          {{ waiting }} kept here; sums are as they were last sent.
        </p>
        <p v-if="isEmpty" class="soft">Nothing written yet. The Saw and Install write here by themselves.</p>
        <ul v-else>
          <li v-for="line in station.by_itself.slice(0, 6)" :key="line" class="soft">{{ line }}</li>
          <li v-for="line in station.superseded" :key="line" class="soft">{{ line }}</li>
        </ul>
        <p class="links">
          <a :href="`/api/jobs/${job.job?.id}/log.pdf`" download>Report, PDF</a>
          <a :href="`/api/jobs/${job.job?.id}/log/hours.csv`" download>Hours, CSV</a>
          <a :href="`/api/jobs/${job.job?.id}/log/money.csv`" download>Money, CSV</a>
          <RouterLink :to="`/homes/${job.job?.home_id}/workshop#lessons`">What it teaches</RouterLink>
        </p>
      </div>
    </section>
    <section class="sums">
      <ClosingQuestions v-if="job.answer?.tape.install === 'all fitted'" />
      <div class="card">
        <h2>
          Hours <span class="measure">{{ station.hours.all }}</span>
        </h2>
        <p v-if="station.hours.kinds.length === 0" class="soft">
          Start the clock, or write down how long it took.
        </p>
        <dl v-else class="bars">
          <template v-for="one in station.hours.kinds" :key="one.kind">
            <dt>{{ one.label }}</dt>
            <dd>
              <span class="bar took" :style="{ width: share(one.actual_seconds) }"></span>
              <span
                v-if="one.estimate"
                class="bar supposed"
                :style="{ width: share(one.estimate_seconds) }"
              ></span>
              <span class="measure">{{ one.actual }}</span>
              <span v-if="one.estimate" class="soft">of {{ one.estimate }} supposed</span>
            </dd>
          </template>
        </dl>
        <p v-if="station.hours.people.length > 1" class="soft">
          {{ station.hours.people.map((one) => `${one.name} ${one.text}`).join(' · ') }}
        </p>
      </div>
      <div class="card">
        <h2>
          Money <span class="measure">{{ station.money.paid }}</span>
        </h2>
        <dl class="bars">
          <dt>Paid</dt>
          <dd>
            <span class="bar took" :style="{ width: paidShare[0] }"></span
            ><span class="measure">{{ station.money.paid }}</span>
          </dd>
          <dt v-if="station.money.estimate">The list</dt>
          <dd v-if="station.money.estimate">
            <span class="bar supposed" :style="{ width: paidShare[1] }"></span
            ><span class="measure">{{ station.money.estimate }}</span>
          </dd>
        </dl>
        <p v-if="station.money.shops.length > 1" class="soft">
          {{ station.money.shops.map((one) => `${one.name} ${one.text}`).join(' · ') }}
        </p>
      </div>
      <div v-if="station.problems.length > 0" class="card">
        <h2>What went otherwise</h2>
        <ul class="entries">
          <li
            v-for="one in station.problems.filter((entry) => isStanding(entry.id))"
            :key="one.at + one.what"
          >
            <strong>{{ one.what }}</strong> <span v-if="one.where">{{ one.where }}</span>
            <p v-if="one.words" class="words">{{ one.words }}</p>
            <span class="soft">{{ day(one.at) }}</span>
            <Button
              v-if="one.id"
              text
              size="small"
              severity="secondary"
              label="Take it back"
              :aria-label="`Take back: ${one.what} ${one.where}`"
              @click="takeBack(one.id, one.what)"
            />
          </li>
        </ul>
      </div>
      <div v-if="station.sizes.length > 0" class="card">
        <h2>Sizes</h2>
        <table>
          <thead>
            <tr>
              <th>Piece</th>
              <th>What</th>
              <th>Planned</th>
              <th>As cut</th>
              <th>As built</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(one, i) in station.sizes" :key="i">
              <td class="measure">{{ one.mark }}</td>
              <td>{{ one.what }}</td>
              <td class="measure">{{ one.planned }}</td>
              <td class="measure">{{ one.cut }}</td>
              <td class="measure">{{ one.built }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <div v-if="station.checks.length > 0" class="card">
        <h2>Read on fitting day</h2>
        <table>
          <thead>
            <tr>
              <th>Step</th>
              <th>What</th>
              <th>Read</th>
              <th></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in station.checks" :key="one.task + one.label">
              <td>{{ one.task }}</td>
              <td>{{ one.label }}</td>
              <td class="measure">{{ one.read }}</td>
              <td :class="one.within ? 'within' : 'out'">{{ one.within ? 'within' : 'out' }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <div v-if="station.entries.length > 0" class="card">
        <h2>Entries</h2>
        <ul class="entries">
          <li v-for="one in station.entries.filter((entry) => isStanding(entry.id))" :key="one.id">
            <span class="words">{{ one.text }}</span>
            <span class="soft">{{ day(one.at) }}, {{ one.who }}</span>
            <Button
              text
              size="small"
              severity="secondary"
              label="Take it back"
              :aria-label="`Take back: ${one.text}`"
              @click="takeBack(one.id, one.text)"
            />
          </li>
        </ul>
      </div>
      <div v-if="station.offcuts.length > 0" class="card">
        <h2>Offcuts kept</h2>
        <ul>
          <li v-for="one in station.offcuts" :key="one">{{ one }}</li>
        </ul>
      </div>
      <AlbumView :station="station" />
    </section>
    <WriteDialog v-model:visible="writing" :station="station" />
  </div>
</template>

<style scoped>
.log {
  display: grid;
  grid-template-columns: minmax(320px, 380px) minmax(0, 1fr);
  gap: 14px;
  height: 100%;
}
.today,
.sums {
  display: flex;
  flex-direction: column;
  gap: 14px;
  min-height: 0;
  overflow: auto;
}
.card {
  flex: none;
  padding: 14px;
}
.card h2 {
  display: flex;
  gap: 12px;
  justify-content: space-between;
  margin: 0 0 8px;
}
ul {
  margin: 8px 0 0;
  padding: 0;
  list-style: none;
}
.write :deep(button) {
  width: 100%;
  min-height: 52px;
  font-size: 18px;
}
.links {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin: 12px 0 0;
}
.links a {
  padding: 8px 0;
}
.bars {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr);
  gap: 8px 10px;
  margin: 0;
}
.bars dd {
  position: relative;
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
  margin: 0;
  padding-top: 14px;
}
.bar {
  position: absolute;
  top: 0;
  left: 0;
  height: 8px;
  border-radius: 2px;
  background: var(--chalk);
}
.bar.supposed {
  top: 8px;
  height: 4px;
  background: var(--birch-line);
}
.entries li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-items: center;
  padding: 6px 0;
  border-bottom: 1px dashed var(--line);
}
.words {
  flex: 1 1 200px;
  margin: 0;
  white-space: pre-line;
}
.within {
  color: var(--moss);
}
.out {
  color: var(--brick);
  font-weight: 600;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 4px 8px 4px 0;
  border-bottom: 1px solid var(--line);
  text-align: left;
}
@media (max-width: 900px) {
  .log {
    display: flex;
    flex-direction: column;
    height: auto;
  }
  .today,
  .sums {
    overflow: visible;
  }
  .bars {
    grid-template-columns: 110px minmax(0, 1fr);
  }
}
</style>

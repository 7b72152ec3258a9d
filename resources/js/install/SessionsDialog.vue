<script setup lang="ts">
import { useJob } from '@/job/store'
import LengthField from '@/tape/LengthField.vue'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputNumber from 'primevue/inputnumber'
import InputText from 'primevue/inputtext'
import Message from 'primevue/message'
import Select from 'primevue/select'
import { computed, ref, watch } from 'vue'
import type { useFitting } from './useFitting'

/** When there is time, with how many people; what is painted with and in what air; how long things take. */
defineProps<{ fitting: ReturnType<typeof useFitting> }>()
const visible = defineModel<boolean>('visible', { required: true })
const job = useJob()
const installing = computed(() => job.job?.choices.installing)
const sessions = computed(() => (installing.value?.sessions ?? []).filter((one) => !one.cancelled))

const day = ref('')
const from = ref('09:00')
const to = ref('13:00')
const weeks = ref(4)
const people = ref(1)
watch(visible, (is) => {
  if (!is) return
  const next = new Date()
  // The next Saturday: when most people have time.
  next.setDate(next.getDate() + ((6 - next.getDay() + 7) % 7 || 7))
  day.value ||= `${next.getFullYear()}-${String(next.getMonth() + 1).padStart(2, '0')}-${String(next.getDate()).padStart(2, '0')}`
})
const weekday = computed(() =>
  day.value ? new Date(`${day.value}T12:00`).toLocaleDateString('en-GB', { weekday: 'long' }) : '',
)

const set = (path: string, value: unknown) => job.edit('job', { path: `installing.${path}`, value })
async function add() {
  // The clocks of the place where the work is done: those of this browser, unless somebody said otherwise.
  if (sessions.value.length === 0 && installing.value?.zone === 'UTC')
    await set('zone', Intl.DateTimeFormat().resolvedOptions().timeZone)
  await set('sessions.add', {
    start: `${day.value}T${from.value}`,
    end: `${day.value}T${to.value}`,
    people: people.value,
    weeks: weeks.value,
    note: '',
  })
}
const change = (id: string, part: Record<string, unknown>) => set(`sessions.${id}`, part)
const moved = (one: { start: string; end: string }, part: 'day' | 'start' | 'end', text: string) =>
  part === 'day'
    ? { start: `${text}T${one.start.slice(11)}`, end: `${text}T${one.end.slice(11)}` }
    : { [part]: `${one.start.slice(0, 10)}T${text}` }

const PEOPLE = [1, 2, 3].map((value) => ({ value, label: value === 1 ? '1 person' : `${value} people` }))
const PRIMERS = [
  { value: 'primer-water', label: 'Water' },
  { value: 'primer-solvent', label: 'Solvent' },
  { value: 'primer-shellac', label: 'Shellac' },
]
const PAINTS = [
  { value: 'paint-water-coat', label: 'Paint, water' },
  { value: 'paint-solvent-coat', label: 'Paint, solvent' },
  { value: 'varnish-water', label: 'Varnish, water' },
  { value: 'varnish-oil', label: 'Varnish, oil' },
]
const HOURS: [string, string, number][] = [
  ['filler', 'Filler, until it is sanded', 2],
  ['primer-water', 'Primer on water', 4],
  ['caulk', 'Caulk, until it is painted', 2],
  ['paint-water-coat', 'Paint on water, until the next coat', 4],
  ['paint-water-hang', 'Paint on water, until doors are hung', 24],
  ['paint-water-load', 'Paint on water, until it is loaded', 72],
]
const input = (event: Event) => (event.target as HTMLInputElement).value
const trouble = computed(() =>
  Object.entries(job.refused)
    .filter(([path]) => path.startsWith('installing.'))
    .map(([, sentence]) => sentence)
    .join(' '),
)
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    header="When, and with what"
    :style="{ width: '760px' }"
    class="when"
  >
    <Message v-if="trouble" severity="warn" :closable="false" role="alert">{{ trouble }}</Message>
    <h2>When there is time</h2>
    <div class="row">
      <div>
        <label for="when-day">From the day</label><InputText id="when-day" v-model="day" type="date" />
      </div>
      <div><label for="when-from">Begins</label><InputText id="when-from" v-model="from" type="time" /></div>
      <div><label for="when-to">Ends</label><InputText id="when-to" v-model="to" type="time" /></div>
      <div>
        <span id="when-people" class="label">With</span
        ><Select
          v-model="people"
          aria-labelledby="when-people"
          :options="PEOPLE"
          option-label="label"
          option-value="value"
        />
      </div>
      <div>
        <label for="when-weeks">Weeks</label
        ><InputNumber
          v-model="weeks"
          input-id="when-weeks"
          :min="1"
          :max="52"
          :input-style="{ width: '70px' }"
        />
      </div>
      <Button :label="weeks > 1 ? `${weeks} ${weekday}s` : 'Add it'" @click="add" />
    </div>
    <ul class="list">
      <li v-for="(one, i) in sessions" :key="one.id">
        <InputText
          type="date"
          :model-value="one.start.slice(0, 10)"
          :aria-label="`Day of session ${i + 1}`"
          @change="(event: Event) => change(one.id, moved(one, 'day', input(event)))"
        />
        <InputText
          type="time"
          :model-value="one.start.slice(11)"
          :aria-label="`Beginning of session ${i + 1}`"
          @change="(event: Event) => change(one.id, moved(one, 'start', input(event)))"
        />
        <InputText
          type="time"
          :model-value="one.end.slice(11)"
          :aria-label="`End of session ${i + 1}`"
          @change="(event: Event) => change(one.id, moved(one, 'end', input(event)))"
        />
        <Select
          :model-value="one.people"
          :options="PEOPLE"
          option-label="label"
          option-value="value"
          :aria-label="`People in session ${i + 1}`"
          @update:model-value="(value: number) => change(one.id, { people: value })"
        />
        <Button
          text
          severity="secondary"
          label="Not then"
          :aria-label="`Not then: session ${i + 1}`"
          @click="set(`sessions.${one.id}`, null)"
        />
      </li>
    </ul>
    <p v-if="sessions.length > 0">
      <a :href="`/api/jobs/${job.job?.id}/install.ics`" download>For your calendar (.ics)</a>
      <span class="soft"> Taken in again later it changes what is there and doubles nothing.</span>
    </p>
    <p class="soft">
      Times are those of {{ installing?.zone }}. Setting up takes {{ installing?.set_up }} minutes, clearing
      up {{ installing?.clear }}.
    </p>
    <h2>Paint, and the air of the room</h2>
    <div class="row">
      <div>
        <span id="when-primer" class="label">Primer</span
        ><Select
          aria-labelledby="when-primer"
          :model-value="installing?.primer"
          :options="PRIMERS"
          option-label="label"
          option-value="value"
          @update:model-value="(value: string) => set('primer', value)"
        />
      </div>
      <div>
        <span id="when-paint" class="label">Paint</span
        ><Select
          aria-labelledby="when-paint"
          :model-value="installing?.paint"
          :options="PAINTS"
          option-label="label"
          option-value="value"
          @update:model-value="(value: string) => set('paint', value)"
        />
      </div>
      <div>
        <label for="when-coats">Coats</label
        ><InputText
          id="when-coats"
          inputmode="numeric"
          class="short"
          :model-value="String(installing?.coats ?? '')"
          @change="(event: Event) => set('coats', input(event))"
        />
      </div>
      <div>
        <label for="when-celsius">°C</label
        ><InputText
          id="when-celsius"
          inputmode="decimal"
          class="short"
          :model-value="String(installing?.celsius ?? '')"
          @change="(event: Event) => set('celsius', input(event))"
        />
      </div>
      <div>
        <label for="when-humidity">Humidity, %</label
        ><InputText
          id="when-humidity"
          inputmode="decimal"
          class="short"
          :model-value="String(installing?.humidity ?? '')"
          @change="(event: Event) => set('humidity', input(event))"
        />
      </div>
    </div>
    <details>
      <summary>Drying times from the tin, hours at 20 °C and 50 %</summary>
      <div class="row">
        <div v-for="[product, label, usual] in HOURS" :key="product">
          <label :for="`hours-${product}`">{{ label }}</label><InputText
            :id="`hours-${product}`"
            inputmode="decimal"
            class="short"
            :placeholder="String(usual)"
            :model-value="String(installing?.hours[product] ?? '')"
            @change="(event: Event) => set(`hours.${product}`, input(event) || null)"
          />
        </div>
      </div>
    </details>
    <details>
      <summary>Minutes that things take</summary>
      <div class="row">
        <div v-for="kind in fitting.station.value?.kinds ?? []" :key="kind.value">
          <label :for="`minutes-${kind.value}`">{{ kind.label }}{{ kind.per ? `, ${kind.per}` : '' }}</label
          ><InputText
            :id="`minutes-${kind.value}`"
            inputmode="numeric"
            class="short"
            :placeholder="String(kind.minutes)"
            :model-value="String(installing?.minutes[kind.value] ?? '')"
            @change="(event: Event) => set(`minutes.${kind.value}`, input(event) || null)"
          />
        </div>
      </div>
    </details>
    <div class="row">
      <LengthField
        label="Plaster or board before the studs"
        :text="installing?.wallboard?.typed ?? ''"
        :unit="job.job?.unit ?? 'mm'"
        :when-empty="job.job?.unit === 'in' ? '1/2' : '12.5'"
        @change="(text: string) => set('wallboard', text || null)"
      />
    </div>
  </Dialog>
</template>

<style scoped>
h2 {
  margin: 14px 0 6px;
  font-size: 18px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: end;
}
.row > div {
  display: grid;
  gap: 2px;
}
.row label,
.label {
  color: var(--soft);
  font-size: 14px;
}
.short {
  width: 90px;
}
.list {
  margin: 10px 0;
  padding: 0;
  list-style: none;
}
.list li {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
  padding: 4px 0;
  border-bottom: 1px dashed var(--line);
}
details {
  margin: 10px 0;
}
summary {
  padding: 8px 0;
  font-weight: 600;
  cursor: pointer;
}
</style>

<script setup lang="ts">
import { useJob } from '@/job/store'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import type { useFitting } from './useFitting'

/** What dries, with the hour when it is ready; what a finger says of it; and the air of the room. */
const props = defineProps<{ fitting: ReturnType<typeof useFitting> }>()
const job = useJob()
const celsius = ref('')
const humidity = ref('')

const drying = computed(() => props.fitting.station.value?.drying ?? [])
const isDry = (at: number) => at <= Date.now() / 1000
const touch = (task: string, name: string, says: 'tacky' | 'dry') =>
  job.note(name, says === 'dry' ? 'dry' : 'still tacky', [
    { kind: 'touch', part: task, body: { says }, withdraws: [] },
  ])
async function climate() {
  if (!celsius.value || !humidity.value) return
  await job.note('Room air', `${celsius.value} °C, ${humidity.value} %`, [
    {
      kind: 'climate',
      part: null,
      body: { celsius: celsius.value, humidity: humidity.value },
      withdraws: [],
    },
  ])
}
</script>

<template>
  <section class="drying">
    <h2>What dries</h2>
    <p v-if="drying.length === 0" class="soft">
      Nothing is drying. What is filled, primed or painted shows here with its hour.
    </p>
    <ul>
      <li v-for="one in drying" :key="one.task + one.product">
        <strong>{{ one.name }}</strong>
        <span :class="{ dry: isDry(one.until.at) }"
          >{{ isDry(one.until.at) ? 'dry since' : 'dry' }} {{ one.until.text }}</span
        >
        <span class="soft">for: {{ one.for }}</span>
        <span v-if="!isDry(one.until.at)" class="buttons">
          <Button size="small" outlined label="Still tacky" @click="touch(one.task, one.name, 'tacky')" />
          <Button size="small" outlined label="Dry to touch" @click="touch(one.task, one.name, 'dry')" />
        </span>
      </li>
    </ul>
    <p class="soft">Rules of thumb: the tin goes first. A touch never frees what carries or shuts.</p>
    <h2>The air of the room, as measured now</h2>
    <div class="row">
      <div>
        <label for="air-celsius">°C</label
        ><InputText id="air-celsius" v-model="celsius" inputmode="decimal" />
      </div>
      <div>
        <label for="air-humidity">Humidity, %</label
        ><InputText id="air-humidity" v-model="humidity" inputmode="decimal" />
      </div>
      <Button label="Note it" :disabled="!celsius || !humidity" @click="climate" />
    </div>
  </section>
</template>

<style scoped>
h2 {
  margin: 0 0 6px;
  font-size: 18px;
}
ul {
  margin: 0 0 8px;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
  padding: 8px 0;
  border-bottom: 1px dashed var(--line);
}
.dry {
  color: var(--moss);
  font-weight: 600;
}
.buttons {
  display: inline-flex;
  gap: 6px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: end;
  margin-bottom: 8px;
}
.row > div {
  display: grid;
  gap: 2px;
}
.row :deep(input) {
  width: 110px;
  min-height: 44px;
}
</style>

<script setup lang="ts">
import { api } from '@/api/client'
import type { LayoutSketch } from '@/api/types'
import DrawingView from '@/drawing/DrawingView.vue'
import { useJob } from '@/job/store'
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import SelectButton from 'primevue/selectbutton'
import { computed, ref } from 'vue'

/** An empty space offers layouts to start from, each planned in this very space. */
const job = useJob()
const { data: sketches, isPending } = useQuery({
  queryKey: computed(() => ['starting-layouts', job.space?.id, job.space?.version, job.job?.version]),
  queryFn: () => api<LayoutSketch[]>('GET', `/api/spaces/${job.space?.id}/starting-layouts`),
  enabled: computed(() => job.space !== null),
})
const purposes = computed(() => [...new Set(sketches.value?.map((one) => one.purpose) ?? [])])
const purpose = ref('Everything')
const shown = computed(() => (purpose.value === 'Everything' ? purposes.value : [purpose.value]))
const of = (group: string) => sketches.value?.filter((one) => one.purpose === group) ?? []
const start = (name: string) =>
  job.edit('space', { path: 'layout.do', value: { action: 'start', name, seed: crypto.randomUUID() } })
</script>

<template>
  <section class="starting">
    <h1>What shall stand here?</h1>
    <p class="soft">
      Each of these is worked out for this space as you measured it. Choose the nearest; everything can be
      divided, weighted and moved afterwards.
    </p>
    <p v-if="isPending" role="status">Trying layouts in your space …</p>
    <SelectButton
      v-if="purposes.length > 1"
      v-model="purpose"
      class="purposes"
      :options="['Everything', ...purposes]"
      :allow-empty="false"
      aria-label="What for"
    />
    <section v-for="group in shown" :key="group">
      <h2 class="purpose">{{ group }}</h2>
      <ul>
        <li v-for="sketch in of(group)" :key="sketch.name" class="card">
          <div class="picture">
            <DrawingView
              v-for="drawing in sketch.drawings"
              :key="drawing.name"
              :drawing="drawing"
              small
              :exaggeration="3"
            />
          </div>
          <h3>{{ sketch.label }}</h3>
          <p class="verdict" :class="sketch.verdict.state">{{ sketch.verdict.sentence }}</p>
          <p class="soft">
            {{ sketch.pieces }} pieces, {{ sketch.sheets }} {{ sketch.sheets === 1 ? 'sheet' : 'sheets' }},
            {{ sketch.currency }} {{ sketch.price.toFixed(2) }}
          </p>
          <Button
            label="Start from this"
            :aria-label="`Start from: ${sketch.label}`"
            @click="start(sketch.name)"
          />
        </li>
      </ul>
    </section>
  </section>
</template>

<style scoped>
.starting {
  max-width: 1240px;
  margin: 0 auto;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
  gap: 14px;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  flex-direction: column;
  gap: 6px;
}
li h3 {
  margin: 0;
  font-size: 17px;
}
.purpose {
  margin: 18px 0 8px;
}
.purposes {
  flex-wrap: wrap;
  gap: 6px;
}
/* They go on in a second row: each stands by itself. */
.purposes :deep(.p-togglebutton) {
  border: 1px solid var(--line);
  border-radius: 8px;
}
li p {
  margin: 0;
  font-size: 15px;
}
li :deep(.p-button) {
  margin-top: auto;
}
.picture {
  display: flex;
  gap: 8px;
  height: 190px;
  /* Those out of sight are not painted: each is a drawing of all its boards. */
  content-visibility: auto;
}
.picture > * {
  min-width: 0;
  flex: 1;
}
.verdict.clash {
  color: var(--brick);
}
.verdict.warning {
  color: var(--ochre);
}
.verdict.fits {
  color: var(--moss);
}
</style>

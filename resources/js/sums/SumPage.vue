<script setup lang="ts">
import { measures } from '@/shell/measures'
import { lastMeasure } from '@/shell/preferences'
import TopBar from '@/shell/TopBar.vue'
import Select from 'primevue/select'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import SumParts from './SumParts.vue'
import { useSums } from './useSum'

/** A quick sum on a page of its own. What is typed lies in the address, so that it can be kept and given away. */
const route = useRoute()
const router = useRouter()
const measure = computed(() => (route.query.measure as string | undefined) ?? lastMeasure.value)
const { sums, error } = useSums(measure)
const sum = computed(() => sums.value.find((one) => one.name === route.params.sum) ?? null)
const typed = computed({
  get: () =>
    Object.fromEntries(
      Object.entries(route.query).filter(
        (pair): pair is [string, string] => pair[0] !== 'measure' && typeof pair[1] === 'string',
      ),
    ),
  set: (given) => void router.replace({ query: { ...given, measure: route.query.measure } }),
})
/** Another unit reads the same digits as other lengths: what was typed is let go. */
const setMeasure = (next: string) => router.replace({ query: { measure: next } })
</script>

<template>
  <TopBar />
  <main class="sum">
    <RouterLink to="/sums">All quick sums</RouterLink>
    <p v-if="error" role="alert" class="refused">{{ error.message }}</p>
    <template v-if="sum">
      <div class="head">
        <h1>{{ sum.label }}</h1>
        <Select
          :model-value="measure"
          :options="measures"
          option-value="value"
          option-label="label"
          aria-label="Unit and fraction"
          @update:model-value="setMeasure($event)"
        />
      </div>
      <SumParts v-model="typed" :name="sum.name" :measure="measure" />
    </template>
  </main>
</template>

<style scoped>
.sum {
  max-width: 1240px;
  margin: 0 auto;
  padding: 12px 20px 40px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 4px 16px;
  margin-bottom: 12px;
}
@media (max-width: 800px) {
  .sum {
    padding: 8px 12px 40px;
  }
}
</style>

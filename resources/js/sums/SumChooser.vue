<script setup lang="ts">
import DrawingView from '@/drawing/DrawingView.vue'
import Button from 'primevue/button'
import TopBar from '@/shell/TopBar.vue'
import { lastMeasure } from '@/shell/preferences'
import { lastAnswers } from './lastAnswers'
import { useSums } from './useSum'

/** All quick sums, each with the drawing of its example. */
const { sums, error } = useSums(lastMeasure)
</script>

<template>
  <TopBar />
  <main class="sums">
    <h1>Quick sums</h1>
    <p class="soft">
      The arithmetic at the bench: type two or three numbers and read the drawing. No job is needed.
    </p>
    <p v-if="error" role="alert" class="refused">{{ error.message }}</p>
    <ul>
      <li v-for="sum in sums" :key="sum.name">
        <RouterLink class="card" :to="`/sums/${sum.name}`">
          <span class="sketch"><DrawingView :drawing="sum.drawing" small /></span>
          <strong>{{ sum.label }}</strong>
          <span class="soft">{{ sum.hint }}</span>
        </RouterLink>
      </li>
    </ul>
    <section v-if="lastAnswers.length > 0" class="last">
      <h2>Worked out last</h2>
      <ol>
        <li v-for="(one, i) in lastAnswers" :key="i">
          <RouterLink :to="{ path: `/sums/${one.name}`, query: { ...one.typed, measure: one.measure } }">{{
            one.label
          }}</RouterLink>
          <span class="measure">{{ one.says }}</span>
        </li>
      </ol>
      <Button text severity="secondary" label="Forget them" @click="lastAnswers = []" />
    </section>
  </main>
</template>

<style scoped>
.sums {
  max-width: 1240px;
  margin: 0 auto;
  padding: 16px 20px 40px;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
  gap: 12px;
  margin: 16px 0 0;
  padding: 0;
  list-style: none;
}
.last {
  margin-top: 24px;
}
.last ol {
  margin: 0;
  padding: 0;
  list-style: none;
}
.last li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  padding: 8px 0;
  border-bottom: 1px dashed var(--line);
}
.card {
  display: grid;
  grid-template-rows: auto auto 1fr;
  gap: 4px;
  height: 100%;
  color: var(--ink);
  text-decoration: none;
}
.sketch {
  height: 96px;
  margin-bottom: 4px;
}
@media (max-width: 640px) {
  .sums {
    padding: 12px;
  }
  ul {
    grid-template-columns: 1fr 1fr;
  }
}
</style>

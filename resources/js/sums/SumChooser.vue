<script setup lang="ts">
import DrawingView from '@/drawing/DrawingView.vue'
import TopBar from '@/shell/TopBar.vue'
import { lastMeasure } from '@/shell/preferences'
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

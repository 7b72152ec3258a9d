<script setup lang="ts">
import type { Carried } from '@/api/types'
import { computed } from 'vue'

/** How every box and large panel gets from the street door to its place. */
const props = defineProps<{ carried: Carried[] }>()
const failing = computed(() => props.carried.filter((one) => !one.goes).length)
</script>

<template>
  <section class="card going" aria-label="Going in">
    <h3>Going in</h3>
    <p class="soft">
      {{
        failing === 0
          ? 'Everything gets from the street door to its place.'
          : `${failing} of ${carried.length} do not get in.`
      }}
    </p>
    <details v-for="one in carried" :key="one.id">
      <summary :class="{ fails: !one.goes }">
        <span>{{ one.mark }}, {{ one.what }}</span>
        <span>{{ one.goes ? 'goes' : 'does not go' }}</span>
      </summary>
      <ol>
        <li v-for="step in one.steps" :key="step.words" :class="{ fails: !step.goes }">
          {{ step.words }}
          <span v-if="step.spare" class="measure">{{
            step.goes ? `${step.spare.text} to spare` : `${step.spare.text}`
          }}</span>
        </li>
        <li v-if="one.steps.length === 0">No ways in are noted: add them in the workshop of your home.</li>
      </ol>
    </details>
  </section>
</template>

<style scoped>
.going {
  font-size: 15px;
}
p {
  margin: 2px 0 6px;
}
summary {
  display: flex;
  justify-content: space-between;
  min-height: 36px;
  padding: 6px 0;
  border-top: 1px dashed var(--line);
  cursor: pointer;
}
ol {
  margin: 0 0 8px;
  padding-left: 22px;
}
.measure {
  display: block;
  font-size: 14px;
}
.fails {
  color: var(--brick);
}
</style>

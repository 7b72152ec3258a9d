<script setup lang="ts">
import type { JobSketch } from '@/api/types'
import DrawingView from '@/drawing/DrawingView.vue'

/** A job in the list: a small elevation, its verdict, and how much it takes. */
defineProps<{ job: JobSketch; owner?: string }>()
</script>

<template>
  <li class="card job">
    <RouterLink :to="`/jobs/${job.id}/measure`">
      <span class="sketch"
        ><DrawingView v-if="job.drawing" :drawing="job.drawing" small :exaggeration="3"
      /></span>
      <h2>{{ job.name }}</h2>
      <p class="verdict" :class="job.verdict.state">{{ job.verdict.sentence }}</p>
      <p v-if="!job.is_awaited" class="soft">
        <template v-if="owner">of {{ owner }} · </template>{{ job.tape.pieces }} · {{ job.tape.sheets }}
      </p>
    </RouterLink>
    <slot />
  </li>
</template>

<style scoped>
.job {
  display: flex;
  flex-direction: column;
}
.job > a {
  flex: 1;
  color: inherit;
  text-decoration: none;
}
.sketch {
  display: block;
  height: 220px;
  margin-bottom: 10px;
}
.job h2 {
  margin-bottom: 2px;
}
.job p {
  margin: 0;
}
.verdict.fits {
  color: var(--moss);
}
.verdict.warning,
.verdict.waiting {
  color: var(--ochre);
}
.verdict.clash {
  color: var(--brick);
}
</style>

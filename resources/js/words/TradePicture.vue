<script setup lang="ts">
import { computed } from 'vue'
import { PICTURES } from './pictures'

/** A small picture of things of the trade with their words; that of one word in colour. */
const props = defineProps<{ picture: string; word?: string }>()
const shown = computed(() => PICTURES[props.picture])
</script>

<template>
  <svg v-if="shown" viewBox="0 0 220 100" role="img" :aria-label="shown.says">
    <template v-for="(part, i) in shown.parts" :key="i">
      <text
        v-if="'text' in part"
        :x="part.at[0]"
        :y="part.at[1]"
        :text-anchor="part.anchor ?? 'middle'"
        :class="{ meant: word !== undefined && part.word === word }"
      >
        {{ part.text }}
      </text>
      <path
        v-else
        :d="part.path"
        :class="[part.style, { meant: word !== undefined && part.word === word }]"
      />
    </template>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-width: 330px;
}
path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1;
  stroke-linejoin: round;
}
.wall {
  fill: var(--line);
  stroke: var(--line-strong);
}
.board {
  fill: var(--birch-light);
}
.edge {
  fill: var(--birch);
}
.iron {
  fill: var(--line-strong);
}
.air {
  fill: var(--card);
  stroke: var(--line-strong);
  stroke-dasharray: 3 2;
}
.meant {
  fill: var(--chalk-wash);
  stroke: var(--chalk);
  stroke-width: 1.6;
}
text {
  fill: var(--ink);
  font: 600 11px var(--sans);
}
text.meant {
  fill: var(--chalk);
  stroke: none;
}
</style>

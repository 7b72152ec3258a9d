<script setup lang="ts">
import type { Reading } from '@/api/types'

/** Where the hook and the body of the tape go, or how the level is held. */
defineProps<{ reading: Reading }>()
</script>

<template>
  <svg class="picture" viewBox="0 0 96 72" role="img" :aria-label="`How to take it: ${reading.how}`">
    <template v-if="reading.kind === 'plumb'">
      <path class="wall" d="M34 4L22 68" />
      <rect class="tool" x="37" y="8" width="8" height="56" rx="1" />
      <circle class="bubble" cx="41" cy="36" r="2.5" />
      <path class="line" d="M24 60h13" />
      <text x="52" y="40">gap</text>
    </template>
    <template v-else-if="reading.kind === 'fall'">
      <path class="wall" d="M6 52L90 62" />
      <rect class="tool" x="8" y="42" width="80" height="8" rx="1" />
      <circle class="bubble" cx="48" cy="46" r="2.5" />
      <path class="line" d="M86 50v11" />
      <text x="60" y="36">gap</text>
    </template>
    <template v-else-if="reading.kind === 'height'">
      <path class="wall" d="M12 66h72M12 6h72" />
      <path class="line" d="M48 6v60" />
      <path class="hook" d="M42 66h12" />
      <rect class="tool" x="40" y="6" width="16" height="14" rx="3" />
      <text x="60" y="62">hook</text>
    </template>
    <template v-else-if="reading.kind === 'corner'">
      <path class="wall" d="M14 62V12h70" />
      <path class="line" d="M14 32a22 22 0 0 0 20-20" />
      <text x="40" y="36">angle</text>
    </template>
    <template v-else-if="reading.kind === 'diagonal'">
      <path class="wall" d="M10 62V10h76v52" />
      <path class="line" d="M12 12L84 60" />
      <path class="hook" d="M8 18L18 8" />
      <rect class="tool" x="76" y="50" width="14" height="14" rx="3" />
      <text x="18" y="34">hook</text>
      <text x="44" y="66">body</text>
    </template>
    <template v-else-if="reading.kind === 'depth'">
      <path class="wall" d="M10 62V10h76v52" />
      <path class="line" :d="reading.slot === 'depth-left' ? 'M18 10v52' : 'M78 10v52'" />
      <circle class="tool" :cx="reading.slot === 'depth-left' ? 18 : 78" cy="14" r="5" />
    </template>
    <template v-else-if="reading.kind === 'side'">
      <path class="wall" d="M10 50V14h76v36" />
      <path class="line" d="M10 20h76" />
      <path class="hook" d="M10 15v11" />
      <rect class="tool" x="70" y="16" width="16" height="14" rx="3" />
      <text x="14" y="42">hook</text>
      <text x="56" y="44">body</text>
    </template>
    <template v-else-if="reading.kind === 'tie'">
      <path class="wall" d="M10 62V10h76" />
      <path class="line" d="M12 60L58 12" />
      <path class="hook" d="M58 6v10" />
      <text x="62" y="26">mark</text>
    </template>
    <template v-else-if="reading.kind === 'three_four_five'">
      <path class="wall" d="M14 66V10h76" />
      <path class="line" d="M14 54L64 10" />
      <path class="hook" d="M9 54h10M64 5v10" />
      <text x="20" y="64">mark</text>
      <text x="66" y="28">mark</text>
    </template>
    <template v-else-if="reading.kind === 'slope'">
      <path class="wall" d="M8 60L88 14" />
      <path class="line" d="M8 60h50" />
      <path class="line" d="M42 60a34 34 0 0 0-5-17" />
      <text x="48" y="54">angle</text>
    </template>
    <template v-else-if="reading.kind === 'offset'">
      <path class="wall" d="M20 4q10 32 0 64" />
      <rect class="tool" x="44" y="4" width="8" height="64" rx="1" />
      <path class="line" d="M25 36h19M25 16h19M24 56h20" />
      <text x="56" y="40">rule</text>
    </template>
    <template v-else-if="reading.kind === 'skirting'">
      <path class="wall" d="M40 4v64M6 68h84" />
      <path class="tool" d="M40 34h10v34H40z" />
      <path class="line" d="M60 34v34M40 26h10" />
    </template>
    <template v-else-if="reading.kind === 'rise'">
      <path class="wall" d="M8 60q40-22 80 0" />
      <rect class="tool" x="14" y="34" width="68" height="8" rx="2" />
      <path class="line" d="M84 48v12M8 48h80" />
    </template>
    <template v-else>
      <path class="wall" d="M10 4v64M86 4v64" />
      <path class="line" d="M10 36h76" />
      <path class="hook" d="M10 30v12" />
      <rect class="tool" x="68" y="28" width="18" height="16" rx="3" />
      <text x="14" y="54">hook</text>
      <text x="58" y="60">body</text>
    </template>
  </svg>
</template>

<style scoped>
.picture {
  width: 96px;
  height: 72px;
}
path {
  fill: none;
  stroke: var(--soft);
  stroke-width: 1.2;
}
.wall {
  stroke: var(--ink);
  stroke-width: 2.5;
}
.line {
  stroke: var(--chalk);
  stroke-width: 2;
}
.hook {
  stroke: var(--ink);
  stroke-width: 3;
}
.tool {
  fill: var(--birch);
  stroke: var(--birch-line);
}
.bubble {
  fill: var(--card);
  stroke: var(--ink);
}
text {
  fill: var(--soft);
  font: 11px var(--sans);
}
</style>

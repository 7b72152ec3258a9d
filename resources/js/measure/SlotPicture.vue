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
      <path class="line" :d="reading.slot === 'diagonal-left' ? 'M10 10L86 62' : 'M86 10L10 62'" />
      <circle class="tool" :cx="reading.slot === 'diagonal-left' ? 86 : 10" cy="62" r="6" />
    </template>
    <template v-else-if="reading.kind === 'depth'">
      <path class="wall" d="M10 62V10h76v52" />
      <path class="line" :d="reading.slot === 'depth-left' ? 'M18 10v52' : 'M78 10v52'" />
      <circle class="tool" :cx="reading.slot === 'depth-left' ? 18 : 78" cy="14" r="5" />
    </template>
    <template v-else-if="reading.kind === 'skirting'">
      <path class="wall" d="M40 4v64M6 68h84" />
      <path class="tool" d="M40 34h10v34H40z" />
      <path class="line" d="M60 34v34M40 26h10" />
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

<script setup lang="ts">
import type { Cutting, SawCut, SawStep } from '@/api/types'
import { computed } from 'vue'

/** The part that is cut: what is freed, the line, what becomes of the rest, and the edge that lies against fence or stop. */
const props = defineProps<{ cutting: Cutting; step: SawStep; cut: SawCut }>()

const WIDTH = 700
const LEAST = 90
const MOST = 330

const part = computed(() => props.cutting.parts[props.cut.takes])
const freed = computed(() => props.cutting.parts[props.cut.id])
const rest = computed(() => (props.cut.leaves ? props.cutting.parts[props.cut.leaves] : undefined))
/** A strip is drawn wider than it is, so that its name can be read: the numbers on it are its sizes. */
const height = computed(() => {
  const it = part.value
  if (!it || it.length.nm === 0) return LEAST
  return Math.min(MOST, Math.max(LEAST, (WIDTH * it.width.nm) / it.length.nm))
})
const isAcross = computed(() => props.cut.axis === 'length')
const share = computed(() => {
  const it = part.value
  const whole = (isAcross.value ? it?.length.nm : it?.width.nm) ?? 1
  return Math.min(0.94, Math.max(0.06, (props.cut.at + props.cut.kerf / 2) / whole))
})
/** The piece of wood that the cut frees, and what is left, as boxes of the picture. */
const boxes = computed(() => {
  const at = (isAcross.value ? WIDTH : height.value) * share.value
  return isAcross.value
    ? {
        freed: { x: 0, y: 0, width: at, height: height.value },
        rest: { x: at, y: 0, width: WIDTH - at, height: height.value },
        line: { x1: at, y1: -8, x2: at, y2: height.value + 8 },
        edge: { x1: 0, y1: 0, x2: 0, y2: height.value },
      }
    : {
        freed: { x: 0, y: height.value - at, width: WIDTH, height: at },
        rest: { x: 0, y: 0, width: WIDTH, height: height.value - at },
        line: { x1: -8, y1: height.value - at, x2: WIDTH + 8, y2: height.value - at },
        edge: { x1: 0, y1: height.value, x2: WIDTH, y2: height.value },
      }
})
const isWaste = (fate: string | undefined) => fate === 'waste' || fate === undefined
const names = computed(() => {
  const name = (it: typeof part.value, alone: string) =>
    !it
      ? ''
      : (it.piece ?? (it.fate === 'offcut' ? 'offcut' : it.fate === 'waste' ? 'waste' : it.mark || alone))
  return { freed: name(freed.value, 'edge'), rest: name(rest.value, '') }
})
/** Where a text goes, and whether it stands upright in a narrow box. */
const textIn = (box: { x: number; y: number; width: number; height: number }) => ({
  x: box.x + box.width / 2,
  y: box.y + box.height / 2,
  fits: box.width > 150 && box.height > 34,
})
</script>

<template>
  <figure v-if="part" class="picture">
    <svg
      :viewBox="`-16 -16 ${WIDTH + 32} ${height + 32}`"
      role="img"
      :aria-label="`${part.mark}, ${part.length.text} by ${part.width.text}: ${names.freed} is cut off it`"
    >
      <defs>
        <pattern
          id="saw-waste"
          width="12"
          height="12"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" y1="0" x2="0" y2="12" class="hatch" />
        </pattern>
      </defs>
      <rect v-bind="boxes.freed" :class="cut.straightens ? 'wood' : 'freed'" />
      <rect v-bind="boxes.rest" class="wood" />
      <rect v-if="cut.straightens" v-bind="boxes.freed" fill="url(#saw-waste)" />
      <rect v-if="!cut.straightens && isWaste(rest?.fate)" v-bind="boxes.rest" fill="url(#saw-waste)" />
      <rect x="0" y="0" :width="WIDTH" :height="height" class="outline" />
      <line v-if="!cut.straightens" v-bind="boxes.edge" class="edge" />
      <line v-bind="boxes.line" class="line" />
      <template v-for="(box, key) in { freed: boxes.freed, rest: boxes.rest }" :key="key">
        <text v-if="textIn(box).fits && names[key]" :x="textIn(box).x" :y="textIn(box).y" class="name">
          {{ names[key] }}
        </text>
      </template>
    </svg>
    <figcaption>
      <span class="measure"
        >{{ part.mark || part.piece }} · {{ part.length.text }} × {{ part.width.text }}</span
      >
      <span class="soft"
        >{{ part.kg.toFixed(1) }} kg<template v-if="rest && ['offcut', 'waste'].includes(rest.fate)">
          · left: <span class="measure">{{ rest.length.text }} × {{ rest.width.text }}</span
          >, {{ rest.fate === 'offcut' ? 'keep' : 'waste' }}</template
        ></span
      >
      <span class="soft grain" aria-label="The length runs this way"
        >length <span aria-hidden="true">⟶</span></span
      >
    </figcaption>
  </figure>
</template>

<style scoped>
.picture {
  margin: 0;
}
svg {
  display: block;
  width: 100%;
  max-height: 38vh;
}
.wood {
  fill: var(--birch-light);
}
.freed {
  fill: var(--birch);
}
.outline {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.edge {
  stroke: var(--chalk);
  stroke-width: 9;
}
.line {
  stroke: var(--brick);
  stroke-width: 4;
  stroke-dasharray: 14 7;
}
.hatch {
  stroke: var(--line-strong);
  stroke-width: 3;
}
.name {
  fill: var(--ink);
  font: 600 26px var(--mono);
  dominant-baseline: central;
  text-anchor: middle;
}
figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  font-size: 15px;
}
.grain {
  margin-left: auto;
}
</style>

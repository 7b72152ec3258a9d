<script setup lang="ts">
import { computed } from 'vue'

/** A text of a drawing, with its fractions stacked. */
const props = defineProps<{ text: string; anchor?: 'start' | 'middle' | 'end' }>()

/** Figures of a fraction are so wide and stand so far over and under the middle of the line, px. */
const FIGURE = 6
const UP = 5
const DOWN = 6

interface Part {
  text: string
  dx: number
  dy: number
  bar: 'underline' | 'overline' | undefined
  small: boolean
}
const parts = computed<Part[]>(() => {
  let [dx, dy] = [0, 0]
  return props.text.split(/(\d+\/\d+)/).flatMap((part) => {
    const [, top, bottom] = /^(\d+)\/(\d+)$/.exec(part) ?? []
    if (top === undefined || bottom === undefined) {
      const plain: Part = { text: part.replace(/ $/, ' '), dx, dy, bar: undefined, small: false }
      dx = dy = 0
      return part === '' ? [] : [plain]
    }
    const [over, under] = [top.length * FIGURE, bottom.length * FIGURE]
    const before = Math.max(0, (under - over) / 2)
    const fraction: Part[] = [
      { text: top, dx: dx + before, dy: dy - UP, bar: over >= under ? 'underline' : undefined, small: true },
      {
        text: bottom,
        dx: -(over + under) / 2,
        dy: UP + DOWN,
        bar: over >= under ? undefined : 'overline',
        small: true,
      },
    ]
    dx = Math.max(0, (over - under) / 2)
    dy = -DOWN
    return fraction
  })
})
</script>

<template>
  <text :text-anchor="anchor ?? 'middle'" dy="5"
    ><tspan
      v-for="(part, i) in parts"
      :key="i"
      :dx="part.dx || undefined"
      :dy="part.dy || undefined"
      :text-decoration="part.bar"
      :class="{ figure: part.small }"
      >{{ part.text }}</tspan
    ></text
  >
</template>

<style scoped>
text {
  fill: var(--ink);
  font: 600 14px var(--mono);
  paint-order: stroke;
  stroke: var(--card);
  stroke-width: 4px;
  stroke-linejoin: round;
}
.figure {
  font-size: 10px;
}
</style>

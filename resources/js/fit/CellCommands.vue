<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import Popover from 'primevue/popover'
import { computed, ref } from 'vue'
import type { LayoutAction } from './useLayout'

/** The few commands of the selected cell, on the drawing beside it; the others behind “more”. */
const props = defineProps<{
  actions: LayoutAction[]
  /** The cell on screen, and how large the drawing is; px. */
  around: { left: number; top: number; width: number; height: number }
  width: number
  height: number
  /** How wide the empty strip is on either side of the drawing, px. */
  free: number
}>()
const bar = ref<HTMLElement | null>(null)
const more = ref<InstanceType<typeof Popover> | null>(null)
const size = useElementSize(bar, undefined, { box: 'border-box' })

const groups = computed(() => [...new Set(props.actions.flatMap((one) => one.group ?? []))])
const others = computed(() => props.actions.filter((one) => !one.group))

/** Beside the furniture they are one under the other and cover nothing. */
const UPRIGHT = 160
const isUpright = computed(() => props.free >= UPRIGHT)

/** In the empty strip where there is one; else under the cell's upper edge where it is high enough, else under it, or over it. */
const place = computed(() => {
  const gap = 8
  const { left, top, width, height } = props.around
  if (isUpright.value) {
    return {
      left: `${props.free - size.width.value}px`,
      top: `${Math.max(0, Math.min(props.height - size.height.value, top))}px`,
    }
  }
  const below = top + height + gap
  const y =
    height > 3 * size.height.value
      ? top + gap
      : below + size.height.value < props.height
        ? below
        : top - size.height.value - gap
  const x = left + width / 2 - size.width.value / 2
  return {
    left: `${Math.max(0, Math.min(props.width - size.width.value, x))}px`,
    top: `${Math.max(0, Math.min(props.height - size.height.value, y))}px`,
  }
})
const name = (one: LayoutAction) => `${one.label} ${one.key.toUpperCase()}`
</script>

<template>
  <div
    ref="bar"
    class="commands"
    :class="{ upright: isUpright }"
    role="toolbar"
    aria-label="Selected cell"
    :style="place"
  >
    <span v-for="group in groups" :key="group" class="group">
      <span class="what">{{ group }}</span>
      <button
        v-for="one in actions.filter((other) => other.group === group)"
        :key="one.key"
        type="button"
        :disabled="!one.can"
        :aria-label="name(one)"
        :title="one.label"
        @click="one.does()"
      >
        <svg v-if="one.icon" class="icon" viewBox="-1 -1 16 16" aria-hidden="true">
          <path :d="one.icon" />
        </svg>
        <kbd>{{ one.key.toUpperCase() }}</kbd>
        <span class="whole">{{ one.label }}</span>
      </button>
    </span>
    <button type="button" class="more" aria-haspopup="true" @click="more?.toggle($event)">more</button>
    <Popover ref="more">
      <div class="others">
        <button
          v-for="one in others"
          :key="one.key"
          type="button"
          :disabled="!one.can"
          :aria-label="name(one)"
          @click="(one.does(), more?.hide())"
        >
          {{ one.label }} <kbd>{{ one.key.toUpperCase() }}</kbd>
        </button>
      </div>
    </Popover>
  </div>
</template>

<style scoped>
.commands {
  position: absolute;
  display: flex;
  gap: 2px 10px;
  align-items: center;
  padding: 2px 10px;
  border: 1.5px solid var(--chalk);
  border-radius: 10px;
  background: var(--card);
  box-shadow: 0 4px 14px rgb(0 0 0 / 12%);
  font-size: 15px;
  white-space: nowrap;
}
.group {
  display: flex;
  align-items: center;
}
.upright {
  flex-direction: column;
  align-items: stretch;
  padding: 6px 8px;
}
.upright .what {
  flex: 1;
  padding-right: 8px;
}
button {
  min-width: 32px;
  min-height: 36px;
  padding: 0 4px;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  cursor: pointer;
}
button:disabled {
  opacity: 0.4;
  cursor: default;
}
.others {
  display: grid;
}
.others button {
  display: flex;
  gap: 18px;
  align-items: center;
  justify-content: space-between;
  min-height: 44px;
  padding: 0 10px;
}
.icon {
  width: 15px;
  height: 15px;
  margin-right: 3px;
  fill: none;
  stroke: currentcolor;
  stroke-width: 1.3;
  vertical-align: -2px;
}
.whole {
  display: none;
}
@media (max-width: 900px) {
  .what {
    display: none;
  }
  .group {
    display: contents;
  }
  .whole {
    display: inline;
  }
  /* Under the thumb: as wide as the screen, below the drawing. */
  .commands {
    position: fixed;
    inset: auto 0 0 !important;
    z-index: 6;
    display: grid;
    grid-template-columns: repeat(4, 1fr);
    gap: 0 4px;
    padding: 2px 8px calc(2px + env(safe-area-inset-bottom));
    border-width: 1.5px 0 0;
    border-radius: 0;
    font-size: 14px;
  }
  button {
    min-width: 0;
    min-height: 44px;
  }
}
</style>

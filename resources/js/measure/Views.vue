<script setup lang="ts">
import type { MeasureStation } from '@/api/types'
import DrawingView from '@/drawing/DrawingView.vue'
import { useLocalStorage } from '@vueuse/core'
import Slider from 'primevue/slider'
import { computed, ref, watch } from 'vue'

/** The space drawn from its readings: one wall large, and the plan. What is selected brings up the wall it lies on. */
const props = defineProps<{
  station: MeasureStation
  selected: string | undefined
  suspects: string[]
}>()
const emit = defineEmits<{ select: [ref: string] }>()

const exaggeration = useLocalStorage('incastro.measure.exaggeration', 8)
const shown = ref(0)

const walls = computed(() => props.station.drawings.walls)
const wall = computed(() => walls.value.find((entry) => entry.wall === shown.value) ?? walls.value[0] ?? null)
const label = (index: number) => props.station.shape.edges[index]?.label ?? ''

const shows = (index: number, name: string) =>
  walls.value
    .find((entry) => entry.wall === index)
    ?.drawing.layers.some((layer) => layer.shapes.some((shape) => shape.ref === name)) ?? false

watch(
  () => props.selected,
  (name) => {
    if (!name || shows(shown.value, name)) return
    const found = walls.value.find((entry) => shows(entry.wall, name))
    if (found) shown.value = found.wall
  },
  { immediate: true },
)

function step(event: KeyboardEvent) {
  const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0
  if (by === 0) return
  event.preventDefault()
  const at = walls.value.findIndex((entry) => entry.wall === wall.value?.wall)
  const next = walls.value[(at + by + walls.value.length) % walls.value.length]
  if (!next) return
  shown.value = next.wall
  const tabs = (event.currentTarget as HTMLElement).querySelectorAll<HTMLElement>('[role=tab]')
  tabs[walls.value.indexOf(next)]?.focus()
}
</script>

<template>
  <section class="card views" aria-label="The space from its readings">
    <div class="wall">
      <div class="tabs" role="tablist" aria-label="Walls" @keydown="step">
        <button
          v-for="entry in walls"
          :key="entry.wall"
          type="button"
          role="tab"
          :aria-selected="entry.wall === wall?.wall"
          :tabindex="entry.wall === wall?.wall ? 0 : -1"
          @click="shown = entry.wall"
        >
          {{ label(entry.wall) }}
        </button>
      </div>
      <DrawingView
        v-if="wall"
        :drawing="wall.drawing"
        :exaggeration="exaggeration"
        :selected="selected"
        :suspects="suspects"
        quiet
        tools
        @select="emit('select', $event)"
      />
    </div>
    <div class="plan">
      <h3>From above</h3>
      <DrawingView
        v-if="station.drawings.plan"
        :drawing="station.drawings.plan"
        :exaggeration="exaggeration"
        :selected="selected"
        :suspects="suspects"
        quiet
        tools
        @select="emit('select', $event)"
      />
      <div class="slider">
        <span id="crooked"
          >Crookedness drawn <span class="measure">×{{ exaggeration }}</span></span
        >
        <Slider v-model="exaggeration" :min="1" :max="20" aria-labelledby="crooked" />
      </div>
      <slot />
    </div>
  </section>
</template>

<style scoped>
.views {
  display: grid;
  grid-template-columns: minmax(0, 1.15fr) minmax(0, 1fr);
  gap: 16px;
  min-height: 0;
}
.wall,
.plan {
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.wall :deep(.drawing),
.plan :deep(.drawing) {
  flex: 1;
  min-height: 140px;
}
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.tabs button {
  min-height: 36px;
  padding: 4px 10px;
  border: 1px solid transparent;
  border-radius: 8px;
  background: none;
  color: var(--soft);
  font: 600 15px var(--sans);
  cursor: pointer;
}
.tabs [aria-selected='true'] {
  border-color: var(--chalk);
  background: var(--chalk-wash);
  color: var(--ink);
}
.slider {
  display: grid;
  gap: 12px;
  padding: 8px 12px 18px;
}
@media (max-width: 760px) {
  .views {
    display: flex;
    flex-direction: column;
  }
  .tabs button {
    min-height: 44px;
  }
  .wall :deep(.drawing) {
    flex: none;
    height: 360px;
  }
  .plan :deep(.drawing) {
    flex: none;
    height: 260px;
  }
}
</style>

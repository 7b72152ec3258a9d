<script setup lang="ts">
import { api } from '@/api/client'
import type { Drawing } from '@/api/types'
import DrawingView from '@/drawing/DrawingView.vue'
import { useJob } from '@/job/store'
import { useQuery } from '@tanstack/vue-query'
import { useElementSize } from '@vueuse/core'
import MeasureText from '@/tape/MeasureText.vue'
import Button from 'primevue/button'
import Slider from 'primevue/slider'
import ToggleSwitch from 'primevue/toggleswitch'
import { computed, onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue'
import { Stage } from './stage'
import type { Round, RoundPiece } from './types'

/** The furniture in its room, to be turned in the hand; a still drawing of it where the device has no WebGL. */
const props = defineProps<{ run: string; exaggeration: number; selected?: string | undefined }>()
const emit = defineEmits<{ select: [ref: string] }>()
const job = useJob()
const open = ref(0)
const apart = ref(0)
const walls = ref(true)
const hidden = ref<string[]>([])
const picked = ref<string | null>(null)
const isFlat = ref(false)

const { data: round, isPlaceholderData: isOld } = useQuery({
  queryKey: computed(() => ['round', job.space?.id, job.space?.version, job.job?.version]),
  queryFn: () => api<Round>('GET', `/api/spaces/${job.space?.id}/round`),
  enabled: computed(() => job.space !== null),
  placeholderData: (before: Round | undefined) => before,
  shallow: true,
})
const { data: still } = useQuery({
  queryKey: computed(() => ['view', job.space?.id, job.space?.version, job.job?.version, 'solid', props.run]),
  queryFn: () =>
    api<Drawing>(
      'GET',
      `/api/spaces/${job.space?.id}/view?${new URLSearchParams({ view: apart.value > 50 ? 'apart' : 'solid', run: props.run })}`,
    ),
  enabled: isFlat,
})

const canvas = ref<HTMLCanvasElement | null>(null)
const frame = ref<HTMLElement | null>(null)
const stage = shallowRef<Stage | null>(null)
const { width, height } = useElementSize(frame)
const colour = (name: string) =>
  getComputedStyle(document.documentElement).getPropertyValue(`--${name}`).trim() || '#888'

onMounted(() => {
  if (!canvas.value) return
  try {
    stage.value = new Stage(canvas.value, {
      paper: colour('card'),
      ink: colour('ink'),
      birch: colour('birch'),
      face: colour('birch-light'),
      back: colour('line'),
      chalk: colour('chalk'),
      wall: colour('soft'),
    })
  } catch {
    // No WebGL here: a drawing shows the same from one side.
    isFlat.value = true
  }
})
onBeforeUnmount(() => stage.value?.dispose())

watch([width, height, stage], () => stage.value?.resize(width.value, height.value))
watch([round, stage], () => {
  if (!round.value || !stage.value) return
  stage.value.show(round.value)
  apply()
  markSelected()
})
function apply(): void {
  stage.value?.set({
    open: open.value / 100,
    apart: apart.value / 100,
    exaggeration: props.exaggeration,
    walls: walls.value,
  })
}
watch([open, apart, walls, () => props.exaggeration], apply)
watch(hidden, (keys) => stage.value?.hide(keys))

const piece = computed(() => round.value?.pieces.find((one) => one.key === picked.value) ?? null)
/** A piece on its own, else all that belongs to what is selected. */
function markSelected(): void {
  const owned = (one: RoundPiece) => one.owner === props.selected || one.key.startsWith(`${props.selected}:`)
  stage.value?.mark(
    picked.value ? [picked.value] : (round.value?.pieces ?? []).filter(owned).map((one) => one.key),
  )
}
watch([picked, () => props.selected], markSelected)

let pressed = { x: 0, y: 0 }
function press(event: PointerEvent): void {
  pressed = { x: event.offsetX, y: event.offsetY }
}
function release(event: PointerEvent): void {
  // A drag turns it; a press picks a piece.
  if (Math.hypot(event.offsetX - pressed.x, event.offsetY - pressed.y) > 5) return
  const found = stage.value?.at(event.offsetX, event.offsetY) ?? null
  picked.value = found?.piece.key ?? null
  if (measures.value) void measure(found)
  else if (found) emit('select', found.piece.key.split(':')[0] ?? found.piece.owner)
}

/** Between two faces that are pressed one after the other; the figure is the core's. */
const measures = ref(false)
const faces = ref<NonNullable<ReturnType<Stage['at']>>[]>([])
const between = ref<string | null>(null)
async function measure(found: ReturnType<Stage['at']>): Promise<void> {
  if (!found) return
  faces.value = faces.value.length === 2 ? [found] : [...faces.value, found]
  between.value = null
  if (faces.value.length < 2) return
  const answer = await api<{ text: string | null }>('POST', `/api/spaces/${job.space?.id}/between`, {
    faces: faces.value.map(({ piece: { key }, at, looks }) => ({ key, at, looks })),
  })
  between.value = answer.text ?? 'These two faces are not parallel.'
}
watch(measures, () => {
  faces.value = []
  between.value = null
})

const TURN = Math.PI / 18
const KEYS: Record<string, [number, number, number]> = {
  ArrowLeft: [-TURN, 0, 1],
  ArrowRight: [TURN, 0, 1],
  ArrowUp: [0, -TURN, 1],
  ArrowDown: [0, TURN, 1],
  '+': [0, 0, 0.85],
  '-': [0, 0, 1.18],
}
function key(event: KeyboardEvent): void {
  const turn = KEYS[event.key]
  if (!turn) return
  event.preventDefault()
  event.stopPropagation()
  stage.value?.turn(...turn)
}

function hide(): void {
  if (picked.value) hidden.value = [...hidden.value, picked.value]
  picked.value = null
}

const svg = computed(() => {
  const at = job.space?.choices.layout.runs.findIndex((run) => run.id === props.run) ?? 0
  const query = { run: String(Math.max(0, at)), view: apart.value > 50 ? 'apart' : 'solid' }
  return `/api/spaces/${job.space?.id}/elevation.svg?${new URLSearchParams(query)}`
})
async function download(): Promise<void> {
  const data = await stage.value?.glTF()
  if (!data) return
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([data], { type: 'model/gltf-binary' }))
  link.download = `${job.job?.name ?? 'furniture'}.glb`
  link.click()
  URL.revokeObjectURL(link.href)
}
</script>

<template>
  <div class="round">
    <div class="tools">
      <div class="slider">
        <span id="round-open">open</span>
        <Slider v-model="open" :min="0" :max="100" aria-labelledby="round-open" />
      </div>
      <div class="slider">
        <span id="round-apart">apart</span>
        <Slider v-model="apart" :min="0" :max="100" aria-labelledby="round-apart" />
      </div>
      <label class="switch"><ToggleSwitch v-model="walls" input-id="round-walls" /> walls</label>
      <label v-if="!isFlat" class="switch"
        ><ToggleSwitch v-model="measures" input-id="round-measure" /> measure</label
      >
      <Button text size="small" label="From the front" @click="stage?.look()" />
    </div>
    <DrawingView v-if="isFlat && still" :drawing="still" @select="emit('select', $event)" />
    <div v-else ref="frame" class="frame">
      <canvas
        ref="canvas"
        tabindex="0"
        role="img"
        aria-label="The furniture in its room. Arrow keys turn it, plus and minus go nearer and farther."
        @pointerdown="press"
        @pointerup="release"
        @keydown="key"
      ></canvas>
      <div class="files">
        <Button
          text
          size="small"
          label="Download as glTF"
          :disabled="!round || isOld || !stage"
          @click="download"
        />
        <a :href="svg" download>as SVG</a>
      </div>
      <div v-if="measures" class="picked" role="status">
        <template v-if="faces.length === 0">Press a face of a piece, then another.</template>
        <template v-else-if="faces.length === 1"
          >From {{ faces[0]?.piece.mark }}: press another face.</template
        >
        <template v-else>
          {{ faces[0]?.piece.mark }} to {{ faces[1]?.piece.mark }}:
          <MeasureText v-if="between" :text="between" />
        </template>
      </div>
      <div v-else-if="piece || hidden.length > 0" class="picked" role="status">
        <template v-if="piece">
          <strong>{{ piece.mark }}</strong> {{ piece.name }}
          <RouterLink :to="`/jobs/${job.job?.id}/pieces?piece=${encodeURIComponent(piece.key)}`"
            >its piece</RouterLink
          >
          <Button text size="small" label="Hide it" @click="hide" />
        </template>
        <Button
          v-if="hidden.length > 0"
          text
          size="small"
          :label="`Show what is hidden (${hidden.length})`"
          @click="hidden = []"
        />
      </div>
    </div>
  </div>
</template>

<style scoped>
.round {
  display: flex;
  flex: 1;
  flex-direction: column;
  min-height: 0;
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  align-items: center;
  padding: 4px 6px;
}
.slider {
  display: flex;
  gap: 14px;
  align-items: center;
  color: var(--soft);
}
.slider :deep(.p-slider) {
  width: 120px;
}
.switch {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 40px;
}
.frame {
  position: relative;
  flex: 1;
  min-height: 0;
}
canvas {
  position: absolute;
  width: 100%;
  height: 100%;
  touch-action: none;
}
.files {
  position: absolute;
  right: 6px;
  bottom: 6px;
  display: flex;
  gap: 6px;
  align-items: center;
  font-size: 14px;
}
.picked {
  position: absolute;
  bottom: 10px;
  left: 10px;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
  padding: 4px 14px;
  border: 1px solid var(--line);
  border-radius: 10px;
  background: var(--card);
}
@media (max-width: 900px) {
  .frame {
    flex: none;
    height: min(440px, 108vw);
  }
}
</style>

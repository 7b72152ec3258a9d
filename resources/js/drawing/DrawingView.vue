<script setup lang="ts">
import type { Drawing, DrawnPoint, Shape } from '@/api/types'
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import DrawnText from './DrawnText.vue'

export interface Flag {
  number: number
  severity: string
  label: string
  /** The shapes at which it stands: the first that is drawn. */
  refs: string[]
}

/**
 * Shows any drawing: true places, exaggerated by the crookedness vector of each point. Lines and letters keep their
 * size on screen, whatever the scale. What is selected or pressed is told by its reference.
 */
const props = withDefaults(
  defineProps<{
    drawing: Drawing
    exaggeration?: number
    selected?: string | undefined
    /** Texts are left out where the drawing is a thumbnail. */
    small?: boolean
    /** Lesser readings show their values only when selected. */
    quiet?: boolean
    /** References of what is in doubt. */
    suspects?: string[]
    /** References of what clashes. */
    clashing?: string[]
    /** Shows where hook and body of the tape go, on the selected line. */
    tools?: boolean
    /** Where an upright line lies that can be dragged, mm; and how far it may go. */
    cut?: { at: number; from: number; to: number } | undefined
    /** What part of the drawing is shown, mm; else all of it. */
    part?: { x: number; y: number; width: number; height: number } | undefined
    /** What is said of places of the drawing: numbered, at the shapes with their references. */
    flags?: Flag[]
  }>(),
  {
    exaggeration: 1,
    selected: undefined,
    small: false,
    quiet: false,
    suspects: () => [],
    clashing: () => [],
    tools: false,
    cut: undefined,
    part: undefined,
    flags: () => [],
  },
)
const emit = defineEmits<{ select: [ref: string]; cut: [at: number]; flag: [number: number] }>()

const frame = ref<HTMLElement | null>(null)
const { width, height } = useElementSize(frame)

const at = (point: DrawnPoint): [number, number] => [
  point[0] + (props.exaggeration - 1) * point[2],
  -(point[1] + (props.exaggeration - 1) * point[3]),
]

const pointsOf = (shape: Shape): DrawnPoint[] =>
  shape.kind === 'outline' ? shape.points : shape.kind === 'label' ? [shape.at] : [shape.from, shape.to]

const box = computed(() => {
  if (props.part) return { ...props.part, y: -(props.part.y + props.part.height) }
  const points = props.drawing.layers.flatMap((layer) => layer.shapes.flatMap(pointsOf)).map(at)
  if (points.length === 0) return { x: 0, y: 0, width: 1, height: 1 }
  const xs = points.map((point) => point[0])
  const ys = points.map((point) => point[1])
  const x = Math.min(...xs)
  const y = Math.min(...ys)
  return { x, y, width: Math.max(1, Math.max(...xs) - x), height: Math.max(1, Math.max(...ys) - y) }
})

/** Millimetres to a pixel, with room kept around for texts. */
const margin = computed(() => (props.small ? 4 : 26))
/** Texts that stand beside the drawing need room of their own. */
const beside = computed(() =>
  !props.small &&
  props.drawing.layers.some((layer) =>
    layer.shapes.some(
      (shape) =>
        (shape.kind === 'label' && shape.anchor !== 'middle') ||
        (shape.kind === 'dimension' && shape.style === 'thing-distance'),
    ),
  )
    ? 70
    : margin.value,
)
const scale = computed(() => {
  const wide = Math.max(40, width.value - 2 * beside.value)
  const high = Math.max(40, height.value - 2 * margin.value)
  return Math.max(box.value.width / wide, box.value.height / high)
})
const viewBox = computed(() => {
  const wide = Math.max(40, width.value) * scale.value
  const high = Math.max(40, height.value) * scale.value
  return `${box.value.x - (wide - box.value.width) / 2} ${box.value.y - (high - box.value.height) / 2} ${wide} ${high}`
})

/** Where a place of the drawing lies in its frame, px from the left and the top. */
const onScreen = ([x, y]: [number, number]): [number, number] => {
  const wide = Math.max(40, width.value) * scale.value
  const high = Math.max(40, height.value) * scale.value
  return [
    (x - box.value.x + (wide - box.value.width) / 2) / scale.value,
    (y - box.value.y + (high - box.value.height) / 2) / scale.value,
  ]
}

/** What is around all shapes with a reference, px in the frame. */
function around(ref: string) {
  const points = props.drawing.layers
    .flatMap((layer) => layer.shapes)
    .filter((shape) => shape.ref === ref)
    .flatMap(pointsOf)
    .map((point) => onScreen(at(point)))
  if (ref === '' || points.length === 0) return null
  const xs = points.map((point) => point[0])
  const ys = points.map((point) => point[1])
  const [left, top] = [Math.min(...xs), Math.min(...ys)]
  return { left, top, width: Math.max(...xs) - left, height: Math.max(...ys) - top }
}
/** How wide the empty strip is on either side of the drawing and its texts, px. */
const free = computed(() => Math.max(0, (width.value - box.value.width / scale.value) / 2 - beside.value))
const chosen = computed(() => (props.selected === undefined ? null : around(props.selected)))

/** Flags of one place stand side by side, on it and inside the frame. */
const placed = computed(() => {
  const taken: Record<string, number> = {}
  return props.flags.flatMap((flag) => {
    const place = flag.refs.map(around).find((one) => one !== null)
    if (!place) return []
    const key = `${Math.round(place.left)} ${Math.round(place.top)}`
    taken[key] = (taken[key] ?? 0) + 1
    // In a corner, where neither its name nor its commands stand.
    const x = place.left + place.width - 20 - 34 * (taken[key] - 1)
    const y = place.top + place.height - 20
    return [
      {
        ...flag,
        style: {
          left: `${Math.max(18, Math.min(width.value - 18, x))}px`,
          top: `${Math.max(18, Math.min(height.value - 18, y))}px`,
        },
      },
    ]
  })
})

const path = (points: DrawnPoint[], closed: boolean) =>
  `M${points.map((point) => at(point).join(' ')).join('L')}${closed ? 'Z' : ''}`

const middle = (from: DrawnPoint, to: DrawnPoint): [number, number] => {
  const [x1, y1] = at(from)
  const [x2, y2] = at(to)
  return [(x1 + x2) / 2, (y1 + y2) / 2]
}

/** Where a dimension is told: in its middle; what is too short beside a thing beyond its other end, so that the thing is seen. */
const told = (shape: Extract<Shape, { kind: 'dimension' }>): [number, number] => {
  const [x1, y1] = at(shape.from)
  const [x2, y2] = at(shape.to)
  const long = Math.hypot(x2 - x1, y2 - y1)
  const room = (shape.text.length * LETTER + 16) * scale.value
  if (shape.style !== 'thing-distance' || long === 0 || long > 1.6 * room) return middle(shape.from, shape.to)
  const beyond = room / 2 / long
  const [x, y] = [x1 + (x1 - x2) * beyond, y1 + (y1 - y2) * beyond]
  // Below the floor there may be less room than beside a wall: then it stays on the drawing.
  const lowest = box.value.y + box.value.height + (height.value * scale.value - box.value.height) / 2
  return [x, Math.min(y, lowest - room / 2)]
}

const isUpright = (from: DrawnPoint, to: DrawnPoint) => Math.abs(from[1] - to[1]) > Math.abs(from[0] - to[0])

const ticks = (from: DrawnPoint, to: DrawnPoint) => {
  const size = 5 * scale.value
  const [x1, y1] = at(from)
  const [x2, y2] = at(to)
  return isUpright(from, to)
    ? `M${x1 - size} ${y1}h${2 * size}M${x2 - size} ${y2}h${2 * size}`
    : `M${x1} ${y1 - size}v${2 * size}M${x2} ${y2 - size}v${2 * size}`
}

/** Letters of the drawing are about this wide for their size, px. */
const LETTER = 8.2

/** A plate on which a dimension stands, so that no line runs through it; px. */
const plate = (text: string, anchor: 'start' | 'middle' | 'end' = 'middle') => {
  const width = text.length * LETTER + 8
  return { x: anchor === 'start' ? -4 : anchor === 'end' ? 4 - width : -width / 2, y: -10, width, height: 20 }
}

/** A text that would run out of its place is shortened, then left out. */
function fitting(shape: Extract<Shape, { kind: 'label' }>): string {
  const fits = (text: string) => shape.room === null || text.length * LETTER * scale.value <= shape.room
  return fits(shape.text) ? shape.text : fits(shape.short) ? shape.short : ''
}

const isSelected = (shape: Shape) => shape.ref !== '' && shape.ref === props.selected
const isClashing = (shape: Shape) => shape.ref !== '' && props.clashing.includes(shape.ref)
const isSuspect = (shape: Shape) => shape.ref !== '' && props.suspects.includes(shape.ref)
const showsText = (shape: Shape) =>
  !props.small &&
  (!props.quiet ||
    isSelected(shape) ||
    isSuspect(shape) ||
    (shape.style !== 'reading-quiet' && shape.style !== 'thing-distance'))

const svg = ref<SVGSVGElement | null>(null)
/** The line follows the pointer that holds it. */
function drag(event: PointerEvent) {
  const matrix = svg.value?.getScreenCTM()
  const held = (event.currentTarget as Element).hasPointerCapture(event.pointerId)
  if (!props.cut || !matrix || !held) return
  const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse()).x
  emit('cut', Math.round(Math.min(props.cut.to, Math.max(props.cut.from, at))))
}
const hold = (event: PointerEvent) => (event.currentTarget as Element).setPointerCapture(event.pointerId)

/** How a line runs on screen, in degrees. */
const slant = (from: DrawnPoint, to: DrawnPoint) => {
  const [x1, y1] = at(from)
  const [x2, y2] = at(to)
  return (Math.atan2(y2 - y1, x2 - x1) * 180) / Math.PI
}
</script>

<template>
  <figure ref="frame" class="drawing" :class="{ small }">
    <svg ref="svg" :viewBox="viewBox" role="img" :aria-label="drawing.name" :style="{ '--unit': scale }">
      <defs>
        <pattern id="grain" width="40" height="7" patternUnits="userSpaceOnUse">
          <path d="M0 3.5h40" class="hatch" />
        </pattern>
        <pattern
          id="gap-fill"
          width="14"
          height="14"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <path d="M0 0v14" class="hatch-gap" />
        </pattern>
        <pattern
          id="waste"
          width="30"
          height="30"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(-45)"
        >
          <path d="M0 0v30" class="hatch-waste" />
        </pattern>
      </defs>
      <g v-for="layer in drawing.layers" :key="layer.name">
        <g
          v-for="(shape, i) in layer.shapes"
          :key="`${shape.ref}-${i}`"
          :class="[
            shape.style,
            { selected: isSelected(shape), suspect: isSuspect(shape), clashing: isClashing(shape) },
          ]"
          @click="shape.ref && emit('select', shape.ref)"
        >
          <template v-if="shape.kind === 'outline'">
            <path :d="path(shape.points, shape.closed)" :class="{ open: !shape.closed }" />
            <path
              v-if="shape.style === 'board' || shape.style === 'foot' || shape.style === 'slab'"
              :d="path(shape.points, shape.closed)"
              class="grain-fill"
            />
          </template>
          <template v-else-if="shape.kind === 'dimension'">
            <path class="open" :d="path([shape.from, shape.to], false)" />
            <path class="open" :d="ticks(shape.from, shape.to)" />
            <g v-if="tools && isSelected(shape) && shape.style.startsWith('reading')" class="tool-marks">
              <path
                class="hook"
                d="M0 -9V9"
                :transform="`translate(${at(shape.from).join(' ')}) scale(${scale}) rotate(${slant(shape.from, shape.to)})`"
              />
              <rect
                class="body"
                x="-18"
                y="-9"
                width="18"
                height="18"
                rx="4"
                :transform="`translate(${at(shape.to).join(' ')}) scale(${scale}) rotate(${slant(shape.from, shape.to)})`"
              />
            </g>
            <g
              v-if="shape.text && showsText(shape)"
              :transform="`translate(${told(shape).join(' ')}) scale(${scale})${isUpright(shape.from, shape.to) ? ' rotate(-90)' : ''}`"
            >
              <rect class="plate" v-bind="plate(shape.text)" />
              <DrawnText :text="shape.text" />
            </g>
          </template>
          <g
            v-else-if="fitting(shape) && showsText(shape)"
            :transform="`translate(${at(shape.at).join(' ')}) scale(${scale})${shape.turned ? ' rotate(-90)' : ''}`"
          >
            <rect class="plate" v-bind="plate(fitting(shape), shape.anchor)" />
            <DrawnText :text="fitting(shape)" :anchor="shape.anchor" />
          </g>
        </g>
      </g>
      <g v-if="cut" class="cut-line" @pointerdown="hold" @pointermove="drag">
        <rect :x="cut.at - 22 * scale" :y="box.y" :width="44 * scale" :height="box.height" class="grip" />
        <path :d="`M${cut.at} ${box.y}v${box.height}`" />
      </g>
    </svg>
    <button
      v-for="flag in placed"
      :key="flag.number"
      type="button"
      class="flag"
      :class="flag.severity"
      :style="flag.style"
      :aria-label="`${flag.number}: ${flag.label}`"
      :title="flag.label"
      @click="emit('flag', flag.number)"
    >
      {{ flag.number }}
    </button>
    <slot v-if="chosen" name="beside" :around="chosen" :width="width" :height="height" :free="free" />
  </figure>
</template>

<style scoped>
.drawing {
  position: relative;
  width: 100%;
  height: 100%;
  min-height: 0;
  margin: 0;
}
svg {
  display: block;
  width: 100%;
  height: 100%;
}
path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1px;
  stroke-linejoin: round;
  vector-effect: non-scaling-stroke;
}
g.house path {
  stroke-width: 2.4px;
}
g.house path:not(.open) {
  fill: var(--field);
}
g.plumb path {
  stroke: var(--soft);
  stroke-dasharray: 1 6;
  stroke-linecap: round;
}
g.board path:first-child,
g.foot path:first-child {
  fill: var(--birch-light);
  stroke-width: 1.4px;
}
g.slab path:first-child,
g.cut path:first-child {
  fill: var(--birch);
  stroke-width: 2px;
}
g.board-top path {
  fill: var(--birch-light);
}
g.board-side path {
  fill: var(--birch);
}
g.cell path {
  fill: transparent;
  stroke: none;
  cursor: pointer;
}
g.cell:hover path {
  stroke: var(--chalk);
  stroke-width: 1.4px;
  stroke-dasharray: 5 4;
}
g.cell.clashing path {
  stroke: var(--brick);
  stroke-width: 3px;
}
g.swing path {
  stroke: var(--soft);
  stroke-dasharray: 4 4;
}
g.board-behind path {
  fill: var(--birch);
  stroke: var(--birch-line);
  opacity: 0.75;
}
.grain-fill {
  fill: url(#grain);
  stroke: none;
}
.hatch {
  stroke: var(--birch-line);
  stroke-width: 0.6px;
  opacity: 0.35;
}
.hatch-gap {
  stroke: var(--chalk);
  stroke-width: 1.2px;
}
.hatch-waste {
  stroke: var(--line-strong);
  stroke-width: 0.6px;
  opacity: 0.6;
}
g.gap path {
  fill: url(#gap-fill);
  stroke: var(--chalk);
  stroke-width: 4px;
  stroke-opacity: 0.35;
}
g.gap.selected path {
  stroke-opacity: 0.9;
}
g.sheet path {
  stroke-width: 2px;
  fill: var(--field);
}
g.trimmed path,
g.offcut path {
  stroke: var(--line-strong);
  stroke-dasharray: 5 4;
}
g.offcut path {
  fill: url(#waste);
}
g.field path {
  fill: var(--field);
  stroke: none;
}
g.marked path {
  fill: none;
  stroke: var(--chalk);
  stroke-width: 1.4;
}
g.kept path {
  fill: url(#waste);
  stroke: var(--brick);
  stroke-width: 0.6px;
  fill-opacity: 0.7;
}
g.screw path {
  fill: var(--brick);
  stroke: var(--brick);
}
g.hidden path {
  stroke: var(--chalk);
  stroke-dasharray: 6 5;
}
g.thing path {
  fill: var(--chalk-wash);
  stroke: var(--chalk);
  stroke-width: 1.6px;
}
g.answer path {
  stroke: var(--chalk);
}
g.answer :deep(text) {
  fill: var(--chalk);
}
g.thing-distance path {
  stroke: var(--chalk);
  stroke-dasharray: 3 3;
}
g.thing-distance:not(.selected) {
  display: none;
}
/* A selected thing is named in its form; its two distances need the room. */
g.label.selected rect.plate,
g.label.selected :deep(text) {
  display: none;
}
g.suspect path {
  stroke: var(--ochre);
  stroke-dasharray: 7 4;
  stroke-width: 2.2px;
}
g.suspect :deep(text) {
  fill: var(--ochre);
}
.tool-marks .hook {
  stroke: var(--ink);
  stroke-width: 4px;
  stroke-dasharray: none;
}
.tool-marks .body {
  fill: var(--birch);
  stroke: var(--birch-line);
  stroke-width: 1.5px;
  vector-effect: non-scaling-stroke;
}
g.measure path,
g.reading path,
g.reading-quiet path {
  stroke: var(--soft);
}
.cut-line {
  cursor: ew-resize;
  touch-action: none;
}
.cut-line .grip {
  fill: transparent;
}
.cut-line path {
  stroke: var(--chalk);
  stroke-width: 3px;
  stroke-dasharray: 12 5 3 5;
}
g.grain path {
  stroke: var(--birch-line);
}
g.selected path {
  stroke: var(--chalk);
  stroke-width: 3px;
}
g.cell.selected path {
  stroke: var(--chalk);
  stroke-width: 3px;
  stroke-dasharray: none;
}
g.cell.selected.clashing path {
  stroke: var(--brick);
  stroke-width: 5px;
}
g.board.selected path:first-child {
  fill: var(--chalk-wash);
}
rect.plate {
  fill: var(--card);
  opacity: 0.86;
}
g.label :deep(text) {
  font-family: var(--sans);
}
g.selected :deep(text) {
  fill: var(--chalk);
}
.flag {
  position: absolute;
  width: 26px;
  height: 26px;
  padding: 0;
  border: 2px solid var(--card);
  border-radius: 50%;
  background: var(--soft);
  color: var(--card);
  font: 700 14px/1 var(--sans);
  transform: translate(-50%, -50%);
  cursor: pointer;
}
/* As large to a thumb as anything else. */
.flag::after {
  position: absolute;
  inset: -10px;
  content: '';
}
.flag.clash {
  background: var(--brick);
}
.flag.warning {
  background: var(--ochre);
}
.small path {
  stroke-width: 0.8px;
}
.small g.answer,
.small g.measure {
  display: none;
}
.small .house path {
  stroke-width: 1.6px;
}
.small .gap path {
  stroke-width: 1px;
}
</style>

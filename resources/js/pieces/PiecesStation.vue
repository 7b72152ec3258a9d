<script setup lang="ts">
import type { Piece } from '@/api/types'
import DrawingView from '@/drawing/DrawingView.vue'
import { useJob } from '@/job/store'
import WorkingButton from '@/job/WorkingButton.vue'
import MeasureText from '@/tape/MeasureText.vue'
import SelectButton from 'primevue/selectbutton'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import PieceDialog from './PieceDialog.vue'

const job = useJob()
const station = job.station('pieces')
const grouping = ref<'unit' | 'material'>('unit')
const groupings = [
  { value: 'unit', label: 'By unit' },
  { value: 'material', label: 'By material' },
]
const grains = { length: 'along', width: 'across', any: 'any way' }

interface Alike {
  first: Piece
  space: string
  marks: string[]
}
const open = ref<Alike | null>(null)

/** Pieces that can be exchanged for each other stand in one line. */
function alike(pieces: { piece: Piece; space: string }[]): Alike[] {
  const lines = new Map<string, Alike>()
  for (const { piece, space } of pieces) {
    const line = lines.get(piece.likeness)
    if (line) line.marks.push(piece.mark)
    else lines.set(piece.likeness, { first: piece, space, marks: [piece.mark] })
  }
  return [...lines.values()]
}

/** A piece that was pressed elsewhere lies open. */
const route = useRoute()
watch(
  [station, () => route.query.piece],
  ([now, asked], before) => {
    if (!now || typeof asked !== 'string' || (before[0] && before[1] === asked)) return
    for (const space of now.spaces) {
      const first = space.pieces.find((piece) => piece.key === asked)
      if (first) open.value = { first, space: space.id, marks: [first.mark] }
    }
  },
  { immediate: true },
)

const groups = computed(() => {
  const groups = new Map<string, { piece: Piece; space: string }[]>()
  for (const space of station.value?.spaces ?? []) {
    for (const piece of space.pieces) {
      const key =
        grouping.value === 'unit'
          ? `${space.name} · ${piece.unit}`
          : `${piece.material_name}, ${piece.thickness.text}`
      groups.set(key, [...(groups.get(key) ?? []), { piece, space: space.id }])
    }
  }
  return [...groups].map(([name, pieces]) => ({ name, lines: alike(pieces) }))
})
</script>

<template>
  <div v-if="station" class="pieces-station">
    <div class="head">
      <h1>Pieces</h1>
      <SelectButton
        v-model="grouping"
        :options="groupings"
        option-label="label"
        option-value="value"
        :allow-empty="false"
        aria-label="Grouped"
      />
      <p class="soft">Press a shape to mark the piece out by, and a size to see how it came about.</p>
    </div>
    <p v-if="groups.length === 0" class="card">
      There are no pieces yet: they come with the readings.
      <RouterLink :to="`/jobs/${job.job?.id}/measure`">Go on measuring</RouterLink>
    </p>
    <section v-for="group in groups" :key="group.name" class="card group">
      <h2>{{ group.name }}</h2>
      <table>
        <thead>
          <tr>
            <th scope="col">Shape</th>
            <th scope="col">Piece</th>
            <th scope="col" class="number">Length</th>
            <th scope="col" class="number">Width</th>
            <th scope="col" class="number">Thick</th>
            <th scope="col">Grain</th>
            <th scope="col">Edges and joints</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in group.lines" :key="line.first.key">
            <td class="shape">
              <button type="button" :aria-label="`${line.first.mark}, drawing`" @click="open = line">
                <DrawingView :drawing="line.first.drawing" small />
              </button>
            </td>
            <th scope="row">
              <strong
                >{{ line.marks.length > 1 ? `${line.marks.length} × ` : '' }}{{ line.first.name }}</strong
              >
              <span class="marks measure">{{ line.marks.join(', ') }}</span>
            </th>
            <td class="number">
              <WorkingButton :working="line.first.length" :label="`${line.first.mark}, length`" />
            </td>
            <td class="number">
              <WorkingButton :working="line.first.width" :label="`${line.first.mark}, width`" />
            </td>
            <td class="number"><MeasureText :text="line.first.thickness.text" /></td>
            <td>{{ grains[line.first.grain] }}</td>
            <td class="works">
              <span v-for="text in [...line.first.edges, ...line.first.joints]" :key="text">{{ text }}</span>
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <section v-if="station.hardware.length > 0" class="card group">
      <h2>Hardware</h2>
      <ul>
        <li v-for="item in station.hardware" :key="`${item.name} ${item.use} ${item.quantity}`">
          <span class="measure">{{ item.quantity }}</span> {{ item.name }}, {{ item.use }}
        </li>
      </ul>
    </section>
    <PieceDialog
      v-if="open"
      :space="open.space"
      :piece="open.first"
      :marks="open.marks"
      @close="open = null"
    />
  </div>
</template>

<style scoped>
.pieces-station {
  display: grid;
  gap: 14px;
  max-width: 1240px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 18px;
}
.head p {
  margin: 0;
}
.group {
  overflow-x: auto;
}
.group h2 {
  margin-bottom: 6px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 6px 12px 6px 0;
  border-bottom: 1px solid var(--line);
  text-align: left;
  vertical-align: middle;
}
tbody tr:last-child > * {
  border-bottom: 0;
}
thead th {
  color: var(--soft);
  font-weight: 400;
  font-size: 15px;
}
tbody th {
  font-weight: 400;
}
.marks {
  display: block;
  color: var(--soft);
  font-size: 14px;
  white-space: normal;
}
.number {
  text-align: right;
}
.number :deep(.measure) {
  font-weight: 600;
  font-size: 17px;
}
.shape :deep(.drawing) {
  width: 110px;
  height: 40px;
}
.shape button {
  padding: 4px;
  border: 1px solid transparent;
  border-radius: 6px;
  background: none;
  cursor: pointer;
}
.shape button:hover {
  border-color: var(--line-strong);
}
.works span {
  display: block;
  font-size: 14px;
}
ul {
  margin: 0;
  padding-left: 20px;
}
</style>

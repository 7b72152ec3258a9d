<script setup lang="ts">
import type { CutPiece, Cutting, Length } from '@/api/types'
import { useJob } from '@/job/store'
import LengthField from '@/tape/LengthField.vue'
import { readLength } from '@/tape/lengthReader'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import Select from 'primevue/select'
import { computed, ref, watch } from 'vue'
import AsCutAnswers from './AsCutAnswers.vue'
import type { useCutting } from './useCutting'

/**
 * Sizes of a piece as it was cut, what is to be said of them, and whether it was spoiled. Sheets by callipers, parts of the yard and what
 * remains of strips are measured too: the log learns from them.
 */
const props = defineProps<{ cutting: Cutting; saw: ReturnType<typeof useCutting>; first: string | null }>()
const visible = defineModel<boolean>('visible', { required: true })
const job = useJob()

const REASONS = ['wrong side of the line', 'guide slipped', 'split', 'upside down', 'wrong mark', 'other']
const part = ref<string | null>(null)
const why = ref(REASONS[0] ?? '')
const MOST = 3
const spoiling = ref(false)
const remains = ref([{ along: '', across: '' }])

/** Pieces that are cut: only they can be measured. */
const pieces = computed(() =>
  props.cutting.pieces.filter((piece) => piece.part && props.saw.cut.value.has(piece.part)),
)
type Size = 'length' | 'width' | 'thickness' | 'rest'
interface Measurable {
  part: string
  mark: string
  name: string
  length: Length
  width: Length
  sizes: Size[]
}
/** What is no piece, with the sizes of it that teach something. */
const others = computed((): Measurable[] => {
  const fromYard = new Set(
    props.cutting.steps
      .filter((step) => step.class === 'at the yard')
      .flatMap((step) => step.cuts.map((one) => one.id)),
  )
  const cutFrom = new Set(Object.values(props.cutting.parts).map((one) => one.from))
  return Object.entries(props.cutting.parts).flatMap(([id, one]): Measurable[] => {
    const part = { part: id, mark: one.mark, length: one.length, width: one.width }
    if (one.from === null) return [{ ...part, name: 'sheet, by callipers', sizes: ['thickness'] }]
    if (fromYard.has(id)) return [{ ...part, name: 'part from the yard', sizes: ['length', 'width'] }]
    return cutFrom.has(id) && one.piece === null
      ? [{ ...part, name: 'what remains of the strip', sizes: ['rest'] }]
      : []
  })
})
const groups = computed(() =>
  [
    { label: 'Pieces', items: pieces.value.map((one) => ({ part: one.part, mark: one.mark })) },
    {
      label: 'Sheets and parts',
      items: others.value.map((one) => ({ part: one.part, mark: `${one.mark}: ${one.name}` })),
    },
  ].filter((group) => group.items.length > 0),
)
watch(visible, (is) => {
  spoiling.value = false
  remains.value = [{ along: '', across: '' }]
  if (is)
    part.value =
      pieces.value.find((one) => one.part === props.first)?.part ??
      pieces.value.at(-1)?.part ??
      others.value[0]?.part ??
      null
})
const piece = computed(() => pieces.value.find((one) => one.part === part.value) ?? null)
const other = computed(() => others.value.find((one) => one.part === part.value) ?? null)
const NAMES = {
  length: 'Length as cut',
  width: 'Width as cut',
  thickness: 'Thickness',
  rest: 'What remains, along its cuts',
}
/** What was measured and has been judged: only then can it be asked what to do. */
const measuredText = computed(() =>
  (['length', 'width'] as const)
    .map((dimension) => props.saw.asCut(part.value ?? '', dimension))
    .map((fact) => (fact?.judged ? (fact.body?.text ?? '') : ''))
    .join(' ')
    .trim(),
)
const isSpoiled = computed(() => props.saw.spoiled.value.has(part.value))

async function measured(dimension: Size, text: string) {
  const release = props.saw.release.value
  const of = piece.value ?? other.value
  if (!release || !of?.part || text === '') return
  await job.note(of.mark, text, [
    { kind: 'as_cut', release: release.id, part: of.part, dimension, text, withdraws: [] },
  ])
}

/** What the server says; while it cannot be asked, whether the size lies between those that are good. */
function said(one: CutPiece, dimension: 'length' | 'width'): { state: string; sentence: string } | null {
  const fact = one.part ? props.saw.asCut(one.part, dimension) : null
  if (!fact) return null
  if (fact.judged) return fact.judged
  try {
    const nm = readLength(fact.body?.text ?? '', props.cutting.unit)
    const [least, most] = one.good[dimension]
    const is = nm < least ? 'too short' : nm > most ? 'too long' : 'good'
    const broken = one.uses[dimension].filter((use) => nm < use.least || nm > use.most)
    const sentences = [...new Set(broken.map((use) => use.sentence))].join(' ')
    return {
      state: is === 'good' && broken.length === 0 ? 'good' : 'short',
      sentence: `Kept: ${is}. ${sentences || 'What it touches is worked out when the network is back.'}`,
    }
  } catch {
    return { state: 'short', sentence: 'Kept as typed.' }
  }
}

/** The next rectangle is asked for when one is typed. */
function remain(i: number, of: 'along' | 'across', text: string) {
  remains.value = remains.value.map((one, k) => (k === i ? { ...one, [of]: text } : one))
  const last = remains.value.at(-1)
  if (last?.along && last.across && remains.value.length < MOST) remains.value.push({ along: '', across: '' })
}

async function spoil() {
  const release = props.saw.release.value
  if (!release || !piece.value?.part) return
  const whole = remains.value.filter((one) => one.along && one.across)
  await job.note(piece.value.mark, 'spoiled', [
    {
      kind: 'spoiled',
      release: release.id,
      part: piece.value.part,
      why: why.value,
      remains: whole,
      withdraws: [],
    },
  ])
}
</script>

<template>
  <Dialog v-model:visible="visible" modal header="As cut" :style="{ width: '440px' }">
    <p v-if="pieces.length === 0" class="soft">
      No piece is cut yet: tick its cut first. Sheets can be measured.
    </p>
    <template v-if="groups.length > 0">
      <div class="field">
        <label for="as-cut-piece">Piece</label>
        <Select
          id="as-cut-piece"
          v-model="part"
          :options="groups"
          option-group-label="label"
          option-group-children="items"
          option-value="part"
          option-label="mark"
          filter
        />
      </div>
      <template v-if="other">
        <p v-if="other.sizes.length > 1" class="soft">
          Planned: <span class="measure">{{ other.length.text }} × {{ other.width.text }}</span>
        </p>
        <LengthField
          v-for="dimension in other.sizes"
          :key="dimension + other.part"
          :label="NAMES[dimension]"
          :text="(saw.asCut(other.part, dimension)?.body?.text as string | undefined) ?? ''"
          :unit="cutting.unit"
          when-empty=""
          @change="measured(dimension, $event)"
        />
        <p class="soft">Kept for the log: what several of them teach stands in the workshop of the home.</p>
      </template>
      <template v-if="piece">
        <p class="soft">
          {{ piece.name }}, {{ piece.space }}. Planned:
          <span class="measure">{{ piece.length.text }} × {{ piece.width.text }}</span>
        </p>
        <template v-for="dimension in ['length', 'width'] as const" :key="dimension + piece.part">
          <LengthField
            :label="NAMES[dimension]"
            :text="saw.asCut(piece.part ?? '', dimension)?.body?.text ?? ''"
            :unit="cutting.unit"
            when-empty=""
            @change="measured(dimension, $event)"
          />
          <p v-if="said(piece, dimension)" :class="['said', said(piece, dimension)?.state]" role="status">
            {{ said(piece, dimension)?.sentence }}
          </p>
        </template>
        <AsCutAnswers
          v-if="!isSpoiled && piece.part"
          :part="piece.part"
          :mark="piece.mark"
          :measured="measuredText"
          :saw="saw"
          @done="visible = false"
        />
        <p v-if="isSpoiled" class="said short">
          Spoiled. Release again on Sheets: a new one is cut from what lies about first.
        </p>
        <div v-else-if="!spoiling" class="spoiled">
          <Button text severity="danger" label="It is spoiled…" @click="spoiling = true" />
        </div>
        <div v-else class="spoiled">
          <Select v-model="why" :options="REASONS" aria-label="Why it is spoiled" />
          <Button outlined severity="danger" label="It is spoiled" @click="spoil" />
          <p class="soft remains">
            What remains of it may become other pieces: type up to three rectangles, or nothing.
          </p>
          <template v-for="(one, i) in remains" :key="i">
            <LengthField
              :label="`Along the grain, ${i + 1}`"
              :text="one.along"
              :unit="cutting.unit"
              when-empty=""
              @change="remain(i, 'along', $event)"
            />
            <LengthField
              :label="`Across the grain, ${i + 1}`"
              :text="one.across"
              :unit="cutting.unit"
              when-empty=""
              @change="remain(i, 'across', $event)"
            />
          </template>
        </div>
      </template>
    </template>
  </Dialog>
</template>

<style scoped>
.said {
  margin: 2px 0 10px;
  font-weight: 600;
}
.good {
  color: var(--moss);
}
.long,
.short {
  color: var(--brick);
}
.remains {
  grid-column: 1 / -1;
  margin: 0;
}
.spoiled {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 10px;
  margin-top: 18px;
}
</style>

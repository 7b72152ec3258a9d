<script setup lang="ts">
import type { Edit, MeasureStation, ThingEntry } from '@/api/types'
import { useVocabulary } from '@/api/vocabulary'
import FindingCard from '@/job/FindingCard.vue'
import { useJob } from '@/job/store'
import LengthField from '@/tape/LengthField.vue'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import SelectButton from 'primevue/selectbutton'
import { computed, nextTick, ref } from 'vue'

/**
 * Things on walls, floor and ceiling. Each is placed by typing its two distances; the drawing shows which two are meant,
 * and draws what is typed.
 */
const props = defineProps<{ station: MeasureStation }>()
const open = defineModel<string | null>('open', { required: true })

const job = useJob()
const words = useVocabulary()
const panel = ref<HTMLElement | null>(null)
const adds = ref<string | null>(null)

const things = computed(() => job.space?.choices.things ?? [])
const unit = computed(() => job.job?.unit ?? 'mm')
const walls = computed(() =>
  props.station.shape.edges
    .map((edge, value) => ({ value, label: edge.label, kind: edge.kind }))
    .filter((edge) => edge.kind === 'wall'),
)
const kindOf = (thing: ThingEntry) => words.value.things.find((kind) => kind.value === thing.kind)
const faults = (id: string) =>
  props.station.findings.filter(
    (finding) => finding.place === `thing:${id}` && finding.severity === 'warning',
  )

/** Where a straightedge laid along its wall is read at a post. */
const BEHIND = [
  ['behind', 'foot'],
  ['behind_head', 'head'],
] as const

const faces = [
  { value: 'wall', label: 'wall' },
  { value: 'floor', label: 'floor' },
  { value: 'ceiling', label: 'ceiling' },
]

async function add(kind: string) {
  const known = words.value.things.find((entry) => entry.value === kind)
  adds.value = null
  if (!known) return
  const id = crypto.randomUUID()
  const mm = (metric: string, inch: string) => (unit.value === 'mm' ? metric : inch)
  const small = known.round || ['socket', 'switch', 'junction-box', 'valve'].includes(kind)
  const value = {
    kind,
    name: known.label,
    face: kind === 'hatch' ? 'ceiling' : ['pedestal', 'cylinder'].includes(kind) ? 'floor' : 'wall',
    wall: walls.value[0]?.value ?? 0,
    along: mm('200', '8'),
    along_from: 'left',
    up: mm('300', '12'),
    up_from: 'floor',
    width: kind === 'door' ? mm('760', '30') : small ? mm('80', '3 1/8') : mm('400', '16'),
    height: kind === 'door' ? mm('2000', '79') : small ? mm('80', '3 1/8') : mm('300', '12'),
    stands_out: '0',
    rule: known.rule,
    reach_from: known.rule === 'reachable' ? 'front' : null,
    hand_room: null,
    clearance: null,
    swing: null,
    direction: known.round ? 'up' : null,
    traced: null,
    offsets: null,
    carries: null,
    bears: null,
    behind: null,
    behind_head: null,
    fall: null,
    hot: false,
  }
  if (await job.edit('space', { path: `things.${id}`, value })) {
    open.value = id
    await nextTick()
    panel.value?.querySelector<HTMLInputElement>('.thing.now input')?.focus()
  }
}

const change = (thing: ThingEntry, name: string, value: unknown): Promise<boolean> =>
  job.edit('space', { path: `things.${thing.id}.${name}`, value } satisfies Edit)
const refused = (thing: ThingEntry, name: string) => job.refused[`things.${thing.id}.${name}`]

/** What of it furniture that is to stand here needs to know, and nobody took yet. */
const needs = (thing: ThingEntry) => {
  if (thing.kind === 'post' && props.station.asks.includes('posts') && !thing.behind)
    return 'needs its face behind a straightedge'
  if (thing.kind === 'pedestal' && props.station.asks.includes('rounds') && !thing.offsets)
    return 'needs three offsets round its foot'
  return null
}

const alongLabel = (thing: ThingEntry) =>
  thing.face === 'wall' ? 'From the side of the wall' : 'From the side of the back wall'
const upLabel = (thing: ThingEntry) => (thing.face === 'wall' ? 'Up or down' : 'Out from the back wall')
</script>

<template>
  <section ref="panel" class="things" aria-label="Things on walls">
    <p class="soft">
      What stands on a wall, runs through it or must stay free: type how far it is from a side and from the
      floor or the ceiling.
    </p>
    <Select
      v-model="adds"
      :options="words.things"
      option-label="label"
      option-value="value"
      placeholder="Add a thing …"
      aria-label="Add a thing"
      filter
      class="adds"
      @change="add($event.value)"
    />
    <p v-if="things.length === 0" class="card none">
      Nothing yet. Sockets, pipes, a window’s trim, a vent: each is one line here, and the furniture keeps to
      its rule.
    </p>
    <section v-if="station.asks.includes('walls')" class="card" aria-label="What walls are made of">
      <h2>What walls are made of</h2>
      <p class="soft">
        Something that is to stand here hangs on its wall: studs take screws, masonry takes plugs.
      </p>
      <div v-for="wall in walls" :key="wall.value" class="pair">
        <span :id="`made-${wall.value}`">{{ wall.label }}</span>
        <Select
          :model-value="station.walls.find((one) => one.wall === wall.value)?.made_of ?? null"
          :options="words.wall_kinds"
          placeholder="not told yet"
          show-clear
          option-label="label"
          option-value="value"
          :aria-labelledby="`made-${wall.value}`"
          @update:model-value="
            (value: string | null) =>
              job.edit('job', { path: `installing.walls.${job.space?.id}/${wall.value}`, value })
          "
        />
      </div>
    </section>
    <article v-for="thing in things" :key="thing.id" class="thing" :class="{ now: thing.id === open }">
      <button
        v-if="thing.id !== open"
        type="button"
        class="row"
        :class="{ fault: faults(thing.id).length > 0 }"
        @click="open = thing.id"
      >
        <span>{{ thing.name }}</span>
        <strong v-if="needs(thing)" class="needs">{{ needs(thing) }}</strong>
        <span v-else class="soft">{{ words.rules.find((rule) => rule.value === thing.rule)?.label }}</span>
      </button>
      <div v-else class="form">
        <FindingCard v-for="finding in faults(thing.id)" :key="finding.code" :finding="finding" />
        <p v-if="needs(thing)" class="caution">For what is to stand here it {{ needs(thing) }}.</p>
        <label class="pair">
          <span>Name</span>
          <InputText
            :model-value="thing.name"
            @change="change(thing, 'name', ($event.target as HTMLInputElement).value)"
          />
        </label>
        <p v-if="refused(thing, 'name')" class="refused">{{ refused(thing, 'name') }}</p>
        <div class="pair">
          <span :id="`face-${thing.id}`">It is on the</span>
          <SelectButton
            :model-value="thing.face"
            :options="faces"
            option-label="label"
            option-value="value"
            :allow-empty="false"
            :aria-labelledby="`face-${thing.id}`"
            @update:model-value="change(thing, 'face', $event)"
          />
        </div>
        <div v-if="thing.face === 'wall'" class="pair">
          <span>Wall</span>
          <Select
            :model-value="thing.wall"
            :options="walls"
            option-label="label"
            option-value="value"
            aria-label="Wall"
            @update:model-value="change(thing, 'wall', $event)"
          />
        </div>
        <div class="from">
          <LengthField
            :label="alongLabel(thing)"
            :text="thing.along.typed"
            :unit="unit"
            :refused="refused(thing, 'along')"
            @change="change(thing, 'along', $event)"
          />
          <SelectButton
            :model-value="thing.along_from"
            :options="['left', 'right']"
            :allow-empty="false"
            aria-label="Side it is measured from"
            @update:model-value="change(thing, 'along_from', $event)"
          />
        </div>
        <div class="from">
          <LengthField
            :label="upLabel(thing)"
            :text="thing.up.typed"
            :unit="unit"
            :refused="refused(thing, 'up')"
            @change="change(thing, 'up', $event)"
          />
          <SelectButton
            v-if="thing.face === 'wall'"
            :model-value="thing.up_from"
            :options="['floor', 'ceiling']"
            :allow-empty="false"
            aria-label="Measured from"
            @update:model-value="change(thing, 'up_from', $event)"
          />
        </div>
        <LengthField
          :label="kindOf(thing)?.round ? 'Diameter' : 'Width'"
          :text="thing.width.typed"
          :unit="unit"
          :refused="refused(thing, 'width')"
          @change="change(thing, 'width', $event)"
        />
        <LengthField
          :label="kindOf(thing)?.round ? 'Length seen' : thing.face === 'wall' ? 'Height' : 'Depth'"
          :text="thing.height.typed"
          :unit="unit"
          :refused="refused(thing, 'height')"
          @change="change(thing, 'height', $event)"
        />
        <LengthField
          label="Stands out by"
          :text="thing.stands_out.typed"
          :unit="unit"
          :refused="refused(thing, 'stands_out')"
          @change="change(thing, 'stands_out', $event)"
        />
        <label v-if="kindOf(thing)?.cut_around" class="traced">
          <span>Traced section</span>
          <InputText
            class="measure"
            :model-value="thing.traced?.typed ?? ''"
            :placeholder="kindOf(thing)?.round ? 'round' : 'straight sides'"
            :invalid="refused(thing, 'traced') !== undefined"
            @change="change(thing, 'traced', ($event.target as HTMLInputElement).value)"
          />
          <span class="soft"
            >Where it is neither round nor straight: its corners from its own lower left, such as
            0&nbsp;x&nbsp;0; 60&nbsp;x&nbsp;0; 60&nbsp;x&nbsp;50, or the word oval. Pieces are cut to
            it.</span
          >
          <span v-if="refused(thing, 'traced')" class="refused">{{ refused(thing, 'traced') }}</span>
        </label>
        <label v-if="kindOf(thing)?.round && thing.face === 'floor'" class="traced">
          <span>Offsets round it</span>
          <InputText
            class="measure"
            aria-label="Offsets round it"
            :model-value="thing.offsets?.typed ?? ''"
            placeholder="by its diameter"
            :invalid="refused(thing, 'offsets') !== undefined"
            @change="change(thing, 'offsets', ($event.target as HTMLInputElement).value || null)"
          />
          <span class="soft"
            >Lay a straightedge before it, parallel to the wall. Type how far out it lies, then for three or
            more stations how far along and how far in to the round: 400; 328&nbsp;x&nbsp;181;
            418&nbsp;x&nbsp;129.5; 508&nbsp;x&nbsp;179. Take the outer stations far round.</span
          >
          <span v-if="refused(thing, 'offsets')" class="refused">{{ refused(thing, 'offsets') }}</span>
        </label>
        <div v-if="kindOf(thing)?.round && thing.face === 'wall'" class="pair">
          <span :id="`dir-${thing.id}`">It runs</span>
          <SelectButton
            :model-value="thing.direction"
            :options="['up', 'along', 'out']"
            :aria-labelledby="`dir-${thing.id}`"
            @update:model-value="change(thing, 'direction', $event)"
          />
        </div>
        <div v-if="thing.kind === 'pipe'" class="pair">
          <span :id="`carries-${thing.id}`">It carries</span>
          <Select
            :model-value="thing.carries ?? null"
            :options="words.carries"
            placeholder="nobody knows"
            show-clear
            option-label="label"
            option-value="value"
            :aria-labelledby="`carries-${thing.id}`"
            @update:model-value="change(thing, 'carries', $event)"
          />
        </div>
        <LengthField
          v-if="thing.carries === 'waste' && thing.direction === 'along'"
          label="One end lies lower by"
          :text="thing.fall?.typed ?? ''"
          when-empty="not taken yet"
          :unit="unit"
          :refused="refused(thing, 'fall')"
          @change="change(thing, 'fall', $event || null)"
        />
        <template v-if="thing.kind === 'post' && station.asks.includes('posts')">
          <div class="pair">
            <span :id="`bears-${thing.id}`">Somebody who knows says it</span>
            <Select
              :model-value="thing.bears ?? null"
              :options="words.bears"
              placeholder="nobody looked"
              show-clear
              option-label="label"
              option-value="value"
              :aria-labelledby="`bears-${thing.id}`"
              @update:model-value="change(thing, 'bears', $event)"
            />
          </div>
          <LengthField
            v-for="[name, at] in BEHIND"
            :key="name"
            :label="`Its face behind a straightedge, at its ${at}`"
            :text="thing[name]?.typed ?? ''"
            :when-empty="name === 'behind' ? 'not taken yet' : 'as at its foot'"
            :unit="unit"
            :refused="refused(thing, name)"
            @change="change(thing, name, $event || null)"
          />
        </template>
        <div v-if="kindOf(thing)?.may_be_hot && !thing.carries" class="pair">
          <span :id="`hot-${thing.id}`">It is</span>
          <SelectButton
            :model-value="thing.hot"
            :options="[
              { label: 'cold', value: false },
              { label: 'hot', value: true },
            ]"
            option-label="label"
            option-value="value"
            :allow-empty="false"
            :aria-labelledby="`hot-${thing.id}`"
            @update:model-value="change(thing, 'hot', $event)"
          />
        </div>
        <div v-if="thing.kind === 'door'" class="pair">
          <span :id="`swing-${thing.id}`">Hinges</span>
          <SelectButton
            :model-value="thing.swing"
            :options="['left', 'right', 'slides']"
            :aria-labelledby="`swing-${thing.id}`"
            @update:model-value="change(thing, 'swing', $event)"
          />
        </div>
        <div class="pair">
          <span>Rule</span>
          <Select
            :model-value="thing.rule"
            :options="words.rules"
            option-label="label"
            option-value="value"
            aria-label="Rule"
            @update:model-value="change(thing, 'rule', $event)"
          />
        </div>
        <div v-if="thing.rule === 'reachable'" class="pair">
          <span>Reached from</span>
          <Select
            :model-value="thing.reach_from"
            :options="['front', 'above', 'side', 'inside']"
            aria-label="Reached from"
            @update:model-value="change(thing, 'reach_from', $event)"
          />
        </div>
        <LengthField
          v-if="thing.rule === 'reachable'"
          label="Room a hand needs"
          :text="thing.hand_room?.typed ?? ''"
          when-empty="as usual"
          :unit="unit"
          :refused="refused(thing, 'hand_room')"
          @change="change(thing, 'hand_room', $event)"
        />
        <LengthField
          v-if="thing.rule === 'clearance'"
          label="Clearance kept"
          :text="thing.clearance?.typed ?? ''"
          when-empty="as usual"
          :unit="unit"
          :refused="refused(thing, 'clearance')"
          @change="change(thing, 'clearance', $event)"
        />
        <p v-if="kindOf(thing)?.caution" class="caution">{{ kindOf(thing)?.caution }}</p>
        <div class="buttons">
          <Button
            text
            severity="secondary"
            label="Remove"
            @click="job.edit('space', { path: `things.${thing.id}`, value: null })"
          />
          <Button label="Done" @click="open = null" />
        </div>
      </div>
    </article>
  </section>
</template>

<style scoped>
.things {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 6px;
  align-content: start;
  padding-top: 6px;
}
.adds {
  width: 100%;
}
.none {
  margin: 0;
}
.row {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  width: 100%;
  min-height: 44px;
  padding: 6px 10px;
  border: 0;
  border-bottom: 1px solid var(--line);
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.row.fault {
  background: var(--ochre-wash);
}
.form {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  padding: 12px 14px;
  border: 2px solid var(--chalk);
  border-radius: 12px;
  background: var(--card);
}
.card .pair {
  margin-top: 8px;
}
.pair {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr);
  gap: 10px;
  align-items: center;
}
.traced {
  display: grid;
  gap: 4px;
}
.from {
  display: grid;
  gap: 2px;
}
.from > :last-child:not(:first-child) {
  justify-self: end;
}
.needs {
  font-size: 14px;
  text-align: right;
}
.caution {
  margin: 4px 0 0;
  padding: 8px 12px;
  border-left: 4px solid var(--ochre);
  background: var(--ochre-wash);
}
.buttons {
  display: flex;
  justify-content: flex-end;
  gap: 8px;
}
</style>

<script setup lang="ts">
import type { Edge } from '@/api/types'
import WorkingTable from '@/job/WorkingTable.vue'
import DrawingView from '@/drawing/DrawingView.vue'
import { useJob } from '@/job/store'
import MeasureText from '@/tape/MeasureText.vue'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import Select from 'primevue/select'
import { computed, ref } from 'vue'

/** Each edge of the run: its gap, how it is closed and why, and its scribe line. */
const props = defineProps<{ edges: Edge[] }>()
const selected = defineModel<string | undefined>('selected')
const job = useJob()
const opened = ref<string | null>(null)
const scribed = computed(() => props.edges.find((edge) => edge.edge === opened.value) ?? null)

const choices = (edge: Edge) => [
  { value: 'auto', label: edge.wish ? 'by the table' : `table: ${edge.closing_label}` },
  ...edge.choices,
]

const choose = (edge: Edge, value: string) =>
  job.edit('space', { path: `layout.closings.${edge.edge}`, value: value === 'auto' ? null : value })

/** Puts the stations that would make a template sure into the tape book. */
const ask = (edge: Edge) => {
  const at = edge.offsets
  if (!at) return
  const empty = { from: null, to: null, along: null, height: null, depth: null, plane: 0 }
  const reading = at.depth
    ? {
        ...empty,
        kind: 'fall',
        wall: at.wall,
        along: at.along.text,
        height: at.height.text,
        depth: at.depth.text,
        level: false,
      }
    : {
        ...empty,
        kind: 'offset',
        wall: at.wall,
        along: at.level ? null : at.along.text,
        height: at.level ? at.height.text : null,
        level: at.level,
      }
  void job.edit('space', { path: `extras.x-${crypto.randomUUID()}`, value: reading })
}
</script>

<template>
  <section class="ledger">
    <table class="edges">
      <thead>
        <tr>
          <th scope="col">Edge</th>
          <th scope="col">Gap</th>
          <th scope="col">Closed with</th>
          <th scope="col">Because</th>
          <th scope="col"><span class="visually-hidden">Scribe line</span></th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="edge in edges"
          :key="edge.edge"
          :class="{ selected: selected === edge.edge }"
          @click="selected = edge.edge"
        >
          <th scope="row">{{ edge.label }}</th>
          <td><MeasureText :text="edge.gap" /></td>
          <td>
            <Select
              v-if="edge.chosen"
              size="small"
              :model-value="edge.wish ?? 'auto'"
              :options="choices(edge)"
              option-label="label"
              option-value="value"
              :aria-label="`${edge.label}: closed with`"
              @update:model-value="choose(edge, $event)"
            />
            <span v-else>{{ edge.closing_label }}</span>
          </td>
          <td class="reason">{{ edge.reason }}</td>
          <td>
            <Button
              v-if="edge.offsets"
              text
              size="small"
              label="Ask for offsets"
              :aria-label="`Ask for offsets: ${edge.label}`"
              title="Adds the stations of a straightedge to the tape book: they make the template sure"
              @click.stop="ask(edge)"
            />
            <Button
              v-if="edge.scribe"
              text
              size="small"
              label="Scribe line"
              :aria-label="`Scribe line: ${edge.label}`"
              @click.stop="opened = edge.edge"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <Dialog
      :visible="scribed !== null"
      modal
      :header="scribed?.label"
      :style="{ width: 'min(760px, 96vw)' }"
      @update:visible="opened = null"
    >
      <template v-if="scribed?.scribe">
        <p>
          To <em>scribe</em> is to cut an edge along the wall’s own line. The piece is held plumb and level
          against the wall, and a compass held level carries the wall’s line onto it.
        </p>
        <DrawingView class="line" :drawing="scribed.scribe.drawing" :exaggeration="scribed.scribe.times" />
        <p class="soft">
          Below the piece, above the wall; across the edge drawn ×{{ scribed.scribe.times }}. The hatched
          strip is cut away.
        </p>
        <dl>
          <dt>Set the compass to</dt>
          <dd><MeasureText :text="scribed.scribe.setting.text" /></dd>
          <dt>Deepest cut</dt>
          <dd><MeasureText :text="scribed.scribe.deepest.text" /></dd>
          <dt>Shallowest cut</dt>
          <dd><MeasureText :text="scribed.scribe.shallowest.text" /></dd>
          <dt>The line is known to about</dt>
          <dd><MeasureText :text="scribed.scribe.doubt.text" /></dd>
        </dl>
        <p v-if="scribed.scribe.taper">The line is straight: one taper cut.</p>
        <p v-if="scribed.scribe.by_rule">
          These stations were taken by rule: cut to them, a gap of up to
          <MeasureText :text="scribed.scribe.may_remain.text" /> may remain.
        </p>
        <p v-else>
          These stations come from tape readings, so a gap of up to
          <MeasureText :text="scribed.scribe.may_remain.text" /> may remain where they are cut to by number.
          Offsets by rule, or scribing in place, bring it under half of that.
        </p>
        <WorkingTable :working="scribed.scribe.overhang" caption="Overhang of the blank" />
        <table class="stations">
          <thead>
            <tr>
              <th scope="col">Along the edge</th>
              <th scope="col">Gap</th>
              <th scope="col">Cut away</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="at in scribed.scribe.stations" :key="at.at.nm">
              <td><MeasureText :text="at.at.text" /></td>
              <td><MeasureText :text="at.gap.text" /></td>
              <td><MeasureText :text="at.cut.text" /></td>
            </tr>
          </tbody>
        </table>
      </template>
    </Dialog>
  </section>
</template>

<style scoped>
.ledger {
  padding: 4px 16px;
}
.edges {
  width: 100%;
}
.edges thead {
  position: absolute;
  overflow: hidden;
  width: 1px;
  height: 1px;
  clip-path: inset(50%);
}
/* A line of its own for each edge, and under it how it is closed and why. */
.edges tr {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 2px 12px;
  padding: 10px 0;
  border-bottom: 1px solid var(--line);
  cursor: pointer;
}
.edges tr:last-child {
  border-bottom: 0;
}
.edges th {
  font-weight: 600;
  text-align: left;
}
.edges th,
.edges td {
  padding: 0;
}
.edges td:nth-of-type(n + 2) {
  grid-column: 1 / -1;
}
.edges :deep(.p-select) {
  width: 100%;
}
.edges :deep(.p-button) {
  padding: 4px 8px;
}
.edges .selected {
  margin: 0 -16px;
  padding: 10px 16px;
  background: var(--chalk-wash);
}
.reason {
  color: var(--soft);
  font-size: 15px;
  line-height: 1.3;
}
dl {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 4px 12px;
}
dd {
  margin: 0;
  font-weight: 600;
  text-align: right;
}
.line {
  height: 240px;
}
.stations {
  width: 100%;
  margin-top: 16px;
  border-collapse: collapse;
}
.stations th,
.stations td {
  padding: 4px 12px 4px 0;
  border-bottom: 1px solid var(--line);
  text-align: left;
}
</style>

<script setup lang="ts">
import type { Edge } from '@/api/types'
import { useJob } from '@/job/store'
import MeasureText from '@/tape/MeasureText.vue'
import TradeText from '@/words/TradeText.vue'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import Select from 'primevue/select'
import { computed, ref } from 'vue'
import ScribeLine from './ScribeLine.vue'

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
          </td>
          <td class="reason"><TradeText :text="`${edge.closing_label}: ${edge.reason}`" /></td>
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
              v-if="edge.scribed"
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
      <ScribeLine v-if="scribed" :edge="scribed.edge" />
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
</style>

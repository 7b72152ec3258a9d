<script setup lang="ts">
import { useJob } from '@/job/store'
import { refDebounced } from '@vueuse/core'
import Dialog from 'primevue/dialog'
import { computed, ref, watch } from 'vue'
import UnitTile from './UnitTile.vue'
import { useUnits } from './useUnits'

/** Which unit stands in a cell or before it, chosen from pictures: a few beside it, and all of them behind “more”. */
const props = defineProps<{
  label: string
  name: string
  kind: string
  families: string[]
  list: 'tiers' | 'fronts'
  tier: string
  /** What it is called where none stands, if that may be. */
  nothing?: string
}>()
const emit = defineEmits<{ change: [kind: string] }>()
const job = useJob()
const { of } = useUnits()

/** Pictures in the row, before the one that opens all. */
const ROW = 3
const all = computed(() => [
  ...(props.nothing ? [{ kind: 'nothing', label: props.nothing, group: 'Open', hint: '' }] : []),
  ...of(...props.families),
])
const row = computed(() => {
  const first = all.value.slice(0, ROW)
  const now = all.value.find((one) => one.kind === props.kind)
  return !now || first.includes(now) ? first : [...first.slice(0, ROW - 1), now]
})
const groups = computed(() => [...new Set(all.value.map((one) => one.group))])
const hint = computed(() => all.value.find((one) => one.kind === props.kind)?.hint)
const open = ref(false)

/** Pictures are worked out one after the other, those at hand first; what is edited meanwhile goes before them. */
const worked = ref(new Set<string>())
const state = computed(() => [job.space?.version, job.job?.version, props.tier].join(' '))
const rested = refDebounced(state, 600)
watch(state, () => (worked.value = new Set()))
const order = computed(() => [
  ...row.value,
  ...(open.value ? all.value.filter((one) => !row.value.includes(one)) : []),
])
const next = computed(() => order.value.find((one) => !worked.value.has(one.kind))?.kind)
const isTurn = (kind: string) =>
  rested.value === state.value && (worked.value.has(kind) || next.value === kind)
const done = (kind: string) => (worked.value = new Set(worked.value).add(kind))

const tile = ({ kind, label }: { kind: string; label: string }) => ({
  kind,
  label,
  list: props.list,
  tier: props.tier,
  chosen: kind === props.kind,
  turn: () => isTurn(kind),
})

function choose(kind: string): void {
  open.value = false
  if (kind !== props.kind) emit('change', kind)
}
</script>

<template>
  <div>
    <h3 class="label">{{ label }}</h3>
    <div class="row" role="radiogroup" :aria-label="name">
      <UnitTile
        v-for="one in row"
        :key="`${tier} ${one.kind}`"
        v-bind="tile(one)"
        @choose="choose(one.kind)"
        @worked="done(one.kind)"
      />
      <button
        v-if="all.length > row.length"
        type="button"
        class="more"
        aria-haspopup="dialog"
        :aria-label="`More for: ${name}`"
        @click="open = true"
      >
        more …
      </button>
    </div>
    <p v-if="hint" class="soft hint">{{ hint }}</p>
    <Dialog v-model:visible="open" modal :header="name" :style="{ width: 'min(980px, 96vw)' }">
      <p class="soft">Each is drawn in this very cell, as it would be made here.</p>
      <section v-for="group in groups" :key="group">
        <h3>{{ group }}</h3>
        <div class="all" role="radiogroup" :aria-label="group">
          <UnitTile
            v-for="one in all.filter((other) => other.group === group)"
            :key="`${tier} ${one.kind}`"
            told
            v-bind="tile(one)"
            @choose="choose(one.kind)"
            @worked="done(one.kind)"
          />
        </div>
      </section>
    </Dialog>
  </div>
</template>

<style scoped>
.label {
  margin: 10px 0 6px;
  font-size: 15px;
}
.row {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 6px;
}
.more {
  border: 1.5px dashed var(--line-strong);
  border-radius: 10px;
  background: none;
  color: var(--ink);
  font: inherit;
  font-size: 14px;
  cursor: pointer;
}
.all {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 12px;
}
.hint {
  margin: 4px 0;
  font-size: 14px;
}
</style>

<script setup lang="ts">
import { api } from '@/api/client'
import type { CellSketch } from '@/api/types'
import DrawingView from '@/drawing/DrawingView.vue'
import { useJob } from '@/job/store'
import { useQuery } from '@tanstack/vue-query'
import { computed, watch } from 'vue'

/** One unit drawn in the very cell in which it would stand, worked out, with its verdict. */
const props = defineProps<{
  label: string
  kind: string
  list: 'tiers' | 'fronts'
  tier: string
  chosen: boolean
  /** Whether it is its turn to be worked out: asked anew at every change, before anything is sent. */
  turn: () => boolean
  /** Its verdict in words, too. */
  told?: boolean
}>()
const emit = defineEmits<{ choose: []; worked: [] }>()
const job = useJob()
const { data: sketch, isFetching } = useQuery({
  queryKey: computed(() => [
    'sketch',
    job.space?.id,
    job.space?.version,
    job.job?.version,
    props.tier,
    props.list,
    props.kind,
  ]),
  queryFn: ({ signal }) =>
    api<CellSketch>(
      'GET',
      `/api/spaces/${job.space?.id}/cells/${props.tier}/sketch?${new URLSearchParams({ list: props.list, kind: props.kind })}`,
      undefined,
      signal,
    ),
  enabled: computed(() => props.turn()),
  staleTime: Infinity,
  shallow: true,
})
watch(
  [sketch, isFetching],
  () => {
    if (sketch.value && !isFetching.value) emit('worked')
  },
  { immediate: true },
)
</script>

<template>
  <button
    type="button"
    role="radio"
    class="tile"
    :class="[{ chosen, told }, sketch?.verdict.state]"
    :aria-checked="chosen"
    :aria-label="label"
    :title="sketch?.verdict.sentence ?? ''"
    @click="emit('choose')"
  >
    <span class="picture">
      <DrawingView v-if="sketch?.drawing" :drawing="sketch.drawing" :part="sketch.part" small />
      <span v-else-if="sketch" aria-hidden="true">✕</span>
      <span v-else class="wait" aria-hidden="true"></span>
    </span>
    <span class="name">{{ label }}</span>
    <span v-if="told" class="sentence">{{ sketch?.verdict.sentence ?? 'being worked out …' }}</span>
  </button>
</template>

<style scoped>
.tile {
  display: flex;
  flex-direction: column;
  gap: 4px;
  align-items: stretch;
  min-width: 0;
  padding: 6px 4px;
  border: 1.5px solid var(--line-strong);
  border-radius: 10px;
  background: var(--field);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
.tile:hover {
  border-color: var(--chalk);
}
.chosen {
  border-width: 2.5px;
  border-color: var(--chalk);
  background: var(--chalk-wash);
  font-weight: 600;
}
.picture {
  display: grid;
  place-items: center;
  height: 56px;
  color: var(--brick);
  pointer-events: none;
}
.wait {
  width: 60%;
  height: 70%;
  border: 1.5px dashed var(--line-strong);
  border-radius: 4px;
}
.name {
  font-size: 14px;
  line-height: 1.2;
  text-align: center;
}
.clash .name {
  color: var(--brick);
}
.told {
  padding: 10px;
}
.told .picture {
  height: 150px;
}
.told .name {
  font-size: 16px;
  text-align: left;
}
.sentence {
  color: var(--soft);
  font-weight: 400;
  font-size: 14px;
  line-height: 1.3;
  text-align: left;
}
.clash .sentence {
  color: var(--brick);
}
.warning .sentence {
  color: var(--ochre);
}
.fits .sentence {
  color: var(--moss);
}
</style>

<script setup lang="ts">
import { api, Refused } from '@/api/client'
import type { Finding } from '@/api/types'
import TradeText from '@/words/TradeText.vue'
import { told } from '@/words/words'
import Button from 'primevue/button'
import { computed, ref, watch } from 'vue'
import { useJob } from './store'

/** A finding where it stands, with its ways out (bare: those alone, under a line that says it); those of a clash in a large layout are looked for when asked. */
const props = defineProps<{ finding: Finding; bare?: boolean }>()
const job = useJob()
const found = ref<Finding | null>(null)
const looking = ref(false)
watch(
  () => props.finding,
  () => (found.value = null),
)
/** The sentence stands in the line above, which is a button itself. */
const words = computed(() =>
  told(props.finding.sentence)
    .flatMap((part) => (part.word ? [part.text] : []))
    .join(', '),
)
const ways = computed(() => (props.finding.ways_out.length > 0 ? props.finding : found.value)?.ways_out ?? [])

async function look(): Promise<void> {
  looking.value = true
  try {
    found.value = await api<Finding>(
      'GET',
      `/api/spaces/${job.space?.id}/ways-out?${new URLSearchParams({ code: props.finding.code, place: props.finding.place })}`,
    )
  } catch (error) {
    if (!(error instanceof Refused)) throw error
  } finally {
    looking.value = false
  }
}
</script>

<template>
  <article :class="bare ? 'bare' : ['finding', finding.severity]">
    <p v-if="bare && words" class="soft">In pictures: <TradeText :text="words" /></p>
    <p v-if="!bare"><TradeText :text="finding.sentence" /></p>
    <div v-if="ways.length > 0" class="ways">
      <Button v-for="way in ways" :key="way.label" :label="way.label" @click="job.edit(way.of, way.edit)" />
    </div>
    <Button
      v-if="finding.severity === 'clash' && ways.length === 0 && !found"
      severity="secondary"
      label="Look for ways out"
      :loading="looking"
      @click="look"
    />
    <p v-else-if="found && ways.length === 0" class="soft">
      No single change solves this. Divide the run otherwise, or move what is in the way.
    </p>
  </article>
</template>

<style scoped>
.bare {
  padding: 0 10px 10px 38px;
}
.bare:not(:has(button, p)) {
  padding: 0;
}
.bare .ways {
  margin-top: 0;
}
.finding {
  padding: 10px 14px;
  border-left: 4px solid var(--line-strong);
  border-radius: 4px;
}
.finding p {
  margin: 0;
}
.finding p + button,
.ways {
  margin-top: 8px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.clash {
  border-color: var(--brick);
  background: var(--brick-wash);
}
.warning {
  border-color: var(--ochre);
  background: var(--ochre-wash);
}
.note {
  padding: 4px 14px;
  color: var(--soft);
}
</style>

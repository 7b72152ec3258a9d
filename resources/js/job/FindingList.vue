<script setup lang="ts">
import type { Finding } from '@/api/types'
import { computed, ref, watch } from 'vue'
import FindingCard from './FindingCard.vue'
import { orderly } from './findings'

/** Findings, one line each, the most serious first and each once; a press opens one with its ways out. `opened` is its number. */
const props = defineProps<{
  findings: Finding[]
  label: string
  /** The list that is numbered on the drawing: each has its number there. */
  among?: Finding[]
}>()
const opened = defineModel<number | null>('opened', { default: null })

/** So many lines stand there before the rest is asked for. */
const MOST = 4
const all = ref(false)

const lines = computed(() => orderly(props.findings))
/** What is open stays open while it is there, wherever in the list it comes to stand. */
watch(lines, (now, before) => {
  const sentence = opened.value === null ? undefined : before[opened.value - 1]?.sentence
  if (sentence === undefined) return
  const at = now.findIndex((finding) => finding.sentence === sentence)
  opened.value = at < 0 ? null : at + 1
})
const shown = computed(() =>
  all.value || lines.value.length <= MOST + 1 || (opened.value ?? 0) > MOST
    ? lines.value
    : lines.value.slice(0, MOST),
)
const numbers = computed(() => orderly(props.among ?? []).map((finding) => finding.sentence))
const number = (finding: Finding) => numbers.value.indexOf(finding.sentence) + 1
const key = (finding: Finding) => `${finding.code} ${finding.place}`

const signs: Record<string, string> = { clash: '✕', warning: '!', note: '·' }
const words: Record<string, string> = { clash: 'Clash', warning: 'Warning', note: 'Note' }
</script>

<template>
  <ul v-if="lines.length > 0" class="findings" :aria-label="label">
    <li v-for="(finding, i) in shown" :key="key(finding)" class="finding" :class="finding.severity">
      <button
        type="button"
        class="line"
        :aria-expanded="opened === i + 1"
        @click="opened = opened === i + 1 ? null : i + 1"
      >
        <span class="sign" :class="{ number: among }" role="img" :aria-label="words[finding.severity]">{{
          among ? number(finding) : signs[finding.severity]
        }}</span>
        <span class="sentence">{{ finding.sentence }}</span>
      </button>
      <FindingCard v-if="opened === i + 1" :finding="finding" bare />
    </li>
    <li v-if="shown.length < lines.length">
      <button type="button" class="line more" @click="all = true">
        {{ lines.length - shown.length }} more …
      </button>
    </li>
  </ul>
</template>

<style scoped>
.findings {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 2px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.finding {
  border-radius: 8px;
}
.line {
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr);
  gap: 6px;
  align-items: baseline;
  width: 100%;
  min-height: 40px;
  padding: 8px 10px;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.sign {
  font-weight: 700;
  text-align: center;
}
.number {
  width: 22px;
  border-radius: 50%;
  color: var(--card);
  font-size: 14px;
  line-height: 22px;
}
.clash .number {
  background: var(--brick);
}
.warning .number {
  background: var(--ochre);
}
.sentence {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.line[aria-expanded='true'] .sentence {
  white-space: normal;
}
.clash {
  background: var(--brick-wash);
}
.clash .sign:not(.number) {
  color: var(--brick);
}
.warning {
  background: var(--ochre-wash);
}
.warning .sign:not(.number) {
  color: var(--ochre);
}
.note {
  color: var(--soft);
}
.more {
  grid-template-columns: minmax(0, 1fr);
  padding-left: 38px;
  color: var(--soft);
}
</style>

<script setup lang="ts">
import type { Cutting, SawStep } from '@/api/types'
import MeasureText from '@/tape/MeasureText.vue'
import { nextTick, ref, watch } from 'vue'

/** What comes: all steps in order with what is done of each; a change of tool is a heading. */
const props = defineProps<{ cutting: Cutting; shown: number; left: (step: SawStep) => unknown[] }>()
const emit = defineEmits<{ look: [step: number] }>()

const list = ref<HTMLElement | null>(null)
/** The step at hand stays in sight. */
watch(
  [list, () => props.shown],
  async () => {
    await nextTick()
    list.value?.querySelector('.shown')?.scrollIntoView({ block: 'nearest' })
  },
  { flush: 'post' },
)
</script>

<template>
  <ol ref="list" class="steps">
    <template v-for="(step, i) in cutting.steps" :key="step.id">
      <li v-if="cutting.steps[i - 1]?.tool !== step.tool" class="tool">{{ step.tool }}</li>
      <li>
        <button
          type="button"
          :class="{ shown: i === shown, done: left(step).length === 0 }"
          :aria-current="i === shown ? 'step' : undefined"
          @click="emit('look', i)"
        >
          <span class="what"
            >{{ step.class }} <span class="soft">{{ step.sheets.join(', ') }}</span></span
          >
          <MeasureText :text="step.number.text" />
          <span class="count">{{ step.cuts.length - left(step).length }}/{{ step.cuts.length }}</span>
        </button>
      </li>
    </template>
  </ol>
</template>

<style scoped>
.steps {
  margin: 0;
  padding: 0;
  list-style: none;
}
.tool {
  padding: 12px 10px 4px;
  font-weight: 600;
  text-transform: capitalize;
}
button {
  display: grid;
  grid-template-columns: 1fr auto 48px;
  gap: 10px;
  align-items: baseline;
  width: 100%;
  min-height: 44px;
  padding: 8px 10px;
  border: 0;
  border-radius: 8px;
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
button.shown {
  background: var(--chalk-wash);
}
.done {
  color: var(--moss);
}
.done .what {
  text-decoration: line-through;
}
.count {
  font-variant-numeric: tabular-nums;
  text-align: right;
}
</style>

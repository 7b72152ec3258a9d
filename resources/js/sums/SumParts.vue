<script setup lang="ts">
import DrawingView from '@/drawing/DrawingView.vue'
import ParameterField from '@/fit/ParameterField.vue'
import WorkingTable from '@/job/WorkingTable.vue'
import { inSum } from '@/tape/inSum'
import MeasureText from '@/tape/MeasureText.vue'
import Button from 'primevue/button'
import { provide, ref, toRef, watch } from 'vue'
import { useJob } from '@/job/store'
import { inWords } from './lastAnswers'
import { useSum } from './useSum'

/** One sum: fields in the order of measuring, the drawing that carries the answer, and how it came about. */
const props = defineProps<{
  name: string
  measure: string
  /** Whether a field waits for one of the answers. */
  isAsked?: boolean
}>()
const typed = defineModel<Record<string, string>>({ required: true })
const emit = defineEmits<{ use: [length: string] }>()
provide(inSum, true)
const { sum, rows, unit, value, answer, card, isFaded, isExample, faults, trouble } = useSum(
  toRef(props, 'name'),
  typed,
  toRef(props, 'measure'),
)

/** The job that was open last: its log may keep what was worked out. */
const job = useJob()
const kept = ref(false)
watch(answer, () => (kept.value = false))
async function keep() {
  if (!sum.value || !answer.value) return
  const given = Object.values(typed.value).join(', ')
  const words = `${sum.value.label} (${given}): ${inWords(answer.value)}`
  await job.note('Sum', words, [{ kind: 'note', part: null, body: { words }, withdraws: [] }])
  kept.value = true
}

function set(field: string, given: unknown): void {
  const others = Object.entries(typed.value).filter(([name]) => name !== field)
  const own = given === null || given === undefined ? [] : [[field, String(given)]]
  typed.value = Object.fromEntries([...others, ...own]) as Record<string, string>
}
</script>

<template>
  <div class="holder">
    <p v-if="trouble" role="alert" class="refused">{{ trouble }}</p>
    <div v-if="sum" class="parts">
      <form class="card fields" :aria-label="sum.label" @submit.prevent>
        <p v-if="isExample" class="soft example">An example stands here until you type your own numbers.</p>
        <ParameterField
          v-for="one in rows"
          :key="one.name"
          :parameter="one"
          :value="value(one)"
          :typed="typed[one.name] ?? ''"
          :when-empty="one.default_text"
          :unit="unit"
          :refused="faults[one.name]"
          @change="set(one.name, $event)"
        />
        <Button v-if="!isExample" text severity="secondary" label="Empty all fields" @click="typed = {}" />
      </form>
      <section
        v-if="answer"
        class="result"
        :class="{ faded: isFaded }"
        aria-label="Answer"
        aria-live="polite"
      >
        <div class="drawing"><DrawingView :drawing="answer.drawing" /></div>
        <dl>
          <div v-for="one in answer.answers" :key="one.label" :class="{ long: one.marks.length > 2 }">
            <dt>{{ one.marks.length > 0 ? `${one.label}, ${unit}` : one.label }}</dt>
            <dd>
              <span v-if="one.marks.length > 0" class="marks"
                ><MeasureText v-for="(mark, i) in one.marks" :key="i" :text="mark.text"
              /></span>
              <MeasureText v-else :text="one.text" />
              <Button
                v-if="isAsked && one.length && !isFaded"
                size="small"
                label="Use this"
                :aria-label="`Use ${one.text}, ${one.label}`"
                @click="emit('use', one.length.text)"
              />
            </dd>
          </div>
        </dl>
        <p v-for="sentence in answer.says" :key="sentence" class="says">{{ sentence }}</p>
        <details v-if="answer.formula">
          <summary>Show the working</summary>
          <p class="measure formula">{{ answer.formula }}</p>
          <template v-for="one in answer.answers" :key="one.label">
            <WorkingTable v-if="one.working" class="working" :working="one.working" :caption="one.label" />
          </template>
        </details>
        <p v-if="!isFaded" class="links">
          <a :href="card" download>Print a card for the workshop (PDF)</a>
          <Button
            v-if="job.job && !isExample"
            text
            size="small"
            :label="kept ? 'Kept' : `Keep in the log of ${job.job.name}`"
            :disabled="kept"
            @click="keep"
          />
        </p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.holder {
  container-type: inline-size;
}
.parts {
  display: grid;
  grid-template-columns: minmax(320px, 440px) 1fr;
  gap: 20px;
  align-items: start;
}
.example {
  margin: 0 0 6px;
}
.drawing {
  height: 300px;
}
.faded {
  opacity: 0.45;
}
.links {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
}
dl {
  margin: 12px 0;
}
dl > div {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  justify-content: space-between;
  gap: 2px 16px;
  padding: 8px 0;
  border-bottom: 1px dashed var(--line);
}
dd {
  display: flex;
  align-items: center;
  justify-content: flex-end;
  gap: 10px;
  margin: 0;
  color: var(--chalk);
  font-size: 1.25rem;
  font-weight: 600;
  text-align: right;
}
.long dd {
  flex-basis: 100%;
}
.marks {
  display: grid;
  flex: 1;
  grid-template-columns: repeat(auto-fill, minmax(88px, 1fr));
  gap: 4px 10px;
}
.says {
  margin: 6px 0;
}
summary {
  min-height: 44px;
  padding: 10px 0;
  color: var(--chalk);
  cursor: pointer;
}
.working {
  max-width: 460px;
  margin-bottom: 16px;
}
@container (max-width: 760px) {
  .parts {
    grid-template-columns: minmax(0, 1fr);
  }
  .drawing {
    height: 200px;
  }
}
</style>

<script setup lang="ts">
import DrawingView from '@/drawing/DrawingView.vue'
import ParameterField from '@/fit/ParameterField.vue'
import WorkingTable from '@/job/WorkingTable.vue'
import { measures } from '@/shell/measures'
import TopBar from '@/shell/TopBar.vue'
import MeasureText from '@/tape/MeasureText.vue'
import Button from 'primevue/button'
import Select from 'primevue/select'
import { useRouter } from 'vue-router'
import { useSum } from './useSum'

/** One quick sum: fields in the order of measuring, the drawing that carries the answer, and how it came about. */
const router = useRouter()
const { sum, rows, measure, unit, typed, value, set, answer, isFaded, isExample, faults, trouble } = useSum()
/** Another unit reads the same digits as other lengths: what was typed is let go. */
const setMeasure = (next: string) => router.replace({ query: { measure: next } })
</script>

<template>
  <TopBar />
  <main class="sum">
    <RouterLink to="/sums">All quick sums</RouterLink>
    <p v-if="trouble" role="alert" class="refused">{{ trouble }}</p>
    <template v-if="sum">
      <div class="head">
        <h1>{{ sum.label }}</h1>
        <Select
          :model-value="measure"
          :options="measures"
          option-value="value"
          option-label="label"
          aria-label="Unit and fraction"
          @update:model-value="setMeasure($event)"
        />
      </div>
      <div class="parts">
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
          <Button
            v-if="!isExample"
            text
            severity="secondary"
            label="Empty all fields"
            @click="setMeasure(measure)"
          />
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
              </dd>
            </div>
          </dl>
          <p v-for="sentence in answer.says" :key="sentence" class="says">{{ sentence }}</p>
          <details v-if="answer.answers.some((one) => one.working)">
            <summary>Show the working</summary>
            <template v-for="one in answer.answers" :key="one.label">
              <WorkingTable v-if="one.working" class="working" :working="one.working" :caption="one.label" />
            </template>
          </details>
        </section>
      </div>
    </template>
  </main>
</template>

<style scoped>
.sum {
  max-width: 1240px;
  margin: 0 auto;
  padding: 12px 20px 40px;
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
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 4px 16px;
  margin-bottom: 12px;
}
.drawing {
  height: 300px;
}
.faded {
  opacity: 0.45;
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
@media (max-width: 800px) {
  .sum {
    padding: 8px 12px 40px;
  }
  .parts {
    grid-template-columns: minmax(0, 1fr);
  }
  .drawing {
    height: 200px;
  }
}
</style>

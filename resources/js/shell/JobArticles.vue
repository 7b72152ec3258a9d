<script setup lang="ts">
import type { ArticleEntry } from '@/api/types'
import { useVocabulary } from '@/api/vocabulary'
import { useJob } from '@/job/store'
import { valueOf } from '@/job/typing'
import LengthField from '@/tape/LengthField.vue'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { computed, ref } from 'vue'

/** What a job buys by the piece: the lengths it is sold in, what a pack holds and costs. */
const job = useJob()
const words = useVocabulary()
const unit = computed(() => job.job?.unit ?? 'mm')
const set = (path: string, value: unknown) => job.edit('job', { path, value })
const refused = (article: ArticleEntry) =>
  ['length', 'load', 'pack', 'price', '']
    .map((field) => job.refused[`articles.${article.id}${field && '.'}${field}`])
    .find((sentence) => sentence !== undefined)
const groups = computed(() =>
  words.value.articles
    .map((kind) => ({
      ...kind,
      articles: job.job?.choices.articles.filter((one) => one.article === kind.value) ?? [],
    }))
    .filter((kind) => kind.articles.length > 0),
)
const shown = ref<string | null>(null)

function add(kind: string): void {
  const like = job.job?.choices.articles.filter((one) => one.article === kind).at(-1)
  const found = words.value.articles.find((one) => one.value === kind)
  const usual = unit.value === 'mm' ? '500' : '20'
  shown.value = null
  void set(`articles.${kind}-${crypto.randomUUID().slice(0, 8)}`, {
    article: kind,
    length: found?.has_length ? (like?.length?.typed ?? usual) : null,
    load: found?.has_load ? (like?.load ?? 45) : null,
    pack: like?.pack ?? 1,
    price: null,
  })
}
</script>

<template>
  <details class="articles">
    <summary>
      <h2>Hardware</h2>
      <span class="soft">sizes, packs and prices of what is bought by the piece</span>
    </summary>
    <section v-for="kind in groups" :key="kind.value" :aria-label="kind.label">
      <h3>{{ kind.label }}</h3>
      <div v-for="one in kind.articles" :key="one.id" class="article">
        <LengthField
          v-if="kind.has_length"
          label="Length"
          :text="one.length?.typed ?? ''"
          :unit="unit"
          @change="set(`articles.${one.id}.length`, $event)"
        />
        <label v-if="kind.has_load"
          >Carries, kg
          <InputText
            inputmode="numeric"
            :model-value="String(one.load ?? '')"
            @change="set(`articles.${one.id}.load`, valueOf($event))"
          />
        </label>
        <label
          >In a pack
          <InputText
            inputmode="numeric"
            :model-value="String(one.pack)"
            @change="set(`articles.${one.id}.pack`, valueOf($event))"
          />
        </label>
        <label
          >Price, {{ job.job?.choices.currency }}
          <InputText
            inputmode="decimal"
            placeholder="not known"
            :model-value="one.price === null ? '' : one.price.toFixed(2)"
            @change="set(`articles.${one.id}.price`, valueOf($event))"
          />
        </label>
        <Button
          text
          severity="secondary"
          label="Take out"
          :aria-label="`Take ${kind.label} ${one.length?.typed ?? ''} out`"
          @click="set(`articles.${one.id}`, null)"
        />
        <p v-if="refused(one)" class="refused" role="alert">{{ refused(one) }}</p>
      </div>
      <Button
        v-if="kind.has_length"
        text
        label="Another length"
        :aria-label="`Another length of ${kind.label}`"
        @click="add(kind.value)"
      />
    </section>
    <Select
      v-model="shown"
      :options="words.articles"
      option-value="value"
      option-label="label"
      placeholder="Add something bought by the piece …"
      aria-label="Add something bought by the piece"
      @change="add($event.value)"
    />
  </details>
</template>

<style scoped>
summary {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 10px;
  min-height: 44px;
  margin-top: 22px;
  cursor: pointer;
}
summary h2 {
  margin: 0;
}
summary::before {
  content: '▸';
}
details[open] > summary::before {
  content: '▾';
}
h3 {
  margin: 14px 0 4px;
}
.article {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr)) auto;
  align-items: end;
  gap: 6px;
  padding: 4px 0;
  border-top: 1px solid var(--line);
}
.article > label,
.article :deep(.length label) {
  font-size: 14px;
}
/* As narrow as the fields beside it: its label over it. */
.article :deep(.length) {
  grid-template-columns: 1fr;
  padding: 0;
}
.article input {
  width: 100%;
  text-align: right;
}
.refused {
  grid-column: 1 / -1;
}
</style>

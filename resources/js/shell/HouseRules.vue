<script setup lang="ts">
import { api } from '@/api/client'
import { useJob } from '@/job/store'
import LengthField from '@/tape/LengthField.vue'
import TradePicture from '@/words/TradePicture.vue'
import TradeText from '@/words/TradeText.vue'
import { useQuery } from '@tanstack/vue-query'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'

/** The allowances of a job in groups, found by typing; each says, when one stands in it, how many pieces hang on it. */
const job = useJob()
const sought = ref('')
const choices = computed(() => job.job?.choices)
const unit = computed(() => job.job?.unit ?? 'mm')
const found = computed(() => {
  const words = sought.value.toLowerCase().split(/\s+/).filter(Boolean)
  return (job.job?.rules ?? []).filter((rule) => {
    const text = `${rule.label} ${rule.reason} ${rule.group.label}`.toLowerCase()
    return words.every((word) => text.includes(word))
  })
})
const groups = computed(() => [...new Map(found.value.map(({ group }) => [group.value, group.label]))])

const looked = ref<string | null>(null)
const { data: reach } = useQuery({
  queryKey: computed(() => [
    'rule',
    job.job?.id,
    job.job?.version,
    job.job?.spaces.map((space) => space.version),
    looked.value,
  ]),
  queryFn: () => api<{ pieces: number }>('GET', `/api/jobs/${job.job?.id}/rules/${looked.value}`),
  enabled: computed(() => looked.value !== null),
  staleTime: Infinity,
})
const told = computed(() => {
  const count = reach.value?.pieces
  if (count === undefined) return 'looking what hangs on it …'
  return count === 0
    ? 'No piece of this job hangs on it.'
    : `Changes ${count} ${count === 1 ? 'piece' : 'pieces'} of this job.`
})
</script>

<template>
  <div>
    <h2>House rules</h2>
    <p class="soft">Empty a field to go back to the usual value.</p>
    <InputText
      v-model="sought"
      class="find"
      type="search"
      placeholder="Find a rule: drawer, pipe, kerf …"
      aria-label="Find a rule"
    />
    <p v-if="found.length === 0" role="status">No rule speaks of “{{ sought }}”.</p>
    <section v-for="[group, label] in groups" :key="group" :aria-label="label">
      <h3>{{ label }}</h3>
      <TradePicture :picture="group" />
      <div
        v-for="rule in found.filter((one) => one.group.value === group)"
        :key="rule.name"
        class="rule"
        @focusin="looked = rule.name"
      >
        <LengthField
          :label="rule.label"
          :text="choices?.rules[rule.name]?.typed ?? ''"
          :when-empty="rule.default.text"
          :unit="unit"
          :refused="job.refused[`rules.${rule.name}`]"
          @change="job.edit('job', { path: `rules.${rule.name}`, value: $event })"
        />
        <p class="soft">
          <TradeText :text="rule.reason" />{{ ' '
          }}<strong v-if="looked === rule.name" role="status">{{ told }}</strong>
        </p>
      </div>
    </section>
  </div>
</template>

<style scoped>
h2 {
  margin: 22px 0 10px;
}
h3 {
  margin: 16px 0 6px;
}
.find {
  width: 100%;
}
.rule {
  margin-bottom: 12px;
}
.rule p {
  margin: 0;
  font-size: 14px;
}
</style>

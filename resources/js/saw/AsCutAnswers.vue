<script setup lang="ts">
import { api, Refused } from '@/api/client'
import type { AsCutAnswer } from '@/api/types'
import { useJob } from '@/job/store'
import { useOutbox } from '@/outbox/store'
import Button from 'primevue/button'
import { ref, watch } from 'vue'
import type { useCutting } from './useCutting'

/** What can be done with a piece that was cut to another size: each answer was planned with before it is offered. */
const props = defineProps<{
  part: string
  mark: string
  measured: string
  saw: ReturnType<typeof useCutting>
}>()
const emit = defineEmits<{ done: [] }>()
const job = useJob()
const outbox = useOutbox()

const answers = ref<AsCutAnswer[]>([])
const trouble = ref('')
const busy = ref(false)

watch(
  () => `${props.part} ${props.measured}`,
  async () => {
    answers.value = []
    trouble.value = ''
    if (!job.job || props.measured === '') return
    const asked = `${props.part} ${props.measured}`
    try {
      const got = await api<{ answers: AsCutAnswer[] }>('GET', `/api/jobs/${job.job.id}/as-cut/${props.part}`)
      if (asked === `${props.part} ${props.measured}`) answers.value = got.answers
    } catch (error) {
      if (!(error instanceof Refused)) throw error
      trouble.value =
        error.status === 0
          ? 'What else can be done is worked out when the network is back: put this piece aside and go on.'
          : error.message
    }
  },
  { immediate: true },
)

const LABELS = { recut: '', accept: 'Keep it so', elsewhere: 'Use it so' }

/** Both are a new release: what is cut stays, the rest is planned anew. */
async function take(answer: AsCutAnswer) {
  const release = props.saw.release.value
  if (!release) return
  busy.value = true
  trouble.value = ''
  try {
    if (answer.kind === 'accept' && answer.edit && answer.space) {
      if (!(await job.edit(answer.space, answer.edit))) return
    } else if (answer.remains) {
      await job.note(props.mark, 'cut to another size', [
        {
          kind: 'spoiled',
          release: release.id,
          part: props.part,
          why: 'other',
          remains: [answer.remains],
          withdraws: [],
        },
      ])
      await outbox.send()
    }
    if (await job.release()) emit('done')
    else trouble.value = job.refused.release ?? job.trouble
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <section v-if="answers.length > 0 || trouble" class="answers" aria-label="What can be done">
    <div v-for="answer in answers" :key="answer.kind + answer.sentence" class="answer">
      <p>{{ answer.sentence }}</p>
      <details v-if="answer.changes.length > 0">
        <summary>What follows</summary>
        <ul>
          <li v-for="change in answer.changes" :key="change" class="measure">{{ change }}</li>
        </ul>
      </details>
      <Button
        v-if="answer.kind !== 'recut'"
        outlined
        :label="LABELS[answer.kind]"
        :loading="busy"
        @click="take(answer)"
      />
    </div>
    <p v-if="trouble" role="alert">{{ trouble }}</p>
  </section>
</template>

<style scoped>
.answer {
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
p {
  margin: 0 0 6px;
}
ul {
  margin: 4px 0 8px;
  padding-left: 18px;
  font-size: 14px;
}
summary {
  min-height: 32px;
  cursor: pointer;
}
</style>

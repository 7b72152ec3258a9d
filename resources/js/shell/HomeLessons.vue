<script setup lang="ts">
import { api, Refused } from '@/api/client'
import type { Lesson } from '@/api/types'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'

/** What the jobs of a home teach: evidence, what would be changed, and whether it is taken over. And who works here, by name. */
const props = defineProps<{ home: string }>()
const client = useQueryClient()
interface Told {
  lessons: Lesson[]
  habits: number
  people: string[]
}
const key = computed(() => ['lessons', props.home])
const { data } = useQuery({
  queryKey: key,
  queryFn: () => api<Told>('GET', `/api/homes/${props.home}/lessons`),
})
const route = useRoute()
const section = useTemplateRef('section')
// The log leads here: past the ways in and the saws, once what is told stands there.
const stopLeading = watch(
  [data, section],
  ([told, there]) => {
    if (!told || !there) return
    if (route.hash === '#lessons') there.scrollIntoView()
    stopLeading()
  },
  { flush: 'post' },
)
const trouble = ref('')
const said = ref('')
const name = ref('')

async function asked(act: () => Promise<unknown>) {
  trouble.value = ''
  try {
    await act()
    await client.invalidateQueries({ queryKey: key.value })
  } catch (error) {
    if (!(error instanceof Refused)) throw error
    trouble.value = Object.values(error.fields).join(' ') || error.message
  }
}
const answer = (lesson: Lesson, take: boolean) =>
  asked(async () => {
    await api('POST', `/api/homes/${props.home}/lessons`, { about: lesson.about, take })
    said.value = take && lesson.changes ? `Taken over: ${lesson.suggestion} ${lesson.holds}` : ''
  })
const people = (names: string[]) =>
  asked(() => api('POST', `/api/homes/${props.home}/people`, { people: names }))
async function addPerson() {
  if (!name.value.trim()) return
  await people([...(data.value?.people ?? []), name.value.trim()])
  name.value = ''
}
</script>

<template>
  <section id="lessons" ref="section" class="card">
    <h2>What the jobs here teach</h2>
    <p class="soft">
      From the last ten jobs: sizes as cut, how boxes went in, what went wrong, hours. Nothing changes by
      itself; what you take over holds for new jobs, or for the saws.
    </p>
    <p v-if="trouble" role="alert">{{ trouble }}</p>
    <p v-if="said" role="status">{{ said }}</p>
    <p v-if="data && data.lessons.length === 0">Nothing yet that stands out.</p>
    <article v-for="lesson in data?.lessons ?? []" :key="lesson.about" class="lesson">
      <h3>{{ lesson.title }}</h3>
      <p v-for="one in lesson.evidence" :key="one" class="soft">{{ one }}</p>
      <p>
        <strong>{{ lesson.suggestion }}</strong>
      </p>
      <Button :label="lesson.changes ? 'Take it over' : 'I have seen it'" @click="answer(lesson, true)" />
      <Button text severity="secondary" label="Not for us" @click="answer(lesson, false)" />
    </article>
    <p v-if="data && data.habits > 0" class="soft">{{ data.habits }} taken over so far.</p>
    <h3>Who works here</h3>
    <p>
      <span v-for="one in data?.people ?? []" :key="one" class="person"
        >{{ one }}
        <Button
          text
          size="small"
          severity="secondary"
          label="×"
          :aria-label="`Not here any more: ${one}`"
          @click="people((data?.people ?? []).filter((other) => other !== one))"
      /></span>
    </p>
    <form class="row" @submit.prevent="addPerson">
      <InputText
        v-model="name"
        aria-label="Name of somebody who works here"
        placeholder="A name, for the hours"
      />
      <Button type="submit" outlined label="Add" />
    </form>
  </section>
</template>

<style scoped>
.lesson {
  padding: 10px 0;
  border-bottom: 1px dashed var(--line);
}
.lesson h3 {
  margin: 0 0 4px;
}
.lesson p {
  margin: 0 0 4px;
}
.person {
  margin-right: 12px;
}
.row {
  display: flex;
  gap: 8px;
}
</style>

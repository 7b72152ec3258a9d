<script setup lang="ts">
import { api, Refused } from '@/api/client'
import type { HelpedJob, Home } from '@/api/types'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import Message from 'primevue/message'
import { computed, ref } from 'vue'
import JobTile from './JobTile.vue'
import NewJob from './NewJob.vue'
import { session } from './session'
import TopBar from './TopBar.vue'

const client = useQueryClient()
const {
  data: homes,
  error,
  isPending,
  refetch,
} = useQuery({
  queryKey: ['homes'],
  queryFn: () => api<Home[]>('GET', '/api/homes'),
  // A long list is drawn in parts.
  refetchInterval: ({ state }) =>
    state.data?.some((home) => home.jobs.some((job) => job.is_awaited)) ? 500 : false,
})
const { data: helped } = useQuery({
  queryKey: ['helping'],
  queryFn: () => api<HelpedJob[]>('GET', '/api/helping'),
})
/** Where no letters are sent, a printed code is the only way back into an account. */
const lacksCode = computed(() => {
  const user = session.value?.user
  return user && !user.is_demo && !user.has_code && !session.value?.mail
})
const day = (at: string) =>
  new Date(at).toLocaleDateString('en', { day: 'numeric', month: 'long', timeZone: 'UTC' })
const begins = ref<string | null>(null)
const leaves = ref<{ id: string; name: string } | null>(null)
const trouble = ref('')

async function importFile(home: string, event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  const form = new FormData()
  form.append('file', file)
  trouble.value = ''
  try {
    await api('POST', `/api/homes/${home}/import`, form)
    await client.invalidateQueries({ queryKey: ['homes'] })
  } catch (refusal) {
    if (!(refusal instanceof Refused)) throw refusal
    trouble.value = [refusal.message, ...Object.values(refusal.fields)].join('\n')
  }
  input.value = ''
}

const names = ref<{ id: string; name: string } | null>(null)
const homeRefused = ref('')

async function saveHome() {
  if (!names.value) return
  const { id, name } = names.value
  try {
    await (id ? api('PATCH', `/api/homes/${id}`, { name }) : api('POST', '/api/homes', { name }))
    names.value = null
    homeRefused.value = ''
    await client.invalidateQueries({ queryKey: ['homes'] })
  } catch (refusal) {
    if (!(refusal instanceof Refused)) throw refusal
    homeRefused.value = refusal.fields.name ?? refusal.message
  }
}

async function change(method: 'POST' | 'DELETE', path: string) {
  trouble.value = ''
  try {
    await api(method, path)
  } catch (refusal) {
    if (!(refusal instanceof Refused)) throw refusal
    trouble.value = refusal.message
  }
  await client.invalidateQueries({ queryKey: ['homes'] })
}

async function takeOut() {
  if (!leaves.value) return
  const { id } = leaves.value
  leaves.value = null
  await change('DELETE', `/api/jobs/${id}`)
}
</script>

<template>
  <TopBar />
  <main class="jobs">
    <Message v-if="trouble" severity="error" closable class="trouble" @close="trouble = ''">{{
      trouble
    }}</Message>
    <Message v-if="lacksCode" severity="warn" class="code">
      If you forget your password, only a recovery code leads back to your jobs, and you have none yet.
      <RouterLink to="/account#code">Make one and print it</RouterLink>
    </Message>
    <p v-if="isPending" class="soft" aria-busy="true">Fetching your jobs …</p>
    <div v-else-if="error">
      <Message severity="error">{{ error.message }}</Message>
      <Button label="Try again" @click="refetch()" />
    </div>
    <section v-for="home in homes" :key="home.id">
      <div class="head">
        <h1>{{ home.name }}</h1>
        <Button
          text
          severity="secondary"
          label="Rename"
          :aria-label="`Rename ${home.name}`"
          @click="names = { ...home }"
        />
        <RouterLink class="workshop" :to="`/homes/${home.id}/workshop`"
          >Workshop: ways in, saws, offcuts</RouterLink
        >
        <Button label="New job" @click="begins = home.id" />
        <label class="import">
          Import a job
          <input
            type="file"
            accept=".json,application/json"
            class="visually-hidden"
            @change="importFile(home.id, $event)"
          />
        </label>
      </div>
      <p v-if="home.jobs.length === 0" class="card empty">
        Nothing is being built here yet. Begin with a new job: you name the space, then walk round it with a
        tape, one reading after another.
      </p>
      <ul class="list">
        <JobTile v-for="job in home.jobs" :key="job.id" :job="job">
          <div class="actions">
            <a :href="`/api/jobs/${job.id}/export`" download>Export</a>
            <Button
              text
              severity="secondary"
              label="Take out"
              :aria-label="`Take out ${job.name}`"
              @click="leaves = job"
            />
          </div>
        </JobTile>
      </ul>
      <ul v-if="home.taken_out.length > 0" class="out" aria-label="Taken out">
        <li v-for="job in home.taken_out" :key="job.id">
          <span
            ><strong>{{ job.name }}</strong> is taken out. It goes for good on {{ day(job.until) }}.</span
          >
          <Button
            text
            label="Put back"
            :aria-label="`Put back ${job.name}`"
            @click="change('POST', `/api/jobs/${job.id}/put-back`)"
          />
        </li>
      </ul>
    </section>
    <section v-if="helped && helped.length > 0">
      <h1 class="helping">Jobs you help with</h1>
      <ul class="list">
        <JobTile v-for="job in helped" :key="job.id" :job="job" :owner="job.owner" />
      </ul>
    </section>
    <Button v-if="homes" text label="Add a home" @click="names = { id: '', name: '' }" />
    <Dialog
      :visible="names !== null"
      modal
      :header="names?.id ? 'Rename the home' : 'Add a home'"
      :style="{ width: '380px' }"
      @update:visible="names = null"
    >
      <form v-if="names" novalidate @submit.prevent="saveHome">
        <div class="field">
          <label for="home-name">Name of the home</label>
          <InputText id="home-name" v-model="names.name" autofocus />
          <p v-if="homeRefused" class="refused" role="alert">{{ homeRefused }}</p>
        </div>
        <Button type="submit" label="Keep the name" />
      </form>
    </Dialog>
    <NewJob v-if="begins" :home="begins" @close="begins = null" />
    <Dialog :visible="leaves !== null" modal header="Take this job out?" @update:visible="leaves = null">
      <p>{{ leaves?.name }} goes with its readings. For 30 days it can be put back from this list.</p>
      <template #footer>
        <Button text label="Keep it" @click="leaves = null" />
        <Button severity="danger" label="Take the job out" @click="takeOut" />
      </template>
    </Dialog>
  </main>
</template>

<style scoped>
.jobs {
  max-width: 1120px;
  margin: 24px auto;
  padding: 0 20px;
}
.trouble {
  white-space: pre-line;
  margin-bottom: 12px;
}
.code {
  margin-bottom: 16px;
}
.out {
  margin: -16px 0 32px;
  padding: 0;
  list-style: none;
}
.out li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  min-height: 44px;
}
.helping {
  margin-bottom: 16px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
  margin-bottom: 16px;
}
.head h1 {
  margin-right: auto;
}
.import {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  padding: 0 14px;
  border: 1px solid var(--line-strong);
  border-radius: 8px;
  cursor: pointer;
}
.import:focus-within {
  outline: 3px solid var(--chalk);
  outline-offset: 2px;
}
.empty {
  max-width: 560px;
}
.list {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
  gap: 16px;
  margin: 0 0 32px;
  padding: 0;
  list-style: none;
}
.actions {
  display: flex;
  align-items: center;
  justify-content: space-between;
  margin-top: 8px;
}
.actions a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}
.workshop {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}
</style>

<script setup lang="ts">
import type { StationName } from '@/api/types'
import { useJob } from '@/job/store'
import { useEventListener, useMediaQuery } from '@vueuse/core'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import Message from 'primevue/message'
import Select from 'primevue/select'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import JobRules from './JobRules.vue'
import People from './People.vue'
import { isTyping } from '@/job/typing'
import { keysOn, lastMeasure } from './preferences'
import OutboxBar from './OutboxBar.vue'
import TapeStrip from './TapeStrip.vue'
import TopBar from './TopBar.vue'

const STATIONS: StationName[] = ['measure', 'fit', 'pieces', 'sheets', 'saw', 'install', 'log']

const job = useJob()
const route = useRoute()
const router = useRouter()
const rulesOpen = ref(false)
const keysOpen = ref(false)
const peopleOpen = ref(false)
const isNarrow = useMediaQuery('(max-width: 760px)')

const id = computed(() => String(route.params.job))
const current = computed(() => STATIONS.find((name) => route.path.endsWith(`/${name}`)) ?? 'measure')
const missing = ref(false)

watch(
  [id, current],
  async () => {
    const came = await job.load(id.value, current.value)
    missing.value = !came && job.answer === null
    if (!job.job) return
    document.title = `${job.job.name} · Incastro`
    lastMeasure.value = job.job.choices.measure
  },
  { immediate: true },
)

/** How many stations the job has come to: measured, then everything that follows from it at once. */
const reached = computed(() => {
  const answer = job.answer
  if (!answer) return 0
  if (answer.tape.pieces === 'none yet') return 1
  if (answer.verdict.state !== 'fits') return 2
  if (answer.tape.saw === 'not released') return 4
  if (answer.tape.saw !== 'all cut') return 5
  return answer.tape.install === 'all fitted' ? 7 : 6
})

const spaces = computed(
  () => job.job?.spaces.map((space) => ({ id: space.id, name: space.choices.name })) ?? [],
)

useEventListener(document, 'keydown', (event: KeyboardEvent) => {
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z' && !isTyping(event)) {
    event.preventDefault()
    void (event.shiftKey ? job.redo() : job.undo())
    return
  }
  if (!keysOn.value || isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
  const station = STATIONS[Number(event.key) - 1]
  if (station) void router.push(`/jobs/${id.value}/${station}`)
  if (event.key === '?') keysOpen.value = true
})
</script>

<template>
  <div class="frame">
    <TopBar tight>
      <template v-if="job.job">
        <Button
          text
          class="name"
          :aria-label="`${job.job.name}: rules and materials`"
          aria-haspopup="dialog"
          @click="rulesOpen = true"
        >
          <span class="job-name">{{ job.job.name }}</span>
          <span class="soft rules">rules, materials</span>
        </Button>
        <Select
          v-if="spaces.length > 1"
          :model-value="job.answer?.space"
          :options="spaces"
          option-value="id"
          option-label="name"
          aria-label="Space"
          @update:model-value="(space: string) => job.load(id, current, space)"
        />
        <p class="verdict" :class="job.answer?.verdict.state" role="status">
          <span class="dot" aria-hidden="true"></span>
          <RouterLink
            v-if="['clash', 'warning'].includes(job.answer?.verdict.state ?? '')"
            :to="`/jobs/${id}/fit?leaf=findings`"
            title="Opens what was found"
            >{{ job.answer?.verdict.sentence }}</RouterLink
          >
          <template v-else>{{ job.answer?.verdict.sentence }}</template>
        </p>
      </template>
      <template #tools>
        <Button
          text
          severity="secondary"
          label="Undo"
          :disabled="!job.answer?.history.undo"
          @click="job.undo()"
        />
        <Button
          text
          severity="secondary"
          label="Redo"
          :disabled="!job.answer?.history.redo"
          @click="job.redo()"
        />
        <Button text severity="secondary" label="People" @click="peopleOpen = true" />
        <Button v-if="!isNarrow" text severity="secondary" label="Keys" @click="keysOpen = true" />
      </template>
    </TopBar>
    <TapeStrip v-if="job.answer" :job="id" :facts="job.answer.tape" :current="current" :reached="reached" />
    <OutboxBar />
    <Message
      v-if="job.trouble && !missing"
      severity="warn"
      class="trouble"
      closable
      @close="job.trouble = ''"
      >{{ job.trouble }}</Message
    >
    <main v-if="job.answer" class="station">
      <RouterView />
    </main>
    <main v-else-if="missing" class="missing">
      <h1>This job cannot be opened</h1>
      <p>{{ job.trouble || 'It does not exist, or it is not yours.' }}</p>
      <RouterLink to="/">Go to your jobs</RouterLink>
    </main>
    <main v-else class="missing" aria-busy="true"><p class="soft">Opening the job …</p></main>
    <JobRules v-model:visible="rulesOpen" />
    <People v-model:visible="peopleOpen" :job="id" />
    <Dialog v-model:visible="keysOpen" modal header="Keys" :style="{ width: '460px' }">
      <dl class="keys">
        <dt><kbd>1</kbd> – <kbd>7</kbd></dt>
        <dd>go to a station</dd>
        <dt><kbd>Enter</kbd></dt>
        <dd>keep a reading and go on to the next</dd>
        <dt><kbd>Shift</kbd> <kbd>Enter</kbd></dt>
        <dd>skip a reading</dd>
        <dt><kbd>B</kbd> <kbd>T</kbd> <kbd>L</kbd> <kbd>R</kbd> <kbd>F</kbd></dt>
        <dd>after the number: at which end (bottom, top, left, right, front)</dd>
        <dt><kbd>Esc</kbd></dt>
        <dd>leave a field</dd>
        <dt><kbd>R</kbd></dt>
        <dd>take again what is in doubt</dd>
        <dt><kbd>O</kbd></dt>
        <dd>things on walls, and back to the readings</dd>
        <dt><kbd>Ctrl</kbd> <kbd>Z</kbd></dt>
        <dd>undo; with <kbd>Shift</kbd> redo</dd>
      </dl>
      <p class="soft">Keys can be switched off under your name.</p>
    </Dialog>
  </div>
</template>

<style scoped>
.frame {
  display: flex;
  flex-direction: column;
  height: 100dvh;
}
.name {
  display: grid;
  flex: none;
  justify-items: start;
  padding: 2px 8px;
}
.job-name {
  color: var(--ink);
  font-weight: 600;
  font-size: 17px;
  line-height: 1.2;
}
.rules {
  font-size: 14px;
  line-height: 1.2;
}
.verdict {
  display: flex;
  flex: 1 1 0;
  align-items: center;
  gap: 8px;
  min-width: 0;
  margin: 0 8px;
  font-weight: 600;
}
.verdict a {
  color: inherit;
  text-decoration-color: var(--line-strong);
  text-underline-offset: 4px;
}
.dot {
  flex: none;
  width: 12px;
  height: 12px;
  border-radius: 50%;
  background: var(--line-strong);
}
.fits .dot {
  background: var(--moss);
}
.warning .dot {
  background: var(--ochre);
}
.clash .dot {
  background: var(--brick);
}
.trouble {
  margin: 10px 20px 0;
}
.station {
  /* What is hidden but read aloud is placed in here, and not below the page. */
  position: relative;
  flex: 1;
  min-height: 0;
  padding: 14px 20px;
  overflow: auto;
}
.missing {
  max-width: 480px;
  margin: 12vh auto;
  padding: 0 20px;
}
.keys {
  display: grid;
  grid-template-columns: 150px 1fr;
  gap: 8px 12px;
  margin: 0 0 12px;
}
.keys dd {
  margin: 0;
}
@media (max-width: 760px) {
  .station {
    /* What waits to be sent lies over the bottom. */
    padding: 10px 12px 56px;
  }
  .name {
    flex: 0 1 auto;
  }
  .verdict {
    order: 5;
    flex-basis: 100%;
    margin: 0 0 6px;
  }
}
</style>

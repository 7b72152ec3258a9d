<script setup lang="ts">
import { api, Refused } from '@/api/client'
import type { PracticeReport, Reading } from '@/api/types'
import { useDevices } from '@/devices/device'
import { simulatedDevice } from '@/devices/simulated'
import { useJob } from '@/job/store'
import MeasureText from '@/tape/MeasureText.vue'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import { onBeforeUnmount, ref, watch } from 'vue'

/** A practice space: devices that measure its hidden room, and how near one came. */
const props = defineProps<{ open: Reading | null }>()
const job = useJob()
const { connected, connect, disconnectAll } = useDevices()
const report = ref<PracticeReport | null>(null)
const trouble = ref('')
const busy = ref(false)

watch(
  () => job.space?.id,
  async (space) => {
    await disconnectAll()
    if (!space) return
    await connect(simulatedDevice(space, 'meter'))
    await connect(simulatedDevice(space, 'gauge'))
  },
  { immediate: true },
)
onBeforeUnmount(disconnectAll)

async function attempt(action: () => Promise<void>) {
  trouble.value = ''
  busy.value = true
  try {
    await action()
  } catch (error) {
    if (!(error instanceof Refused)) throw error
    trouble.value = error.message
  } finally {
    busy.value = false
  }
}

const measure = () =>
  attempt(async () => {
    const reading = props.open
    if (!reading) return
    await connected.value.find((device) => device.fits(reading))?.trigger?.(reading.slot)
  })

const compare = () =>
  attempt(async () => {
    report.value = await api<PracticeReport>('GET', `/api/spaces/${job.space?.id ?? ''}/practice/report`)
  })
</script>

<template>
  <section class="device" aria-label="Practice">
    <p>
      <strong>Practice space.</strong> A hidden, crooked room. The device measures it for you, with a real
      tool’s uncertainty, and now and then it slips.
    </p>
    <div class="buttons">
      <Button
        :label="open?.is_angle ? 'Read the angle gauge' : 'Read the laser meter'"
        :disabled="!open || busy"
        @click="measure"
      />
      <Button outlined label="How near did I come?" @click="compare" />
    </div>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <Dialog
      :visible="report !== null"
      modal
      header="How near you came"
      :style="{ width: '520px' }"
      @update:visible="report = null"
    >
      <template v-if="report">
        <dl>
          <dt>A straight box as tall as the room may be</dt>
          <dd><MeasureText :text="report.span.true.text" /> wide, in truth</dd>
          <dt>Your readings say</dt>
          <dd>
            <MeasureText :text="report.span.found.text" />, give or take
            <MeasureText :text="report.span.doubt.text" />
          </dd>
          <dt>The corner farthest off lies</dt>
          <dd><MeasureText :text="report.corner.text" /> from its true place</dd>
        </dl>
        <h3>Slips of the tape</h3>
        <p v-if="report.slips.length === 0">None: every reading that counts was sound.</p>
        <ul v-else>
          <li v-for="slip in report.slips" :key="slip.slot + slip.off">
            {{ slip.label }}, {{ slip.off }}: {{ slip.caught ? 'caught, and struck out' : 'missed' }}
          </li>
        </ul>
        <p v-if="report.skipped.length > 0" class="soft">Not taken: {{ report.skipped.join(', ') }}.</p>
      </template>
    </Dialog>
  </section>
</template>

<style scoped>
.device {
  margin: 6px 0;
  padding: 10px 14px;
  border: 1px dashed var(--line-strong);
  border-radius: 10px;
}
.device p {
  margin: 0 0 8px;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.trouble {
  color: var(--brick);
}
dl {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 12px;
}
dd {
  margin: 0;
}
</style>

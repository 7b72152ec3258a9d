<script setup lang="ts">
import type { FittingWall } from '@/api/types'
import { useVocabulary } from '@/api/vocabulary'
import { useJob } from '@/job/store'
import { useOutbox } from '@/outbox/store'
import LengthField from '@/tape/LengthField.vue'
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed, ref } from 'vue'
import type { useFitting } from './useFitting'

/** A wall: the studs that were found and where others are to be expected; found ones are noted here. */
const props = defineProps<{ wall: FittingWall; fitting: ReturnType<typeof useFitting> }>()
const job = useJob()
const outbox = useOutbox()

const words = useVocabulary()
const u = ref('')
const other = ref('')
const unit = computed(() => job.job?.unit ?? 'mm')
/** Noted here, and not yet at the server. */
const waits = computed(() =>
  outbox.unsent
    .flatMap((one) => one.done ?? [])
    .filter((fact) => fact.kind === 'stud' && fact.part === props.wall.key),
)

async function note(hit: boolean) {
  if (!u.value.trim()) return
  const again = outbox.refused.find((one) =>
    one.done?.some((fact) => fact.kind === 'stud' && fact.body?.u === u.value),
  )
  if (again) await outbox.drop(again)
  await job.note('Stud', u.value, [
    {
      kind: 'stud',
      part: props.wall.key,
      // Sent again after it was asked about, it is so.
      body: {
        u: u.value,
        ...(other.value.trim() ? { other: other.value } : {}),
        hit,
        ...(again ? { anyway: true } : {}),
      },
      withdraws: [],
    },
  ])
}
const takeBack = (id: string) =>
  job.note('Stud', 'taken back', [{ kind: 'withdrawal', part: null, withdraws: [id] }])
</script>

<template>
  <section class="wall">
    <h2>{{ wall.name }}</h2>
    <p>
      <span :id="`kind-${wall.key}`" class="soft">It is </span>
      <Select
        :aria-labelledby="`kind-${wall.key}`"
        :model-value="wall.kind"
        :options="words.wall_kinds"
        option-label="label"
        option-value="value"
        @update:model-value="
          (value: string) => job.edit('job', { path: `installing.walls.${wall.key}`, value })
        "
      />
    </p>
    <p role="status">{{ wall.studs.says }}</p>
    <p v-if="wall.studs.found.length > 0">
      Found at <span class="measure">{{ wall.studs.found.join(' · ') }}</span>, from the left end.
    </p>
    <p v-if="wall.studs.expected.length > 0" class="soft">
      Expected at <span class="measure">{{ wall.studs.expected.join(' · ') }}</span>
    </p>
    <div class="row">
      <LengthField
        label="Found one here"
        :text="u"
        :unit="unit"
        when-empty="middle, or edge"
        @change="(text: string) => (u = text)"
      />
      <LengthField
        label="Its other edge"
        :text="other"
        :unit="unit"
        when-empty="or nothing"
        @change="(text: string) => (other = text)"
      />
      <Button label="Stud" :disabled="!u" @click="note(true)" />
      <Button outlined label="Probed: nothing" :disabled="!u" @click="note(false)" />
    </div>
    <p v-if="waits.length > 0" class="soft">
      {{ waits.length }} noted here; where others are is worked out when the network is back.
    </p>
    <ul v-if="wall.studs.noted.length > 0">
      <li v-for="one in wall.studs.noted" :key="one.id">
        <span class="measure">{{ one.text }}</span> {{ one.hit ? 'stud' : 'nothing there' }}
        <Button text size="small" severity="secondary" label="Take it back" @click="takeBack(one.id)" />
      </li>
    </ul>
  </section>
</template>

<style scoped>
.wall h2 {
  margin: 0 0 6px;
}
.wall p {
  margin: 0 0 8px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: end;
}
.row :deep(button) {
  min-height: 44px;
}
ul {
  margin: 8px 0 0;
  padding: 0;
  list-style: none;
}
</style>

<script setup lang="ts">
import type { SpaceShape } from '@/api/types'
import { useVocabulary } from '@/api/vocabulary'
import { useJob } from '@/job/store'
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed, ref } from 'vue'

/** How even the walls are, as a person sees it under a level: asked once for the space, and for walls that differ. */
const props = defineProps<{ shape: SpaceShape }>()
const job = useJob()
const words = useVocabulary()
const stated = computed(() => job.space?.choices.texture ?? null)
/** As chosen here, while the answers are on their way: two that are chosen at once must both count. */
const chosen = ref<string[] | null>(null)
const own = computed(() => chosen.value ?? job.space?.choices.textures ?? [])
const isOpen = ref(false)
const differ = ref(false)
const asks = computed(() => stated.value === null || isOpen.value)
const label = computed(() => words.value.textures.find((one) => one.value === stated.value)?.label ?? '')
const walls = computed(() =>
  props.shape.edges
    .map((edge, at) => ({ at, label: edge.label, isWall: edge.kind === 'wall' }))
    .filter((edge) => edge.isWall),
)
const others = computed(() => walls.value.filter((wall) => (own.value[wall.at] ?? 'same') !== 'same'))
const ofWall = computed(() => [{ value: 'same', label: 'as the others' }, ...words.value.textures])

async function state(value: string) {
  await job.edit('space', { path: 'texture', value })
  isOpen.value = false
}
async function setWall(at: number, value: string) {
  const all = props.shape.edges.map((_, edge) => (edge === at ? value : (own.value[edge] ?? 'same')))
  chosen.value = all
  await job.edit('space', { path: 'textures', value: all })
  if (chosen.value === all) chosen.value = null
}
</script>

<template>
  <section class="texture" :class="{ asks }" aria-label="How even the walls are">
    <template v-if="asks">
      <h3>How even are the walls?</h3>
      <p class="soft">Lay your longest level on them in a few places, and look under it.</p>
      <div class="answers">
        <button
          v-for="one in words.textures"
          :key="one.value"
          type="button"
          :aria-pressed="stated === one.value"
          @click="state(one.value)"
        >
          <strong>{{ one.label }}</strong>
          <span class="soft">{{ one.hint }}</span>
        </button>
      </div>
    </template>
    <div v-else class="line">
      <span
        >Walls: <strong>{{ label.toLowerCase() }}</strong><span v-if="others.length > 0" class="soft"
          >, {{ others.length }} otherwise</span
        ></span
      >
      <Button text severity="secondary" size="small" label="Change" @click="isOpen = true" />
    </div>
    <template v-if="stated !== null">
      <Button
        v-if="asks && !differ && others.length === 0"
        text
        severity="secondary"
        size="small"
        label="One wall differs"
        @click="differ = true"
      />
      <div v-if="asks && (differ || others.length > 0)" class="walls">
        <label v-for="wall in walls" :key="wall.at">
          <span>{{ wall.label }}</span>
          <Select
            :model-value="own[wall.at] ?? 'same'"
            :options="ofWall"
            option-value="value"
            option-label="label"
            :aria-label="`How even the ${wall.label} is`"
            @update:model-value="setWall(wall.at, $event)"
          />
        </label>
      </div>
      <Button v-if="isOpen" text size="small" label="Done" @click="isOpen = false" />
    </template>
    <p v-if="job.refused['texture'] ?? job.refused['textures']" class="refused" role="alert">
      {{ job.refused['texture'] ?? job.refused['textures'] }}
    </p>
  </section>
</template>

<style scoped>
.texture {
  margin: 6px 0;
  padding: 4px 10px;
}
.asks {
  padding: 10px;
  border: 1px solid var(--line);
  border-radius: 8px;
}
h3 {
  margin: 0;
  font-size: 17px;
}
p {
  margin: 2px 0 8px;
  font-size: 15px;
}
.answers {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(108px, 1fr));
  gap: 6px;
}
.answers button {
  display: grid;
  gap: 2px;
  align-content: start;
  min-height: 64px;
  padding: 8px;
  border: 1px solid var(--line-strong, var(--line));
  border-radius: 8px;
  background: var(--paper);
  color: var(--ink);
  font: inherit;
  font-size: 15px;
  text-align: left;
  cursor: pointer;
}
.answers button:hover {
  background: var(--chalk-wash);
}
.answers button[aria-pressed='true'] {
  border-color: var(--chalk);
  background: var(--chalk-wash);
}
.answers .soft {
  font-size: 14px;
}
.line {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
}
.walls {
  display: grid;
  gap: 6px;
  margin-top: 8px;
}
.walls label {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 8px;
  align-items: center;
}
</style>

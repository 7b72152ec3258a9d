<script setup lang="ts">
import { computed, defineAsyncComponent, shallowRef } from 'vue'
import { told, type Word } from './words'

/** A sentence whose words of the trade open their picture. */
const props = defineProps<{ text: string }>()
const WordCard = defineAsyncComponent(() => import('./WordCard.vue'))
const parts = computed(() => told(props.text))
const shown = shallowRef<{ word: Word; at: HTMLElement } | null>(null)
function show(event: Event, word: Word): void {
  shown.value = { word, at: event.currentTarget as HTMLElement }
}
</script>

<template>
  <span
    ><template v-for="(part, i) in parts" :key="i"
      ><button v-if="part.word" type="button" class="word" @click="show($event, part.word)">
        {{ part.text }}</button
      ><template v-else>{{ part.text }}</template></template
    ><WordCard v-if="shown" :key="shown.word.name" v-bind="shown" @hide="shown = null"
  /></span>
</template>

<style scoped>
.word {
  display: inline;
  padding: 0;
  border: 0;
  border-bottom: 1.5px dotted var(--line-strong);
  background: none;
  color: inherit;
  font: inherit;
  cursor: help;
}
.word:hover {
  border-bottom-color: var(--chalk);
  color: var(--chalk);
}
</style>

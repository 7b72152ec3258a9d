<script setup lang="ts">
import Popover from 'primevue/popover'
import { nextTick, onMounted, useTemplateRef } from 'vue'
import TradePicture from './TradePicture.vue'
import type { Word } from './words'

/** What a word of the trade means, with its picture, beside where it was pressed. */
const props = defineProps<{ word: Word; at: HTMLElement }>()
const emit = defineEmits<{ hide: [] }>()
const popover = useTemplateRef('popover')
onMounted(async () => {
  // It opens where it was pressed, by the press that asked for it.
  await nextTick()
  popover.value?.show({ currentTarget: props.at } as unknown as Event)
})
</script>

<template>
  <Popover ref="popover" @hide="emit('hide')">
    <figure>
      <TradePicture :picture="word.picture" :word="word.name" />
      <figcaption>{{ word.says }}</figcaption>
    </figure>
  </Popover>
</template>

<style scoped>
figure {
  width: min(300px, 80vw);
  margin: 0;
}
figcaption {
  margin-top: 6px;
  font-size: 15px;
}
</style>

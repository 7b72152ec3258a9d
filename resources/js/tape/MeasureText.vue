<script setup lang="ts">
import { computed } from 'vue'

/** A measurement with its fractions set as real ones. */
const props = defineProps<{ text: string }>()

const parts = computed(() =>
  props.text.split(/(\d+\/\d+)/).map((part) => {
    const fraction = /^(\d+)\/(\d+)$/.exec(part)
    return fraction ? { top: fraction[1], bottom: fraction[2] } : { plain: part }
  }),
)
</script>

<template>
  <span class="measure"
    ><span aria-hidden="true"
      ><template v-for="(part, i) in parts" :key="i"
        ><span v-if="part.top" class="fraction"
          ><sup>{{ part.top }}</sup
          >⁄<sub>{{ part.bottom }}</sub></span
        ><template v-else>{{ part.plain }}</template></template
      ></span
    ><span class="visually-hidden">{{ text }}</span></span
  >
</template>

<style scoped>
.fraction sup,
.fraction sub {
  font-size: 0.68em;
  line-height: 0;
}
.fraction sub {
  vertical-align: baseline;
}
</style>

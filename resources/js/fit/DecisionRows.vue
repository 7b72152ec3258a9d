<script setup lang="ts">
import type { Working } from '@/api/types'
import WorkingButton from '@/job/WorkingButton.vue'
import { computed } from 'vue'

/** What was decided for what bears a mark, each with its working, as rows of a list. */
const props = defineProps<{ decisions: Record<string, Working>; mark: string }>()
const rows = computed(() => {
  const names = new RegExp(`(^|[^A-Za-z0-9])${props.mark}([^A-Za-z0-9]|$)`)
  return Object.entries(props.decisions).filter(([name]) => names.test(name))
})
</script>

<template>
  <template v-for="[name, working] in rows" :key="name">
    <dt>{{ name }}</dt>
    <dd><WorkingButton :working="working" :label="name" /></dd>
  </template>
</template>

<style scoped>
dd {
  margin: 0;
  text-align: right;
}
</style>

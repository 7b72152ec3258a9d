<script setup lang="ts">
import './preferences'
import { asking } from '@/tape/sumDesk'
import Toast from 'primevue/toast'
import { defineAsyncComponent } from 'vue'

const SumDialog = defineAsyncComponent(() => import('@/sums/SumDialog.vue'))

function use(length: string): void {
  asking.value?.use?.(length)
  asking.value = null
}
</script>

<template>
  <RouterView />
  <SumDialog v-if="asking" :field="asking.label" @use="use" @close="asking = null" />
  <Toast position="bottom-center" />
</template>

<script setup lang="ts">
import type { Working } from '@/api/types'
import MeasureText from '@/tape/MeasureText.vue'

/** How a size came about, line by line. */
defineProps<{ working: Working; caption: string }>()
</script>

<template>
  <table class="working">
    <caption>
      {{
        caption
      }}
    </caption>
    <tbody>
      <tr v-for="(step, i) in working.steps" :key="i">
        <td>{{ step.label }}</td>
        <td class="sign measure">{{ step.sign }}</td>
        <td class="value"><MeasureText :text="step.value.text" /></td>
      </tr>
    </tbody>
    <tfoot>
      <tr>
        <td>comes to</td>
        <td></td>
        <td class="value"><MeasureText :text="working.text" /></td>
      </tr>
    </tfoot>
  </table>
</template>

<style scoped>
.working {
  width: 100%;
  border-collapse: collapse;
}
caption {
  padding-bottom: 6px;
  font-weight: 600;
  text-align: left;
}
td {
  padding: 4px 0;
  border-bottom: 1px dashed var(--line);
}
.sign {
  padding: 0 10px;
  text-align: right;
}
.value {
  text-align: right;
}
tfoot td {
  border: 0;
  font-weight: 600;
}
</style>

<script setup lang="ts">
import Button from 'primevue/button'

/** A code that was just made, large enough to be written down, and printed alone. */
defineProps<{ code: string }>()
defineEmits<{ done: [] }>()
const print = () => window.print()
</script>

<template>
  <section class="card recovery" aria-label="Recovery code">
    <h2>Your recovery code</h2>
    <p>
      If you forget your password, this code and your e-mail lead back to your jobs. It is shown this once:
      print it, or write it down, and keep it where you keep papers.
    </p>
    <p class="measure large">{{ code }}</p>
    <div class="actions">
      <Button outlined label="Print" @click="print" />
      <Button label="I have it on paper" @click="$emit('done')" />
    </div>
  </section>
</template>

<style scoped>
.recovery {
  max-width: 560px;
}
.large {
  font-size: 1.5rem;
  overflow-wrap: anywhere;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>

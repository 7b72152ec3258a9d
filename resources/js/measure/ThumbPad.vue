<script setup lang="ts">
import type { JobUnit } from '@/tape/lengthReader'
import { computed } from 'vue'

/** Whole numbers and fractions under one thumb. Gives up the keys pressed; the field keeps the text. */
const props = defineProps<{ unit: JobUnit; ends: string[]; end: string | null; busy: boolean }>()
const emit = defineEmits<{ key: [text: string]; back: []; next: []; end: [name: string] }>()

const digits = ['7', '8', '9', '4', '5', '6', '1', '2', '3']
const fractions = computed(() =>
  props.unit === 'in'
    ? [
        '1/8',
        '1/4',
        '3/8',
        '1/2',
        '5/8',
        '3/4',
        '7/8',
        '1/16',
        '3/16',
        '5/16',
        '7/16',
        '9/16',
        '11/16',
        '13/16',
        '15/16',
      ]
    : [],
)
</script>

<template>
  <fieldset class="pad" aria-label="Thumb pad" :disabled="busy">
    <div v-if="ends.length > 0" class="ends">
      <button
        v-for="name in ends"
        :key="name"
        type="button"
        @click="emit('end', name)"
        :aria-pressed="name === end"
      >
        {{ name }}
      </button>
    </div>
    <div v-if="fractions.length > 0" class="fractions">
      <button
        v-for="fraction in fractions"
        :key="fraction"
        type="button"
        @click="emit('key', ` ${fraction}`)"
      >
        {{ fraction }}
      </button>
    </div>
    <div class="digits">
      <button v-for="digit in digits" :key="digit" type="button" @click="emit('key', digit)">
        {{ digit }}
      </button>
      <button type="button" @click="emit('key', unit === 'mm' ? '.' : ' + ')">
        {{ unit === 'mm' ? '.' : '+' }}
      </button>
      <button type="button" @click="emit('key', '0')">0</button>
      <button type="button" aria-label="Take back one sign" @click="emit('back')">⌫</button>
    </div>
    <button type="button" class="next" @click="emit('next')">Keep, next</button>
  </fieldset>
</template>

<style scoped>
.pad {
  display: grid;
  gap: 6px;
  min-width: 0;
  margin: 0;
  padding: 0;
  border: 0;
}
.digits {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 6px;
}
.fractions {
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: 64px;
  gap: 6px;
  overflow-x: auto;
}
.ends {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px;
}
button {
  min-height: 48px;
  border: 1px solid var(--line);
  border-radius: 10px;
  background: var(--card);
  color: var(--ink);
  font: 600 20px var(--mono);
  touch-action: manipulation;
}
.ends button,
.fractions button {
  font-size: 16px;
}
.ends [aria-pressed='true'] {
  border: 2px solid var(--chalk);
  background: var(--chalk-wash);
}
.next {
  border: 0;
  background: var(--chalk);
  color: var(--on-chalk);
  font-family: var(--sans);
}
</style>

<script setup lang="ts">
import InputText from 'primevue/inputtext'
import { computed, inject, onMounted, onUnmounted, ref, useId, watch } from 'vue'
import { inSum } from './inSum'
import { asking } from './sumDesk'
import { echo, readLength, Unreadable, type JobUnit } from './lengthReader'

/** A field for one length: echoes what was understood while typing, and gives the text up on Enter or on leaving. */
const props = defineProps<{
  label: string
  /** As it was typed or is written. */
  text: string
  unit: JobUnit
  /** Shown while the field is empty: what is computed when nothing is chosen. */
  whenEmpty?: string
  refused?: string | undefined
  /** Whether a minus before it means the other way. */
  signed?: boolean
}>()
/** Fields of a sum are not filled by another. */
const isInSum = inject(inSum, false)
const emit = defineEmits<{ change: [text: string] }>()

const id = useId()
const typed = ref(props.text)
watch(
  () => props.text,
  (text) => (typed.value = text),
)

const understood = computed(() => {
  if (typed.value === props.text || typed.value.trim() === '') return { echo: '', fault: '' }
  try {
    const [, minus = '', size = ''] = /^\s*([-−]?)(.*)$/.exec(typed.value) ?? []
    if (!props.signed || minus === '')
      return { echo: echo(readLength(typed.value, props.unit), props.unit), fault: '' }
    return { echo: `− ${echo(readLength(size, props.unit), props.unit)}`, fault: '' }
  } catch (error) {
    if (error instanceof Unreadable) return { echo: '', fault: error.message }
    throw error
  }
})
const fault = computed(() => understood.value.fault || props.refused || '')
const mayBeEmpty = computed(() => props.whenEmpty !== undefined)

function give() {
  if (typed.value === props.text || understood.value.fault) return
  if (typed.value.trim() === '' && !mayBeEmpty.value) {
    typed.value = props.text
    return
  }
  emit('change', typed.value.trim())
}

const use = (length: string) => emit('change', length)
const ask = () => (asking.value = { label: props.label, use })
// A panel may be drawn anew while a sum is open: the field that then stands in its place takes the answer.
onMounted(() => {
  if (!isInSum && asking.value?.label === props.label && asking.value.use === null) ask()
})
onUnmounted(() => {
  if (asking.value?.use === use) asking.value = { label: props.label, use: null }
})

function leave(event: KeyboardEvent) {
  typed.value = props.text
  ;(event.target as HTMLInputElement).blur()
}
</script>

<template>
  <div class="length">
    <span class="name">
      <label :id="`${id}-name`" :for="id">{{ label }}</label>
      <!-- On the way from field to field it is passed over: it would stand between all of them. -->
      <button
        v-if="!isInSum"
        type="button"
        class="reckon"
        tabindex="-1"
        title="Work it out by a quick sum"
        aria-label="Quick sum"
        :aria-describedby="`${id}-name`"
        @mousedown.prevent
        @click="ask"
      >
        ÷
      </button>
    </span>
    <InputText
      :id="id"
      v-model="typed"
      class="measure"
      :invalid="fault !== ''"
      :placeholder="props.whenEmpty"
      :aria-describedby="`${id}-says`"
      autocomplete="off"
      @keydown.enter="give"
      @keydown.esc="leave"
      @blur="give"
    />
    <p :id="`${id}-says`" :class="fault ? 'fault' : 'soft'" aria-live="polite">
      {{ fault || understood.echo }}
    </p>
  </div>
</template>

<style scoped>
.length {
  display: grid;
  grid-template-columns: 1fr 146px;
  gap: 2px 12px;
  align-items: center;
  padding: 4px 0;
}
.length input {
  width: 100%;
  text-align: right;
}
.length input::placeholder {
  font-size: 14px;
}
.name {
  position: relative;
}
.reckon {
  position: absolute;
  top: 50%;
  right: -6px;
  translate: 0 -50%;
  width: 32px;
  height: 32px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--card);
  color: var(--soft);
  font: inherit;
  cursor: pointer;
  opacity: 0;
}
.length:focus-within .reckon,
.length:hover .reckon {
  opacity: 1;
}
p {
  grid-column: 1 / -1;
  margin: 0;
  font-size: 14px;
  text-align: right;
}
p:empty {
  display: none;
}
.fault {
  color: var(--brick);
  text-align: left;
}
</style>

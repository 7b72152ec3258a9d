<script setup lang="ts">
import type { Reading } from '@/api/types'
import { useJob } from '@/job/store'
import MeasureText from '@/tape/MeasureText.vue'
import { useMediaQuery } from '@vueuse/core'
import InputText from 'primevue/inputtext'
import SelectButton from 'primevue/selectbutton'
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { split, understand } from './readingText'
import SlotPicture from './SlotPicture.vue'
import ThumbPad from './ThumbPad.vue'

/** The reading that is open: a large field, what is understood, and how it is taken. */
const props = defineProps<{ reading: Reading; number: number }>()
const emit = defineEmits<{ next: []; skip: [] }>()

const job = useJob()
const isPhone = useMediaQuery('(max-width: 760px)')
const field = ref<{ $el: HTMLInputElement } | null>(null)
const text = ref('')
const end = ref<string | null>(null)
const refused = ref('')
const saving = ref(false)

const last = computed(() => props.reading.takes.at(-1) ?? null)
const unit = computed(() => job.job?.unit ?? 'mm')
const said = computed(() => understand(props.reading, text.value, end.value, unit.value))
const fault = computed(() => refused.value || said.value.fault)

watch(
  () => props.reading.slot,
  () => {
    text.value = last.value?.typed ?? ''
    end.value = last.value?.end ?? null
    refused.value = ''
    void nextTick(focus)
  },
  { immediate: true },
)
onMounted(focus)
watch(text, () => {
  refused.value = ''
  const typed = split(text.value, props.reading.ends)
  if (typed.end) end.value = typed.end
})

function focus() {
  if (isPhone.value) return
  field.value?.$el.focus()
  field.value?.$el.select()
}

/** Keeps what stands in the field. Another number corrects the last take; `again` adds a second one beside it. */
async function keep(again = false) {
  if (saving.value) return
  const { number } = split(text.value, props.reading.ends)
  const isSame = number === last.value?.typed && end.value === last.value.end
  if (number === '' || (isSame && !again)) {
    emit('next')
    return
  }
  if (said.value.fault) return
  saving.value = true
  const took = await job.take(props.reading.slot, number, end.value, again ? null : (last.value?.id ?? null))
  saving.value = false
  if (took) emit('next')
  else refused.value = Object.values(job.refused).join(' ') || job.trouble
}

function press(key: string) {
  text.value = (text.value === last.value?.typed ? '' : text.value) + key
  text.value = text.value.trimStart()
}
</script>

<template>
  <section class="open" aria-label="Open reading">
    <div class="head">
      <h2>
        <span class="soft">{{ number }}</span> {{ reading.label }}
      </h2>
      <SlotPicture :reading="reading" />
    </div>
    <p class="how">
      {{ reading.how }}
      <span v-if="reading.span && reading.height" class="where">
        Level from <MeasureText :text="reading.height.text" /> up,
        <MeasureText :text="reading.span.text" /> long.
      </span>
      <span v-else-if="reading.height" class="where">
        At <MeasureText :text="reading.height.text" /> above the floor<template v-if="reading.depth"
          >, <MeasureText :text="reading.depth.text" /> from the back wall</template
        >.
      </span>
    </p>
    <InputText
      ref="field"
      v-model="text"
      class="number"
      :aria-label="reading.label"
      aria-describedby="reading-says"
      :invalid="fault !== ''"
      :inputmode="isPhone ? 'none' : 'text'"
      autocomplete="off"
      enterkeyhint="next"
      @keydown.enter.exact.prevent="keep()"
      @keydown.shift.enter.prevent="emit('skip')"
      @keydown.esc="field?.$el.blur()"
    />
    <SelectButton
      v-if="reading.ends.length > 0 && !isPhone"
      v-model="end"
      :options="reading.ends"
      :aria-label="reading.kind === 'plumb' ? 'Gap at which end' : 'Which end is lower'"
    />
    <p id="reading-says" :class="fault ? 'fault' : 'says'" aria-live="polite">
      {{ fault || said.echo || (last ? last.value.text : '') }}
    </p>
    <ThumbPad
      v-if="isPhone"
      :unit="unit"
      :ends="reading.ends"
      :end="end"
      @key="press"
      @back="text = text.slice(0, -1)"
      @end="end = $event"
      @next="keep()"
    />
    <div class="actions">
      <button type="button" class="link" @click="emit('skip')">skip <kbd>Shift</kbd> <kbd>Enter</kbd></button>
      <button v-if="last" type="button" class="link" @click="keep(true)">second take</button>
      <button v-if="!isPhone" type="button" class="link strong" @click="keep()">
        keep, next <kbd>Enter</kbd>
      </button>
    </div>
  </section>
</template>

<style scoped>
.open {
  padding: 14px 16px;
  border: 2px solid var(--chalk);
  border-radius: 12px;
  background: var(--card);
}
.head {
  display: flex;
  gap: 12px;
  align-items: flex-start;
  justify-content: space-between;
}
.how {
  margin: 2px 0 8px;
  color: var(--soft);
  font-size: 15px;
}
.number {
  width: 100%;
  border-width: 0 0 2px;
  border-color: var(--chalk);
  border-radius: 0;
  background: transparent;
  padding: 2px 4px;
  font: 600 32px var(--mono);
}
.says,
.fault {
  min-height: 24px;
  margin: 6px 0 4px;
}
.fault {
  color: var(--brick);
}
.actions {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: 4px 16px;
}
.link {
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  text-decoration: underline dotted var(--line-strong);
  cursor: pointer;
}
.strong {
  font-weight: 600;
}
@media (max-width: 760px) {
  .head h2 {
    font-size: 1.35rem;
  }
}
</style>

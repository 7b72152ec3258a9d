<script setup lang="ts">
import type { Finding, Reading } from '@/api/types'
import { useDevices } from '@/devices/device'
import { useJob } from '@/job/store'
import MeasureText from '@/tape/MeasureText.vue'
import { useMediaQuery } from '@vueuse/core'
import InputText from 'primevue/inputtext'
import SelectButton from 'primevue/selectbutton'
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { split, understand } from './readingText'
import SlotPicture from './SlotPicture.vue'
import ThumbPad from './ThumbPad.vue'

/** The reading that is open: a large field, what is understood, how it is taken, and the takes it has. */
const props = defineProps<{ reading: Reading; number: number; doubt: Finding | null }>()
const emit = defineEmits<{ next: []; skip: []; begin: [] }>()

const job = useJob()
const { latest } = useDevices()
const isPhone = useMediaQuery('(max-width: 760px)')
const field = ref<{ $el: HTMLInputElement } | null>(null)
const text = ref('')
const end = ref<string | null>(null)
const refused = ref('')
const saving = ref(false)

const counted = computed(() => props.reading.takes.filter((take) => !take.struck))
const last = computed(() => counted.value.at(-1) ?? null)
const unit = computed(() => job.job?.unit ?? 'mm')
const said = computed(() => understand(props.reading, text.value, end.value, unit.value))
const isUnderstood = computed(
  () => said.value.echo !== '' && (props.reading.ends.length === 0 || end.value !== null),
)
const fault = computed(() => refused.value || said.value.fault)
/** A reading in doubt is taken again beside the old one, not corrected. */
const isAgain = computed(() => props.doubt !== null)
const isSkipped = computed(() => job.space?.choices.skipped.includes(props.reading.slot) ?? false)

watch(
  () => props.reading.slot,
  () => {
    text.value = isAgain.value ? '' : (last.value?.typed ?? '')
    end.value = isAgain.value ? null : (last.value?.end ?? null)
    refused.value = ''
    void nextTick(focus)
  },
  { immediate: true },
)
onMounted(focus)
watch(text, () => {
  refused.value = ''
  emit('begin')
  const typed = split(text.value, props.reading.ends)
  if (typed.end) end.value = typed.end
})
// When the open reading itself comes into doubt, its field makes room for another take; what is being typed stays.
watch(isAgain, (is) => {
  if (is && text.value === (last.value?.typed ?? '')) text.value = ''
})
watch(latest, (value) => {
  if (!value || (value.slot !== undefined && value.slot !== props.reading.slot)) return
  text.value = value.text
  if (value.end !== undefined) end.value = value.end
  void nextTick(focus)
})

function focus() {
  if (isPhone.value) return
  field.value?.$el.focus()
  field.value?.$el.select()
}

/** Keeps what stands in the field. Another number corrects the last take; `again` adds one beside it. */
async function keep(again = isAgain.value) {
  if (saving.value) return
  const { number } = split(text.value, props.reading.ends)
  const isSame = number === last.value?.typed && end.value === last.value.end
  if (number === '' || (isSame && !again)) {
    emit('next')
    return
  }
  if (said.value.fault) return
  const slot = { slot: props.reading.slot, label: props.reading.label, place: props.reading.place }
  // What is understood goes on as soon as this device has it: the next number must not land in this field while it is under way.
  const goesOn = isUnderstood.value && !props.doubt
  const kept = { slot: slot.slot, text: text.value }
  saving.value = true
  const taking = job.take(slot, number, end.value, again ? null : (last.value?.id ?? null), () => {
    if (!goesOn) return
    saving.value = false
    emit('next')
  })
  const took = await taking
  if (goesOn) return
  saving.value = false
  // Another reading stands open meanwhile, or another number in the field: that is not this one's to clear.
  if (props.reading.slot !== kept.slot || text.value !== kept.text) return
  if (took.is === 'refused') {
    // It still stands in its field, with the reason: it need not be kept twice.
    refused.value = took.why
    await took.drop()
  } else if (props.doubt && props.reading.takes.length < 3) text.value = ''
  else emit('next')
}

function press(key: string) {
  text.value = (text.value === last.value?.typed ? '' : text.value) + key
  text.value = text.value.trimStart()
}

const time = (at: string) =>
  at === '' ? '' : new Date(at).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })

async function cannotBeTaken() {
  const skipped = job.space?.choices.skipped ?? []
  const slot = props.reading.slot
  await job.edit('space', {
    path: 'skipped',
    value: isSkipped.value ? skipped.filter((other) => other !== slot) : [...skipped, slot],
  })
  if (!isSkipped.value) return
  emit('skip')
}
</script>

<template>
  <section class="open" :class="{ doubted: doubt }" aria-label="Open reading">
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
          >, <MeasureText :text="reading.depth.text" /> out from the wall</template
        >.
      </span>
    </p>
    <ul v-if="reading.takes.length > 1 || reading.withdrawn.length > 0" class="takes" aria-label="Takes">
      <li v-for="take in reading.withdrawn" :key="take.id">
        <s><MeasureText :text="take.value.text" /> {{ take.end }}</s
        ><span class="soft">{{ time(take.taken_at) }} · taken back</span>
      </li>
      <li v-for="take in reading.takes" :key="take.id">
        <component :is="take.struck ? 's' : 'span'"
          ><MeasureText :text="take.value.text" /> {{ take.end }}</component
        ><span class="soft"
          >{{ time(take.taken_at) }}{{ take.struck ? ' · does not count' : ''
          }}{{ take.waits ? ' · waits here' : '' }}</span
        >
        <button
          v-if="reading.takes.length > 1 && !take.waits"
          type="button"
          class="link"
          :aria-label="`Take back ${take.value.text}`"
          @click="job.withdraw(take.id, { slot: reading.slot, label: reading.label })"
        >
          take back
        </button>
      </li>
    </ul>
    <InputText
      ref="field"
      v-model="text"
      class="number"
      :aria-label="reading.label"
      aria-describedby="reading-says"
      :invalid="fault !== ''"
      :readonly="saving"
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
      {{ fault || said.echo || (last && !isAgain ? last.value.text : '') }}
    </p>
    <p v-if="doubt" class="doubt" role="alert">{{ doubt.sentence }}</p>
    <ThumbPad
      v-if="isPhone"
      :busy="saving"
      :unit="reading.is_angle ? 'mm' : unit"
      :ends="reading.ends"
      :end="end"
      @key="press"
      @back="text = text.slice(0, -1)"
      @end="end = $event"
      @next="keep()"
    />
    <div class="actions">
      <button
        v-if="reading.required || isSkipped"
        type="button"
        class="link aside"
        :aria-pressed="isSkipped"
        @click="cannotBeTaken"
      >
        {{ isSkipped ? 'can be taken after all' : 'cannot be taken' }}
      </button>
      <button
        v-if="reading.added"
        type="button"
        class="link"
        @click="job.edit('space', { path: `extras.${reading.slot.split('.')[0]}`, value: null })"
      >
        remove from the book
      </button>
      <button type="button" class="link" @click="emit('skip')">skip <kbd>Shift</kbd> <kbd>Enter</kbd></button>
      <button v-if="last && !isAgain" type="button" class="link" @click="keep(true)">second take</button>
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
.doubted {
  border-color: var(--ochre);
}
.doubt {
  margin: 4px 0 6px;
  color: var(--ochre);
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
.takes {
  display: grid;
  gap: 2px;
  margin: 0 0 6px;
  padding: 0;
  list-style: none;
}
.takes li {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 10px;
}
.takes .link {
  min-height: 28px;
  margin-left: auto;
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
.aside {
  margin-right: auto;
  color: var(--soft);
}
@media (min-width: 761px) {
  .actions .link {
    min-height: 32px;
  }
}
.strong {
  font-weight: 600;
}
@media (max-width: 760px) {
  .head h2 {
    font-size: 1.5rem;
  }
  .open {
    padding: 10px 12px;
  }
  .takes .link {
    min-height: 44px;
  }
}
</style>

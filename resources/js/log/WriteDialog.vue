<script setup lang="ts">
import type { LogStation } from '@/api/types'
import { useJob } from '@/job/store'
import LengthField from '@/tape/LengthField.vue'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import SelectButton from 'primevue/selectbutton'
import Textarea from 'primevue/textarea'
import { computed, ref, watch } from 'vue'
import { session } from '@/shell/session'
import PhotoButton from './PhotoButton.vue'

/** What happened, in a few presses: what went wrong, how a box went in, what was paid, how long it took, a size as built, a note. */
const props = defineProps<{ station: LogStation }>()
const visible = defineModel<boolean>('visible', { required: true })
const job = useJob()

const SORTS = [
  { value: 'problem', label: 'Went wrong' },
  { value: 'fit', label: 'How it fitted' },
  { value: 'hours', label: 'Hours' },
  { value: 'money', label: 'Paid' },
  { value: 'left', label: 'Left over' },
  { value: 'built', label: 'As built' },
  { value: 'note', label: 'Note' },
]
const sort = ref('problem')
const blank = () => ({
  problem: 'other',
  where: '',
  amount: '',
  words: '',
  how: 'freely',
  by: '',
  box: '',
  typed: '',
  work: 'install',
  person: '',
  what: '',
  paid: '',
  shop: '',
  line: null as string | null,
  left: '',
  size: '',
})
const form = ref(blank())
const kept = ref('')

const unit = computed(() => job.job?.unit ?? 'mm')
const people = computed(() => [...new Set([session.value?.user?.name ?? 'me', ...props.station.people])])
const isWhole = computed(() => {
  const now = form.value
  switch (sort.value) {
    case 'fit':
      return now.box !== '' && (now.how === 'freely' || now.how === 'tight' || now.by !== '')
    case 'hours':
      return now.typed.trim() !== ''
    case 'money':
      return now.what.trim() !== '' && now.paid.trim() !== ''
    case 'left':
      return now.line !== null && now.left.trim() !== ''
    case 'built':
      return now.what.trim() !== '' && now.size !== ''
    case 'note':
      return now.words.trim() !== ''
    default:
      return true
  }
})

/** Of the list: all that may be paid for, or what is counted, as screws and pins are. */
const lines = computed(() =>
  sort.value === 'left' ? props.station.lines.filter((one) => one.spare > 0) : props.station.lines,
)
const line = computed(() => lines.value.find((one) => one.key === form.value.line) ?? null)
watch(line, (one) => {
  if (one && sort.value === 'money') form.value.what = one.what
})

async function keep() {
  const now = form.value
  const bodies: Record<string, [string | null, string, Record<string, unknown>]> = {
    problem: [
      null,
      now.problem,
      { problem: now.problem, where: now.where, amount: now.amount, words: now.words },
    ],
    fit: [now.box, now.how, { how: now.how, by: now.by, words: now.words }],
    hours: [
      null,
      now.typed,
      {
        person: now.person || (people.value[0] ?? ''),
        work: now.work,
        typed: now.typed,
        from: new Date().toISOString(),
      },
    ],
    money: [
      null,
      now.paid,
      {
        what: now.what,
        amount: now.paid,
        shop: now.shop,
        ...(line.value ? { line: line.value.key, listed: line.value.listed } : {}),
      },
    ],
    left: [null, now.left, { left: now.left, ...line.value, line: line.value?.key }],
    built: [now.where || null, now.size, { what: now.what, text: now.size }],
    note: [null, now.words.slice(0, 40), { words: now.words }],
  }
  const [part, text, body] = bodies[sort.value] ?? [null, '', {}]
  await job.note(SORTS.find((one) => one.value === sort.value)?.label ?? 'Log', text, [
    { kind: sort.value as 'note', part, body, withdraws: [] },
  ])
  form.value = blank()
  kept.value = 'Kept. Another?'
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    header="Write what happened"
    :style="{ width: '520px' }"
    @hide="kept = ''"
  >
    <SelectButton
      v-model="sort"
      :options="SORTS"
      option-label="label"
      option-value="value"
      :allow-empty="false"
      aria-label="What to write"
      class="sorts"
    />
    <form class="form" @submit.prevent="keep">
      <template v-if="sort === 'problem'">
        <span id="log-problem" class="label">What</span>
        <Select
          v-model="form.problem"
          aria-labelledby="log-problem"
          :options="station.kinds.problem"
          option-label="label"
          option-value="value"
        />
        <label for="log-where">Where (piece, edge, box; may be empty)</label>
        <InputText id="log-where" v-model="form.where" />
        <LengthField
          label="By how much (may be empty)"
          :text="form.amount"
          :unit="unit"
          when-empty=""
          @change="(text: string) => (form.amount = text)"
        />
      </template>
      <template v-if="sort === 'fit'">
        <span id="log-box" class="label">Box</span>
        <Select
          v-model="form.box"
          aria-labelledby="log-box"
          :options="station.boxes"
          option-label="mark"
          option-value="id"
          placeholder="which box"
        />
        <span id="log-how" class="label">It</span>
        <Select
          v-model="form.how"
          aria-labelledby="log-how"
          :options="station.kinds.fit"
          option-label="label"
          option-value="value"
        />
        <LengthField
          v-if="form.how === 'jammed' || form.how === 'loose'"
          label="By how much"
          :text="form.by"
          :unit="unit"
          when-empty=""
          @change="(text: string) => (form.by = text)"
        />
      </template>
      <template v-if="sort === 'hours'">
        <span id="log-work" class="label">Worked at</span>
        <Select
          v-model="form.work"
          aria-labelledby="log-work"
          :options="station.kinds.work"
          option-label="label"
          option-value="value"
        />
        <span id="log-person" class="label">Who</span>
        <Select
          v-model="form.person"
          aria-labelledby="log-person"
          :options="people"
          :placeholder="people[0]"
          editable
        />
        <label for="log-typed">How long: 2:30 or 150 min</label>
        <InputText id="log-typed" v-model="form.typed" class="measure" autocomplete="off" />
      </template>
      <template v-if="sort === 'money' || sort === 'left'">
        <span id="log-line" class="label">{{
          sort === 'money' ? 'Of the list (may be empty)' : 'What was counted'
        }}</span>
        <Select
          v-model="form.line"
          aria-labelledby="log-line"
          :options="lines"
          option-label="what"
          option-value="key"
          :show-clear="sort === 'money'"
          filter
          :placeholder="sort === 'money' ? 'something else' : 'which screws'"
          empty-message="The list for the shops has nothing of this sort."
        />
        <p v-if="line && sort === 'left'" class="soft">
          {{ line.use }} used by the plan and {{ line.spare }} on top; {{ line.had }} with what the packs
          hold.
        </p>
        <p v-if="line?.listed && sort === 'money'" class="soft">
          The list has all of it at {{ job.job?.choices.currency }} {{ (line.listed / 100).toFixed(2) }}.
        </p>
      </template>
      <template v-if="sort === 'left'">
        <label for="log-left">How many were left (missing: with a minus)</label>
        <InputText id="log-left" v-model="form.left" class="measure" autocomplete="off" />
      </template>
      <template v-if="sort === 'money'">
        <label for="log-what">What</label><InputText id="log-what" v-model="form.what" />
        <label for="log-paid">Amount, {{ job.job?.choices.currency }} (returned: with a minus)</label>
        <InputText id="log-paid" v-model="form.paid" class="measure" autocomplete="off" />
        <label for="log-shop">Shop (may be empty)</label><InputText id="log-shop" v-model="form.shop" />
      </template>
      <template v-if="sort === 'built'">
        <label for="log-built">What was measured</label><InputText id="log-built" v-model="form.what" />
        <label for="log-built-where">Which box or opening</label
        ><InputText id="log-built-where" v-model="form.where" />
        <LengthField
          label="As built"
          :text="form.size"
          :unit="unit"
          when-empty=""
          @change="(text: string) => (form.size = text)"
        />
      </template>
      <template v-if="sort === 'problem' || sort === 'note' || sort === 'fit'">
        <label for="log-words">Words</label>
        <Textarea id="log-words" v-model="form.words" rows="3" maxlength="2000" />
      </template>
      <p class="soft" role="status">{{ kept }}</p>
      <div class="buttons">
        <Button type="submit" label="Keep it" :disabled="!isWhole" />
        <PhotoButton :where="form.where" :caption="form.words.slice(0, 200)" />
      </div>
    </form>
  </Dialog>
</template>

<style scoped>
.sorts {
  display: flex;
  flex-wrap: wrap;
}
.sorts :deep(button) {
  flex: 1 1 30%;
  min-height: 44px;
}
.form {
  display: grid;
  gap: 4px;
  margin-top: 12px;
}
.form > label,
.form > .label {
  margin-top: 6px;
  color: var(--soft);
  font-size: 14px;
}
.buttons {
  display: flex;
  gap: 10px;
}
.buttons :deep(button) {
  min-height: 48px;
}
</style>

<script setup lang="ts">
import type { Home, Saws } from '@/api/types'
import LengthField from '@/tape/LengthField.vue'
import InputNumber from 'primevue/inputnumber'
import InputText from 'primevue/inputtext'
import SelectButton from 'primevue/selectbutton'
import ToggleSwitch from 'primevue/toggleswitch'

/** The saws that are owned: what they can take decides which cuts can be made, and how. */
defineProps<{ home: Home; refused: Record<string, string> }>()
const emit = defineEmits<{ change: [path: string, value: unknown] }>()

type Saw = 'table_saw' | 'guided_saw' | 'mitre_saw' | 'yard' | 'ride_home'
const KINDS: { saw: Saw; title: string; lengths: [string, string][] }[] = [
  {
    saw: 'table_saw',
    title: 'Table saw',
    lengths: [
      ['kerf', 'Kerf'],
      ['rip', 'Greatest distance of fence and blade'],
      ['height', 'Height of cut'],
      ['least_contact', 'Least contact with the fence'],
      ['correction', 'Set more than the size, as its scale is off'],
    ],
  },
  {
    saw: 'guided_saw',
    title: 'Guided saw',
    lengths: [
      ['kerf', 'Kerf'],
      ['run_on', 'How far the guide runs on, in all'],
      ['offset', 'Guide’s edge to kerf, guide on the piece'],
      ['offset_waste', 'The same, guide on the waste'],
      ['depth', 'Depth of cut'],
    ],
  },
  {
    saw: 'mitre_saw',
    title: 'Mitre saw',
    lengths: [
      ['kerf', 'Kerf'],
      ['widest', 'Widest part'],
      ['height', 'Height of cut'],
      ['stop', 'How far the stop reaches'],
      ['least_held', 'Shortest part that can be held'],
      ['correction', 'Stop set more than the size, as its scale is off'],
    ],
  },
  {
    saw: 'yard',
    title: 'The timber yard cuts sheets',
    lengths: [
      ['tolerance', 'How exactly it cuts, ±'],
      ['oversize', 'Asked for on top, to be sawn off at home'],
      ['least_strip', 'Narrowest strip that it cuts'],
      ['kerf', 'Kerf of its saw'],
      ['step', 'Sizes are asked for in steps of'],
    ],
  },
  {
    saw: 'ride_home',
    title: 'The ride home is too short for whole sheets',
    lengths: [
      ['length', 'Longest part that goes home with you'],
      ['width', 'Widest part'],
    ],
  },
]
const typed = (saws: Saws, saw: Saw, name: string) => {
  const figure = saws[saw]?.[name]
  // Saws that were noted before they could be put right are as their scales say.
  return typeof figure === 'object' && figure !== null ? figure.typed : '0'
}
const PEOPLE = [
  { value: 1, label: 'One person' },
  { value: 2, label: 'Two' },
]
</script>

<template>
  <section class="card">
    <h2>Saws</h2>
    <p class="soft">
      What is owned, and what it can take: cuts are planned for these. What none of them makes is said before
      you begin.
    </p>
    <div class="people">
      <span id="people-at-saw">At the saw</span>
      <SelectButton
        :model-value="home.saws.people"
        :options="PEOPLE"
        option-value="value"
        option-label="label"
        :allow-empty="false"
        aria-labelledby="people-at-saw"
        @update:model-value="emit('change', 'people', $event)"
      />
    </div>
    <div class="line">
      <label for="window">Sheets open at once: as many as there is room for</label>
      <InputNumber
        input-id="window"
        :model-value="home.saws.window"
        :min="1"
        :max="20"
        @update:model-value="emit('change', 'window', $event)"
      />
    </div>
    <div v-for="{ saw, title, lengths } in KINDS" :key="saw" class="kind">
      <div class="head">
        <label :for="`has-${saw}`"
          ><strong>{{ title }}</strong></label
        >
        <ToggleSwitch
          :input-id="`has-${saw}`"
          :model-value="home.saws[saw] !== null"
          @update:model-value="emit('change', saw, $event || null)"
        />
      </div>
      <template v-if="home.saws[saw] !== null">
        <LengthField
          v-for="[name, label] in lengths"
          :key="name"
          :label="label"
          :text="typed(home.saws, saw, name)"
          :unit="home.unit"
          :refused="refused[`${saw}.${name}`]"
          :signed="['correction', 'offset', 'offset_waste'].includes(name)"
          @change="emit('change', `${saw}.${name}`, $event)"
        />
        <template v-if="saw === 'guided_saw'">
          <div class="line">
            <label for="guides">Guides, one after another; they may be joined</label>
            <InputText
              id="guides"
              class="measure"
              :model-value="typed(home.saws, saw, 'guides')"
              @change="emit('change', 'guided_saw.guides', ($event.target as HTMLInputElement).value)"
            />
          </div>
          <p v-if="refused['guided_saw.guides']" class="refused">{{ refused['guided_saw.guides'] }}</p>
          <p class="soft small">
            Both distances are measured, not read off a plate: clamp the guide, cut a strip, measure from the
            guide to the cut edge; twice. Where the guide’s edge is the line, they are 0.
          </p>
        </template>
        <div v-if="saw === 'yard'" class="line">
          <label for="yard-cuts">Straight cuts of a sheet</label>
          <InputNumber
            input-id="yard-cuts"
            :model-value="home.saws.yard?.cuts as number"
            :min="0"
            :max="20"
            @update:model-value="emit('change', 'yard.cuts', $event)"
          />
        </div>
        <template v-if="saw === 'table_saw'">
          <div
            v-for="[name, label] in [
              ['push_alone', 'Heaviest part that one pushes, kg'],
              ['push_two', 'Heaviest part that two push, kg'],
            ] as const"
            :key="name"
            class="line"
          >
            <label :for="name">{{ label }}</label>
            <InputNumber
              :input-id="name"
              :model-value="home.saws.table_saw?.[name] as number"
              :min="1"
              :max="200"
              @update:model-value="emit('change', `table_saw.${name}`, $event)"
            />
          </div>
          <div class="line">
            <label for="outfeed">Something carries parts behind the blade</label>
            <ToggleSwitch
              input-id="outfeed"
              :model-value="home.saws.table_saw?.outfeed === true"
              @update:model-value="emit('change', 'table_saw.outfeed', $event)"
            />
          </div>
        </template>
      </template>
    </div>
  </section>
</template>

<style scoped>
.kind {
  padding: 12px 0 4px;
  border-top: 1px solid var(--line);
}
.head,
.people,
.line {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
  min-height: 44px;
}
.line :deep(input) {
  width: 146px;
  text-align: right;
}
.small {
  font-size: 14px;
}
</style>

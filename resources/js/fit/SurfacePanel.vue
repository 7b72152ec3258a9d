<script setup lang="ts">
import type { FitStation } from '@/api/types'
import DrawingView from '@/drawing/DrawingView.vue'
import { useJob } from '@/job/store'
import WorkingButton from '@/job/WorkingButton.vue'
import LengthField from '@/tape/LengthField.vue'
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed } from 'vue'
import DecisionRows from './DecisionRows.vue'
import UnitPanel from './UnitPanel.vue'
import type { useLayout } from './useLayout'
import { useUnits } from './useUnits'

/** What lies on walls: each with the part of its wall, how it is set, and how it looks from before it. */
const props = defineProps<{ station: FitStation; layout: ReturnType<typeof useLayout> }>()
const job = useJob()
const { of } = useUnits()
const { set, act } = props.layout
const unit = computed(() => job.job?.unit ?? 'mm')
const path = (id: string) => `layout.surfaces.${id}`
const chosen = (id: string) => job.space?.choices.layout.surfaces.find((one) => one.id === id)?.on
const ENDS = [
  { name: 'from', label: 'From the left corner', empty: 'the corner' },
  { name: 'to', label: 'To, from the left corner', empty: 'the other end' },
  { name: 'foot', label: 'Foot over the floor', empty: 'the floor' },
  { name: 'head', label: 'Head over the floor', empty: 'the ceiling' },
] as const
const additions = computed(() =>
  of('surface').flatMap((kind) => [
    ...props.station.walls.map((wall) => ({
      value: `${kind.kind} ${wall.wall}`,
      label: `${kind.label} on the ${wall.name}`,
      add: { list: 'surfaces', kind: kind.kind, wall: wall.wall },
    })),
    ...props.station.surfaces
      .filter((one) => one.carries && one.holds.kind !== kind.kind)
      .map((one) => ({
        value: `${kind.kind} ${one.id}`,
        label: `${kind.label} on ${one.holds.label.toLowerCase()} ${one.mark}`,
        add: { list: 'surfaces', kind: kind.kind, of: one.id },
      })),
  ]),
)
const add = (value: string) => {
  const one = additions.value.find((other) => other.value === value)
  if (one) void act('add', one.add)
}
</script>

<template>
  <section class="card" aria-label="On the walls">
    <h2>On the walls</h2>
    <article v-for="one in station.surfaces" :key="one.id" :aria-label="`${one.holds.label} ${one.mark}`">
      <header>
        <h3>{{ one.holds.label }} {{ one.mark }}, {{ one.on ? `on ${one.on}` : one.name }}</h3>
        <Button
          text
          severity="secondary"
          label="Take it away"
          :aria-label="`Take the ${one.holds.label.toLowerCase()} away`"
          @click="set(path(one.id), null)"
        />
      </header>
      <DrawingView class="look" :drawing="one.drawing" small />
      <dl>
        <dt>Width</dt>
        <dd><WorkingButton :working="one.width" :label="`Width of ${one.mark}`" /></dd>
        <dt>Height</dt>
        <dd><WorkingButton :working="one.height" :label="`Height of ${one.mark}`" /></dd>
        <DecisionRows :decisions="station.decisions" :mark="one.mark" />
      </dl>
      <LengthField
        v-for="end in ENDS"
        :key="end.name"
        :label="one.on ? end.label.replace('the left corner', `the left of ${one.on}`) : end.label"
        :text="chosen(one.id)?.[end.name]?.typed ?? ''"
        :when-empty="end.empty"
        :unit="unit"
        :refused="job.refused[`${path(one.id)}.on.${end.name}`]"
        @change="set(`${path(one.id)}.on.${end.name}`, $event || null)"
      />
      <UnitPanel :holds="one.holds" :path="path(one.id)" />
    </article>
    <Select
      :model-value="null"
      :options="additions"
      option-label="label"
      option-value="value"
      placeholder="Add on a wall …"
      aria-label="Add on a wall"
      @change="add($event.value)"
    />
  </section>
</template>

<style scoped>
article {
  padding: 8px 0;
  border-top: 1px dashed var(--line);
}
header {
  display: flex;
  gap: 8px;
  align-items: center;
  justify-content: space-between;
}
h3 {
  margin: 0;
}
.look {
  height: 180px;
}
dl {
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: center;
  margin: 4px 0;
}
dd {
  margin: 0;
  text-align: right;
}
</style>

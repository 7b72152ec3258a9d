<script setup lang="ts">
import type { SpaceChoices, Vocabulary } from '@/api/types'
import { useVocabulary } from '@/api/vocabulary'
import { useJob } from '@/job/store'
import { valueOf } from '@/job/typing'
import TradeText from '@/words/TradeText.vue'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import Drawer from 'primevue/drawer'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import ToggleSwitch from 'primevue/toggleswitch'
import { computed, ref } from 'vue'
import { measures } from './measures'
import HouseRules from './HouseRules.vue'
import JobArticles from './JobArticles.vue'
import JobMaterials from './JobMaterials.vue'

/** The rules a job is built by: units, house rules, materials and the sheets that can be bought. */
const visible = defineModel<boolean>('visible', { required: true })
const job = useJob()
const words = useVocabulary()
const adds = ref<string | null>(null)
const addSpace = (kind: string) => {
  adds.value = null
  const label = words.value.kinds.find((one) => one.value === kind)?.label ?? 'Space'
  return job.addSpace(`${label} ${(job.job?.spaces.length ?? 0) + 1}`, kind)
}
const choices = computed(() => job.job?.choices)
const unit = computed(() => job.job?.unit ?? 'mm')

const set = (path: string, value: unknown) => job.edit('job', { path, value })
const refused = (path: string) => job.refused[path]

/** What is chosen, in its own words and with what it costs and gains. */
function taught(school: Vocabulary['schools'][number]): string {
  const value = choices.value?.schools[school.name]
  const chosen = school.choices.find((one) => one.value === value) ?? school.choices[0]
  return `${chosen?.label}. ${chosen?.hint}`
}

const leaves = ref<{ id: string; choices: SpaceChoices } | null>(null)

async function takeOut() {
  if (leaves.value) await job.takeOutSpace(leaves.value.id)
  leaves.value = null
}
</script>

<template>
  <Drawer
    v-model:visible="visible"
    position="left"
    header="Job rules"
    :style="{ width: 'min(520px, 100vw)' }"
  >
    <div v-if="job.job && choices" class="rules">
      <div class="field">
        <label for="job-name">Name</label>
        <InputText id="job-name" :model-value="choices.name" @change="set('name', valueOf($event))" />
        <p v-if="refused('name')" class="refused">{{ refused('name') }}</p>
      </div>
      <div class="field">
        <label for="measure">Unit and working fraction</label>
        <Select
          input-id="measure"
          aria-label="Unit and working fraction"
          :model-value="choices.measure"
          :options="measures"
          option-label="label"
          option-value="value"
          @update:model-value="set('measure', $event)"
        />
      </div>
      <label class="row"
        >Currency
        <InputText
          class="number"
          maxlength="4"
          :model-value="choices.currency"
          :invalid="refused('currency') !== undefined"
          @change="set('currency', valueOf($event))"
        />
      </label>
      <p v-if="refused('currency')" class="refused">{{ refused('currency') }}</p>
      <div class="switch">
        <ToggleSwitch
          :model-value="choices.skirting_stays"
          input-id="skirting"
          @update:model-value="set('skirting_stays', $event)"
        />
        <label for="skirting">{{ unit === 'in' ? 'Baseboard' : 'Skirting' }} stays on the side walls</label>
      </div>
      <div class="switch">
        <ToggleSwitch
          :model-value="choices.painted"
          input-id="painted"
          @update:model-value="set('painted', $event)"
        />
        <label for="painted">The furniture is painted, so small gaps may be caulked</label>
      </div>
      <div class="switch">
        <ToggleSwitch
          :model-value="choices.top_over_sides"
          input-id="top-over-sides"
          @update:model-value="set('top_over_sides', $event)"
        />
        <label for="top-over-sides">Raked tops lie over the sides, instead of between them</label>
      </div>

      <h2>Spaces</h2>
      <div v-for="space in job.job.spaces" :key="space.id" class="space">
        <InputText
          :model-value="space.choices.name"
          aria-label="Name of the space"
          @change="job.edit(space.id, { path: 'name', value: valueOf($event) })"
        />
        <Button
          v-if="job.job.spaces.length > 1"
          text
          severity="secondary"
          label="Take out"
          :aria-label="`Take out ${space.choices.name} with its readings`"
          @click="leaves = space"
        />
      </div>
      <Select
        v-model="adds"
        :options="words.kinds"
        option-label="label"
        option-value="value"
        placeholder="Add a space …"
        aria-label="Add a space"
        @change="addSpace($event.value)"
      />
      <Dialog :visible="leaves !== null" modal header="Take this space out?" @update:visible="leaves = null">
        <p>{{ leaves?.choices.name }} goes with its readings and pieces. Undo brings it back.</p>
        <template #footer>
          <Button text label="Keep it" @click="leaves = null" />
          <Button severity="danger" label="Take the space out" @click="takeOut" />
        </template>
      </Dialog>

      <JobMaterials />
      <JobArticles />

      <h2>How it is made</h2>
      <div v-for="school in words.schools" :key="school.name" class="field">
        <label :for="`school-${school.name}`">{{ school.question }}</label>
        <Select
          :input-id="`school-${school.name}`"
          :aria-label="school.question"
          :model-value="choices.schools[school.name] ?? school.choices[0]?.value"
          :options="school.choices"
          option-label="label"
          option-value="value"
          @update:model-value="set(`schools.${school.name}`, $event)"
        />
        <p class="soft"><TradeText :text="taught(school)" /></p>
      </div>
      <h3>Tools at hand</h3>
      <p class="soft">What is planned and cannot be made with them is said, with another way.</p>
      <div v-for="tool in words.tools" :key="tool.value" class="switch">
        <ToggleSwitch
          :model-value="choices.tools[tool.value] ?? true"
          :input-id="`tool-${tool.value}`"
          @update:model-value="set(`tools.${tool.value}`, $event)"
        />
        <label :for="`tool-${tool.value}`">{{ tool.label }}</label>
      </div>

      <HouseRules />
    </div>
  </Drawer>
</template>

<style scoped>
.rules h2 {
  margin: 22px 0 10px;
}
.switch {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 44px;
}
.space {
  display: flex;
  gap: 8px;
  margin-bottom: 8px;
}
.space input {
  flex: 1;
}
.row {
  display: grid;
  grid-template-columns: 1fr 130px;
  align-items: center;
}
.number {
  text-align: right;
}
</style>

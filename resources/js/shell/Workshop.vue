<script setup lang="ts">
import { api, Refused } from '@/api/client'
import type { Home, WayIn } from '@/api/types'
import { useVocabulary } from '@/api/vocabulary'
import DrawingView from '@/drawing/DrawingView.vue'
import LengthField from '@/tape/LengthField.vue'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import HomeLessons from './HomeLessons.vue'
import HomeSaws from './HomeSaws.vue'
import OffcutShelf from './OffcutShelf.vue'
import TopBar from './TopBar.vue'

/** What belongs to a home and serves all its jobs: the ways in, from the street door to the space, and the saws. */
const route = useRoute()
const client = useQueryClient()
const words = useVocabulary()
const { data: homes } = useQuery({ queryKey: ['homes'], queryFn: () => api<Home[]>('GET', '/api/homes') })
const home = computed(() => homes.value?.find((one) => one.id === route.params.home) ?? null)
const refused = ref<Record<string, string>>({})

const change = (path: string, value: unknown) => send('ways-in', path, value)

async function send(list: 'ways-in' | 'saws', path: string, value: unknown): Promise<void> {
  if (!home.value) return
  refused.value = {}
  try {
    await api('POST', `/api/homes/${home.value.id}/${list}`, { path, value })
    await client.invalidateQueries({ queryKey: ['homes'] })
  } catch (error) {
    if (!(error instanceof Refused)) throw error
    refused.value = Object.keys(error.fields).length > 0 ? error.fields : { home: error.message }
  }
}

const add = (kind: string) =>
  change(crypto.randomUUID(), {
    kind,
    name: words.value.ways.find((way) => way.value === kind)?.label ?? 'Way',
    width: '760 mm',
    height: '2000 mm',
    second_width: kind === 'turn' ? '900 mm' : null,
  })
const fault = (way: WayIn, field: string) => refused.value[`ways_in.${way.id}.${field}`]
</script>

<template>
  <TopBar />
  <main v-if="home" class="workshop">
    <RouterLink to="/">Your jobs</RouterLink>
    <h1>Workshop of {{ home.name }}</h1>
    <section class="card">
      <h2>Ways in</h2>
      <p class="soft">
        Every door, turn and stair that a box must pass, in the order in which you carry it. Measure the clear
        width and height: past door leaves, stops, handles and rails.
      </p>
      <p v-if="home.ways_in.length === 0">None yet: boxes are not checked on their way in.</p>
      <ol>
        <li v-for="(way, i) in home.ways_in" :key="way.id" class="way">
          <div class="head">
            <span class="soft">{{ i + 1 }}</span>
            <InputText
              :model-value="way.name"
              :aria-label="`Name of way ${i + 1}`"
              @change="change(`${way.id}.name`, ($event.target as HTMLInputElement).value)"
            />
            <Button
              text
              severity="secondary"
              label="Remove"
              :aria-label="`Remove ${way.name}`"
              @click="change(way.id, null)"
            />
          </div>
          <DrawingView
            v-if="home.ways_drawn[way.id]"
            class="picture"
            :drawing="home.ways_drawn[way.id]!"
            :aria-label="`${way.name}, with the largest box that passes`"
          />
          <p v-if="fault(way, 'name')" class="refused">{{ fault(way, 'name') }}</p>
          <LengthField
            label="Clear width"
            :text="way.width.typed"
            :unit="home.unit"
            :refused="fault(way, 'width')"
            @change="change(`${way.id}.width`, $event)"
          />
          <LengthField
            label="Clear height"
            :text="way.height.typed"
            :unit="home.unit"
            :refused="fault(way, 'height')"
            @change="change(`${way.id}.height`, $event)"
          />
          <LengthField
            v-if="way.kind === 'turn'"
            label="Width after the turn"
            :text="way.second_width?.typed ?? ''"
            :unit="home.unit"
            :refused="fault(way, 'second_width')"
            @change="change(`${way.id}.second_width`, $event)"
          />
        </li>
      </ol>
      <p v-if="refused.home" class="refused" role="alert">{{ refused.home }}</p>
      <div class="adds">
        <Button
          v-for="way in words.ways"
          :key="way.value"
          outlined
          :label="`Add: ${way.label.toLowerCase()}`"
          @click="add(way.value)"
        />
      </div>
    </section>
    <OffcutShelf :home="home" @taken="client.invalidateQueries({ queryKey: ['homes'] })" />
    <HomeSaws :home="home" :refused="refused" @change="(path, value) => send('saws', path, value)" />
    <HomeLessons :home="home.id" />
  </main>
</template>

<style scoped>
.picture {
  height: 210px;
}
.workshop {
  display: grid;
  gap: 14px;
  max-width: 720px;
  margin: 20px auto;
  padding: 0 20px;
}
ol {
  display: grid;
  gap: 12px;
  margin: 0 0 14px;
  padding: 0;
  list-style: none;
}
.way {
  display: grid;
  gap: 6px;
  padding: 10px 0;
  border-bottom: 1px solid var(--line);
}
.head {
  display: grid;
  grid-template-columns: 20px 1fr auto;
  gap: 10px;
  align-items: center;
}
.adds {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>

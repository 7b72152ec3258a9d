<script setup lang="ts">
import type { StationName } from '@/api/types'
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'

/** The tape: the stations in working order as its marks, pulled out as far as the job has come. */
const props = defineProps<{
  job: string
  facts: Record<StationName, string>
  current: StationName
  reached: number
}>()

const stations: { name: StationName; title: string }[] = [
  { name: 'measure', title: 'Measure' },
  { name: 'fit', title: 'Fit' },
  { name: 'pieces', title: 'Pieces' },
  { name: 'sheets', title: 'Sheets' },
  { name: 'saw', title: 'Saw' },
  { name: 'install', title: 'Install' },
  { name: 'log', title: 'Log' },
]

const strip = ref<HTMLElement | null>(null)
const { width } = useElementSize(strip)
/** All marks are as wide, and no wider than all have room for. */
const MARK = computed(() => Math.min(200, (width.value - 20) / stations.length))
/** The tape ends between two marks, never through a word. */
const pulled = computed(() => Math.min(width.value, 20 + props.reached * MARK.value - 12))
</script>

<template>
  <nav ref="strip" class="tape" aria-label="Stations">
    <div class="pulled" :style="{ width: `${pulled}px` }" aria-hidden="true"></div>
    <RouterLink
      v-for="(station, i) in stations"
      :key="station.name"
      :to="`/jobs/${job}/${station.name}`"
      class="mark"
      :class="{
        current: station.name === current,
        beside: Math.abs(stations.findIndex((s) => s.name === current) - i) === 1,
      }"
      :aria-current="station.name === current ? 'page' : undefined"
    >
      <span class="title"
        >{{ station.title }} <kbd>{{ i + 1 }}</kbd></span
      >
      <span class="fact">{{ facts[station.name] }}</span>
    </RouterLink>
    <div class="ticks" aria-hidden="true"></div>
  </nav>
</template>

<style scoped>
.tape {
  position: relative;
  display: flex;
  height: 64px;
  padding-left: 20px;
  overflow: hidden;
  border-bottom: 1px solid var(--birch-line);
  background: var(--tape);
}
.pulled {
  position: absolute;
  inset: 0 auto 0 0;
  border-right: 3px solid #6d5b3c;
  background: linear-gradient(180deg, var(--birch-light), var(--birch));
  opacity: 0.8;
}
.ticks {
  position: absolute;
  inset: auto 0 0 0;
  height: 9px;
  background:
    repeating-linear-gradient(90deg, var(--birch-line) 0 1px, transparent 1px 40px) 20px 0 / auto 9px,
    repeating-linear-gradient(90deg, var(--birch-line) 0 1px, transparent 1px 8px) 20px 4px / auto 5px
      no-repeat;
  pointer-events: none;
}
.mark {
  position: relative;
  z-index: 1;
  flex: 0 1 200px;
  min-width: 0;
  padding: 8px 12px 0;
  color: var(--ink);
  text-decoration: none;
}
.mark:focus-visible {
  outline-offset: -4px;
}
.mark.current::after {
  position: absolute;
  inset: auto 12px 0 8px;
  height: 4px;
  border-radius: 2px;
  background: var(--chalk);
  content: '';
}
.title {
  display: block;
  font-weight: 600;
}
.current .title {
  color: var(--chalk);
}
:root.dark .current .title {
  color: var(--ink);
}
.fact {
  display: block;
  overflow: hidden;
  font-size: 14px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
@media (max-width: 760px) {
  .tape {
    height: 56px;
    padding-left: 0;
  }
  .pulled {
    display: none;
  }
  .mark {
    display: none;
    flex: 1 1 0;
    width: auto;
    min-width: 0;
    padding: 6px 10px 0;
  }
  .mark.current {
    display: block;
    flex-grow: 1.6;
  }
  .mark.beside {
    display: block;
  }
  .mark kbd {
    display: none;
  }
}
</style>

<script setup lang="ts">
import { api } from '@/api/client'
import type { Home } from '@/api/types'
import MeasureText from '@/tape/MeasureText.vue'
import Button from 'primevue/button'
import { computed } from 'vue'

/** The offcuts that were kept, to one scale: the next job is cut from them first. */
const props = defineProps<{ home: Home }>()
const emit = defineEmits<{ taken: [] }>()

/** The longest fills the width of its picture. */
const WIDTH = 120
const longest = computed(() => Math.max(1, ...props.home.offcuts.map((offcut) => offcut.length.nm)))
const drawn = (nm: number) => Math.max(4, (WIDTH * nm) / longest.value)

async function take(code: string) {
  await api('DELETE', `/api/homes/${props.home.id}/offcuts/${code}`)
  emit('taken')
}
</script>

<template>
  <section class="card">
    <h2>Offcut shelf</h2>
    <p v-if="home.offcuts.length === 0" class="soft">
      Empty. When a job is cut, what is left and large enough can be kept here; the next job is cut from it
      first.
    </p>
    <ul v-else>
      <li v-for="offcut in home.offcuts" :key="offcut.code">
        <span class="picture" aria-hidden="true">
          <span
            :style="{ width: `${drawn(offcut.length.nm)}px`, height: `${drawn(offcut.width.nm)}px` }"
          ></span>
        </span>
        <span class="what">
          <strong class="measure">{{ offcut.code }}</strong> {{ offcut.name }}
          <MeasureText :text="`${offcut.length.text} × ${offcut.width.text} × ${offcut.thickness}`" />
          <span class="soft">
            {{ [offcut.place, offcut.from ? `from ${offcut.from}` : ''].filter(Boolean).join(', ') }}
            <template v-if="offcut.reserved"> · reserved by {{ offcut.reserved }}</template>
          </span>
        </span>
        <Button
          text
          severity="secondary"
          label="Used, or not there"
          :aria-label="`${offcut.code} was used, or is not there`"
          @click="take(offcut.code)"
        />
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr) auto;
  gap: 12px;
  align-items: center;
  min-height: 60px;
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
.picture span {
  display: block;
  border: 1px solid var(--birch-line);
  background: var(--birch-light);
}
.what {
  display: grid;
}
@media (max-width: 600px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .picture {
    display: none;
  }
}
</style>

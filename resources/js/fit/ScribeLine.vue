<script setup lang="ts">
import { api } from '@/api/client'
import type { ScribeLine } from '@/api/types'
import DrawingView from '@/drawing/DrawingView.vue'
import { useJob } from '@/job/store'
import WorkingTable from '@/job/WorkingTable.vue'
import MeasureText from '@/tape/MeasureText.vue'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

/** How an edge is cut along its wall: with a compass, or by its stations. */
const props = defineProps<{ edge: string }>()
const job = useJob()
const { data: line } = useQuery({
  queryKey: computed(() => ['scribe-line', job.space?.id, job.space?.version, job.job?.version, props.edge]),
  queryFn: () =>
    api<ScribeLine>(
      'GET',
      `/api/spaces/${job.space?.id}/scribe-line?${new URLSearchParams({ edge: props.edge })}`,
    ),
})
</script>

<template>
  <div v-if="line">
    <p>
      To <em>scribe</em> is to cut an edge along the wall’s own line. The piece is held plumb and level
      against the wall, and a compass held level carries the wall’s line onto it.
    </p>
    <DrawingView class="line" :drawing="line.drawing" :exaggeration="line.times" />
    <p class="soft">
      Below the piece, above the wall; across the edge drawn ×{{ line.times }}. The hatched strip is cut away.
    </p>
    <dl>
      <dt>Set the compass to</dt>
      <dd><MeasureText :text="line.setting.text" /></dd>
      <dt>Deepest cut</dt>
      <dd><MeasureText :text="line.deepest.text" /></dd>
      <dt>Shallowest cut</dt>
      <dd><MeasureText :text="line.shallowest.text" /></dd>
      <dt>The line is known to about</dt>
      <dd><MeasureText :text="line.doubt.text" /></dd>
    </dl>
    <p v-if="line.taper">The line is straight: one taper cut.</p>
    <p v-if="line.by_rule">
      These stations were taken by rule: cut to them, a gap of up to
      <MeasureText :text="line.may_remain.text" /> may remain. Read again with the straightedge turned end for
      end it is less; then with stations closer together; least of all scribed in place.
    </p>
    <p v-else>
      These stations come from tape readings, so a gap of up to
      <MeasureText :text="line.may_remain.text" /> may remain where they are cut to by number. Offsets by
      rule, or scribing in place, bring it under half of that.
    </p>
    <WorkingTable :working="line.overhang" caption="Overhang of the blank" />
    <table class="stations">
      <thead>
        <tr>
          <th scope="col">Along the edge</th>
          <th scope="col">Gap</th>
          <th scope="col">Cut away</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="at in line.stations" :key="at.at.nm">
          <td><MeasureText :text="at.at.text" /></td>
          <td><MeasureText :text="at.gap.text" /></td>
          <td><MeasureText :text="at.cut.text" /></td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 4px 12px;
}
dd {
  margin: 0;
  font-weight: 600;
  text-align: right;
}
.line {
  height: 240px;
}
.stations {
  width: 100%;
  margin-top: 16px;
  border-collapse: collapse;
}
.stations th,
.stations td {
  padding: 4px 12px 4px 0;
  border-bottom: 1px solid var(--line);
  text-align: left;
}
</style>

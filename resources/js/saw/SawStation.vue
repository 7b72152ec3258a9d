<script setup lang="ts">
import type { SawCut } from '@/api/types'
import { isTyping } from '@/job/typing'
import { useJob } from '@/job/store'
import { keysOn } from '@/shell/preferences'
import MeasureText from '@/tape/MeasureText.vue'
import { useEventListener, useMediaQuery, useWakeLock } from '@vueuse/core'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import Message from 'primevue/message'
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import CutPicture from './CutPicture.vue'
import KeptOffcuts from './KeptOffcuts.vue'
import MeasuredDialog from './MeasuredDialog.vue'
import StepList from './StepList.vue'
import { useCutting } from './useCutting'

/** One setting fills the screen: what to set, to how much, what to cut with it, and what was cut. */
const DOUBLE_TAP = 700

const job = useJob()
const saw = useCutting()
const { station, release, cutting } = saw
const isPhone = useMediaQuery('(max-width: 900px)')
const listOpen = ref(false)
const measuredOpen = ref(false)

/** The step that is looked at: the current one, unless somebody looks ahead or back. */
const looked = ref<number | null>(null)
const route = useRoute()
/** A label was scanned: its piece comes up. */
const scanned = computed(
  () => cutting.value?.pieces.find((piece) => piece.mark === route.query.piece) ?? null,
)
const shown = computed(() => looked.value ?? saw.current.value)
const step = computed(() => cutting.value?.steps[shown.value] ?? null)
watch(saw.current, (now) => {
  if (looked.value === now) looked.value = null
})

const next = computed<SawCut | null>(() => step.value?.cuts.find((one) => !saw.isDone(one)) ?? null)
/** What the picture shows: the next cut, or the last of a step that is done. */
const pictured = computed(() => next.value ?? step.value?.cuts.at(-1) ?? null)
const made = computed(() => (step.value ? step.value.cuts.length - saw.left(step.value).length : 0))

/** A part that nothing has freed yet cannot be cut. */
const waitsFor = computed(() => {
  const cut = next.value
  if (!cut || !cutting.value) return null
  const freeing = saw.all.value.find((one) => one.id === cut.blank)
  return freeing && !saw.isDone(freeing) ? (cutting.value.parts[cut.blank]?.mark ?? null) : null
})

let ticked = 0
async function cutDone() {
  // A second press at once is a finger that bounced.
  if (!next.value || Date.now() - ticked < DOUBLE_TAP) return
  ticked = Date.now()
  await saw.tick(next.value)
}
/** A cut that is done and was pressed: it is the one that *Undo cut* takes back. A press alone never takes a tick back: it may be
 * somebody else's, come in this very moment. */
const picked = ref<SawCut | null>(null)
const undoable = computed(() => (picked.value && saw.isDone(picked.value) ? picked.value : saw.last.value))
async function undoCut() {
  // Who takes one back looks: the next press is meant.
  ticked = 0
  if (undoable.value) await saw.untick(undoable.value)
  picked.value = null
}
function press(cut: SawCut) {
  picked.value = saw.isDone(cut) ? cut : null
  if (!saw.isDone(cut)) void saw.tick(cut)
}

function look(at: number) {
  const last = (cutting.value?.steps.length ?? 1) - 1
  const to = Math.min(last, Math.max(0, at))
  looked.value = to === saw.current.value ? null : to
  listOpen.value = false
}

const where = computed(() =>
  step.value
    ? [step.value.sheets.join(', '), step.value.class, step.value.tool === 'shaping' ? '' : step.value.tool]
        .filter(Boolean)
        .join(' · ')
    : '',
)
const size = (cut: SawCut) => {
  const part = cutting.value?.parts[cut.id]
  return part ? `${part.length.text} × ${part.width.text}` : ''
}
const from = (cut: SawCut) => cutting.value?.parts[cut.takes]?.mark ?? ''
/** Whether a piece of this step was measured: the others come out the same. */
const isChecked = computed(
  () => step.value?.cuts.some((cut) => cut.straightens || cut.label || isMeasured(cut)) ?? false,
)
const isMeasured = (cut: SawCut) => saw.asCut(cut.id, 'length') ?? saw.asCut(cut.id, 'width')

const lock = useWakeLock()
onMounted(() => {
  // Gloves and dust: the screen stays on while this station is open, where the browser allows it.
  if (lock.isSupported.value) void lock.request('screen').catch(() => undefined)
})

useEventListener(document, 'keydown', (event: KeyboardEvent) => {
  if (!keysOn.value || isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
  if (measuredOpen.value || listOpen.value || !cutting.value) return
  if (event.key === 'Enter' && !(event.target instanceof HTMLButtonElement)) void cutDone()
  const act: Record<string, () => void> = {
    u: () => void undoCut(),
    m: () => (measuredOpen.value = true),
    p: () => look(shown.value - 1),
    n: () => look(shown.value + 1),
    g: () => (listOpen.value = true),
  }
  act[event.key.toLowerCase()]?.()
})

const when = computed(() => (release.value ? new Date(release.value.at).toLocaleString() : ''))
const hours = (minutes: number) =>
  minutes < 90 ? `about ${minutes} minutes` : `about ${Math.round(minutes / 30) / 2} hours`
</script>

<template>
  <div v-if="station" class="saw">
    <section v-if="!release" class="card empty">
      <h1>Nothing is released</h1>
      <p>
        Sizes still follow every change. When the plan is as you want it, release it on Sheets: then it stays
        as it is, and the cuts come here one setting after another.
      </p>
      <RouterLink class="go" :to="`/jobs/${job.job?.id}/sheets`">Go to Sheets</RouterLink>
    </section>
    <section v-else-if="!cutting" class="card empty">
      <h1>This device has no copy of release {{ release.number }} yet</h1>
      <p>Open it once with the network.</p>
    </section>
    <template v-else>
      <div class="main">
        <section v-if="scanned" class="card scanned">
          <h2 class="measure">{{ scanned.mark }}</h2>
          <p>
            {{ scanned.name }}, {{ scanned.unit }}, {{ scanned.space }}.
            <span class="measure"
              >{{ scanned.length.text }} × {{ scanned.width.text }} × {{ scanned.thickness.text }}</span
            >, {{ scanned.material }}.
            <template v-if="scanned.edges.length > 0">{{ scanned.edges.join('; ') }}.</template>
          </p>
          <Button outlined label="Measured, or spoiled…" @click="measuredOpen = true" />
          <RouterLink class="close" :to="route.path">Close</RouterLink>
        </section>
        <Message v-if="release.changed" severity="warn" :closable="false">
          The job was changed since release {{ release.number }} of {{ when }}. What is cut here is as it was
          then; release again on Sheets to cut what it is now.
        </Message>
        <Message v-for="one in release.late" :key="one.mark" severity="warn" :closable="false">
          {{ one.mark }} was cut on an older plan; this one has it otherwise. Release again, and it counts if
          its size is still right.
          <Button text size="small" label="It was not cut" @click="saw.takeBack(one.mark, one.ticks)" />
        </Message>
        <Message v-for="one in cutting.impossible" :key="one.mark" severity="error" :closable="false">
          {{ one.mark }} cannot be cut on: {{ one.because }} {{ one.ways_out.join(' ')
          }}<template v-if="one.pieces.length > 0"> Waiting for it: {{ one.pieces.join(', ') }}.</template>
        </Message>

        <section v-if="saw.finished.value && looked === null" class="finished">
          <p class="soft">Release {{ release.number }}</p>
          <h1>All cut</h1>
          <p>
            {{ saw.all.value.length }} cuts in {{ cutting.steps.length }} steps,
            {{ cutting.pieces.length }} pieces.
          </p>
          <p v-if="saw.spoiled.value.size > 0">
            {{ saw.spoiled.value.size }} spoiled: release again on Sheets for new ones.
          </p>
          <KeptOffcuts :rests="release.rests" />
          <Button text label="Look at the steps" @click="look(cutting.steps.length - 1)" />
        </section>
        <section v-else-if="step" class="step">
          <p class="soft where">
            <span
              >Step {{ shown + 1 }} of {{ cutting.steps.length }} · {{ where
              }}<template v-if="step.thickness"
                >, <span class="measure">{{ step.thickness }}</span></template
              ></span
            >
            <Button
              v-if="looked !== null"
              text
              size="small"
              label="Back to the next cut"
              @click="looked = null"
            />
          </p>
          <div class="two">
            <div class="say">
              <p class="verb">{{ step.verb }}</p>
              <p class="number"><MeasureText :text="step.number.text" /></p>
              <p v-if="step.guide && step.guide.nm !== step.number.nm" class="guide">
                guide at <MeasureText :text="step.guide.text" />
              </p>
              <p class="words">{{ step.words }}</p>
              <p v-if="step.class === 'at the yard'">
                <a :href="`/api/jobs/${job.job?.id}/yard.pdf`" download>The sheet for the yard, as PDF</a>
              </p>
              <p v-if="step.guide" class="soft small">
                Check that the teeth touch the line on its waste side.
              </p>
            </div>
            <CutPicture v-if="pictured && !pictured.label" :cutting="cutting" :step="step" :cut="pictured" />
          </div>
          <p v-if="waitsFor" class="caution">
            {{ waitsFor }} is not there yet: it comes with an earlier step.
          </p>
          <p v-for="caution in step.cautions" :key="caution" class="caution">{{ caution }}</p>
          <p v-if="made === 1 && step.cuts.length > 1 && !isChecked" class="caution first">
            Measure the first piece before you cut the others.
          </p>
          <ul class="cuts" :aria-label="`${made} of ${step.cuts.length} cut`">
            <li v-for="cut in step.cuts" :id="cut.id" :key="cut.id">
              <button
                type="button"
                class="cut"
                :class="{
                  done: saw.isDone(cut),
                  next: cut.id === next?.id,
                  picked: cut.id === picked?.id && saw.isDone(cut),
                  spoiled: saw.spoiled.value.has(cut.id),
                }"
                :aria-pressed="saw.isDone(cut)"
                @click="press(cut)"
              >
                <span class="mark">{{
                  cut.straightens
                    ? `${from(cut)}: ${cut.axis === 'width' ? 'long edge' : 'end'}`
                    : saw.label(cut)
                }}</span>
                <span v-if="!cut.straightens && !cut.label" class="measure soft">{{ size(cut) }}</span>
                <span class="state">{{
                  saw.spoiled.value.has(cut.id)
                    ? 'spoiled'
                    : isMeasured(cut)
                      ? 'measured'
                      : saw.isDone(cut)
                        ? cut.id === picked?.id
                          ? 'cut: Undo cut takes it back'
                          : 'cut'
                        : cut.straightens || cut.label || from(cut) === saw.label(cut)
                          ? ''
                          : `from ${from(cut)}`
                }}</span>
              </button>
            </li>
          </ul>
        </section>
        <p class="soft small manual">
          The manual of the saw comes first. Eyes, ears, mask; no gloves at a blade that turns.
        </p>
      </div>
      <aside v-if="!isPhone" class="card side">
        <h2>What comes</h2>
        <p class="soft small">{{ cutting.proof }} In all {{ hours(cutting.minutes) }}.</p>
        <StepList :cutting="cutting" :shown="shown" :left="saw.left" @look="look" />
      </aside>
      <footer class="bar">
        <span class="count">
          <strong>{{ made }} of {{ step?.cuts.length ?? 0 }}</strong>
          <span class="soft">{{ saw.done.value }} of {{ saw.all.value.length }} in all</span>
        </span>
        <Button text severity="secondary" label="Previous" :disabled="shown === 0" @click="look(shown - 1)" />
        <Button v-if="isPhone" text severity="secondary" label="Steps" @click="listOpen = true" />
        <Button outlined label="Undo cut" :disabled="!undoable" @click="undoCut" />
        <Button outlined label="Measured…" @click="measuredOpen = true" />
        <Button
          class="done-button"
          :label="next ? 'Cut done' : 'Next step'"
          @click="next ? cutDone() : look(shown + 1)"
        />
      </footer>
      <Dialog v-model:visible="listOpen" modal header="What comes" :style="{ width: '420px' }">
        <p class="soft small">{{ cutting.proof }} In all {{ hours(cutting.minutes) }}.</p>
        <StepList :cutting="cutting" :shown="shown" :left="saw.left" @look="look" />
      </Dialog>
      <MeasuredDialog
        v-model:visible="measuredOpen"
        :cutting="cutting"
        :saw="saw"
        :first="scanned?.part ?? saw.last.value?.id ?? null"
      />
    </template>
  </div>
</template>

<style scoped>
.scanned {
  margin-bottom: 14px;
}
.close {
  display: inline-block;
  padding: 10px 16px;
}
.saw {
  display: grid;
  grid-template: minmax(0, 1fr) auto / minmax(0, 1fr) 340px;
  gap: 0 20px;
  height: 100%;
}
.main {
  min-height: 0;
  padding-bottom: 14px;
  overflow: auto;
}
.side {
  min-height: 0;
  padding: 14px;
  overflow: auto;
}
.empty {
  grid-column: 1 / -1;
  align-self: start;
  max-width: 560px;
}
.where {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  min-height: 32px;
  margin: 0 0 2px;
}
.two {
  display: grid;
  grid-template-columns: minmax(240px, 1fr) minmax(0, 1.6fr);
  gap: 10px 24px;
  align-items: start;
}
.verb {
  margin: 0;
  font-weight: 600;
  font-size: 26px;
  line-height: 1.2;
}
.number {
  margin: 0 0 4px;
  color: var(--chalk);
  font-weight: 600;
  font-size: 60px;
  line-height: 1.1;
}
.guide {
  margin: 0 0 8px;
  font-weight: 600;
  font-size: 28px;
}
.words {
  font-size: 20px;
  line-height: 1.35;
}
.small {
  font-size: 15px;
}
.caution {
  margin: 6px 0 0;
  color: var(--ochre);
  font-weight: 600;
}
.manual {
  margin: 14px 0 0;
}
.cuts {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
  gap: 8px;
  margin: 14px 0 0;
  padding: 0;
  list-style: none;
}
.cut {
  display: grid;
  gap: 0;
  width: 100%;
  min-height: 56px;
  padding: 8px 12px;
  border: 1px solid var(--birch-line);
  border-radius: 8px;
  background: var(--birch-light);
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.cut.next {
  border: 2px solid var(--chalk);
}
.mark {
  font: 600 17px var(--mono);
}
.state {
  color: var(--soft);
  font-size: 14px;
}
.cut.done {
  border-color: var(--moss);
  background: var(--moss-wash);
}
.cut.done .mark {
  color: var(--moss);
  text-decoration: line-through;
}
.cut.picked {
  outline: 3px solid var(--chalk);
}
.cut.spoiled {
  border-color: var(--brick);
  background: var(--brick-wash);
}
.bar {
  display: flex;
  grid-column: 1 / -1;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  padding-top: 10px;
  border-top: 1px solid var(--line);
}
.bar :deep(button) {
  min-height: 52px;
}
.count {
  display: grid;
  flex: 1 1 160px;
  font-size: 18px;
  line-height: 1.25;
}
.count .soft {
  font-size: 15px;
}
.done-button {
  min-width: 180px;
  font-size: 18px;
}
@media (max-width: 900px) {
  .saw {
    display: flex;
    flex-direction: column;
    gap: 0;
  }
  .main {
    flex: 1;
  }
  .two {
    display: block;
  }
  .number {
    font-size: 64px;
  }
  .cuts {
    grid-template-columns: 1fr;
  }
  .bar {
    display: grid;
    grid-template-columns: repeat(4, 1fr);
    gap: 6px;
    padding: 8px 0 4px;
  }
  .bar :deep(button) {
    padding: 6px 4px;
    font-size: 15px;
  }
  .count {
    grid-column: 1 / 3;
  }
  .bar .done-button {
    grid-column: 3 / -1;
    grid-row: 1;
    min-width: 0;
    font-size: 18px;
  }
}
@media (max-width: 900px) and (orientation: landscape) {
  .two {
    display: grid;
  }
}
</style>

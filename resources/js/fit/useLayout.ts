import type { FitRun, FitStation, LayoutBay, LayoutSize, LayoutTier } from '@/api/types'
import { isTyping } from '@/job/typing'
import { useJob } from '@/job/store'
import { keysOn } from '@/shell/preferences'
import { useEventListener } from '@vueuse/core'
import { computed, ref, watch, type Ref } from 'vue'

/** What is done to the selected cell with one press, its key, and whether it can be done now. */
export interface LayoutAction {
  key: string
  label: string
  /** What it stands under beside the cell; what has none stands among the others. */
  group?: string
  /** What it does to a cell, drawn in 14 × 14. */
  icon?: string
  does: () => void
  can: boolean
}

const isShare = (size: LayoutSize): size is { share: number } => 'share' in size

/** The selected cell of the layout, and the single actions on it. */
export function useLayout(station: Ref<FitStation | null>) {
  const job = useJob()
  const layout = computed(() => job.space?.choices.layout)
  const openRun = ref<string | null>(null)
  const selected = ref<string | undefined>()

  const run = computed<FitRun | null>(
    () => station.value?.runs.find((one) => one.id === openRun.value) ?? station.value?.runs[0] ?? null,
  )
  const cell = computed(() => run.value?.cells.find((one) => one.id === selected.value) ?? null)
  const runChoice = computed(() => layout.value?.runs.find((one) => one.id === run.value?.id) ?? null)
  const bay = computed<LayoutBay | null>(
    () => runChoice.value?.bays.find((one) => one.id === cell.value?.bay) ?? null,
  )
  const tier = computed<LayoutTier | null>(
    () => bay.value?.tiers.find((one) => one.id === selected.value) ?? null,
  )
  const place = computed(() => ({
    bay: runChoice.value?.bays.findIndex((one) => one.id === bay.value?.id) ?? -1,
    tier: bay.value?.tiers.findIndex((one) => one.id === tier.value?.id) ?? -1,
  }))

  // A cell is always selected, so that a key has something to act on.
  watch(
    run,
    (now) => {
      if (now && !now.cells.some((one) => one.id === selected.value) && !isOther(selected.value)) {
        selected.value = now.cells[0]?.id
      }
    },
    { immediate: true },
  )
  function isOther(ref: string | undefined): boolean {
    return ref !== undefined && /^(left|right|top|foot|back):/.test(ref)
  }

  const set = (path: string, value: unknown) => job.edit('space', { path, value })
  const act = (action: string, more: Record<string, unknown> = {}) =>
    job.edit('space', { path: 'layout.do', value: { action, seed: crypto.randomUUID(), ...more } })
  const onCell = (action: string) => () => void act(action, { cell: selected.value })

  function weigh(by: number): void {
    if (bay.value && isShare(bay.value.size))
      void set(`layout.bays.${bay.value.id}.size`, {
        share: Math.max(1, Math.min(24, bay.value.size.share + by)),
      })
  }

  const isCut = computed(() => bay.value?.tiers.some((one, i) => i > 0 && !one.joined) ?? false)

  const actions = computed<LayoutAction[]>(() => {
    const has = bay.value !== null && tier.value !== null
    const bays = runChoice.value?.bays.length ?? 0
    const tiers = bay.value?.tiers.length ?? 0
    // A bay that is alone has all shares, whatever its weight.
    const weighs = has && bays > 1 && isShare(bay.value?.size ?? { share: 1 })
    return [
      {
        key: 'v',
        label: 'Split bay',
        group: 'split',
        icon: 'M1 1h12v12H1zM7 1v12',
        does: onCell('split-bay'),
        can: has,
      },
      {
        key: 'h',
        label: 'Split tier',
        group: 'split',
        icon: 'M1 1h12v12H1zM1 7h12',
        does: onCell('split-tier'),
        can: has,
      },
      {
        key: 'j',
        label: 'Join bay',
        group: 'join',
        icon: 'M1 1v12M13 1v12M2 7h4M8 7h4M4 5l2 2-2 2M10 5l-2 2 2 2',
        does: onCell('remove-bay'),
        can: has && bays > 1,
      },
      {
        key: 'k',
        label: 'Join tier',
        group: 'join',
        icon: 'M1 1h12M1 13h12M7 2v4M7 8v4M5 4l2 2 2-2M5 10l2-2 2 2',
        does: onCell('remove-tier'),
        can: has && tiers > 1,
      },
      {
        key: ']',
        label: 'Wider',
        group: 'size',
        icon: 'M1 7h12M4 4L1 7l3 3M10 4l3 3-3 3',
        does: () => weigh(1),
        can: weighs,
      },
      {
        key: '[',
        label: 'Narrower',
        group: 'size',
        icon: 'M0 7h5M9 7h5M2 4l3 3-3 3M12 4L9 7l3 3',
        does: () => weigh(-1),
        can: weighs,
      },
      { key: 's', label: 'Swap right', does: onCell('swap-bay'), can: has && place.value.bay < bays - 1 },
      { key: 'u', label: 'Swap up', does: onCell('swap-tier'), can: has && place.value.tier < tiers - 1 },
      {
        key: 'c',
        label: 'Copy bay',
        group: 'copy',
        icon: 'M1 1h8v9H1zM5 10v3h8V4H9',
        does: onCell('copy-bay'),
        can: has,
      },
      {
        key: 'm',
        label: 'Mirror',
        does: () => void act('mirror', { cell: run.value?.id }),
        can: has && bays > 1,
      },
      {
        key: 'b',
        label: isCut.value ? 'One box' : 'Base, upper',
        does: onCell(isCut.value ? 'whole' : 'base-upper'),
        can: has,
      },
    ]
  })

  function move(across: number, up: number): void {
    const bays = runChoice.value?.bays ?? []
    const next = bays[Math.max(0, Math.min(bays.length - 1, place.value.bay + across))]
    const at = Math.max(0, Math.min((next?.tiers.length ?? 1) - 1, Math.max(0, place.value.tier) + up))
    selected.value = next?.tiers[at]?.id ?? selected.value
  }

  const ARROWS: Record<string, [number, number]> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, 1],
    ArrowDown: [0, -1],
  }
  useEventListener(document, 'keydown', (event: KeyboardEvent) => {
    if (!keysOn.value || isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
    // A menu or a slider that has the focus needs its own arrows.
    if (
      (event.target as Element).closest(
        '[role="slider"], [role="combobox"], [role="dialog"], [role="tablist"]',
      )
    )
      return
    const arrow = ARROWS[event.key]
    if (arrow && cell.value) {
      event.preventDefault()
      move(...arrow)
      return
    }
    const action = actions.value.find((one) => one.key === event.key)
    if (action?.can) {
      event.preventDefault()
      action.does()
    }
  })

  return { layout, openRun, run, runChoice, selected, cell, bay, tier, place, actions, set, act, isShare }
}

/** A length as the server gives it: exact, and written in the job's unit and fraction. */
export interface Length {
  nm: number
  text: string
}

/** A length as it is stored in a choice: exact, and as it was typed. */
export interface StoredLength {
  nm: number
  typed: string
}

export interface WorkingStep {
  label: string
  sign: string
  value: Length
}

export interface Working extends Length {
  steps: WorkingStep[]
}

export interface Verdict {
  state: 'fits' | 'warning' | 'clash' | 'waiting'
  sentence: string
}

export interface Edit {
  path: string
  value: unknown
}

export interface Finding {
  code: string
  severity: 'clash' | 'warning' | 'note'
  sentence: string
  place: string
  related: string[]
  ways_out: { label: string; edit: Edit; of: 'job' | 'space' }[]
}

/** x, y in mm with y up, and the crookedness vector that the slider multiplies. */
export type DrawnPoint = [number, number, number, number]

export type Shape = { style: string; ref: string } & (
  | { kind: 'outline'; closed: boolean; points: DrawnPoint[] }
  | {
      kind: 'label'
      text: string
      at: DrawnPoint
      anchor: 'start' | 'middle' | 'end'
      turned: boolean
      room: number | null
      short: string
    }
  | { kind: 'dimension'; text: string; from: DrawnPoint; to: DrawnPoint }
)

export interface Drawing {
  name: string
  bounds: [number, number, number, number]
  layers: { name: string; shapes: Shape[] }[]
}

export interface Take {
  id: string
  typed: string
  end: string | null
  taken_at: string
  value: { nm: number | null; text: string }
  /** The others prove it wrong: shown struck out, not counted. */
  struck?: boolean
  /** Typed here and not sent yet. */
  waits?: boolean
}

export interface Reading {
  slot: string
  kind:
    | 'side'
    | 'diagonal'
    | 'tie'
    | 'width'
    | 'depth'
    | 'height'
    | 'corner'
    | 'three_four_five'
    | 'plumb'
    | 'fall'
    | 'slope'
    | 'offset'
    | 'skirting'
    | 'rise'
  group: string
  label: string
  how: string
  tool: string
  required: boolean
  ends: string[]
  /** The person added it to the sheet. */
  added: boolean
  is_angle: boolean
  may_be_zero: boolean
  height: Length | null
  depth: Length | null
  span: Length | null
  /** Where it is taken, in the form in which the server keeps it. */
  place: Record<string, unknown>
  takes: Take[]
  withdrawn: Take[]
}

export interface SpaceShape {
  kind: string
  corners: { name: string; sigma: Length | null; outside: boolean }[]
  edges: { name: string; label: string; kind: 'wall' | 'open' | 'door'; length: Length | null }[]
  planes: string[]
  plan_height: Length
}

export interface MeasureStation {
  name: 'measure'
  readings: Reading[]
  sure: boolean
  to_go: number
  sentences: string[]
  findings: Finding[]
  shape: SpaceShape
  things: { id: string; label: string; rule: string }[]
  drawings: { plan: Drawing | null; walls: { wall: number; drawing: Drawing }[] }
  /** What only some furniture needs to know, of what stands here. */
  asks: ('walls' | 'posts' | 'rounds')[]
  walls: { wall: number; made_of: string | null }[]
}

export interface Edge {
  edge: string
  side: 'left' | 'right' | 'top' | 'foot' | 'back'
  owner: string
  label: string
  least: Length
  most: Length
  /** Least to most, as it is read. */
  gap: string
  closing: string
  closing_label: string
  wish: string | null
  chosen: boolean
  reason: string
  choices: Choice[]
  /** Where to hold a straightedge or a level so that the template is sure. */
  offsets: null | { wall: number; level: boolean; along: Length; height: Length; depth: Length | null }
  scribed: boolean
}

/** How an edge is cut along its wall. */
export interface ScribeLine {
  overhang: Working
  drawing: Drawing
  /** How much larger it is drawn across the edge. */
  times: number
  setting: Length
  shallowest: Length
  deepest: Length
  taper: boolean
  by_rule: boolean
  may_remain: Length
  doubt: Length
  stations: { at: Length; gap: Length; cut: Length }[]
}

/** What stands somewhere, and what it is set to: the values that count, also where nothing was chosen. */
export interface Held {
  kind: string
  label: string
  with: Record<string, { value: unknown; text: string; usual: boolean }>
}

/** One parameter of a kind of unit, as its class declares it. */
export type Parameter = {
  name: string
  label: string
  help: string
  default_text: string
  default: unknown
  /** It means something only where others have these values, and nothing where they have those. */
  when: Record<string, unknown> | null
  unless: Record<string, unknown> | null
} & (
  | { type: 'count'; least: number; most: number }
  | { type: 'size'; least: { nm: number; text: string }; most: { nm: number; text: string } }
  | { type: 'choice'; choices: Choice[] }
  | { type: 'toggle' }
  | { type: 'text' | 'sizes'; most: number }
  /** A number with decimals, in a unit of its own. */
  | { type: 'amount'; least: number; most: number; unit: string }
  /** One of the job's materials; as usual, what serves the purpose. */
  | { type: 'material'; purpose: string }
)

/** A quick sum: its fields, and the drawing of its example. */
export interface SumKind {
  name: string
  label: string
  hint: string
  group: string
  parameters: Parameter[]
  drawing: Drawing
}

/** What a quick sum comes to. */
export interface SumAnswer {
  answers: { label: string; text: string; working: Working | null; length: Length | null; marks: Length[] }[]
  says: string[]
  formula: string
  drawing: Drawing
}

export interface UnitKind {
  kind: string
  family: string
  family_label: string
  group: string
  label: string
  hint: string
  parameters: Parameter[]
  /** How a member lies to its cells. */
  form: 'under' | 'over' | 'beside' | 'around' | null
}

export interface FitMember {
  id: string
  cells: string[]
  holds: Held
  form: 'under' | 'over' | 'beside' | 'around'
  rows: { mark: string; length: Working }[]
}

export interface FitCell {
  id: string
  bay: string
  box: string | null
  mark: string | null
  holds: Held
  /** What closes its opening. */
  front: { id: string; holds: Held } | null
  /** What its box has besides. */
  options: { id: string; holds: Held }[]
  /** Whether a box stands round it, whose opening may be closed. */
  boxed: boolean
  /** The front of a cell below closes it too. */
  spanned: boolean
  /** It stands in a bought cabinet. */
  bought: boolean
  width: Working
  height: Working
}

export interface FitRun {
  id: string
  wall: number
  name: string
  span: Length
  doubt: Length
  width: Working
  depth: Working
  /** Where it stands along its wall, for looking at a section. */
  from: number
  to: number
  ends: { left: string; right: string }
  beside: { from: string | null; to: string | null }
  end_choices: Choice[]
  /** Ends that stand against no wall. */
  open_sides: string[]
  /** Where the middle of a bay is, mm, for looking at a section. */
  bays: { id: string; middle: number; width: Working; left: Length; right: Length; back: Length }[]
  cells: FitCell[]
  boxes: { id: string; mark: string; width: Working; height: Working; depth: Working; angle: number | null }[]
  members: FitMember[]
  edges: Edge[]
  drawing: Drawing | null
}

export interface Carried {
  id: string
  mark: string
  what: string
  goes: boolean
  steps: { words: string; goes: boolean; spare: Length | null }[]
}

export interface FitStation {
  name: 'fit'
  ready: boolean
  empty: boolean
  runs: FitRun[]
  surfaces: FitSurface[]
  carried: Carried[]
  decisions: Record<string, Working>
  findings: Finding[]
  walls: { wall: number; name: string }[]
  sloped: boolean
  things: { id: string; name: string; wall: number; kind: string }[]
}

/** A cell with another unit in it or before it, worked out; why not, where none may stand there. */
export interface CellSketch {
  drawing: Drawing | null
  part?: { x: number; y: number; width: number; height: number }
  verdict: { state: string; sentence: string }
}

/** A layout that an empty space can be begun with, planned in it. */
export interface LayoutSketch {
  name: string
  label: string
  /** What it is for, as it stands on a heading. */
  purpose: string
  verdict: Verdict
  pieces: number
  sheets: number
  price: number
  currency: string
  /** The first run, and where there are more of them all from above. */
  drawings: Drawing[]
}

/** What lies on a wall. */
export interface FitSurface {
  id: string
  mark: string
  wall: number
  name: string
  holds: Held
  /** Whether runs stand beside it. */
  stands: boolean
  /** Whether something may lie on its face. */
  carries: boolean
  /** The mark of what it lies on instead of the wall. */
  on: string | null
  width: Working
  height: Working
  drawing: Drawing
}

export interface Piece {
  key: string
  mark: string
  /** What it belongs to, as it stands on the heading: "Worktop W1". */
  unit: string
  name: string
  length: Working
  width: Working
  thickness: Length
  material: string
  material_name: string
  grain: 'length' | 'width' | 'any'
  likeness: string
  edges: string[]
  joints: string[]
  /** What its joints leave on it, in words. */
  marked: string[]
  shaped: boolean
  /** There are holes enough for a paper template. */
  drilled: boolean
  drawing: Drawing
}

export interface PiecesStation {
  name: 'pieces'
  spaces: {
    id: string
    name: string
    pieces: Piece[]
  }[]
  hardware: { name: string; quantity: number; use: string }[]
}

export interface BuyLine {
  key: string
  what: string
  size: string
  use: string
  spare: string
  at_hand: number
  bought: number
  to_buy: string
  /** Base units in the packs. */
  amount: number
  done: boolean
  packs: string
  /** Minor units; null where no price is known. */
  price: number | null
  /** The day on which a shop named it. */
  priced_on: string | null
  note: string | null
  for: string[]
  /** Counted by the piece, not measured. */
  counted: boolean
}

/** The list for the shops. */
export interface ToBuy {
  currency: string
  total: { minor: number; unknown: number }
  in_one_trip: boolean
  /** Per cent of what gets lost, and of what is bought by measure. */
  spare: { lost: number; over: number }
  struck: { key: string; what: string; why: string }[]
  /** Prices that a shop is asked for, and what is to be said of them. */
  prices: { asking: boolean; note: string }
  /** `load`: what there is to carry, and whether it goes home as it is. */
  trips: { shop: string; needed_by: string; kg: number; load: string; lines: BuyLine[] }[]
  facts: { id: string; kind: FactKind; part: string | null; withdraws: string[] }[]
}

/** Plans of the sheets, each for something else. */
export interface SheetsSideBySide {
  plans: {
    objective: string
    label: string
    chosen: boolean
    price: number
    sheets: number
    settings: number
    /** The greatest piece that is left over in one. */
    offcut: string | null
  }[]
}

export interface SheetsStation {
  name: 'sheets'
  /** A better plan is being looked for. */
  improving: boolean
  buy: { what: string; size: string; quantity: number; each: number; total: number }[]
  to_buy: ToBuy
  price: number
  /** Of the sheets alone. */
  sheet_price: number
  board_price: number
  board_bound: number
  currency: string
  fewest: boolean
  bound: { sheets: number; price: number; because: string }
  settings: number
  unplaced: string[]
  /** By what the plan is known, and the plan that stood there before a better one was found. */
  kept: { hash: string; first: { price: number; settings: number; now: number } | null }
  /** `lock`: what is kept where a sheet is locked; an offcut has none. */
  sheets: { title: string; used: number; lock: unknown; locked: boolean; drawing: Drawing }[]
  /** Of each material that is bought by length, all its boards. */
  boards: { title: string; drawing: Drawing }[]
}

/** A part of a sheet, or of a board. */
export interface SawPart {
  mark: string
  /** The piece that it is, or is to become. */
  piece: string | null
  from: string | null
  sheet: number
  fate: 'piece' | 'offcut' | 'waste' | 'cut further'
  kg: number
  length: Length
  width: Length
}

/** A cut has the id of the part that it frees. */
export interface SawCut {
  id: string
  takes: string
  blank: string
  leaves: string | null
  axis: 'length' | 'width'
  /** Nanometres from the edge that it is measured from. */
  at: number
  kerf: number
  straightens: boolean
  /** Of what is done to a piece that is cut to size. */
  label?: string
}

export interface SawStep {
  id: string
  class: string
  tool: string
  verb: string
  number: Length
  guide: Length | null
  words: string
  cautions: string[]
  minutes: number
  clampings: number
  thickness: string
  sheets: string[]
  cuts: SawCut[]
}

export interface CutPiece {
  key: string
  mark: string
  name: string
  unit: string
  space: string
  material: string
  length: Length
  width: Length
  thickness: Length
  grain: string
  edges: string[]
  /** Nanometres between which a size as cut is good. */
  good: { length: [number, number]; width: [number, number] }
  /** What a size is good for, between nanometres. */
  uses: Record<'length' | 'width', { least: number; most: number; sentence: string }[]>
  part: string | null
  /** Of its label. */
  code: string | null
}

/** A plan frozen for cutting: all that is needed at the saw without a network. */
export interface Cutting {
  unit: 'mm' | 'in'
  steps: SawStep[]
  parts: Record<string, SawPart>
  settings: number
  proof: string
  minutes: number
  impossible: { mark: string; because: string; ways_out: string[]; pieces: string[] }[]
  pieces: CutPiece[]
  done: Record<string, string>
}

/** What is noted at the saw, in the shop, on fitting day, and what the log is told. */
export type FactKind =
  | 'cut'
  | 'as_cut'
  | 'spoiled'
  | 'bought'
  | 'withdrawal'
  | 'task_done'
  | 'check'
  | 'touch'
  | 'climate'
  | 'stud'
  | 'level'
  | 'hours'
  | 'money'
  | 'built'
  | 'problem'
  | 'fit'
  | 'photo'
  | 'note'
  | 'left'

/** A fact as the job has it. */
export interface JobFact {
  id: string
  kind: FactKind
  part: string | null
  body: Record<string, unknown> | null
  withdraws: string[]
  device: string
  author: string
  at: string
}

/** A moment, seconds of the epoch, and as it is said in the job's time zone. */
export interface When {
  at: number
  text: string
}

export interface FittingCheck {
  key: string
  label: string
  fields: string[]
  ends: [string, string] | null
  allowed: string
  expected: string | null
  believed: [number, number] | null
  read: { ids: string[]; texts: string[]; left: boolean; is: 'within' | 'out'; says: string } | null
  table: { nm: number; is: 'within' | 'out'; says: string }[]
}

export interface FittingTask {
  id: string
  kind: string
  name: string
  minutes: number
  people: number
  words: string[]
  tools: string[]
  caution: string | null
  problem: string | null
  wall: string | null
  done: boolean
  done_at: When | null
  /** Names of what is to be done before it, ids of all that it needs, and names of what waits for it. */
  after: string[]
  needs: string[]
  before: string[]
  /** Why it cannot be done at all as things are; empty where it can. */
  held: string
  ready: boolean
  dry: When | null
  /** The thing of which somebody licensed is to note a day. */
  licensed: string | null
  session: string | null
  start: When | null
  applies: string | null
  may_be_left: boolean
  screws: { at: string; words: string; found: boolean; warning: string | null }[]
  /** Under each bearer, its back and then its front: how far along the wall, and what lies there. */
  /** Under a plinth, its places one after another: "1/back". */
  packs: { at: string; text: string; place: string }[]
  checks: FittingCheck[]
}

export interface FittingWall {
  key: string
  name: string
  length: string
  kind: string
  drawing: Drawing
  /** What of it is looked at for a step, by its id, mm. */
  shown: Record<string, { x: number; y: number; width: number; height: number }>
  studs: {
    found: string[]
    expected: string[]
    noted: { id: string; text: string; hit: boolean }[]
    says: string
  }
}

export interface InstallStation {
  name: 'install'
  tasks: FittingTask[]
  now: string[]
  done: number
  sentence: string
  sessions: {
    id: string
    day: string
    hours: string
    people: number
    past: boolean
    start: string
    end: string
  }[]
  end: When | null
  bound: When | null
  proven: boolean
  chain: string[]
  helps: { sentence: string; start: string | null; end: string | null }[]
  unplaced: Record<string, string>
  drying: { task: string; name: string; product: string; for: string; until: When }[]
  walls: FittingWall[]
  refused: string[]
  kinds: { value: string; label: string; minutes: number; per: string }[]
  facts: JobFact[]
  pieces: string
}

export interface Installing {
  zone: string
  set_up: number
  clear: number
  celsius: number
  humidity: number
  coldest: number
  primer: string
  paint: string
  coats: number
  wallboard: { nm: number; typed: string } | null
  hours: Record<string, number>
  minutes: Record<string, number>
  before: [string, string][]
  dates: Record<string, string>
  walls: Record<string, string>
  sessions: { id: string; start: string; end: string; people: number; note: string; cancelled: boolean }[]
}

interface Named {
  value: string
  label: string
}

export interface LogStation {
  name: 'log'
  hours: {
    all: string
    kinds: {
      kind: string
      label: string
      actual: string
      estimate: string | null
      actual_seconds: number
      estimate_seconds: number | null
    }[]
    people: { name: string; text: string }[]
    running: {
      id: string
      person: string
      work: string
      label: string
      from: number
      forgotten: boolean
    }[]
  }
  money: {
    paid: string
    paid_minor: number
    estimate: string | null
    estimate_minor: number | null
    shops: { name: string; text: string }[]
  }
  /** Of the list for the shops, with what the list has each at, minor units; how many are used, on top, and were there. */
  lines: { key: string; what: string; listed: number | null; use: number; spare: number; had: number }[]
  sizes: { mark: string; what: string; planned: string | null; cut: string | null; built: string | null }[]
  problems: { id: string | null; what: string; where: string; words: string; at: string }[]
  checks: { task: string; label: string; read: string; within: boolean }[]
  entries: { id: string; kind: FactKind; who: string; text: string; at: string }[]
  by_itself: string[]
  superseded: string[]
  photos: { id: string; fact: string; caption: string; where: string; at: string; removed: boolean }[]
  offcuts: string[]
  people: string[]
  boxes: { id: string; mark: string }[]
  facts: JobFact[]
  kinds: { work: Named[]; problem: Named[]; fit: Named[] }
}

export interface Lesson {
  about: string
  title: string
  suggestion: string
  evidence: string[]
  count: number
  changes: boolean
  /** From when on. */
  holds: string
}

export interface SawFact {
  id: string
  kind: FactKind
  part: string | null
  body: { dimension?: string; text?: string; nm?: number; why?: string } | null
  withdraws: string[]
  device: string
  author: string
  at: string
  judged: { state: 'good' | 'long' | 'short'; sentence: string } | null
}

/** What can be done with a piece that was cut to another size. */
export interface AsCutAnswer {
  kind: 'recut' | 'accept' | 'elsewhere'
  sentence: string
  /** Sizes of other pieces that follow. */
  changes: string[]
  space?: string
  edit?: Edit
  remains?: { along: string; across: string }
}

export interface SawStation {
  name: 'saw'
  release: {
    id: string
    number: number
    at: string
    author: string
    /** The job was changed since. */
    changed: boolean
    /** Null where the device has it already. */
    cutting: Cutting | null
    facts: SawFact[]
    /** Pieces that were noted as cut on an older plan, which this one has otherwise. */
    late: { mark: string; ticks: string[] }[]
    /** What lies about and may be kept, with its code where it is on the shelf. */
    rests: { id: string; mark: string; code: string | null; length: string; width: string }[]
  } | null
}

export type StationName = 'measure' | 'fit' | 'pieces' | 'sheets' | 'saw' | 'install' | 'log'

export interface Rule {
  name: string
  label: string
  reason: string
  group: { value: string; label: string }
  value: Length
  default: Length
}

export interface StockEntry {
  id: string
  material: string
  name: string
  length: StoredLength
  /** None of a board, which is bought by length. */
  width: StoredLength | null
  price: number
  quantity: number | null
}

export interface MaterialEntry {
  id: string
  kind: 'sheet' | 'board' | 'moulding'
  name: string
  thickness: StoredLength
  width: StoredLength | null
  cover: StoredLength | null
  density: number
  /** What it is, as far as its strength goes; null where nobody said. */
  wood: string | null
}

/** What is bought by the piece, in packs. */
export interface ArticleEntry {
  id: string
  article: string
  length: StoredLength | null
  load: number | null
  pack: number
  price: number | null
}

export interface ThingEntry {
  id: string
  kind: string
  name: string
  face: 'wall' | 'floor' | 'ceiling'
  wall: number
  along: StoredLength
  along_from: 'left' | 'right'
  up: StoredLength
  up_from: 'floor' | 'ceiling'
  width: StoredLength
  height: StoredLength
  stands_out: StoredLength
  rule: string
  reach_from: string | null
  hand_room: StoredLength | null
  clearance: StoredLength | null
  swing: string | null
  direction: string | null
  traced?: { typed: string; corners: [number, number][] } | null
  offsets?: { typed: string } | null
  /** What runs in a pipe; null where nobody knows. */
  carries?: string | null
  /** Whether a post carries the house; null where nobody looked. */
  bears?: string | null
  behind?: StoredLength | null
  behind_head?: StoredLength | null
  fall?: StoredLength | null
  hot: boolean
}

export interface WayIn {
  id: string
  kind: string
  name: string
  width: StoredLength
  height: StoredLength
  second_width: StoredLength | null
}

export interface Choice {
  value: string
  label: string
}

export interface Vocabulary {
  kinds: (Choice & { hint: string })[]
  ceilings: Choice[]
  textures: (Choice & { hint: string })[]
  things: (Choice & {
    round: boolean
    cut_around: boolean
    may_be_hot: boolean
    rule: string
    caution: string | null
  })[]
  rules: Choice[]
  ways: Choice[]
  tops: Choice[]
  carries: Choice[]
  bears: Choice[]
  wall_kinds: Choice[]
  purposes: (Choice & { falls_back_to: string | null })[]
  woods: Choice[]
  articles: (Choice & { has_length: boolean; has_load: boolean })[]
  schools: { name: string; question: string; choices: (Choice & { hint: string })[] }[]
  tools: Choice[]
  papers: Choice[]
}

export interface PracticeReport {
  span: { true: Length; found: Length; doubt: Length }
  corner: Length
  slips: { slot: string; label: string; off: string; caught: boolean }[]
  skipped: string[]
}

/** A size in a layout: a share of what is left, or a length of its own. */
export type LayoutSize = { share: number } | StoredLength

export interface LayoutTier {
  id: string
  size: LayoutSize
  joined: boolean
  holds: { kind: string; v: number; with: Record<string, unknown> }
  depth: StoredLength | null
  snap: string | null
}

export interface LayoutBay {
  id: string
  size: LayoutSize
  joined: boolean
  top: string
  snap: string | null
  tiers: LayoutTier[]
}

export interface LayoutRun {
  id: string
  wall: number
  height: StoredLength | null
  depth: StoredLength | null
  left: string
  right: string
  bays: LayoutBay[]
}

export interface Layout {
  runs: LayoutRun[]
  members: { id: string; kind: string; cells: string[]; with: Record<string, unknown> }[]
  surfaces: {
    id: string
    on: Record<'from' | 'to' | 'foot' | 'head', StoredLength | null> & { wall: number }
  }[]
  closings: Record<string, string>
  openings: string[]
}

export interface SpaceChoices {
  name: string
  kind: string
  shape: { ceiling: string; edges: ('wall' | 'open' | 'door')[]; outside: number[] }
  extras: { id: string }[]
  skipped: string[]
  /** How even the walls are; absent or null: not stated. */
  texture?: string | null
  /** Of walls that differ, by edge; “same”: as the space. */
  textures?: string[]
  things: ThingEntry[]
  practice: number | null
  sheet: Record<'low' | 'middle' | 'high' | 'back' | 'front' | 'level', StoredLength | null>
  layout: Layout
}

export interface JobAnswer {
  job: {
    id: string
    home_id: string
    version: number
    name: string
    unit: 'mm' | 'in'
    choices: {
      name: string
      measure: string
      currency: string
      skirting_stays: boolean
      painted: boolean
      installing: Installing
      sheets: {
        objective: string
        keeps_first: string | null
        fronts_in_order: boolean
        boxes_together: boolean
        seconds: number
        locked: unknown[]
      }
      top_over_sides: boolean
      schools: Record<string, string>
      /** Those that are not at hand are false. */
      tools: Record<string, boolean>
      rules: Record<string, StoredLength>
      materials: MaterialEntry[]
      uses: Record<string, string>
      stock: StockEntry[]
      articles: ArticleEntry[]
    }
    rules: Rule[]
    spaces: { id: string; version: number; choices: SpaceChoices }[]
  }
  space: string
  verdict: Verdict
  tape: Record<StationName, string>
  history: { undo: string | null; redo: string | null }
  station:
    | MeasureStation
    | FitStation
    | PiecesStation
    | SheetsStation
    | SawStation
    | InstallStation
    | LogStation
    | null
}

export interface JobSketch {
  id: string
  name: string
  verdict: Verdict
  tape: Record<StationName, string>
  drawing: Drawing | null
  /** Still being worked out: asked for again. */
  is_awaited: boolean
}

/** The saws of a home; one that is not owned is null. */
export interface Saws {
  table_saw: Record<string, { nm: number; typed: string } | number | boolean> | null
  guided_saw: Record<string, { nm: number | number[]; typed: string }> | null
  mitre_saw: Record<string, { nm: number; typed: string }> | null
  yard: Record<string, { nm: number; typed: string } | number> | null
  ride_home: Record<string, { nm: number; typed: string }> | null
  people: number
  window: number
}

export interface Home {
  id: string
  name: string
  ways_in: WayIn[]
  /** Each way in with the largest box that passes, by its id. */
  ways_drawn: Record<string, Drawing>
  unit: 'mm' | 'in'
  saws: Saws
  /** On the shelf. */
  offcuts: {
    code: string
    name: string
    thickness: string
    length: Length
    width: Length
    place: string
    from: string | null
    /** The job that is cut from it. */
    reserved: string | null
  }[]
  jobs: JobSketch[]
  /** Jobs that can be put back until then. */
  taken_out: { id: string; name: string; until: string }[]
}

/** A job of somebody else that one helps with. */
export interface HelpedJob extends JobSketch {
  owner: string
}

/** Who works on a job. */
export interface People {
  owner: string
  is_owner: boolean
  helpers: { id: string; name: string; is_you: boolean }[]
  /** Links that nobody has used yet. */
  invitations: number
}

/** A step of a job's history. */
export interface Told {
  who: string
  what: string
  where: string | null
  how: 'edit' | 'undo' | 'redo'
  at: string
}

/** A device on which one is signed in. */
export interface SignedIn {
  id: string
  device: string
  address: string
  used_at: string
  is_this: boolean
}

export interface User {
  name: string
  email: string
  is_demo: boolean
  /** Whether there is a recovery code. */
  has_code: boolean
  /** A recovery code that was just made: it can be read at no other time. */
  recovery_code?: string
}

export interface Session {
  demo: boolean
  /** Whether letters are sent: then a forgotten password comes back by one. */
  mail: boolean
  user: User | null
}

/** What a part of a picture is drawn as. */
export type Style = 'wall' | 'board' | 'edge' | 'line' | 'dashed' | 'air' | 'iron'

/** A part of a picture; the words whose thing it is, if any. */
export type Part =
  | { style: Style; path: string; word?: string }
  | { text: string; at: [number, number]; word?: string; anchor?: 'start' | 'end' }

export interface Picture {
  says: string
  parts: Part[]
}

const box = (x: number, y: number, width: number, height: number) =>
  `M${x} ${y}h${width}v${height}h${-width}z`
const round = (x: number, y: number, r: number) =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0z`
/** An arrow with a head at either end, level or upright. */
const span = (x: number, y: number, dx: number, dy: number) => {
  const [a, b] = dy === 0 ? [3, 2.5] : [2.5, 3]
  const head = (px: number, py: number, to: number) =>
    dy === 0
      ? `M${px} ${py}l${to * a} ${-b}m${-to * a} ${b}l${to * a} ${b}`
      : `M${px} ${py}l${-a} ${to * b}m${a} ${-to * b}l${a} ${to * b}`
  return `M${x} ${y}l${dx} ${dy}${head(x, y, Math.sign(dx + dy))}${head(x + dx, y + dy, -Math.sign(dx + dy))}`
}

/** A crooked wall at the left, so many wide. */
const wall = (x: number, wide = 14) => `M${x} 4h${wide}c4 14 -5 22 -2 36s5 24 1 38h${-wide + 1}z`

/** Small pictures of what the words of the trade mean, 220 wide and 100 high. */
export const PICTURES: Record<string, Picture> = {
  'going-in': {
    says: 'A box stands between two walls and under a ceiling with air on every side.',
    parts: [
      { style: 'wall', path: 'M4 4h212v88h-40V20L44 17 38 92H4z' },
      { style: 'air', path: 'M44 17l132 3v72h-8V26H54v66H38z', word: 'allowance' },
      { style: 'board', path: box(54, 26, 114, 66) },
      { style: 'edge', path: 'M54 32h114M54 86h114' },
      { style: 'line', path: span(40, 60, 14, 0) + span(168, 60, 8, 0) + span(110, 18, 0, 8) },
      { text: 'allowance', at: [58, 64], word: 'allowance', anchor: 'start' },
    ],
  },
  closing: {
    says: 'Four ways to close a gap to a wall: scribed, with a filler, with a trim, or left as an even shadow gap.',
    parts: [
      { style: 'wall', path: wall(4, 10) },
      { style: 'board', path: 'M14 4c4 14 -5 22 -2 36s5 24 1 38h22V4z', word: 'scribe' },
      { text: 'scribed', at: [28, 94], word: 'scribe' },
      { style: 'wall', path: wall(62, 10) },
      { style: 'board', path: 'M72 4c4 14 -5 22 -2 36s5 24 1 38h13V4z', word: 'filler' },
      { style: 'board', path: box(84, 4, 12, 74) },
      { text: 'filler', at: [80, 94], word: 'filler' },
      { style: 'wall', path: wall(116, 10) },
      { style: 'board', path: box(134, 4, 16, 74) },
      { style: 'edge', path: 'M126 4c4 14 -5 22 -2 36s5 24 1 38h14V4z', word: 'trim' },
      { text: 'trim', at: [134, 94], word: 'trim' },
      { style: 'wall', path: box(168, 4, 10, 74) },
      { style: 'air', path: box(178, 4, 7, 74), word: 'shadow gap' },
      { style: 'board', path: box(185, 4, 24, 74) },
      { text: 'shadow gap', at: [216, 94], word: 'shadow gap', anchor: 'end' },
    ],
  },
  box: {
    says: 'A face frame of two stiles and two rails on the front edges of a box, and a nailer behind.',
    parts: [
      { style: 'edge', path: box(60, 6, 100, 88) },
      { style: 'air', path: box(74, 20, 72, 58) },
      { style: 'board', path: box(74, 22, 72, 12), word: 'nailer' },
      { style: 'board', path: box(60, 6, 14, 88), word: 'stile' },
      { style: 'board', path: box(146, 6, 14, 88), word: 'stile' },
      { style: 'board', path: box(74, 6, 72, 14), word: 'rail' },
      { style: 'board', path: box(74, 78, 72, 16), word: 'rail' },
      { style: 'line', path: 'M46 54h20M166 86h-26M174 28h-34' },
      { text: 'stile', at: [44, 58], word: 'stile', anchor: 'end' },
      { text: 'rail', at: [170, 90], word: 'rail', anchor: 'start' },
      { text: 'nailer', at: [178, 32], word: 'nailer', anchor: 'start' },
    ],
  },
  foot: {
    says: 'From the side: a box on a plinth that stands back for toes, and a worktop that stands out over it.',
    parts: [
      { style: 'wall', path: 'M4 4h10l2 88h200v6H4z' },
      { style: 'board', path: box(18, 18, 112, 54) },
      { style: 'board', path: box(18, 8, 122, 10), word: 'worktops' },
      { style: 'board', path: 'M18 72h86v20l-86 1z', word: 'plinths' },
      { style: 'edge', path: box(58, 72, 8, 20), word: 'bearer' },
      { style: 'line', path: 'M148 13h-14M148 82h-48M148 62q-40 6 -84 16' + span(104, 96, 26, 0) },
      { text: 'a worktop', at: [151, 17], word: 'worktops', anchor: 'start' },
      { text: 'a bearer', at: [151, 64], word: 'bearer', anchor: 'start' },
      { text: 'a plinth', at: [151, 86], word: 'plinths', anchor: 'start' },
    ],
  },
  shelf: {
    says: 'A shelf on pins in rows of holes, a shelf on cleats, and a rail for clothes.',
    parts: [
      { style: 'board', path: box(8, 6, 9, 76) + box(73, 6, 9, 76) },
      { style: 'iron', path: [18, 30, 54, 66].map((y) => round(13, y, 1.6) + round(77, y, 1.6)).join('') },
      { style: 'edge', path: box(18, 36, 54, 8) },
      { style: 'iron', path: box(13, 44, 9, 3) + box(68, 44, 9, 3), word: 'pin' },
      { text: 'pins', at: [45, 94], word: 'pin' },
      { style: 'wall', path: box(92, 6, 6, 76) + box(142, 6, 6, 76) },
      { style: 'board', path: box(98, 46, 7, 12) + box(135, 46, 7, 12), word: 'cleat' },
      { style: 'edge', path: box(98, 38, 44, 8) },
      { text: 'cleats', at: [120, 94], word: 'cleat' },
      { style: 'board', path: box(158, 6, 8, 76) + box(204, 6, 8, 76) },
      { style: 'iron', path: box(166, 20, 38, 4), word: 'hanging rail' },
      { style: 'line', path: 'M185 24v6l-13 12h26l-13 -12' },
      { text: 'rail', at: [185, 94], word: 'hanging rail' },
    ],
  },
  door: {
    says: 'From above: a leaf inside its opening, with a gap all round, and a leaf over the front edges.',
    parts: [
      { style: 'board', path: box(10, 10, 12, 46) + box(88, 10, 12, 46) },
      { style: 'air', path: box(22, 44, 4, 12) + box(84, 44, 4, 12), word: 'reveal' },
      { style: 'edge', path: box(26, 44, 58, 12), word: 'inset' },
      { style: 'line', path: 'M24 74V58' },
      { text: 'reveal', at: [10, 86], word: 'reveal', anchor: 'start' },
      { text: 'inset', at: [76, 86], word: 'inset' },
      { style: 'board', path: box(124, 10, 12, 46) + box(200, 10, 12, 46) },
      { style: 'edge', path: box(126, 58, 84, 12), word: 'overlay' },
      { text: 'overlay', at: [168, 86], word: 'overlay' },
    ],
  },
  drawer: {
    says: 'From the front: a drawer between two slides; its bottom stands in grooves.',
    parts: [
      { style: 'board', path: box(40, 6, 12, 84) + box(168, 6, 12, 84) },
      { style: 'iron', path: box(52, 40, 8, 14) + box(160, 40, 8, 14), word: 'slide' },
      { style: 'board', path: box(60, 22, 9, 56) + box(151, 22, 9, 56) },
      { style: 'edge', path: box(65, 64, 90, 5), word: 'groove' },
      { style: 'line', path: 'M32 47h22M110 66v-16' },
      { text: 'slide', at: [30, 51], word: 'slide', anchor: 'end' },
      { text: 'groove', at: [110, 46], word: 'groove' },
    ],
  },
  joint: {
    says: 'Three joints of a board that meets another: a pocket screw, a rabbet at its end, a dado in its face.',
    parts: [
      { style: 'board', path: box(8, 50, 58, 14) + box(26, 6, 14, 44) },
      { style: 'iron', path: 'M22 20l4 -2 12 40 -3 3 -3 -2z', word: 'pocket screw' },
      { text: 'pocket', at: [37, 82], word: 'pocket screw' },
      { text: 'screw', at: [37, 95], word: 'pocket screw' },
      { style: 'board', path: 'M82 6h14v44h-0v7h-7v-0h-7z' },
      { style: 'edge', path: 'M82 57h7v-7h51v14H82z', word: 'rabbet' },
      { text: 'rabbet', at: [110, 88], word: 'rabbet' },
      { style: 'board', path: 'M154 50h22v7h14v-7h24v14h-60z', word: 'dado' },
      { style: 'edge', path: box(176, 6, 14, 51) },
      { text: 'dado', at: [184, 88], word: 'dado' },
    ],
  },
  bevel: {
    says: 'An edge that is sawn at a slant through the thickness is a bevel; across the width it is a mitre.',
    parts: [
      { style: 'board', path: 'M12 30h70l-16 20H12z' },
      { style: 'line', path: 'M82 30l-16 20', word: 'bevel' },
      { text: 'bevel, seen from the edge', at: [4, 88], word: 'bevel', anchor: 'start' },
      { style: 'board', path: 'M126 12h74l-38 40h-36z' },
      { style: 'line', path: 'M200 12l-38 40', word: 'mitre' },
      { text: 'mitre', at: [196, 70], word: 'mitre' },
    ],
  },
  pipe: {
    says: 'A board with a notch round a pipe, with air on every side.',
    parts: [
      { style: 'board', path: 'M20 14h180v72H20z' },
      { style: 'air', path: 'M86 86V52a24 24 0 0 1 48 0v34z', word: 'notch' },
      { style: 'iron', path: round(110, 56, 14) },
      { style: 'line', path: span(124, 56, 10, 0) },
      { text: 'pipe', at: [110, 60] },
      { text: 'air', at: [140, 60], anchor: 'start' },
      { text: 'notch', at: [80, 78], word: 'notch', anchor: 'end' },
    ],
  },
  people: {
    says: 'Knees go under a top: width, height and depth are kept free for them.',
    parts: [
      { style: 'board', path: box(30, 12, 160, 10) + box(30, 22, 26, 72) + box(164, 22, 26, 72) },
      { style: 'air', path: box(56, 22, 108, 72) },
      { style: 'line', path: span(56, 78, 108, 0) + span(78, 22, 0, 72) },
      { text: 'knee space', at: [122, 54] },
    ],
  },
  saw: {
    says: 'A sheet: its edges are trimmed off, and the blade takes a kerf between two pieces.',
    parts: [
      { style: 'air', path: box(30, 6, 160, 76), word: 'trim' },
      { style: 'board', path: box(36, 12, 78, 64) + box(120, 12, 64, 64) },
      { style: 'iron', path: box(114, 12, 6, 64), word: 'kerf' },
      { text: 'kerf', at: [117, 95], word: 'kerf' },
      { style: 'line', path: 'M29 44h4' },
      { text: 'edge', at: [27, 48], anchor: 'end' },
    ],
  },
  stud: {
    says: 'A wall in plan: studs behind its boarding; a screw holds where it meets one.',
    parts: [
      { style: 'wall', path: box(6, 14, 208, 8) + box(6, 60, 208, 8) },
      { style: 'edge', path: box(46, 22, 20, 38) + box(150, 22, 20, 38), word: 'stud' },
      { style: 'iron', path: 'M158 78h4V34l-2 -6 -2 6z' },
      { text: 'stud', at: [56, 92], word: 'stud' },
      { text: 'screw', at: [176, 92], anchor: 'start' },
    ],
  },
  rake: {
    says: 'A box under a roof slope: its top is raked.',
    parts: [
      { style: 'wall', path: 'M4 4h212v20L40 88h-36z' },
      { style: 'board', path: 'M78 94V78l124 -44v60z', word: 'rake' },
      { style: 'line', path: 'M78 78l124 -44', word: 'rake' },
      { text: 'raked', at: [150, 80], word: 'rake' },
    ],
  },
}

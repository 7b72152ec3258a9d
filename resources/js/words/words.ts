/** A word of the trade: how it stands in sentences, what it means, and where it is drawn. */
export interface Word {
  name: string
  pattern: string
  says: string
  picture: string
}

export const WORDS: Word[] = [
  {
    name: 'scribe',
    pattern: 'scrib(?:e|es|ed|ing)',
    picture: 'closing',
    says: 'To scribe is to cut an edge along the wall’s own line, so that no gap is left.',
  },
  {
    name: 'filler',
    pattern: 'fillers?',
    picture: 'closing',
    says: 'A filler is a strip between furniture and wall; its outer edge is cut along the wall.',
  },
  {
    name: 'trim',
    pattern: 'cover trims?|trims?',
    picture: 'closing',
    says: 'A trim is a thin strip that laps the furniture and touches the wall: it hides the gap.',
  },
  {
    name: 'shadow gap',
    pattern: 'shadow gaps?',
    picture: 'closing',
    says: 'A shadow gap is left open on purpose, equally wide from end to end.',
  },
  {
    name: 'stile',
    pattern: '(?:overlong )?stiles?',
    picture: 'box',
    says: 'A stile is an upright of a frame.',
  },
  { name: 'rail', pattern: 'rails?', picture: 'box', says: 'A rail is a level strip of a frame.' },
  {
    name: 'face frame',
    pattern: 'face frames?',
    picture: 'box',
    says: 'A face frame is four strips on the front edges of a box: it hides joints, and its edge can be cut along a wall.',
  },
  {
    name: 'nailer',
    pattern: 'nailers?',
    picture: 'box',
    says: 'A nailer is a strip inside the back of a box, through which it is screwed to the wall.',
  },
  {
    name: 'plinths',
    pattern: 'plinths?',
    picture: 'foot',
    says: 'A plinth is the low frame on which boxes stand level; it stands back so that toes have room.',
  },
  {
    name: 'bearer',
    pattern: 'bearers?',
    picture: 'foot',
    says: 'A bearer is a strip across a plinth that carries the box over it.',
  },
  {
    name: 'worktops',
    pattern: 'worktops?',
    picture: 'foot',
    says: 'A worktop lies over boxes and stands out a little before them.',
  },
  {
    name: 'pin',
    pattern: '(?:shelf )?pins?',
    picture: 'shelf',
    says: 'A pin stands in a drilled hole and carries the corner of a shelf, which can be moved.',
  },
  {
    name: 'cleat',
    pattern: 'cleats?',
    picture: 'shelf',
    says: 'A cleat is a strip screwed to a wall; a shelf lies on it.',
  },
  {
    name: 'hanging rail',
    pattern: '(?:hanging|clothes) rails?',
    picture: 'shelf',
    says: 'A hanging rail carries clothes on hangers.',
  },
  {
    name: 'reveal',
    pattern: 'reveals?',
    picture: 'door',
    says: 'A reveal is the even gap round a door or a drawer front.',
  },
  {
    name: 'inset',
    pattern: 'inset',
    picture: 'door',
    says: 'An inset front closes inside its opening, flush with its edges.',
  },
  {
    name: 'overlay',
    pattern: 'overlays?',
    picture: 'door',
    says: 'An overlay front closes over the front edges of its box.',
  },
  {
    name: 'slide',
    pattern: 'drawer slides?|slide',
    picture: 'drawer',
    says: 'A slide is the bought runner at each side of a drawer.',
  },
  {
    name: 'groove',
    pattern: 'grooves?',
    picture: 'drawer',
    says: 'A groove is a channel along a board, in which the edge of another stands.',
  },
  {
    name: 'pocket screw',
    pattern: 'pocket (?:screws?|holes?)',
    picture: 'joint',
    says: 'A pocket screw goes in slantwise from a hole drilled with a jig into the hidden face.',
  },
  {
    name: 'rabbet',
    pattern: 'rabbet(?:s|ed)?',
    picture: 'joint',
    says: 'A rabbet is a step cut along an edge, in which another board lies.',
  },
  {
    name: 'dado',
    pattern: 'dado(?:es)?',
    picture: 'joint',
    says: 'A dado is a channel across a board, in which the end of another stands.',
  },
  {
    name: 'bevel',
    pattern: 'bevel(?:s|led)?',
    picture: 'bevel',
    says: 'A bevel is an edge sawn at a slant through the thickness of the board.',
  },
  {
    name: 'mitre',
    pattern: 'mitre[sd]?',
    picture: 'bevel',
    says: 'A mitre is an end sawn at a slant across the width of the board.',
  },
  {
    name: 'notch',
    pattern: 'notch(?:es|ed)?',
    picture: 'pipe',
    says: 'A notch is cut out of an edge to pass round something that stays.',
  },
  {
    name: 'kerf',
    pattern: 'kerfs?',
    picture: 'saw',
    says: 'The kerf is what the blade turns into dust with each cut.',
  },
  {
    name: 'stud',
    pattern: 'studs?',
    picture: 'stud',
    says: 'A stud is an upright timber inside a wall: screws hold in it.',
  },
  {
    name: 'rake',
    pattern: 'raked?',
    picture: 'rake',
    says: 'What is raked follows a slope: a roof, or the underside of a stair.',
  },
]

/** Longer words first, so that a face frame is not taken for a frame, nor a hanging rail for a rail. */
const ordered = [...WORDS].sort((a, b) => b.pattern.length - a.pattern.length)
const any = new RegExp(`(?<![\\p{L}-])(${ordered.map((word) => word.pattern).join('|')})(?![\\p{L}-])`, 'iu')
const exact = ordered.map((word) => ({ word, is: new RegExp(`^(?:${word.pattern})$`, 'iu') }))

export interface ToldPart {
  text: string
  word: Word | null
}

/** A sentence in parts, with the words of the trade apart: each once, where it first appears. */
export function told(sentence: string): ToldPart[] {
  const seen = new Set<string>()
  return sentence.split(any).flatMap((text): ToldPart[] => {
    if (text === '') return []
    const word = exact.find((one) => one.is.test(text))?.word ?? null
    if (word === null || seen.has(word.name)) return [{ text, word: null }]
    seen.add(word.name)
    return [{ text, word }]
  })
}

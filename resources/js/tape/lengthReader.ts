/**
 * Reads what people type for a length, so that typing is echoed and refused at once. It passes the same vectors as the
 * server's reader (tests/vectors/lengths.json), and the server's rules. No length is derived here.
 */

export type JobUnit = 'mm' | 'in'
type Unit = 'mm' | 'cm' | 'm' | 'in' | 'ft'

export class Unreadable extends Error {}

const NANOMETRES: Record<Unit, bigint> = {
  mm: 1_000_000n,
  cm: 10_000_000n,
  m: 1_000_000_000n,
  in: 25_400_000n,
  ft: 304_800_000n,
}
const LONGEST = 30n * NANOMETRES.m
const LONGEST_TEXT = 100

const WORDS: Record<Unit, string[]> = {
  mm: ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'],
  cm: ['cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters'],
  m: ['m', 'metre', 'metres', 'meter', 'meters'],
  in: ['in', 'inch', 'inches', '"'],
  ft: ['ft', 'foot', 'feet', "'"],
}

const SIGNS: [RegExp, string][] = [
  [/[\u2032\u2019\u2018\u00B4`]/g, "'"],
  [/[\u2033\u201C\u201D]/g, '"'],
  [/''/g, '"'],
  [/[\u00D7\u00B7]/g, '*'],
  [/[\u2212\u2013]/g, '-'],
  [/\u2044/g, '/'],
  [/[\u00A0\u202F\u2009]/g, ' '],
]

const FRACTIONS: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
}

interface Rational {
  top: bigint
  bottom: bigint
}

interface Value extends Rational {
  isLength: boolean
}

interface Token {
  kind: 'number' | 'unit' | 'sign'
  text: string
  spaced: boolean
}

function unitOf(word: string): Unit | undefined {
  const lower = word.toLowerCase()
  return (Object.keys(WORDS) as Unit[]).find((unit) => WORDS[unit].includes(lower))
}

function isMetric(unit: Unit): boolean {
  return unit === 'mm' || unit === 'cm' || unit === 'm'
}

const plus = (a: Rational, b: Rational): Rational => ({
  top: a.top * b.bottom + b.top * a.bottom,
  bottom: a.bottom * b.bottom,
})
const times = (a: Rational, b: Rational): Rational => ({ top: a.top * b.top, bottom: a.bottom * b.bottom })
const whole = (value: bigint): Rational => ({ top: value, bottom: 1n })
const negated = (a: Rational): Rational => ({ top: -a.top, bottom: a.bottom })
const digitsOnly = (text: string) => /^\d+$/.test(text)

function tokens(typed: string): Token[] {
  let rest = typed
  for (const [pattern, plain] of SIGNS) rest = rest.replace(pattern, plain)
  for (const [sign, plain] of Object.entries(FRACTIONS)) rest = rest.replaceAll(sign, ` ${plain}`)
  const found: Token[] = []
  let spaced = false
  const push = (kind: Token['kind'], text: string) => {
    found.push({ kind, text, spaced })
    spaced = false
  }
  while (rest !== '') {
    let match: RegExpMatchArray | null
    if ((match = rest.match(/^\s+/u))) {
      spaced = true
    } else if ((match = rest.match(/^(?:\d+(?:[.,]\d*)*|[.,]\d+)/))) {
      push('number', match[0])
    } else if ((match = rest.match(/^[+\-*/()]/) ?? rest.match(/^[xX](?=\s*[\d(.,])/))) {
      push('sign', match[0].toLowerCase() === 'x' ? '*' : match[0])
    } else if ((match = rest.match(/^(?:[a-zA-Z]+|['"])\.?/)) && unitOf(match[0].replace(/\.$/, ''))) {
      push('unit', match[0].replace(/\.$/, ''))
    } else {
      match = rest.match(/^(?:\p{L}+|.)/su)
      throw new Unreadable(
        `“${match?.[0] ?? '?'}” in “${typed}” is not known. Type numbers, fractions, + − × and units (mm, cm, m, in, ft).`,
      )
    }
    rest = rest.slice(match[0].length)
  }
  return found
}

class Sum {
  private at = 0
  private readonly tokens: Token[]

  constructor(
    private readonly typed: string,
    private readonly unit: JobUnit,
  ) {
    this.tokens = tokens(typed)
  }

  value(): Rational {
    const value = this.sum()
    if (this.peek()) throw this.unexpected()
    return this.asLength(value)
  }

  private peek(ahead = 0): Token | undefined {
    return this.tokens[this.at + ahead]
  }

  private isKind(kind: Token['kind'], ahead = 0): boolean {
    return this.peek(ahead)?.kind === kind
  }

  private isSign(sign: string, ahead = 0): boolean {
    return this.isKind('sign', ahead) && this.peek(ahead)?.text === sign
  }

  private take(): string {
    return this.tokens[this.at++]?.text ?? ''
  }

  private sum(): Value {
    let left = this.product()
    while (this.isSign('+') || this.isSign('-')) {
      const adds = this.take() === '+'
      let right = this.product()
      if (left.isLength !== right.isLength) {
        left = { ...this.asLength(left), isLength: true }
        right = { ...this.asLength(right), isLength: true }
      }
      left = { ...plus(left, adds ? right : negated(right)), isLength: left.isLength }
    }
    return left
  }

  private product(): Value {
    let left = this.factor()
    while (this.isSign('*')) {
      this.take()
      const right = this.factor()
      if (left.isLength && right.isLength) {
        throw new Unreadable(
          `“${this.typed}” multiplies a length by a length, which is an area. Multiply by a plain number, such as 2 × 18 mm.`,
        )
      }
      left = { ...times(left, right), isLength: left.isLength || right.isLength }
    }
    return left
  }

  private factor(): Value {
    if (this.isSign('-')) {
      this.take()
      const value = this.factor()
      return { ...negated(value), isLength: value.isLength }
    }
    if (this.isSign('(')) {
      this.take()
      let value = this.sum()
      if (!this.isSign(')'))
        throw new Unreadable(`A bracket in “${this.typed}” is not closed. Add the missing “)”.`)
      this.take()
      if (this.isKind('unit')) {
        const unit = this.takeUnit()
        if (value.isLength)
          throw new Unreadable(
            `“${this.typed}” gives a unit to something that has one already. Leave one of them out.`,
          )
        value = { ...times(value, whole(NANOMETRES[unit])), isLength: true }
      }
      return value
    }
    if (!this.isKind('number')) throw this.unexpected()
    return this.quantity()
  }

  private quantity(): Value {
    let { value, doubtful } = this.number()
    if (!this.isKind('unit')) {
      this.refuseDoubtful(doubtful, this.unit)
      if (this.isKind('number')) {
        throw new Unreadable(
          `“${this.typed}” has two numbers with nothing between them. Put a unit, a fraction or a sign between, such as 5 ft 3 in or 48 + 3.`,
        )
      }
      return { ...value, isLength: false }
    }
    let unit = this.takeUnit()
    this.refuseDoubtful(doubtful, unit)
    let total = times(value, whole(NANOMETRES[unit]))
    while (this.isKind('number')) {
      ;({ value, doubtful } = this.number())
      // After feet a bare number is inches, as people write 5' 3 1/2.
      const next: Unit | undefined = this.isKind('unit') ? this.takeUnit() : unit === 'ft' ? 'in' : undefined
      if (!next)
        throw new Unreadable(
          `“${this.typed}” ends in a number without a unit. Say which unit it is, or put + before it.`,
        )
      if (isMetric(unit) !== isMetric(next) || NANOMETRES[unit] <= NANOMETRES[next])
        throw this.clash(unit, next)
      this.refuseDoubtful(doubtful, next)
      total = plus(total, times(value, whole(NANOMETRES[next])))
      unit = next
    }
    return { ...total, isLength: true }
  }

  private number(): { value: Rational; doubtful: string | undefined } {
    const text = this.take()
    if (this.isSign('/')) return { value: this.fraction(text), doubtful: undefined }
    if (/[.,].*[.,]/.test(text)) {
      throw new Unreadable(
        `“${text}” has more than one point or comma. Write it without thousands marks, such as 1203.5.`,
      )
    }
    const [before = '', after = ''] = text.replace(',', '.').split('.')
    let value: Rational = { top: BigInt(`0${before}${after}`), bottom: 10n ** BigInt(after.length) }
    if (this.fractionFollows()) {
      if (!digitsOnly(text)) {
        throw new Unreadable(
          `“${this.typed}” has both a decimal and a fraction. Use one of them, such as 31 5/8 or 31.625.`,
        )
      }
      if (this.isSign('-')) this.take()
      value = plus(value, this.fraction(this.take()))
    }
    return { value, doubtful: /^(?!0+[.,])\d{1,3}[.,]\d{3}$/.test(text) ? text : undefined }
  }

  private fractionFollows(): boolean {
    if (this.isKind('number') && this.isSign('/', 1)) return true
    return (
      this.isSign('-') &&
      this.peek()?.spaced === false &&
      this.isKind('number', 1) &&
      this.peek(1)?.spaced === false &&
      this.isSign('/', 2) &&
      this.isKind('number', 3) &&
      this.isProper(this.peek(1)?.text ?? '', this.peek(3)?.text ?? '')
    )
  }

  private isProper(top: string, bottom: string): boolean {
    return digitsOnly(top) && digitsOnly(bottom) && BigInt(top) < BigInt(bottom)
  }

  private fraction(top: string): Rational {
    this.take()
    if (!this.isKind('number'))
      throw new Unreadable(`The fraction in “${this.typed}” has no bottom. Finish it, such as 5/8.`)
    const bottom = this.take()
    if (!digitsOnly(top) || !digitsOnly(bottom)) {
      throw new Unreadable(`“${top}/${bottom}” is not a fraction of whole numbers. Write it such as 5/8.`)
    }
    if (/^0+$/.test(bottom))
      throw new Unreadable(`“${top}/${bottom}” is a fraction over nothing. Write it such as 5/8.`)
    return { top: BigInt(top), bottom: BigInt(bottom) }
  }

  private takeUnit(): Unit {
    const unit = unitOf(this.take()) ?? this.unit
    const next = this.peek()
    if (next?.kind === 'unit') throw this.clash(unit, unitOf(next.text) ?? unit)
    return unit
  }

  private asLength(value: Value): Rational {
    return value.isLength ? value : times(value, whole(NANOMETRES[this.unit]))
  }

  private refuseDoubtful(text: string | undefined, unit: Unit): void {
    if (text === undefined || unit !== 'mm') return
    const plain = text.replace(/[.,]/, '')
    const decimal = text.replace(',', '.')
    throw new Unreadable(
      `“${text}” could be ${plain} mm or ${decimal} mm. Type ${plain}, or add the unit and a 0: ${decimal}0 mm.`,
    )
  }

  private clash(first: Unit, second: Unit): Unreadable {
    return new Unreadable(
      `“${this.typed}” mixes ${first} and ${second} in one length. Use one system, or add them: 2 ft + 30 mm.`,
    )
  }

  private unexpected(): Unreadable {
    const next = this.peek()
    return next
      ? new Unreadable(
          `“${next.text}” was not expected where it stands in “${this.typed}”. Type a length such as 31 5/8 in or 803 mm.`,
        )
      : new Unreadable(`“${this.typed}” stops in the middle. A number is missing at the end.`)
  }
}

/** Nanometres, rounded half away from zero; throws Unreadable with the sentence that the server would give. */
export function readLength(text: string, unit: JobUnit): number {
  const typed = text.trim()
  if (typed === '') {
    throw new Unreadable(
      `Nothing was typed. Type a length such as ${unit === 'mm' ? '803 or 80.3 cm' : `31 5/8 or 2' 7 5/8"`}.`,
    )
  }
  if ([...text].length > LONGEST_TEXT) {
    throw new Unreadable(
      `That is too long for a length. Type one length, such as ${unit === 'mm' ? '803 or 80.3 cm' : `31 5/8 or 2' 7 5/8"`}.`,
    )
  }
  const { top, bottom } = new Sum(typed, unit).value()
  const size = ((top < 0n ? -top : top) * 2n + bottom) / (2n * bottom)
  if (size > LONGEST) {
    throw new Unreadable(
      `“${typed}” is more than 30 m, which is more than a room. Check the unit; a bare number is read in ${unit === 'in' ? 'inches' : unit}.`,
    )
  }
  if (top < 0n && size > 0n)
    throw new Unreadable(`“${typed}” comes to less than nothing. Type a length of 0 or more.`)
  return Number(size)
}

/** What was understood, in both systems: "803 mm · 31 5/8 in". For the echo alone. */
export function echo(nm: number, unit: JobUnit): string {
  const tenths = Math.round(nm / 100_000)
  const metric = `${tenths % 10 === 0 ? tenths / 10 : (tenths / 10).toFixed(1)} mm`
  const sixteenths = Math.round(nm / 1_587_500)
  const inches = Math.floor(sixteenths / 16)
  let [top, bottom] = [sixteenths % 16, 16]
  while (top > 0 && top % 2 === 0) [top, bottom] = [top / 2, bottom / 2]
  const imperial = top === 0 ? `${inches} in` : `${inches === 0 ? '' : `${inches} `}${top}/${bottom} in`
  return unit === 'mm' ? `${metric} · ${imperial}` : `${imperial} · ${metric}`
}

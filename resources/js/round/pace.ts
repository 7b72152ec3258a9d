/** A frame that comes later than this after the one before it is too slow to be followed by the eye, ms. */
const SLOW = 30

/** One that comes sooner leaves room for more, ms. */
const QUICK = 18

/** A longer pause is no frame of the same turn, ms. */
const PAUSE = 400

const COARSEST = 0.4

/**
 * How sharp a moving picture may be on this device: fewer pixels while its frames come too late, more again while there is
 * time to spare. Told in pixels of the picture to one of the page.
 */
export class Pace {
  private sharpness: number
  private last = -Infinity
  private late = 0
  private early = 0

  constructor(private readonly finest: number) {
    this.sharpness = finest
  }

  /** @param now when the next frame is drawn, ms */
  next(now: number): number {
    const took = now - this.last
    this.last = now
    if (took > PAUSE) return this.sharpness
    this.late = took > SLOW ? this.late + 1 : 0
    this.early = took < QUICK ? this.early + 1 : 0
    if (this.late >= 2) this.change(0.8)
    else if (this.early >= 20) this.change(1.15)
    return this.sharpness
  }

  private change(by: number): void {
    this.sharpness = Math.min(this.finest, Math.max(COARSEST, this.sharpness * by))
    this.late = this.early = 0
  }
}

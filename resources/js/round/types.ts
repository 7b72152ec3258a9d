export type Place = [number, number, number]

/** Convex parts of something: the corners of each, and its faces by their places in that list. */
export type SolidParts = { at: Place[]; faces: number[][] }[]

export interface RoundPiece {
  key: string
  mark: string
  name: string
  /** The box, tier or member that it belongs to. */
  owner: string
  part: string
  purpose: string
  run: string | null
  /** Which of the movements takes it along. */
  movement: number | null
  apart: Place
  solid: SolidParts
  /** Each ring of its outline on both faces, where the solid is in parts whose seams are no edges; none else. */
  outline: [Place[], Place[]][]
}

/** Everything of a space in its own coordinates, mm, z up. */
export interface Round {
  pieces: RoundPiece[]
  movements: {
    name: string
    tier: string
    turns: boolean
    at: Place
    from: Place
    to: Place
    by: number
  }[]
  things: { id: string; name: string; solid: SolidParts }[]
  /** By station, up each: a place, and how far it is off plumb along x and y. */
  walls: { name: string; grid: [number, number, number, number, number][][] }[]
  floor: Place[]
  ceiling: Place[][]
}

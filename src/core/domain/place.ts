import type { Quantity } from '../quantities'
import type { Id } from './ids'

/** What a place may take. */
export const ACCEPTED = ['gray', 'black', 'cassette', 'urine', 'solids'] as const
export type Accepted = (typeof ACCEPTED)[number]
export const PLACE_WATER = ['none', 'not-potable', 'potable', 'unknown'] as const
export type PlaceWater = (typeof PLACE_WATER)[number]
/** What may be in the tanks that are emptied there. */
export const PLACE_RULES = ['unknown', 'any', 'septic-safe', 'nothing'] as const
export type PlaceRule = (typeof PLACE_RULES)[number]
/** Who may use it. */
export const PLACE_ACCESS = ['unknown', 'all', 'guests', 'customers', 'call-first', 'nobody'] as const
export type PlaceAccess = (typeof PLACE_ACCESS)[number]
/** On which side of a rig that has pulled up its drain lies. */
export const APPROACHES = ['unknown', 'either', 'left', 'right'] as const
export type Approach = (typeof APPROACHES)[number]
/** What else there is. */
export const OFFERS = ['groceries', 'fuel', 'laundry', 'showers', 'hookup'] as const
export type Offer = (typeof OFFERS)[number]

/** On the globe, degrees; south and west are negative. */
export interface Position {
  lat: number
  lon: number
}

/** One drain or tap with rules of its own. A name is enough: what is unknown warns and never blocks. */
export interface Point {
  id: Id
  name: string
  /** Null: not known. */
  accepts: Accepted[] | null
  water: PlaceWater
  rule: PlaceRule
  /** L a minute of its tap, by a bucket test; null: not tested. */
  flow: Quantity | null
}

/** Somewhere a run goes; itself the first of its points. */
export interface Place extends Point {
  /** Points beside the first. */
  points: Point[]
  /** Where the owner lives: there the local code says what may be let go. */
  isHome: boolean
  position: Position | null
  /** When it is open, seasons included, in the `opening_hours` notation of OpenStreetMap; null: not known. */
  opening: string | null
  access: PlaceAccess
  /** In the owner's money, each visit; null: not known. */
  fee: Quantity | null
  /** m; null: no limit is known. */
  maxHeight: Quantity | null
  maxLength: Quantity | null
  approach: Approach
  /** Minutes one waits there. */
  queue: Quantity
  offers: Offer[]
  /** How to reach somebody, or what the code says and where it is written. */
  note: string
  /** `YYYY-MM-DD` somebody last made sure of it; null: never. */
  verified: string | null
}

/** One way from the site to a place as the owner knows it; it wins over what is worked out. */
export interface Way {
  place: Id
  /** km of road. */
  kilometres: Quantity | null
  /** Minutes at the wheel. */
  minutes: Quantity | null
}

/** What is assumed of roads, and of the time errands take. */
export interface Road {
  /** Road over great circle, >= 1. */
  factor: Quantity
  /** km an hour. */
  speed: Quantity
  /** Minutes until a rig is ready to roll. */
  packing: Quantity
  /** Minutes at a point, queue aside. */
  service: Quantity
}

/** All points of a place, its own first. */
export function pointsOf(place: Place): readonly Point[] {
  return place.points.length === 0 ? [place] : [place, ...place.points]
}

/**
 * The point that takes something: one that is known to, else one of which it is not known; null: none does.
 */
export function pointTaking(place: Place, what: Accepted): Point | null {
  const points = pointsOf(place)
  const known = points.find(({ accepts }) => accepts?.includes(what))
  return known ?? points.find(({ accepts }) => accepts === null) ?? null
}

const BEST_WATER: readonly PlaceWater[] = ['potable', 'unknown', 'not-potable', 'none']

/** The point with the best water: for drinking before not known before not for drinking. */
export function pointWithWater(place: Place): Point {
  const points = pointsOf(place)
  const rank = ({ water }: Point) => BEST_WATER.indexOf(water)
  return points.reduce((best, point) => (rank(point) < rank(best) ? point : best), points[0]!)
}

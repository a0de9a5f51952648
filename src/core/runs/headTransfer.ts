import { baseArea, type Head } from '../domain'
import type { Factor, Litres, Metres } from '../quantities'

/** How much of the way to level surfaces is used: what remains is the margin. Source: model.md section 8. */
export const SHARE_OF_LEVELLING = 0.8
/** m/s². Standard gravity, ISO 80000-3. */
const GRAVITY = 9.80665
/** Loss of two valves and bends, from slow to fast (assumed; model.md section 8). */
export const DISCHARGE = { slow: 0.4, fast: 0.6 } as const

/** A value known only between two bounds. */
export interface Range {
  low: number
  high: number
}

export interface TankState {
  /** L */
  capacity: Litres
  /** m, inside. */
  height: Metres
  /** m over the rig's lowest tank. */
  bottom: Range
  /** L in it. */
  content: Range
}

export interface TransferCase {
  gray: TankState & {
    /** L that may leave it at most, whatever the heights: what stands above its residue. */ most: Litres
  }
  black: TankState & { /** L */ safeLevel: Litres }
  /** m, the narrowest bore between them. */
  bore: Metres
}

export type TransferRefusal = 'wrong-direction' | 'gray-empty' | 'black-full'

export interface Transfer {
  /** L that surely may go, with gray read low and black read high. */
  volume: Litres
  /** What holds it to that. */
  bound: 'levels' | 'gray' | 'black'
  /** s to hold the valve open: `low` never lets more through, after `high` all of it surely went. */
  seconds: Range
  /** m between the surfaces. */
  head: Range
}

/** m of gray's surface over black's. @param gray L @param black L */
function headOf(
  { gray, black }: TransferCase,
  grayL: Litres,
  blackL: Litres,
  grayBottom: Metres,
  blackBottom: Metres,
) {
  return (
    grayBottom +
    (grayL / gray.capacity) * gray.height -
    (blackBottom + (blackL / black.capacity) * black.height)
  )
}

/**
 * How much gray may run into the black tank, and for how long to hold the valve open (model.md section 8): the one rule for the rig's
 * page, a step of a run and the card. V = min(0.8·Δ0/S, gray, safe fill of black − black), gray read low and black read high,
 * for the head and for the room alike; refused where gray does not stand higher, or one of them has nothing to give or no room.
 * Prismatic tanks: V litres lower gray by V/Ag and lift black by V/Ab, so with S = 1/Ag + 1/Ab the head is Δ0 − V·S and
 * they stand level at Δ0/S. Outflow through the bore a is Cd·a·√(2g·Δ), so dV/dt = Cd·a·√(2g)·√(Δ0 − V·S), solved by
 * t = 2(√Δ0 − √(Δ0 − V·S)) ÷ (Cd·a·√(2g)·S).
 */
export function headTransfer(
  tanks: TransferCase,
): { ok: true; value: Transfer } | { ok: false; refusal: TransferRefusal } {
  const { gray, black } = tanks
  const bounded = boundsOf(tanks)
  if (!bounded.ok) return bounded
  const { volume, bound, low, steepness } = bounded
  const head = {
    low,
    high: headOf(tanks, gray.content.high, black.content.low, gray.bottom.high, black.bottom.low),
  }
  const seconds = {
    low: flowSeconds(volume, head.high, steepness, tanks.bore, DISCHARGE.fast),
    high: flowSeconds(volume, head.low, steepness, tanks.bore, DISCHARGE.slow),
  }
  return { ok: true, value: { volume, bound, seconds, head } }
}

type Bounded =
  | { ok: true; volume: Litres; bound: Transfer['bound']; low: Metres; steepness: number }
  | { ok: false; refusal: TransferRefusal }

function boundsOf(tanks: TransferCase): Bounded {
  const { gray, black } = tanks
  const low = headOf(tanks, gray.content.low, black.content.high, gray.bottom.low, black.bottom.high)
  const steepness = 1 / baseArea(gray.capacity, gray.height) + 1 / baseArea(black.capacity, black.height)
  const bounds = {
    levels: (SHARE_OF_LEVELLING * low * 1000) / steepness,
    gray: Math.min(gray.content.low, gray.most),
    black: black.safeLevel - black.content.high,
  }
  if (bounds.gray <= 0) return { ok: false, refusal: 'gray-empty' }
  if (bounds.black <= 0) return { ok: false, refusal: 'black-full' }
  if (low <= 0) return { ok: false, refusal: 'wrong-direction' }
  const bound = (Object.keys(bounds) as (keyof typeof bounds)[]).reduce((a, b) =>
    bounds[b] < bounds[a] ? b : a,
  )
  return { ok: true, volume: bounds[bound], bound, low, steepness }
}

/** L that a step of a run lets over at levels as they are, read within its error; 0: it refuses. */
export function headLitres(
  head: Head,
  gray: Litres,
  black: Litres,
  floor: Litres = 0,
  grayShare: Factor = 1,
  blackShare: Factor = 1,
): Litres {
  const bounded = boundsOf(headCase(head, gray, black, floor, grayShare, blackShare))
  return bounded.ok ? bounded.volume : 0
}

/**
 * Tanks as a step of a run meets them. @param gray L in it @param black L in it @param floor L that gray keeps
 * @param grayShare its own capacity over the one given, and black's
 */
export function headCase(
  { gray: from, black: to, bore, readingError }: Head,
  gray: Litres,
  black: Litres,
  floor: Litres = 0,
  grayShare: Factor = 1,
  blackShare: Factor = 1,
): TransferCase {
  const around = (level: Litres): Range => ({
    low: Math.max(0, level - readingError),
    high: level + readingError,
  })
  return {
    gray: {
      capacity: from.capacity * grayShare,
      height: from.height,
      bottom: from.bottom,
      content: around(gray),
      most: gray - floor,
    },
    black: {
      capacity: to.capacity * blackShare,
      height: to.height,
      bottom: to.bottom,
      content: around(black),
      safeLevel: to.safeLevel * blackShare,
    },
    bore,
  }
}

/**
 * Seconds until so much has run through. @param volume L, at most head/steepness in m³ @param head m, Δ0 > 0
 * @param steepness S, 1/m² @param bore m @param discharge Cd
 */
export function flowSeconds(
  volume: Litres,
  head: Metres,
  steepness: number,
  bore: Metres,
  discharge: number,
): number {
  const area = (Math.PI * bore * bore) / 4
  const left = head - (volume / 1000) * steepness
  return (2 * (Math.sqrt(head) - Math.sqrt(left))) / (discharge * area * Math.sqrt(2 * GRAVITY) * steepness)
}

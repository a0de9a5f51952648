import { baseArea } from '../model'
import { SHARE_OF_LEVELLING } from '../runs'
import type { Litres, Metres } from '../quantities'

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
  gray: TankState
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
 * How much gray may run into the black tank, and for how long to hold the valve open (model.md section 8).
 * Prismatic tanks: V litres lower gray by V/Ag and lift black by V/Ab, so with S = 1/Ag + 1/Ab the head is Δ0 − V·S and
 * they stand level at Δ0/S. Outflow through the bore a is Cd·a·√(2g·Δ), so dV/dt = Cd·a·√(2g)·√(Δ0 − V·S), solved by
 * t = 2(√Δ0 − √(Δ0 − V·S)) ÷ (Cd·a·√(2g)·S).
 */
export function grayToBlack(
  tanks: TransferCase,
): { ok: true; value: Transfer } | { ok: false; refusal: TransferRefusal } {
  const { gray, black } = tanks
  const head = {
    low: headOf(tanks, gray.content.low, black.content.high, gray.bottom.low, black.bottom.high),
    high: headOf(tanks, gray.content.high, black.content.low, gray.bottom.high, black.bottom.low),
  }
  const steepness = 1 / baseArea(gray.capacity, gray.height) + 1 / baseArea(black.capacity, black.height)
  const bounds = {
    levels: (SHARE_OF_LEVELLING * head.low * 1000) / steepness,
    gray: gray.content.low,
    black: black.safeLevel - black.content.high,
  }
  if (bounds.gray <= 0) return { ok: false, refusal: 'gray-empty' }
  if (bounds.black <= 0) return { ok: false, refusal: 'black-full' }
  if (head.low <= 0) return { ok: false, refusal: 'wrong-direction' }
  const bound = (Object.keys(bounds) as (keyof typeof bounds)[]).reduce((a, b) =>
    bounds[b] < bounds[a] ? b : a,
  )
  const volume = bounds[bound]
  const seconds = {
    low: flowSeconds(volume, head.high, steepness, tanks.bore, DISCHARGE.fast),
    high: flowSeconds(volume, head.low, steepness, tanks.bore, DISCHARGE.slow),
  }
  return { ok: true, value: { volume, bound, seconds, head } }
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

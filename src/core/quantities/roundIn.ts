import { fromSi, toSi, type Unit } from './units'

/** Steps of round numbers: below each bound, in the unit itself. */
const STEPS: [below: number, step: number][] = [
  [1, 0.05],
  [10, 0.5],
  [30, 1],
  [100, 5],
  [Infinity, 10],
]

/**
 * The nearest number that is round in a unit: what an application may propose to somebody who thinks in it (24 gal, not
 * 23.78). Degrees are whole. @returns SI; 0 stays 0, and nothing else becomes 0
 */
export function roundIn(si: number, unit: Unit): number {
  const value = fromSi(si, unit)
  if (unit === 'C' || unit === 'F') return toSi(Math.round(value), unit)
  const size = Math.abs(value)
  const step = STEPS.find(([below]) => size < below)![1]
  const rounded = Math.round(value / step) * step
  return toSi(rounded === 0 && value !== 0 ? Math.sign(value) * step : rounded, unit)
}

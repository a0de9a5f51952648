import type { Position } from '../domain'

/** km; the mean radius of the International Union of Geodesy and Geophysics. */
const EARTH_KM = 6371.0088
const RADIAN = Math.PI / 180

/** km along the great circle, by the haversine of its angle: sound from a metre to the antipodes. */
export function greatCircleKm(a: Position, b: Position): number {
  const half = (degrees: number) => Math.sin((degrees * RADIAN) / 2) ** 2
  const h = half(b.lat - a.lat) + Math.cos(a.lat * RADIAN) * Math.cos(b.lat * RADIAN) * half(b.lon - a.lon)
  return 2 * EARTH_KM * Math.asin(Math.min(1, Math.sqrt(h)))
}

/**
 * km east and north of a position, on the plane that touches the globe there: fit for a map of a day's drive.
 * Across the date line the short way.
 */
export function offsetKm(from: Position, to: Position): { east: number; north: number } {
  const turn = ((to.lon - from.lon + 540) % 360) - 180
  const perDegree = EARTH_KM * RADIAN
  return {
    east: turn * perDegree * Math.cos(from.lat * RADIAN),
    north: (to.lat - from.lat) * perDegree,
  }
}

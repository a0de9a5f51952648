import type { Position } from '../domain'

const PAIR =
  /^\s*([+-−]?\d{1,3}(?:\.\d+)?)\s*°?\s*([NS])?\s*[,;\s]\s*([+-−]?\d{1,3}(?:\.\d+)?)\s*°?\s*([EW])?\s*$/i

export type ReadPosition =
  | { ok: true; value: Position | null }
  | { ok: false; code: 'no-position' | 'off-the-globe'; found: string }

/**
 * A position as people copy it: `45.09, -37.88`, `45.09 N 37.88 W`; degrees with a point. Empty: not known. A place on the
 * equator and at Greenwich at once is nobody's: it is what programs write that know none.
 */
export function parsePosition(text: string): ReadPosition {
  const found = text.trim()
  if (found === '') return { ok: true, value: null }
  const match = PAIR.exec(found)
  if (!match) return { ok: false, code: 'no-position', found }
  const signed = (digits: string, side: string | undefined, minus: string) =>
    Number(digits.replace('−', '-')) * (side?.toUpperCase() === minus ? -1 : 1)
  const lat = signed(match[1]!, match[2], 'S')
  const lon = signed(match[3]!, match[4], 'W')
  return isOnGlobe({ lat, lon })
    ? { ok: true, value: { lat, lon } }
    : { ok: false, code: 'off-the-globe', found }
}

export function isOnGlobe({ lat, lon }: Position): boolean {
  const isIn = Math.abs(lat) <= 90 && Math.abs(lon) <= 180
  return isIn && !(lat === 0 && lon === 0)
}

/** To a metre or so. */
export function showPosition({ lat, lon }: Position): string {
  const round = (degrees: number) => String(Math.round(degrees * 1e5) / 1e5)
  return `${round(lat)}, ${round(lon)}`
}

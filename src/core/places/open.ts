import { wallMinutes, wallTimeAt, type WallTime } from '../calendar'
import type { OpenSpan, OpenTimes } from '../domain'

/** A service that fits into an opening. */
export interface Fit {
  /** It begins then. */
  at: WallTime
  span: OpenSpan
}

/**
 * The earliest service of so many minutes that begins in [from, until] and ends before its opening does; an opening that is sure
 * comes before one that is not. Null: none fits.
 */
export function earliestFit(
  { spans }: OpenTimes,
  minutes: number,
  from: WallTime,
  until: WallTime,
): Fit | null {
  const fits = spans.flatMap((span): Fit[] => {
    const at = span.from > from ? span.from : from
    const isIn = at <= until && wallMinutes(at) + minutes <= wallMinutes(span.until)
    return isIn ? [{ at, span }] : []
  })
  return fits.find(({ span }) => span.isSure) ?? fits[0] ?? null
}

/** The latest service that begins by `by`, and not before `from`; sure or not. Null: none fits. */
export function latestFit(span: OpenSpan, minutes: number, from: WallTime, by: WallTime): Fit | null {
  const latest = Math.min(Math.floor(wallMinutes(span.until) - minutes), wallMinutes(by))
  if (latest < wallMinutes(span.from) || latest < wallMinutes(from)) return null
  return { at: wallTimeAt(latest), span }
}

/** The next opening that is sure, or else any, at or after a moment; null: none in what was read. */
export function nextOpening({ spans }: OpenTimes, from: WallTime): OpenSpan | null {
  const later = spans.filter(({ until }) => until > from)
  return later.find(({ isSure }) => isSure) ?? later[0] ?? null
}

/** Whether it is open at a moment: null: only perhaps. */
export function isOpenAt({ spans }: OpenTimes, at: WallTime): boolean | null {
  const spanned = spans.filter(({ from, until }) => from <= at && at < until)
  if (spanned.some(({ isSure }) => isSure)) return true
  return spanned.length > 0 ? null : false
}

import { PARTS_PER_DAY } from '@/core/calendar'
import { BREACH_TOLERANCE, levelBefore, type Count } from '@/core/count'
import type { Model, ModelContainer } from '@/core/compile'

/** One container on one day. Shares are of the capacity; x runs 0 to 1 over the 05-to-05 day. */
export interface BoardCell {
  day: number
  /** The level through the day: the start, then each part end. */
  profile: { x: number; share: number }[]
  /** L at the end of the day. */
  endL: number
  /** L past the limit at the end of the day; 0: within it. */
  overL: number
  /** Past the limit already when the day began. */
  wasOver: boolean
  /** Part index of the ledger at whose end `endL` holds; null: the day was lived, and its sum is the log. */
  part: number | null
  /** What was lived of it, as it is known now. */
  lived: BoardCell['profile']
  /** What was read on it: shares from and to. */
  marks: BoardMark[]
}

export interface BoardMark {
  x: number
  from: number
  to: number
  fits: boolean
}

/** @param days columns from day 0; cut to what the ledger reaches */
export function boardCells(model: Model, counted: Count, container: number, days: number): BoardCell[] {
  const { grid } = model
  const { capacity, limit, side } = model.containers[container]!
  const cells: BoardCell[] = []
  for (let i = 0; i < grid.count && grid.day[i]! < days; i++) {
    const day = grid.day[i]!
    const before = levelBefore(model, counted.ledger, container, i)
    const after = counted.ledger.levels[container * grid.count + i]!
    const startX = (grid.part[i]! + 1 - grid.share[i]!) / PARTS_PER_DAY
    const endX = (grid.part[i]! + 1) / PARTS_PER_DAY
    const past = (level: number) =>
      limit === null ? 0 : Math.max(0, side === 'supply' ? limit - level : level - limit)
    const { afterRuns } = counted.ledger
    const cell = cells[day] ?? {
      day,
      profile: [{ x: startX, share: beforeRuns(model, counted, container, i) / capacity }],
      endL: 0,
      overL: 0,
      wasOver: past(before) > BREACH_TOLERANCE,
      part: i,
      lived: [],
      marks: [],
    }
    // A run is done at once, at the start of its part.
    if (afterRuns.has(i)) cell.profile.push({ x: startX, share: before / capacity })
    cell.profile.push({ x: endX, share: after / capacity })
    cell.endL = after
    cell.part = i
    cell.overL = past(after)
    cells[day] = cell
  }
  return cells.filter((cell) => cell !== undefined)
}

/** The level at the start of a part, before its runs. */
function beforeRuns(model: Model, { ledger }: Count, container: number, part: number): number {
  return part === 0
    ? model.containers[container]!.start
    : ledger.levels[container * model.grid.count + part - 1]!
}

/**
 * The days lived, from how the levels went; the day that goes on takes the first of what is expected into it.
 * @param zeroDays days from 05:00 of day 0 to the start of the stay @param marks in days from the start
 */
export function withLived(
  cells: readonly BoardCell[],
  track: { at: readonly number[]; levels: readonly number[] },
  { capacity, limit, side }: Pick<ModelContainer, 'capacity' | 'limit' | 'side'>,
  zeroDays: number,
  marks: readonly (Omit<BoardMark, 'x'> & { at: number })[],
): BoardCell[] {
  const past = (level: number) =>
    limit === null ? 0 : Math.max(0, side === 'supply' ? limit - level : level - limit)
  const all = new Map(
    cells.map((cell) => [cell.day, { ...cell, lived: [...cell.lived], marks: [...cell.marks] }]),
  )
  let before: { x: number; level: number } | null = null
  track.at.forEach((at, k) => {
    const moment = zeroDays + at
    const level = track.levels[k]!
    // The end of a day is drawn in it, and begins the next.
    const day = Math.max(0, Math.ceil(moment - 1e-9) - 1)
    const known = all.get(day)
    const cell = known ?? {
      day,
      profile: [],
      endL: level,
      overL: 0,
      wasOver: false,
      part: null,
      lived: [],
      marks: [],
    }
    all.set(day, cell)
    if (cell.lived.length === 0 && before)
      cell.lived.push({ x: Math.max(0, before.x - day), share: before.level / capacity })
    cell.lived.push({ x: moment - day, share: level / capacity })
    if (cell.part === null) {
      cell.endL = level
      cell.overL = past(level)
    }
    before = { x: moment, level }
  })
  for (const { at, ...mark } of marks) {
    const moment = zeroDays + at
    all.get(Math.floor(moment))?.marks.push({ ...mark, x: moment - Math.floor(moment) })
  }
  return [...all.values()].sort((a, b) => a.day - b.day)
}

/** The column a moment falls in, in days from 05:00 of day 0. @param days from where the model begins */
export function boardX(model: Model, days: number): number {
  const { day, edges, part, share } = model.grid
  return day[0]! + (part[0]! + 1 - share[0]!) / PARTS_PER_DAY + days - edges[0]!
}

/** SVG path of the area under a profile; shares are cut to what a cell can show. */
export function areaPath(profile: BoardCell['profile'], width: number, height: number): string {
  const at = ({ x, share }: { x: number; share: number }) =>
    `${round(x * width)} ${round(height * (1 - clamp(share)))}`
  if (profile.length === 0) return ''
  const first = profile[0]!
  const last = profile.at(-1)!
  return `M${round(first.x * width)} ${height}L${profile.map(at).join('L')}L${round(last.x * width)} ${height}Z`
}

/** SVG path of the level itself. */
export function linePath(profile: BoardCell['profile'], width: number, height: number): string {
  if (profile.length === 0) return ''
  return `M${profile.map(({ x, share }) => `${round(x * width)} ${round(height * (1 - clamp(share)))}`).join('L')}`
}

function clamp(share: number): number {
  return Math.min(1, Math.max(0, share))
}

function round(value: number): number {
  return Math.round(value * 10) / 10
}

import { PARTS_PER_DAY } from '@/core/calendar'
import { BREACH_TOLERANCE, levelBefore, type Count } from '@/core/count'
import type { Model } from '@/core/model'

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
  /** Part index of the ledger at whose end `endL` holds. */
  part: number
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
    const cell = cells[day] ?? {
      day,
      profile: [{ x: startX, share: before / capacity }],
      endL: 0,
      overL: 0,
      wasOver: past(before) > BREACH_TOLERANCE,
      part: i,
    }
    cell.profile.push({ x: endX, share: after / capacity })
    cell.endL = after
    cell.part = i
    cell.overL = past(after)
    cells[day] = cell
  }
  return cells
}

/** The column a moment falls in, in days from 05:00 of day 0. @param days from the start of the stay */
export function boardX(model: Model, days: number): number {
  const { edges, part, share } = model.grid
  return (part[0]! + 1 - share[0]!) / PARTS_PER_DAY + days - edges[0]!
}

/** SVG path of the area under a profile; shares are cut to what a cell can show. */
export function areaPath(profile: BoardCell['profile'], width: number, height: number): string {
  const at = ({ x, share }: { x: number; share: number }) =>
    `${round(x * width)} ${round(height * (1 - clamp(share)))}`
  const first = profile[0]!
  const last = profile.at(-1)!
  return `M${round(first.x * width)} ${height}L${profile.map(at).join('L')}L${round(last.x * width)} ${height}Z`
}

/** SVG path of the level itself. */
export function linePath(profile: BoardCell['profile'], width: number, height: number): string {
  return `M${profile.map(({ x, share }) => `${round(x * width)} ${round(height * (1 - clamp(share)))}`).join('L')}`
}

function clamp(share: number): number {
  return Math.min(1, Math.max(0, share))
}

function round(value: number): number {
  return Math.round(value * 10) / 10
}

/** One stroke of the tally: a line, or every fifth a bar across the four before it. */
export interface Stroke {
  index: number
  x1: number
  y1: number
  x2: number
  y2: number
  isBar: boolean
  /** How much of the day is dry, 0 to 1. */
  filled: number
  /** The stop falls inside this stroke. */
  isStop: boolean
}

export interface TallyShape {
  strokes: Stroke[]
  width: number
  height: number
}

const GAP = 20
const GROUP_GAP = 34
const HEIGHT = 60
const MARGIN = 14

/**
 * The planned nights as strokes in fives. A dry day is a whole stroke; the stop cuts its stroke where it cuts the day.
 * @param planned >= 1 @param days dry days, null: beyond the horizon @param perRow groups of five in a row
 */
export function tallyShape(planned: number, days: number | null, perRow = 99): TallyShape {
  const dry = days ?? Infinity
  const groups = Math.ceil(planned / 5)
  const groupWidth = 3 * GAP + GROUP_GAP
  const strokes = Array.from({ length: planned }, (_, index): Stroke => {
    const group = Math.floor(index / 5)
    const left = MARGIN + (group % perRow) * groupWidth
    const top = MARGIN + Math.floor(group / perRow) * (HEIGHT + 2 * MARGIN)
    const inGroup = index % 5
    const line =
      inGroup < 4
        ? { x1: left + inGroup * GAP, y1: top + HEIGHT, x2: left + inGroup * GAP, y2: top }
        : { x1: left - 11, y1: top + HEIGHT - 10, x2: left + 3 * GAP + 11, y2: top + 10 }
    return {
      index,
      ...line,
      isBar: inGroup === 4,
      filled: Math.min(1, Math.max(0, dry - index)),
      isStop: dry >= index && dry < index + 1,
    }
  })
  const inRow = Math.min(groups, perRow)
  return {
    strokes,
    width: inRow * groupWidth - GROUP_GAP + 2 * MARGIN,
    height: Math.ceil(groups / perRow) * (HEIGHT + 2 * MARGIN),
  }
}

/** The point a stroke is filled to. */
export function filledTo({ x1, y1, x2, y2, filled }: Stroke): { x: number; y: number } {
  return { x: x1 + (x2 - x1) * filled, y: y1 + (y2 - y1) * filled }
}

/** One stroke of the tally: a line, or every fifth a bar across the four before it. */
export interface Stroke {
  index: number
  x1: number
  y1: number
  x2: number
  y2: number
  isBar: boolean
  /** How much of the time to the end of the night is covered, 0 to 1. */
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
const MARGIN = 16
/** How far a bar reaches past the strokes it crosses. */
const BAR = 13

/**
 * The planned nights as strokes in fives. A night that is made is a whole stroke; the stop cuts its stroke where it cuts the time
 * from the end of the night before to the end of this one.
 * @param ends days from where the count begins to the end of each night @param days to the stop, null: beyond the horizon
 * @param perRow groups of five in a row
 */
export function tallyShape(ends: readonly number[], days: number | null, perRow = 99): TallyShape {
  const dry = days ?? Infinity
  const planned = ends.length
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
        : { x1: left - BAR, y1: top + HEIGHT - 10, x2: left + 3 * GAP + BAR, y2: top + 10 }
    const [from, to] = [ends[index - 1] ?? 0, ends[index]!]
    return {
      index,
      ...line,
      isBar: inGroup === 4,
      filled: Math.min(1, Math.max(0, (dry - from) / (to - from))),
      isStop: dry >= from && dry < to,
    }
  })
  const inRow = Math.min(groups, perRow)
  return {
    strokes,
    width: inRow * groupWidth - GROUP_GAP + 2 * MARGIN,
    height: Math.ceil(groups / perRow) * (HEIGHT + 2 * MARGIN),
  }
}

/** A date under the tally. */
export interface TallyLabel {
  text: string
  x: number
  y: number
  anchor: 'start' | 'middle' | 'end'
}

/** Room a letter of a label takes, and the least a tally with labels is wide. */
const LETTER = 7.2
export const LEAST_WIDTH = 124

/** A label under a stroke, moved so that all of it stands within the tally. */
export function labelUnder({ x1, x2, y1, y2, isBar }: Stroke, text: string, width: number): TallyLabel {
  const half = (text.length * LETTER) / 2
  const middle = (x1 + x2) / 2
  const y = Math.max(y1, y2) + (isBar ? 30 : 20)
  if (middle - half < 0) return { text, y, x: 0, anchor: 'start' }
  if (middle + half > width) return { text, y, x: width, anchor: 'end' }
  return { text, y, x: middle, anchor: 'middle' }
}

/** Where a label begins and ends. */
export function spanOf({ text, x, anchor }: TallyLabel): [number, number] {
  const room = text.length * LETTER
  const from = anchor === 'start' ? x : anchor === 'end' ? x - room : x - room / 2
  return [from, from + room]
}

/** The mark of the stop: level across an upright stroke, square across a bar, so that it cuts no other. */
export function stopMark(stroke: Stroke): string {
  const { x, y } = filledTo(stroke)
  if (!stroke.isBar) return `M${x - 10} ${y}h20`
  const [dx, dy] = [stroke.x2 - stroke.x1, stroke.y2 - stroke.y1]
  const length = Math.hypot(dx, dy)
  const [nx, ny] = [(-dy / length) * 9, (dx / length) * 9]
  return `M${x - nx} ${y - ny}L${x + nx} ${y + ny}`
}

/** The point a stroke is filled to. */
export function filledTo({ x1, y1, x2, y2, filled }: Stroke): { x: number; y: number } {
  return { x: x1 + (x2 - x1) * filled, y: y1 + (y2 - y1) * filled }
}

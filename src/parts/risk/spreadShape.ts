/** Trips by the days they last, for drawing: bars of a quarter day and the days they run over. */
export interface SpreadShape {
  /** Right end of the axis, days. */
  span: number
  /** Share of the tallest bar, 0 to 1, for each quarter day from 0. */
  bars: number[]
}

const PER_DAY = 4

/**
 * @param sorted days of each trip ascending, 'beyond' as infinite @param atLeast days the axis shows in any case
 * @param marks days that are pointed at: the axis reaches each that is finite, so that no mark stands at another day than it says
 * Trips past the axis are left off it; the axis reaches to where all but one in a hundred have stopped, or half as far
 * again as `atLeast`.
 */
export function spreadShape(
  sorted: ArrayLike<number>,
  atLeast: number,
  marks: readonly number[] = [],
): SpreadShape {
  const last = sorted[Math.floor(sorted.length * 0.99)] ?? 0
  const farthest = Math.max(atLeast, ...marks.filter(Number.isFinite))
  const span = Math.ceil(Math.max(farthest, Math.min(last, atLeast * 1.5)) + 0.25)
  const bars = new Array<number>(span * PER_DAY).fill(0)
  for (let t = 0; t < sorted.length; t++) {
    const bar = Math.floor(sorted[t]! * PER_DAY)
    if (bar < bars.length) bars[bar]! += 1
  }
  const most = Math.max(1, ...bars)
  return { span, bars: bars.map((n) => n / most) }
}

/** Room a label takes to either side, and between two of them. */
const LABEL = 20
const GAP = 76

/**
 * Where the labels of three marks stand: over them where there is room, else moved apart, the middle one staying.
 * @param marks ascending @param width of the drawing, > 2 × (GAP + LABEL)
 */
export function spacedLabels(
  marks: readonly [number, number, number],
  width: number,
): [number, number, number] {
  const [plan, likely, best] = marks
  const middle = Math.min(width - GAP - LABEL, Math.max(GAP + LABEL, likely))
  return [
    Math.max(LABEL, Math.min(plan, middle - GAP)),
    middle,
    Math.min(width - LABEL, Math.max(best, middle + GAP)),
  ]
}

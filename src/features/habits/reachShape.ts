import type { HabitSet } from '@/core/reach'

export interface ReachShape {
  points: { set: HabitSet; x: number; y: number }[]
  /** SVG path of the steps from one set to the next. */
  path: string
  botherTicks: { value: number; at: number }[]
  dayTicks: { value: number; at: number }[]
  goalY: number
}

/** Bother to the right, days upwards; the trade-off as steps, since between two sets there is no other. */
export function reachShape(
  curve: readonly HabitSet[],
  untilDays: number,
  width: number,
  height: number,
): ReachShape {
  const mostBother = Math.max(1, ...curve.map(({ bother }) => bother))
  const days = [...curve.map((set) => set.days), untilDays]
  const [low, high] = [Math.floor(Math.min(...days)) - 0.5, Math.max(...days) + 0.7]
  const x = (bother: number) => (bother / mostBother) * width
  const y = (value: number) => height * (1 - (value - low) / (high - low))
  const points = curve.map((set) => ({ set, x: x(set.bother), y: y(set.days) }))
  const path = points
    .map((point, k) => (k === 0 ? `M${point.x} ${point.y}` : `H${point.x}V${point.y}`))
    .join('')
  const every = (span: number) => (span > 24 ? 5 : span > 9 ? 2 : 1)
  const ticks = (from: number, to: number) => {
    const step = every(to - from)
    return Array.from(
      { length: Math.floor(to / step) - Math.ceil(from / step) + 1 },
      (_, k) => (Math.ceil(from / step) + k) * step,
    )
  }
  return {
    points,
    path: `${path}H${width}`,
    botherTicks: ticks(0, mostBother).map((value) => ({ value, at: x(value) })),
    dayTicks: ticks(low, high).map((value) => ({ value, at: y(value) })),
    goalY: y(untilDays),
  }
}

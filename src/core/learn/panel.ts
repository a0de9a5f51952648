import type { Side } from '../domain'
import type { Aside, PanelRead, Step } from './evidence'
import type { Stretch } from './gaussian'

/** Probability that a panel's step is wrong (model.md section 6). */
export const WRONG = 0.08
/** Of wrong steps, those that read too high: a dirty probe. */
const TOO_HIGH = 0.8

/**
 * What a step of a panel says of the true share: right with 1 − ε, too high more often than too low. Of a true state t the
 * wrong steps above it share 0.8 ε, those below 0.2 ε; where there are none on a side, the other has all.
 * @param again the side of a tank whose panel shows the same step again: what has moved away from the step's far end since
 *   can be on the near end only, and the far end, which told its part the first time, says nothing more. A Gaussian that
 *   was cut at both ends each time would narrow without cause. null: it shows another step
 */
export function stretchesOf(
  { edges, step, aside }: Pick<PanelRead, 'edges' | 'step' | 'aside'>,
  again: Side | null = null,
): Stretch[] {
  if (aside) return withAside(stretchesOf({ edges, step }), aside)
  const states = edges.length
  return edges.map((from, t) => {
    const [above, below] = [states - 1 - t, t]
    const high = below === 0 ? 1 : above === 0 ? 0 : TOO_HIGH
    const isBehind = (again === 'supply' && t > step) || (again === 'waste' && t < step)
    const likelihood =
      t === step || isBehind ? 1 - WRONG : step > t ? (WRONG * high) / above : (WRONG * (1 - high)) / below
    return {
      from: t === 0 ? -Infinity : from,
      to: edges[t + 1] ?? Infinity,
      likelihood: states === 1 ? 1 : likelihood,
    }
  })
}

/** Of several pieces one was looked at: the same again with one, two, … full ones aside. */
function withAside(one: readonly Stretch[], { most, each }: Aside): Stretch[] {
  return Array.from({ length: most + 1 }, (_, full) =>
    one.flatMap((stretch): Stretch[] => {
      const from = stretch.from === -Infinity && full > 0 ? full * each : full * each + stretch.from
      const to = full * each + stretch.to
      // The next begins where this one would be put aside.
      const end = full < most ? Math.min(to, (full + 1) * each) : to
      return from < end ? [{ ...stretch, from, to: end }] : []
    }),
  ).flat()
}

/** The step that was lit. */
export function stepOf({ edges, step }: PanelRead): Step {
  return { from: edges[step]!, to: edges[step + 1] ?? Infinity }
}

/** Whether a panel shows the step that it showed before. */
export function isSame(before: Step | null, now: Step): boolean {
  if (before === null) return false
  const isEnd = (a: number, b: number) => Math.abs(Math.min(a, 1) - Math.min(b, 1)) < 1e-6
  return isEnd(before.from, now.from) && isEnd(before.to, now.to)
}

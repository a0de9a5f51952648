import { ledger } from '../count'
import { todayOf } from '../habits'
import { effectsOf, type Effects } from '../learn'
import { compile } from '../compile'
import type { Activity, Id, JointDraws, Now, StayCase } from '../domain'
import type { Factor } from '../quantities'
import { leftToday, type Allowance } from './allowance'
import { apartAsTheyWant, factorFrom } from './rates'

/** A stay made ready to be granted one factor after another. */
export interface Grounds {
  stayCase: StayCase
  saved: readonly Activity[]
  allowances: readonly Allowance[]
  /** What a use of each does to each container now; null while the stay is planned. */
  effects: Effects | null
}

export function groundsOf(
  stayCase: StayCase,
  saved: readonly Activity[],
  allowed: readonly Allowance[],
): Grounds {
  const wanted = apartAsTheyWant(stayCase, saved)
  if (!stayCase.now) return { stayCase: wanted, saved, allowances: allowed, effects: null }
  const model = compile(stayCase, { horizonDays: 1 })
  return { stayCase: wanted, saved, allowances: allowed, effects: effectsOf(model, ledger(model)) }
}

/**
 * The case as a budget of factor f grants it. Under way what is left today is taken at once, the worst it can do, and nothing
 * more of it today; from tomorrow on rates are f times.
 */
export function caseAtFactor({ stayCase, saved, allowances, effects }: Grounds, f: Factor): StayCase {
  const { now } = stayCase
  if (!now || !effects) return factorFrom(stayCase, saved, f, 0)
  const later = factorFrom(stayCase, saved, f, todayOf(stayCase) + 1)
  const left = allowances.map((allowance) => ({ activity: allowance.activity, n: leftToday(allowance, f) }))
  const others = (now.today ?? []).filter(({ activity }) => !saved.some(({ id }) => id === activity))
  const today = [...others, ...saved.map(({ id }) => ({ activity: id, factor: 0 }))]
  return { ...later, now: { ...takenNow(stayCase, now, effects, left), today } }
}

/** Uses taken now, at the mean litres of a use and in each draw at the crew's own factor of it. */
export function takenNow(
  { crew }: StayCase,
  now: Now,
  { drawn, fixed, width }: Effects,
  uses: readonly { activity: Id; n: number }[],
): Now {
  const parts = drawn.length / (crew.activities.length * width)
  const moved = uses.flatMap(({ activity, n }) => {
    const a = crew.activities.findIndex(({ id }) => id === activity)
    return a < 0 || n === 0 ? [] : [{ a, n, row: a * parts * width }]
  })
  const levels = now.levels.map(({ container, level }, c) => ({
    container,
    level: moved.reduce((sum, { n, row }) => sum + n * (drawn[row + c]! + fixed[row + c]!), level),
  }))
  return { ...now, levels, draws: now.draws && drawsAfter(now.draws, levels.length, moved, drawn, fixed) }
}

function drawsAfter(
  { rows, columns, values: before }: JointDraws,
  width: number,
  moved: readonly { a: number; n: number; row: number }[],
  drawn: Float64Array,
  fixed: Float64Array,
): JointDraws {
  const values = before.slice()
  const first = columns - width
  for (let r = 0; r < rows; r++)
    for (const { a, n, row } of moved) {
      const own = before[r * columns + a]!
      for (let c = 0; c < width; c++) {
        const at = r * columns + first + c
        values[at] = Math.max(0, values[at]! + n * (own * drawn[row + c]! + fixed[row + c]!))
      }
    }
  return { rows, columns, values }
}

import { dayAndPartOf } from '../calendar'
import { ledger } from '../count'
import { compile, endCode, type Model, type Stream } from '../compile'
import type { LandRule, StayCase } from '../domain'
import type { Days, Litres } from '../quantities'

/** What the habits that rest on one rule of the land put on the ground, against what the rule allows. */
export interface LandUse {
  rule: LandRule
  /** L on the day on which it is most. */
  most: Litres
  /** L a day that the rule allows. */
  allowed: Litres
}

/** The rules that name a limit, with what goes out under each: average use, the days up to the end of the stay. */
export function landUses(stayCase: StayCase): LandUse[] {
  return stayCase.stay.rules.flatMap(({ rule, allowed, litres }) =>
    allowed && litres !== null ? [{ rule, most: mostUnder(rule, stayCase), allowed: litres }] : [],
  )
}

/** The rules whose limit the habits pass, by more than a rounding error. */
export function overLand(uses: readonly LandUse[]): LandUse[] {
  return uses.filter(({ most, allowed }) => most > allowed + 1e-6)
}

/** L on the worst day: what goes out with these habits less what goes out without them. */
function mostUnder(rule: LandRule, stayCase: StayCase): Litres {
  const { stay, habits } = stayCase
  const under = new Set(habits.filter(({ permission }) => permission === rule).map(({ id }) => id))
  const without = stay.habits.filter(({ habit }) => !under.has(habit))
  if (without.length === stay.habits.length) return 0
  const days = 1 + dayAndPartOf(stay.start, stay.leaveAt).day
  const horizon = { horizonDays: days }
  const withThem = byDay(compile(stayCase, horizon), days, rule)
  const rest = byDay(compile({ ...stayCase, stay: { ...stay, habits: without } }, horizon), days, rule)
  return Math.max(0, ...withThem.map((out, day) => out - rest[day]!))
}

/**
 * L of each day that go to the ground. A use that is not made in the rig at all leaves no flow:
 * of urine, what the rig is spared stands for what goes outdoors.
 */
function byDay(model: Model, days: Days, rule: LandRule): Litres[] {
  const { count, day } = model.grid
  const out = new Array<Litres>(days).fill(0)
  const { amounts } = ledger(model)
  const signOf = ({ from, to }: Stream) =>
    to === endCode('ground') ? 1 : rule === 'urine' && from === endCode('body') ? -1 : 0
  for (const [s, stream] of model.streams.entries()) {
    const sign = signOf(stream)
    if (sign === 0) continue
    for (let part = 0; part < count; part++)
      if (day[part]! < days) out[day[part]!]! += sign * amounts[s * count + part]!
  }
  return out
}

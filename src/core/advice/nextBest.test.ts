import { describe, expect, it } from 'vitest'
import { wallDaysBetween } from '../calendar'
import { blockedBy, canApply } from '../habits'
import { compile, compileChances, daysOfHabit } from '../compile'
import { caseOf, type Document, type StayCase } from '../domain'
import { playTrips, riskTables, samplerOf, tripLuck } from '../risk'
import { runOffers } from '../errands'
import { caseNow, learnStay } from '../underway'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { trailerLog } from '../../../scripts/demo/trailerLog'
import { truckDemo } from '../../../scripts/demo/truck'
import { vanDemo } from '../../../scripts/demo/van'
import { nextBest, type NextStep } from './index'

const TRIALS = 400
const options = { seed: 4, trials: TRIALS, tables: riskTables() }

function whole<T>(steps: Generator<unknown, T>): T {
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
}
const best = (stayCase: StayCase, declined: string[] = []) =>
  whole(nextBest(stayCase, { ...options, declined }))

/** Reference: mean days until the stop, at most to the end of the stay, and how many trips get there. */
function heldBy(stayCase: StayCase): { held: number; chance: number } {
  const { stay, now } = stayCase
  const left = wallDaysBetween(now?.at ?? stay.start, stay.leaveAt)
  const horizonDays = Math.min(stay.horizonDays.value, Math.ceil(2 * left + 4))
  const model = compile(stayCase, { horizonDays })
  const sampler = samplerOf(model, compileChances(stayCase, model), { tables: options.tables })
  const days = [...playTrips(sampler, tripLuck(options.seed, 0, TRIALS)).days]
  return {
    held: days.reduce((sum, one) => sum + Math.min(one, left), 0) / TRIALS,
    chance: days.filter((one) => one >= left).length / TRIALS,
  }
}

/** Reference: each single change tried by hand, and the most days held for what it costs. */
function byHand(stayCase: StayCase): { id: string; gain: number; score: number }[] {
  const { stay, rig, crew, habits, now } = stayCase
  const today = now ? Math.floor(wallDaysBetween(`${stay.start.slice(0, 10)}T05:00`, now.at)) : 0
  const base = heldBy(stayCase)
  const rows: { id: string; gain: number; score: number }[] = []
  const put = (id: string, changed: StayCase, cost: number) => {
    const after = heldBy(changed)
    const gain = after.held - base.held
    if (gain >= 0.05 || after.chance - base.chance >= 0.02)
      rows.push({ id, gain, score: gain / (0.5 + cost) })
  }
  const from = (day: number): [number, number] | null => (day === 0 ? null : [day, 366])
  for (const habit of habits) {
    const isOn = stay.habits.some(({ habit: id }) => id === habit.id)
    if (isOn) {
      const others = stay.habits.flatMap((on) =>
        on.habit !== habit.id
          ? [on]
          : today === 0
            ? []
            : [{ ...on, days: [on.days?.[0] ?? 0, today - 1] as [number, number] }],
      )
      put(habit.id, { ...stayCase, stay: { ...stay, habits: others } }, 0)
      continue
    }
    if (blockedBy(habit, rig, stay) || !canApply(habit, rig, crew)) continue
    const isRival = (id: string) => {
      const other = habits.find((one) => one.id === id)!
      return (
        (habit.group !== null && other.group === habit.group) ||
        (habit.where !== null && other.where === habit.where)
      )
    }
    const kept = stay.habits.filter(({ habit: id }) => !isRival(id))
    const on = [...kept, { habit: habit.id, days: from(today), persons: null }]
    const days = daysOfHabit(habit, { days: null }, stay, today)
    put(
      habit.id,
      { ...stayCase, stay: { ...stay, habits: on } },
      habit.bother.value * days * crew.costs.bother.value,
    )
  }
  for (const { usual, run, cost } of whole(runOffers(stayCase, options))) {
    if (run.kind === 'on-the-road' || usual === 'go-home' || run.steps.length === 0) continue
    put(usual, { ...stayCase, stay: { ...stay, runs: [...stay.runs, run] } }, cost.total)
  }
  return rows.sort((a, b) => b.score - a.score || b.gain - a.gain)
}

const nameOf = ({ change }: NextStep) => (change.kind === 'habit' ? change.habit : change.usual)

function underWay(): StayCase {
  const plan = caseOf(trailerDemo(), 'harrow-ridge')
  const at = '2027-09-14T15:20'
  return caseNow(plan, learnStay({ stayCase: plan, log: trailerLog(), earlier: [], at, seed: 1 }))
}

describe('the next best thing', () => {
  const first = (document: Document) => caseOf(document, document.stays[0]!.id)
  const cases: [string, () => StayCase][] = [
    ['the trailer planned', () => first(trailerDemo())],
    ['the trailer under way', underWay],
    ['the van', () => first(vanDemo())],
    ['the truck', () => first(truckDemo())],
  ]
  it.each(cases)('is the best of all single changes tried one by one: %s', (_, make) => {
    const stayCase = make()
    const found = best(stayCase)
    const reference = byHand(stayCase)
    if (heldBy(stayCase).chance >= stayCase.stay.confidence.value) {
      expect(found).toEqual([])
      return
    }
    expect(found.map(nameOf)).toEqual(reference.slice(0, 3).map(({ id }) => id))
    found.forEach(({ gain }, k) => expect(gain).toBeCloseTo(reference[k]!.gain, 9))
  })

  it('comes true when it is taken, and is not offered again', () => {
    const stayCase = underWay()
    const [step] = best(stayCase)
    const { change } = step!
    const { stay } = stayCase
    const changed =
      change.kind === 'run'
        ? { runs: [...stay.runs, change.run] }
        : {
            habits: [
              ...stay.habits,
              { habit: change.habit, days: [3, 366] as [number, number], persons: null },
            ],
          }
    const taken = { ...stayCase, stay: { ...stay, ...changed } }
    const [before, after] = [heldBy(stayCase), heldBy(taken)]
    expect(after.held - before.held).toBeCloseTo(step!.gain, 9)
    expect(after.chance).toBe(step!.chance)
    const again = best(taken)
      .filter(({ change }) => change.kind === 'habit')
      .map(nameOf)
    expect(again).not.toContain(nameOf(step!))
  })

  it('leaves out what was declined, and says nothing where the goal is reached', () => {
    const stayCase = underWay()
    const [one, two] = best(stayCase).map(nameOf)
    expect(best(stayCase, [one!]).map(nameOf)[0]).toBe(two)
    const near = { ...stayCase.stay, leaveAt: '2027-09-15T11:00' }
    expect(best({ ...stayCase, stay: near })).toEqual([])
    const far = { ...near, budget: { ...near.budget, night: 9 } }
    expect(best({ ...stayCase, stay: far }).length).toBeGreaterThan(0)
  })
})

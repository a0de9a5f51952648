import { daysOfHabit } from '../compile'
import { isSoiled, type Crew, type Id, type Rig, type Run, type StayCase } from '../domain'
import type { Litres } from '../quantities'
import { goesOut } from '../places'
import { firstRounds, isRinsedByHose, roundLitres } from '../runs'
import type { RunAnswer } from './answer'
import { isCarried, type StepAnswer } from './stepAnswer'

/** What an errand takes. `total` is in the owner's money, each part times what it is worth to be spared of it. */
export interface Cost {
  money: number
  minutes: number
  kilometres: number
  /** L (uses of a bin left aside) carried by hand. */
  carriedL: Litres
  bother: number
  total: number
  /** False: what the place asks is not known, and counts as nothing. */
  isFeeKnown: boolean
}

export interface RunCost extends Cost {
  run: Id
  /** L and minutes of rinsing that are part of it. */
  rinseL: Litres
  rinseMinutes: number
}

export interface StayCost extends Cost {
  runs: RunCost[]
  /** Of `bother`, what the habits of all days are. */
  habitBother: number
}

/** What the runs of a stay take, one by one and in sum, with the bother of its habits: a point for each day they touch. */
export function stayCost(stayCase: StayCase, answers: readonly RunAnswer[]): StayCost {
  const { stay, crew, habits } = stayCase
  const runs = answers.map((answer) => runCost(stayCase, answer))
  const habitBother = stay.habits.reduce((sum, on) => {
    const habit = habits.find((one) => one.id === on.habit)
    return habit ? sum + habit.bother.value * daysOfHabit(habit, on, stay) : sum
  }, 0)
  const sum = (of: (cost: Cost) => number) => runs.reduce((all, cost) => all + of(cost), 0)
  const parts = {
    money: sum(({ money }) => money),
    minutes: sum(({ minutes }) => minutes),
    kilometres: sum(({ kilometres }) => kilometres),
    carriedL: sum(({ carriedL }) => carriedL),
    bother: sum(({ bother }) => bother) + habitBother,
  }
  const isFeeKnown = runs.every((cost) => cost.isFeeKnown)
  return { ...parts, total: worth(crew, parts), isFeeKnown, runs, habitBother }
}

/** What one run takes; one that cannot be done takes nothing. */
export function runCost(
  { rig, crew, stay }: Pick<StayCase, 'rig' | 'crew' | 'stay'>,
  { run, steps, road, isPossible }: Pick<RunAnswer, 'run' | 'steps' | 'road' | 'isPossible'>,
): RunCost {
  if (!isPossible) return { run: run.id, ...NOTHING, isFeeKnown: true, rinseL: 0, rinseMinutes: 0 }
  const rinse = rinseOf(rig, crew, run, steps)
  const fee = feeOf(stay, rig, run)
  const parts = {
    money: fee ?? 0,
    minutes: road.minutes + rinse.rinseMinutes,
    kilometres: road.kilometres,
    carriedL: carriedBy(rig, steps),
    bother: run.bother.value,
  }
  return { run: run.id, ...parts, isFeeKnown: fee !== null, ...rinse, total: worth(crew, parts) }
}

const NOTHING = { money: 0, minutes: 0, kilometres: 0, carriedL: 0, bother: 0, total: 0 }

/** The owner's of the run, else what its place asks; null: it goes somewhere, and what that asks is not known. */
export function feeOf({ places }: StayCase['stay'], rig: Rig, run: Run): number | null {
  if (run.fee.by === 'owner') return run.fee.value
  const place = places.find((one) => one.id === run.place)
  if (place) return place.isHome ? (place.fee?.value ?? 0) : (place.fee?.value ?? null)
  return goesOut({ rig }, run) ? null : run.fee.value
}

/** What an errand is worth to be spared of, in the owner's money. */
export function worth(
  { costs }: Crew,
  { money, minutes, kilometres, carriedL, bother }: Omit<Cost, 'total' | 'isFeeKnown'>,
): number {
  return (
    money * costs.money.value +
    minutes * costs.minute.value +
    kilometres * costs.kilometre.value +
    carriedL * costs.litre.value +
    bother * costs.bother.value
  )
}

/** What goes through somebody's hands: what is pulled out and carried, and water in jugs. */
function carriedBy({ containers }: Rig, steps: readonly StepAnswer[]): Litres {
  return steps.reduce((sum, { step, moved }) => {
    const from = containers.find(({ id }) => id === step.from)
    return from && isCarried(from) && from.kind !== 'solids' ? sum + moved : sum
  }, 0)
}

/**
 * Rinsing of the tanks that a toilet drains to and that are let go: rounds × what a round takes, at the hose's flow. None where the
 * crew rinses when it is convenient: those rounds are owed. What leaves in a tote is not rinsed there.
 */
function rinseOf(
  rig: Rig,
  { schools }: Crew,
  { kind }: Run,
  steps: readonly StepAnswer[],
): Pick<RunCost, 'rinseL' | 'rinseMinutes'> {
  const { containers } = rig
  const { sides, hoseFlow } = schools
  const isMove = kind === 'move' || kind === 'on-the-road' || kind === 'go-home'
  const isDue = sides['rinse-when'] === 'every-dump' || (sides['rinse-when'] === 'every-move' && isMove)
  if (!isDue) return { rinseL: 0, rinseMinutes: 0 }
  const litres = steps.reduce((sum, { step, moved }) => {
    const tank = containers.find(({ id }) => id === step.from)
    if (step.do !== 'empty' || tank?.kind !== 'black' || moved <= 0 || !isSoiled(rig, tank)) return sum
    return sum + firstRounds(schools, isRinsedByHose(rig, tank)) * roundLitres(rig, schools, tank)
  }, 0)
  return { rinseL: litres, rinseMinutes: hoseFlow.value > 0 ? litres / hoseFlow.value : 0 }
}

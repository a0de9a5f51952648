import { nightsBetween } from '../calendar'
import type { Crew, Id, Rig, Run, StayCase } from '../model'
import type { Litres } from '../quantities'
import { roadsOf, type RunRoad } from '../places'
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

/** What the runs of a stay take, one by one and in sum, with the bother of its habits, a point a day that each is kept. */
export function stayCost(stayCase: StayCase, answers: readonly RunAnswer[]): StayCost {
  const { stay, crew, habits } = stayCase
  const roads = roadsOf(stayCase)
  const runs = answers.map((answer) => runCost(stayCase, answer, roads))
  const nights = nightsBetween(stay.start, stay.leaveAt)
  const habitBother = stay.habits.reduce((sum, { habit: id, days }) => {
    const habit = habits.find((one) => one.id === id)
    const kept = days ? Math.max(0, Math.min(days[1], nights) - days[0] + 1) : nights + 1
    return sum + (habit?.bother.value ?? 0) * kept
  }, 0)
  const sum = (of: (cost: Cost) => number) => runs.reduce((all, cost) => all + of(cost), 0)
  const parts = {
    money: sum(({ money }) => money),
    minutes: sum(({ minutes }) => minutes),
    kilometres: sum(({ kilometres }) => kilometres),
    carriedL: sum(({ carriedL }) => carriedL),
    bother: sum(({ bother }) => bother) + habitBother,
  }
  return { ...parts, total: worth(crew, parts), runs, habitBother }
}

/** @param roads of all runs of the stay: who shares a trip shares its road */
export function runCost(
  { rig, crew, stay }: Pick<StayCase, 'rig' | 'crew' | 'stay'>,
  { run, steps }: RunAnswer,
  roads: ReadonlyMap<Id, RunRoad> = roadsOf({ stay, crew }),
): RunCost {
  const road = roads.get(run.id)
  const rinse = rinseOf(rig, crew, run, steps)
  const parts = {
    money: feeOf(stay, run),
    minutes: (road?.minutes ?? run.minutes.value) + rinse.rinseMinutes,
    kilometres: road?.kilometres ?? run.kilometres.value,
    carriedL: carriedBy(rig, steps),
    bother: run.bother.value,
  }
  return { run: run.id, ...parts, ...rinse, total: worth(crew, parts) }
}

/** The owner's of the run, else what its place asks. */
function feeOf({ places }: StayCase['stay'], { fee, place: id }: Run): number {
  const place = places.find((one) => one.id === id)
  return fee.by === 'owner' ? fee.value : (place?.fee?.value ?? fee.value)
}

/** What an errand is worth to be spared of, in the owner's money. */
export function worth(
  { costs }: Crew,
  { money, minutes, kilometres, carriedL, bother }: Omit<Cost, 'total'>,
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
 * Rinsing of the black tanks that are let go through a hose: rounds × share of the tank, at the hose's flow. None where the
 * crew rinses when it is convenient: those rounds are owed. What leaves in a tote is not rinsed there.
 */
function rinseOf(
  { containers }: Rig,
  { schools }: Crew,
  { kind }: Run,
  steps: readonly StepAnswer[],
): Pick<RunCost, 'rinseL' | 'rinseMinutes'> {
  const { sides, rinseRounds, rinseTo, hoseFlow } = schools
  const isMove = kind === 'move' || kind === 'on-the-road' || kind === 'go-home'
  const isDue = sides['rinse-when'] === 'every-dump' || (sides['rinse-when'] === 'every-move' && isMove)
  if (!isDue) return { rinseL: 0, rinseMinutes: 0 }
  const litres = steps.reduce((sum, { step, moved }) => {
    const tank = containers.find(({ id }) => id === step.from)
    if (step.do !== 'empty' || tank?.kind !== 'black' || moved <= 0) return sum
    return sum + rinseRounds.value * rinseTo.value * tank.capacity.value
  }, 0)
  return { rinseL: litres, rinseMinutes: hoseFlow.value > 0 ? litres / hoseFlow.value : 0 }
}

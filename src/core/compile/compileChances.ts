import type { Celsius, Litres, Amount, Cv } from '../quantities'
import type { PartGrid } from '../calendar'
import { heaterOf, membersOf } from './compileContainers'
import { HEAT_STEP_C, heatExtra } from './compileUses'
import {
  sparesOf,
  type Container,
  ownSpread,
  type Activity,
  type Crew,
  type Id,
  type JointDraws,
  type Passed,
  type Rig,
  warmestOf,
  type LevelError,
  type Stay,
  type StayCase,
} from '../domain'
import type { Model, ModelContainer } from './model'
import type { Presence } from './presence'

/**
 * Uses in each part of the grid as a line in the heat: cool + steps × perStep, steps of 5 °C above the crew's threshold.
 * Means, >= 0.
 */
export interface UseLine {
  cool: Float64Array
  perStep: Float64Array
}

/** How one activity varies (model.md section 5). */
export interface ActivityChance {
  /** Coefficient of variation of the litres of one use. */
  spread: Cv
  /** The same of the crew's own factor, one draw for a trip. */
  levelSpread: Cv
  /** Uses that are Poisson, or exact where `exact`: all of them together. */
  many: UseLine
  exact: boolean
  /** Whether there is anyone among the many, whatever the habits. */
  isMany: boolean
  /** Those who do it at most once a day: one draw each and day. */
  once: UseLine[]
  /** Parts of a day in which it may fall at all, whatever the habits. */
  falls: boolean[]
}

/** A starting level and its error, cut at empty and at full (model.md section 5). */
export interface StartChance {
  level: Amount
  shape: LevelError['shape']
  size: number
  /** The capacity, spares included; the level itself where that is more: what is given stands as it is. */
  full: Amount
}

export interface ContainerChance {
  /** Coefficient of variation of the capacity. */
  spread: Cv
  /** Its members' starting levels, and the heater's litres that are always there. */
  starts: StartChance[]
  heater: Litres
}

/** What is uncertain in a stay, beside its model: rows as in the model. */
export interface Chances {
  activities: ActivityChance[]
  containers: ContainerChance[]
  /** °C of each day of the grid as given, its standard deviation, and the threshold from which heat counts. */
  warmest: Float64Array
  warmestSpread: Celsius
  heatAbove: Celsius
  /** They take the place of the draws of own factors, capacities and starting levels; null: each is drawn apart. */
  draws: JointDraws | null
}

/** Steps of 5 °C above the threshold, >= 0. */
export function heatStepsAt(warmest: Celsius, above: Celsius): number {
  return Math.max(0, warmest - above) / HEAT_STEP_C
}

/**
 * The chances of a compiled stay. A person who does something at most once a day by their own rate, before heat and
 * habits, is one draw a day; the others are one Poisson number a part.
 * @param model what `compile` made of the same case, from the same moment
 */
export function compileChances(
  stayCase: StayCase,
  model: Model,
  from: Passed | null = stayCase.now ?? stayCase.passed ?? null,
): Chances {
  const { stay, rig, crew } = stayCase
  const days = model.grid.day[model.grid.count - 1]! + 1
  return {
    activities: crew.activities.map((activity, a) => activityChance(activity, a, crew, model)),
    containers: model.containers.map((container) =>
      from ? chanceNow(container, rig) : containerChance(rig, stay, container.members),
    ),
    warmest: Float64Array.from({ length: days }, (_, day) => warmestOf(stay, day)),
    warmestSpread: stay.weather.spread.value,
    heatAbove: crew.heat.above.value,
    draws: from?.draws ?? null,
  }
}

function activityChance(
  activity: Activity,
  a: number,
  crew: Crew,
  { grid, here, rate }: Model,
): ActivityChance {
  const row = rate.subarray(a * grid.count, (a + 1) * grid.count)
  const isOnce = ({ often }: Unit) => activity.dispersion === 1 && often <= 1
  const units = unitsOf(activity, crew)
  const lines = (some: readonly Unit[]) => some.map((unit) => lineOf(activity, unit, row, here, grid))
  const many = units.filter((unit) => !isOnce(unit))
  return {
    spread: activity.spread.value,
    levelSpread: ownSpread(activity),
    exact: activity.dispersion === 0,
    isMany: many.length > 0,
    many: added(lines(many), grid.count),
    once: lines(units.filter(isOnce)),
    falls: activity.weights.values.map((weight) => weight > 0),
  }
}

/** Under way a level is what it is: what is not known of it comes with joint draws. */
function chanceNow({ members, start, capacity }: ModelContainer, rig: Rig): ContainerChance {
  const full = Math.max(capacity, start)
  return {
    spread: spreadOf(membersOf(rig, members)),
    starts: [{ level: start, shape: 'even', size: 0, full }],
    heater: 0,
  }
}

function containerChance(rig: Rig, stay: Stay, members: readonly Id[]): ContainerChance {
  const of = membersOf(rig, members)
  return {
    spread: spreadOf(of),
    starts: of.map((container) => startChance(container, stay)),
    heater: heaterOf(rig, members[0]!),
  }
}

function spreadOf(of: readonly Container[]): Cv {
  const total = of.reduce((sum, { capacity }) => sum + capacity.value, 0)
  // Joined tanks err apart from each other: their variances add up.
  const variance = of.reduce((sum, { capacity, ...container }) => {
    const spread = 'spread' in container ? container.spread.value : 0
    return sum + (spread * capacity.value) ** 2
  }, 0)
  return Math.sqrt(variance) / total
}

function startChance(container: Container, { levels }: Stay): StartChance {
  const { level, error } = levels.find((entry) => entry.container === container.id)!
  const capacity = (1 + sparesOf(container)) * container.capacity.value
  return {
    level: level.value,
    shape: error.shape,
    size: error.size.value,
    full: Math.max(capacity, level.value),
  }
}

/** Somebody who does it by a rate of their own: each person, or the crew as one while anyone is there. */
interface Unit {
  /** Uses a day in mild weather. */
  often: number
  /** Uses a day for a group that is there, and what a step of heat adds. */
  rates: (here: readonly boolean[]) => { cool: number; perStep: number }
}

function unitsOf(activity: Activity, crew: Crew): Unit[] {
  const line = (rate: number, heads: number) => ({
    cool: rate,
    perStep: heatExtra(activity, crew, rate, heads),
  })
  const none = { cool: 0, perStep: 0 }
  if (activity.per === 'crew') {
    const often = activity.rate.value
    return [
      { often, rates: (here) => (here.includes(true) ? line(often, here.filter(Boolean).length) : none) },
    ]
  }
  return crew.persons.map(({ rates }, p) => {
    const often = (rates.find((own) => own.activity === activity.id) ?? activity).rate.value
    return { often, rates: (here) => (here[p] ? line(often, 1) : none) }
  })
}

function lineOf(
  { weights }: Activity,
  unit: Unit,
  rate: Float64Array,
  { group, groups }: Presence,
  grid: PartGrid,
): UseLine {
  const byGroup = groups.map((here) => unit.rates(here))
  const line = { cool: new Float64Array(grid.count), perStep: new Float64Array(grid.count) }
  for (let i = 0; i < grid.count; i++) {
    const { cool, perStep } = byGroup[group[i]!]!
    const share = weights.values[grid.part[i]!]! * grid.share[i]! * rate[i]!
    line.cool[i] = cool * share
    line.perStep[i] = perStep * share
  }
  return line
}

function added(lines: readonly UseLine[], count: number): UseLine {
  const sum = { cool: new Float64Array(count), perStep: new Float64Array(count) }
  for (const { cool, perStep } of lines)
    for (let i = 0; i < count; i++) {
      sum.cool[i]! += cool[i]!
      sum.perStep[i]! += perStep[i]!
    }
  return sum
}

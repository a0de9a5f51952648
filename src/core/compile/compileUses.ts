import type { PartGrid } from '../calendar'
import { volumePerUse, type Activity, type Crew, warmestOf, type Stay } from '../domain'
import type { PartFactors } from './factors'
import type { Presence } from './presence'

export const HEAT_STEP_C = 5

/** uses = rate × present × weight × share of the part × rate factors (model.md sections 3, 4 and 9). */
export function compileUses(
  crew: Crew,
  stay: Stay,
  factors: PartFactors[],
  { group, groups }: Presence,
  grid: PartGrid,
): Float64Array {
  const uses = new Float64Array(crew.activities.length * grid.count)
  const heat = heatSteps(crew, stay, grid)
  crew.activities.forEach((activity, a) => {
    const perDay = groups.map((here) => usesPerDay(activity, crew, here))
    const extra = groups.map((here) => usesPerHeatStep(activity, crew, here))
    const { values } = activity.weights
    const { rate } = factors[a]!
    const row = uses.subarray(a * grid.count, (a + 1) * grid.count)
    for (let i = 0; i < row.length; i++) {
      const who = group[i]!
      const day = perDay[who]! + heat[i]! * extra[who]!
      row[i] = day * values[grid.part[i]!]! * grid.share[i]! * rate[i]!
    }
  })
  return uses
}

/** A rate of the crew applies in full while anyone is present; a person's own rate replaces the activity's. */
function usesPerDay(activity: Activity, crew: Crew, here: readonly boolean[]): number {
  if (activity.per === 'crew') return here.includes(true) ? activity.rate.value : 0
  return crew.persons.reduce(
    (sum, { rates }, p) =>
      here[p] ? sum + (rates.find((own) => own.activity === activity.id) ?? activity).rate.value : sum,
    0,
  )
}

/** Uses a day that each 5 °C of heat adds: litres of drinking for everyone present, a share of the shower rate. */
function usesPerHeatStep(activity: Activity, crew: Crew, here: readonly boolean[]): number {
  return heatExtra(activity, crew, usesPerDay(activity, crew, here), here.filter(Boolean).length)
}

/** A use of less is none: how many of them would make up what heat adds is no number of uses any more. */
const LEAST_DRINK_L = 0.001

/** The same for a rate (uses a day) and a number of people. */
export function heatExtra(activity: Activity, { heat }: Crew, rate: number, heads: number): number {
  if (activity.kind === 'shower') return rate * heat.showers.value
  const litres = volumePerUse(activity)
  if (activity.kind !== 'drinking' || litres < LEAST_DRINK_L) return 0
  return (heads * heat.drinking.value) / litres
}

/** Steps of 5 °C above the crew's threshold, in each part; 0 in mild weather. */
function heatSteps({ heat }: Crew, stay: Stay, grid: PartGrid): Float64Array {
  const steps = new Float64Array(grid.count)
  let warmest = 0
  for (let i = 0; i < grid.count; i++) {
    if (i === 0 || grid.day[i] !== grid.day[i - 1]) warmest = warmestOf(stay, grid.day[i]!)
    steps[i] = Math.max(0, warmest - heat.above.value) / HEAT_STEP_C
  }
  return steps
}

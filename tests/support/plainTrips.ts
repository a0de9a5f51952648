import { randomLogNormal, randomNormal, randomPoisson, randomUniform } from 'd3-random'
import { mersenne } from 'pure-rand/generator/mersenne'
import { vesselsAtStart, playVesselsPart } from '@/core/count'
import { playPlainRuns } from './plainRuns'
import { compile, type Model } from '@/core/compile'
import {
  caseOf,
  isAwayOn,
  warmestOf,
  type Activity,
  type Crew,
  type Document,
  type LevelError,
  type Stay,
} from '@/core/domain'

/** What a plain trip came to; `days` is Infinity beyond the horizon. */
export interface PlainTrip {
  days: number
  stopper: string | null
}

type Draws = ReturnType<typeof drawsOf>

/**
 * Trips of a stay in the plainest way: use by use, person by person, every draw from a library's own distributions. It
 * shares with the core what the count's own tests hold (where water flows), and nothing of how chance is drawn.
 * Source: model.md section 5.
 */
export function* plainTrips(document: Document, stayId: string, seed: number): Generator<PlainTrip, never> {
  const stay = document.stays.find(({ id }) => id === stayId)!
  const crew = document.crews.find(({ id }) => id === stay.crew)!
  const model = compile(caseOf(document, stayId))
  const draws = drawsOf(seed)
  const factor = rateFactors(document, stay, model)
  const { grid } = model
  const units = crew.activities.map((activity, a) =>
    unitsOf(activity, crew, stay, model).map(({ often, rate }) => ({
      often,
      /** Mean uses of a part, by the day's steps of heat. */
      rates: (heat: readonly number[]) =>
        Array.from(
          { length: grid.count },
          (_, i) =>
            rate(i, heat[grid.day[i]!]!) *
            activity.weights.values[grid.part[i]!]! *
            grid.share[i]! *
            factor(a, i),
        ),
    })),
  )
  for (;;) yield plainTrip(document, stay, crew, model, units, draws)
}

function drawsOf(seed: number) {
  const generator = mersenne(seed)
  const uniform = () => (generator.next() >>> 0) / 2 ** 32
  return {
    uniform: randomUniform.source(uniform)(0, 1),
    normal: randomNormal.source(uniform)(0, 1),
    poisson: (mean: number) => (mean === 0 ? 0 : randomPoisson.source(uniform)(mean)()),
    /** Mean 1. */
    lognormal: (cv: number) => {
      const sigma = Math.sqrt(Math.log(1 + cv * cv))
      return cv === 0 ? 1 : randomLogNormal.source(uniform)(-(sigma * sigma) / 2, sigma)()
    },
  }
}

/** What the habits make of the uses, read off two compilations: with the habits that are on, and with none. */
function rateFactors(document: Document, stay: Stay, model: Model): (a: number, i: number) => number {
  const crowd = structuredClone(document)
  const bare = crowd.stays.find(({ id }) => id === stay.id)!
  bare.habits = []
  const without = compile(caseOf(crowd, stay.id)).uses
  return (a, i) => {
    const k = a * model.grid.count + i
    return without[k] === 0 ? 1 : model.uses[k]! / without[k]!
  }
}

function plainTrip(
  document: Document,
  stay: Stay,
  crew: Crew,
  model: Model,
  units: { often: number; rates: (heat: readonly number[]) => number[] }[][],
  draws: Draws,
): PlainTrip {
  const { grid } = model
  const uses = new Float64Array(crew.activities.length * grid.count)
  const sums = new Float64Array(uses.length)
  const heat = heatOf(stay, crew, model, draws)
  crew.activities.forEach((activity, a) => {
    const own = draws.lognormal(activity.levelSpread.value)
    for (const { often, rates: ratesIn } of units[a]!) {
      const rates = ratesIn(heat)
      const add = (i: number, n: number) => {
        for (; n > 0; n--) {
          uses[a * grid.count + i]! += Math.min(n, 1)
          sums[a * grid.count + i]! += Math.min(n, 1) * own * draws.lognormal(activity.spread.value)
        }
      }
      if (activity.dispersion === 0) rates.forEach((mean, i) => add(i, mean))
      else if (often > 1) rates.forEach((mean, i) => add(i, draws.poisson(mean)))
      else
        for (let first = 0; first < grid.count;) {
          let next = first
          while (next < grid.count && grid.day[next] === grid.day[first]) next++
          onceADay(rates.slice(first, next), draws).forEach((n, k) => add(first + k, n))
          first = next
        }
    }
  })
  return play(document, stay, model, uses, sums, draws)
}

/** One draw for the day: at most one use where the chances add up to 1 or less, whole ones and a chance where to more. */
function onceADay(chances: readonly number[], draws: Draws): number[] {
  const total = chances.reduce((sum, p) => sum + p, 0)
  const times = Math.floor(total) + (draws.uniform() < total - Math.floor(total) ? 1 : 0)
  const n = chances.map(() => 0)
  for (let use = 0; use < times; use++) {
    let at = draws.uniform() * total
    const part = chances.findIndex((p) => (at -= p) < 0)
    n[part < 0 ? chances.length - 1 : part]! += 1
  }
  return n
}

function unitsOf(activity: Activity, crew: Crew, stay: Stay, { grid }: Model) {
  const isAway = (person: string, i: number) =>
    stay.absences.some(
      (absence) =>
        absence.person === person &&
        isAwayOn(absence, stay, grid.day[i]!) &&
        ['morning', 'midday', 'evening', 'night'][grid.part[i]!] === absence.part,
    ) ||
    stay.guests.some(
      ({ person: id, days }) => id === person && (grid.day[i]! < days[0] || grid.day[i]! > days[1]),
    )
  const present = Array.from({ length: grid.count }, (_, i) => crew.persons.map(({ id }) => !isAway(id, i)))
  const litres = activity.timed
    ? activity.timed.flow.value * activity.timed.on.value +
      activity.timed.trickle.value * activity.timed.paused.value +
      activity.timed.runUp.value
    : activity.volume.value
  const warm = (rate: number, heads: number, steps: number) => {
    if (activity.kind === 'shower') return rate * (1 + steps * crew.heat.showers.value)
    if (activity.kind === 'drinking' && litres > 0)
      return rate + (steps * heads * crew.heat.drinking.value) / litres
    return rate
  }
  if (activity.per === 'crew') {
    const often = activity.rate.value
    return [
      {
        often,
        rate: (i: number, steps: number) =>
          present[i]!.includes(true) ? warm(often, present[i]!.filter(Boolean).length, steps) : 0,
      },
    ]
  }
  return crew.persons.map(({ rates }, p) => {
    const often = (rates.find((own) => own.activity === activity.id) ?? activity).rate.value
    return { often, rate: (i: number, steps: number) => (present[i]![p] ? warm(often, 1, steps) : 0) }
  })
}

function heatOf(stay: Stay, crew: Crew, { grid }: Model, draws: Draws): number[] {
  return Array.from({ length: grid.day[grid.count - 1]! + 1 }, (_, day) => {
    const warmest = warmestOf(stay, day) + stay.weather.spread.value * draws.normal()
    return Math.max(0, warmest - crew.heat.above.value) / 5
  })
}

/** Drawn again until it lies between empty and full; a level without an error stands as it is. */
function readLevel(
  level: number,
  { shape, size }: LevelError,
  full: number,
  ratio: number,
  draws: Draws,
): number {
  if (size.value === 0) return level
  for (;;) {
    const read = level + size.value * (shape === 'even' ? draws.uniform() - 0.5 : draws.normal())
    if (read >= 0 && read <= full) return shape === 'even' ? read * ratio : read
  }
}

function play(
  document: Document,
  stay: Stay,
  model: Model,
  uses: Float64Array,
  sums: Float64Array,
  draws: Draws,
): PlainTrip {
  const { count, edges } = model.grid
  const rig = document.rigs.find(({ id }) => id === stay.rig)!
  const tanks = model.containers.map(({ members, limit, side, start }) => {
    let [size, begin, known] = [0, start, 0]
    for (const id of members) {
      const tank = rig.containers.find((container) => container.id === id)!
      const { level, error } = stay.levels.find(({ container }) => container === id)!
      const ratio = draws.lognormal('spread' in tank ? tank.spread.value : 0)
      size += ratio * tank.capacity.value
      known += tank.capacity.value
      const spares = 'spares' in tank ? tank.spares : 0
      const full = Math.max((1 + spares) * tank.capacity.value, level.value)
      begin += readLevel(level.value, error, full, ratio, draws) - level.value
    }
    return {
      limit: limit === null || side === 'supply' ? limit : (limit * size) / known,
      sign: side === 'supply' ? -1 : 1,
      level: begin,
      ratio: size / known,
    }
  })
  const amounts = new Float64Array(model.streams.length)
  const vessels = vesselsAtStart(model)
  let trip: PlainTrip = { days: Infinity, stopper: null }
  const past = tanks.findIndex(({ limit, sign, level }) => limit !== null && sign * (level - limit) > 1e-9)
  if (past >= 0) trip = { days: 0, stopper: model.containers[past]!.id }
  for (let i = 0; i < count && trip.stopper === null; i++) {
    playPlainRuns(document, model, i, tanks)
    tanks.forEach(({ level, limit, sign }, c) => {
      if (limit === null || trip.stopper !== null || sign * (level - limit) <= 1e-9) return
      if (edges[i]! <= model.horizonDays) trip = { days: edges[i]!, stopper: model.containers[c]!.id }
    })
    if (trip.stopper !== null) break
    model.streams.forEach(({ activity, ofDraw, fixed, portion, isOfVessel }, s) => {
      const k = activity * count + i
      amounts[s] = isOfVessel
        ? 0
        : (ofDraw * model.volume[k]! * sums[k]! + fixed * uses[k]!) * (portion?.[i] ?? 1)
    })
    playVesselsPart(model, vessels, i, amounts, 0, 1)
    const before = tanks.map(({ level }) => level)
    model.streams.forEach(({ from, to }, s) => {
      if (to >= 0) tanks[to]!.level += amounts[s]!
      if (from >= 0) tanks[from]!.level -= amounts[s]!
    })
    tanks.forEach(({ level, limit, sign }, c) => {
      if (limit === null || sign * (level - limit) <= 1e-9) return
      const days =
        edges[i]! + (edges[i + 1]! - edges[i]!) * Math.max(0, (limit - before[c]!) / (level - before[c]!))
      if (days < trip.days && days <= model.horizonDays) trip = { days, stopper: model.containers[c]!.id }
    })
  }
  return trip
}

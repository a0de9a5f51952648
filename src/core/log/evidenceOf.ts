import { MINUTES_PER_DAY, dayAndPartOf, dayZero, wallDaysBetween, wallMinutes } from '../calendar'
import type { Evidence } from '../learn'
import { heaterOf, type Model } from '../compile'
import {
  found,
  kgPerUnit,
  sparesOf,
  type Activity,
  type Container,
  type Id,
  type Stay,
  type StayCase,
} from '../domain'
import type { Amount, Days, Litres, Share } from '../quantities'
import type { Completeness } from './completeness'
import {
  standing,
  type LogEntry,
  type OddEntry,
  type ReadingEntry,
  type RunEntry,
  type Saw,
  type UseEntry,
} from './entry'

/** What a kitchen or luggage scale is off by, kg, standard deviation (assumed). */
const SCALE_KG = 0.3
/** A tank that is seen full or dry is so within this share of its capacity (assumed). */
const AT_THE_BRIM = 0.002
const BRIM_DEVIATION = 0.01
/** No rig stands quite level: a stick is off by this share of the tank besides (assumed). */
const LEAN = 0.01
/** Litres put in or taken out by hand are off by this share of them (assumed). */
const POURED = 0.05
/** L; nothing is measured better. */
const LEAST_DEVIATION = 1e-3

/**
 * What a log says of a stay: evidence in days from where the model's grid begins, with how complete it is up to then. Entries of other stays, from before it,
 * and about things that are no longer there say nothing.
 */
export function evidenceOf(
  log: readonly LogEntry[],
  stayCase: StayCase,
  model: Model,
  counted: ReadonlySet<Id>,
  complete: readonly (Completeness | null)[] = [],
  until: Days = Infinity,
): Evidence[] {
  const { stay } = stayCase
  const isJudged = ({ activity }: UseEntry) =>
    Boolean(complete[stayCase.crew.activities.findIndex(({ id }) => id === activity)])
  // The order is that of UTC: where a clock was set back in between, what came later did not happen earlier for that.
  let latest = 0
  const told = standing(log).flatMap((entry): Evidence[] => {
    const own = wallDaysBetween(model.start, entry.at)
    if (entry.stay !== stay.id || own < 0) return []
    const at = own > until ? own : Math.min(until, Math.max(own, latest))
    latest = Math.max(latest, at)
    if (entry.kind === 'odd') return ofOdd(entry, at, model)
    if (entry.kind === 'use') return ofUse(entry, at, entry.at, stayCase, model, counted, isJudged(entry))
    if (entry.kind === 'reading') return ofReading(entry, at, stayCase, model)
    return entry.kind === 'run' ? ofRun(entry, at, stayCase, model) : []
  })
  return [...told, ...ofCounting(stayCase, model, counted), ...ofUnlogged(model, complete, counted, until)]
}

/** Of what was logged and is not counted all along: shares of the model's uses that were made and not logged. */
function ofUnlogged(
  { activities, grid, uses }: Model,
  complete: readonly (Completeness | null)[],
  counted: ReadonlySet<Id>,
  until: Days,
): Evidence[] {
  return complete.flatMap((one, activity): Evidence[] => {
    if (!one || counted.has(activities[activity]!.id)) return []
    const expected = Float64Array.from({ length: grid.count }, (_, i) => {
      const [from, to] = [grid.edges[i]!, grid.edges[i + 1]!]
      const gone = Math.min(1, Math.max(0, (until - from) / (to - from)))
      return uses[activity * grid.count + i]! * gone
    })
    const share = expected.map((n, i) => (n > 0 ? one.unlogged[i]! / n : 0))
    return [{ kind: 'unlogged', at: 0, until, activity, share, variance: one.variance }]
  })
}

/** Activities that are counted all stay long: from its start on, and still. */
export function countedThroughout({ start, counted }: Stay): Set<Id> {
  const whole = counted.filter(({ from, until }) => from <= start && until === null)
  return new Set(whole.map(({ activity }) => activity))
}

function ofCounting({ stay, crew }: StayCase, model: Model, counted: ReadonlySet<Id>): Evidence[] {
  return stay.counted.flatMap(({ activity: id, from, until }): Evidence[] => {
    const activity = crew.activities.findIndex((one) => one.id === id)
    if (activity < 0 || counted.has(id)) return []
    const at = Math.max(0, wallDaysBetween(model.start, from))
    const ends = until === null ? Infinity : wallDaysBetween(model.start, until)
    return ends > at ? [{ kind: 'counted', at, until: ends, activity }] : []
  })
}

function ofOdd({ from, container: id }: OddEntry, at: Days, model: Model): Evidence[] {
  const container = id === null ? null : placeOf(model, id)
  if (id !== null && container === null) return []
  return [{ kind: 'odd', at, from: Math.max(0, wallDaysBetween(model.start, from)), container }]
}

function ofUse(
  { activity: id, n, litres, minutes, isExtra = false }: UseEntry,
  at: Days,
  time: string,
  { stay, crew }: StayCase,
  model: Model,
  counted: ReadonlySet<Id>,
  isJudged: boolean,
): Evidence[] {
  const index = crew.activities.findIndex((activity) => activity.id === id)
  if (index < 0) return []
  if (n > 0) {
    const known = litres ?? timedLitres(crew.activities[index]!, minutes)
    return [{ kind: 'used', at, activity: index, n, litres: known, isExtra }]
  }
  // Of what is counted, no entry says as much; of what is logged besides, the completeness of its log does.
  if (counted.has(id) || isJudged) return []
  const { day } = dayAndPartOf(stay.start, time)
  const began = (wallMinutes(dayZero(stay.start)) - wallMinutes(model.start)) / MINUTES_PER_DAY + day
  return [{ kind: 'left-out', at: Math.max(0, began), until: began + 1, activity: index, factor: 0 }]
}

function timedLitres({ timed }: Activity, minutes: number | null): Litres | null {
  return timed && minutes !== null ? timed.flow.value * minutes + timed.runUp.value : null
}

function ofReading(
  { container: id, saw, isOffLevel }: ReadingEntry,
  at: Days,
  { rig }: StayCase,
  model: Model,
): Evidence[] {
  const container = placeOf(model, id)
  if (container === null || isOffLevel) return []
  const tank = found(rig.containers, id, 'container')
  const full = (1 + sparesOf(tank)) * tank.capacity.value
  // A heater that counts is one with its supply and always full: what is read is of the tank alone.
  const heater = heaterOf(rig, id)
  const share = (amount: Amount) => (amount + heater) / (full + heater)
  // Of several cassettes or jugs the one aboard was looked at. One that stands aside is as full as they are filled.
  const spares = sparesOf(tank)
  const one = tank.capacity.value
  const each = 'safeFill' in tank ? tank.safeFill.value * one : one
  const panel = (edges: readonly Share[], step: number): Evidence => ({
    kind: 'panel',
    at,
    container,
    edges: edges.map((edge, k) => (k === 0 ? 0 : share(edge * one))),
    step,
    ...(spares > 0 ? { aside: { most: spares, each: each / full } } : {}),
  })
  if (saw.as === 'panel') return [panel(saw.edges, saw.step)]
  if (saw.as === 'light') return 'light' in tank && tank.light ? [panel([0, tank.light.value / one], 1)] : []
  const { level, deviation } = measured(saw, tank)
  if (spares > 0) {
    // More than one of them holds can only be all of them together.
    const aside = level <= one ? { aside: { most: spares, each } } : {}
    return [{ kind: 'measured', at, container, level, deviation, ...aside }]
  }
  // Where nothing is left in the tank, something may be in its heater still.
  if (heater > 0 && level <= deviation)
    return [{ kind: 'panel', at, container, edges: [0, heater / (full + heater)], step: 0 }]
  // Of tanks that stand open to each other one was seen: the others stand alike.
  const alike = model.containers[container]!.capacity / (full + heater)
  return [{ kind: 'measured', at, container, level: (level + heater) * alike, deviation: deviation * alike }]
}

function measured(
  saw: Exclude<Saw, { as: 'panel' } | { as: 'light' }>,
  tank: Container,
): { level: Amount; deviation: Amount } {
  const full = tank.capacity.value
  if (saw.as === 'full') return { level: full * (1 - AT_THE_BRIM), deviation: full * BRIM_DEVIATION }
  if (saw.as === 'dry') return { level: full * AT_THE_BRIM, deviation: full * BRIM_DEVIATION }
  if (saw.as === 'amount') {
    const deviation = Math.hypot(Math.max(saw.deviation, LEAST_DEVIATION), LEAN * full)
    return { level: saw.amount, deviation }
  }
  const shell = 'shell' in tank ? tank.shell.value : 0
  return {
    level: Math.max(0, saw.kg - shell) / kgPerUnit(tank),
    deviation: SCALE_KG / kgPerUnit(tank),
  }
}

function ofRun({ did }: RunEntry, at: Days, { rig }: StayCase, model: Model): Evidence[] {
  return did.flatMap(({ container: id, what, litres }): Evidence[] => {
    const container = placeOf(model, id)
    if (container === null) return []
    // Emptied is down to what an emptying leaves.
    // Of tanks that stand open to each other nobody knows which of the litres were whose.
    const isAlone = model.containers[container]!.members.length === 1
    const moved = litres === null || !isAlone ? {} : { moved: { litres, deviation: POURED * litres } }
    if (what === 'emptied') {
      const { residue } = model.containers[container]!
      return [{ kind: 'known', at, container, level: heaterOf(rig, id) + residue, ...moved }]
    }
    if (what === 'filled') return [{ kind: 'known', at, container, level: 'full', ...moved }]
    if (litres === null) return []
    return [
      { kind: 'moved', at, container, by: what === 'put-in' ? litres : -litres, deviation: POURED * litres },
    ]
  })
}

/** Joined tanks are one. */
function placeOf({ containers }: Model, id: Id): number | null {
  const place = containers.findIndex(({ members }) => members.includes(id))
  return place < 0 ? null : place
}

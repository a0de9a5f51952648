import { drawnPerUse } from '../compile'
import type { PartIndex } from '../calendar'
import type { Model, VesselEnd } from '../compile'
import type { ActivityIndex, Effect, Habit, Id } from '../domain'
import { effectsOf, levelSigns } from '../risk'
import type { Days, Share, Amount } from '../quantities'
import { activitiesOf, type Combo, type Component } from './components'
import { rateHabits, type Drawn, type TripTable } from './tripTable'

/**
 * What a combo brings in each trip up to an instant, trip × columns. First a column for each limited container: L (uses)
 * nearer its limit. Then two for each vessel: L offered to it and L wanted of it, before it holds or gives any.
 */
export interface ComboFlow {
  combo: Combo
  /** Bits of the vessels it brings into play. */
  vessels: number
  totals: Float64Array
}

export interface VesselPlace {
  habit: Habit
  /** L */
  capacity: Amount
  /** Columns of the containers whose filling, and whose draining, it can hold back. */
  receivers: number[]
  supplies: number[]
}

export interface FlowTable {
  columns: number
  vessels: VesselPlace[]
  /** Sums of all activities that no habit acts on, and each component's combos, up to an instant. */
  at: (days: Days) => { rest: Float64Array; combos: ComboFlow[][] }
  /** Bits of the vessels that touch a component's activities. */
  touching: number[]
}

/** One column's weight per part of what an activity draws; `constant` where all parts that matter have the same. */
interface Weighted {
  column: number
  ofUses: boolean
  weights: Float64Array
  constant: number | null
}

interface ActivityFlow {
  drawn: Drawn
  columns: Weighted[]
}

/** @param habits all that may be chosen @param always those that are on whatever is chosen */
export function flowTable(
  table: TripTable,
  components: readonly Component[],
  habits: readonly Habit[],
  always: readonly Habit[] = [],
): FlowTable {
  const vessels = habits.filter(({ vessel }) => vessel !== null).map((habit) => placeOf(table, habit))
  const columns = table.limited.length + 2 * vessels.length
  const flowOf = keptFlows(table, vessels)
  const indexOf = (id: Id) => table.model.activities.findIndex((activity) => activity.id === id)
  const ofComponents = components.map(({ activities }) => activities.map(indexOf).filter((a) => a >= 0))
  const acted = new Set(ofComponents.flat())
  const others = table.model.activities.flatMap((_, a) => (acted.has(a) ? [] : [a]))
  return {
    columns,
    vessels,
    at(days) {
      const total = totalsAt(table, columns, days)
      return {
        rest: total(others.map((a) => flowOf(a, always))),
        combos: components.map(({ combos }, k) =>
          combos.map((combo) => ({
            combo,
            vessels: vesselBits(vessels, ({ habit }) => combo.habits.includes(habit)),
            totals: total(ofComponents[k]!.map((a) => flowOf(a, combo.habits))),
          })),
        ),
      }
    },
    touching: components.map(({ activities }) =>
      vesselBits(vessels, ({ habit }) =>
        habit.effects.some((effect) => passesOn(effect) && activities.includes(effect.activity)),
      ),
    ),
  }
}

function vesselBits(vessels: readonly VesselPlace[], isOne: (vessel: VesselPlace) => boolean): number {
  return vessels.reduce((bits, vessel, v) => bits | (isOne(vessel) ? 1 << v : 0), 0)
}

function passesOn({ kind }: Effect): boolean {
  return kind === 'catch' || kind === 'reuse'
}

/** An activity's flow under some habits, made once however often it is asked for. */
function keptFlows(table: TripTable, vessels: readonly VesselPlace[]) {
  const flows = new Map<string, ActivityFlow>()
  return (activity: ActivityIndex, chosen: readonly Habit[]): ActivityFlow => {
    const { id } = table.model.activities[activity]!
    const acting = chosen.filter((habit) => activitiesOf(habit).includes(id))
    const ids = acting.map((habit) => habit.id).sort()
    const key = `${activity} ${ids.join()}`
    const flow = flows.get(key) ?? activityFlow(table, activity, acting, vessels)
    flows.set(key, flow)
    return flow
  }
}

/** Sums over activities; each one's own total at the instant is made once. */
function totalsAt({ model: { grid }, trips }: TripTable, width: number, days: Days) {
  let part = 0
  while (part < grid.count - 1 && grid.edges[part + 1]! < days) part++
  const share = Math.min(1, (days - grid.edges[part]!) / (grid.edges[part + 1]! - grid.edges[part]!))
  const known = new Map<Weighted, Float64Array>()
  return (all: readonly ActivityFlow[]): Float64Array => {
    const sum = new Float64Array(trips * width)
    for (const { drawn, columns } of all)
      for (const one of columns) {
        const total = known.get(one) ?? totalOf(drawn, one, trips, part, share, grid.count + 1)
        known.set(one, total)
        for (let t = 0, k = one.column; t < trips; t++, k += width) sum[k]! += total[t]!
      }
    return sum
  }
}

/** One column of an activity, by trip. @param share of the part that has passed */
function totalOf(
  drawn: Drawn,
  { ofUses, weights, constant }: Weighted,
  trips: number,
  part: PartIndex,
  share: Share,
  stride: number,
): Float64Array {
  const row = ofUses ? drawn.uses : drawn.sums
  const total = new Float64Array(trips)
  for (let t = 0; t < trips; t++) {
    const at = t * stride
    const last = row[at + part + 1]! - row[at + part]!
    if (constant !== null) total[t] = constant * (row[at + part]! + share * last)
    else {
      let sum = share * weights[part]! * last
      for (let i = 0; i < part; i++) sum += weights[i]! * (row[at + i + 1]! - row[at + i]!)
      total[t] = sum
    }
  }
  return total
}

function activityFlow(
  table: TripTable,
  activity: ActivityIndex,
  acting: readonly Habit[],
  vessels: readonly VesselPlace[],
): ActivityFlow {
  const model = table.compileWith(acting.map(({ id }) => id))
  const { id } = model.activities[activity]!
  return {
    drawn: table.drawnOf(activity, rateHabits(acting, id)),
    columns: [...levelColumns(table, model, activity), ...vesselColumns(table, activity, acting, vessels)],
  }
}

/** What it brings to each limited container. */
function levelColumns({ limited }: TripTable, model: Model, activity: ActivityIndex): Weighted[] {
  const width = model.containers.length
  const ground = {
    signs: levelSigns(model, width),
    accounts: width,
    solidsOf: new Map(),
    tapped: new Set<number>(),
  }
  return effectsOf(model, activity, ground).flatMap(({ ofUses, effects }) =>
    effects.flatMap(({ account, weights }): Weighted[] => {
      const column = limited.indexOf(account)
      const sign = model.containers[account]!.side === 'supply' ? -1 : 1
      const signed = weights.map((weight) => sign * weight)
      return column < 0 ? [] : [weighted(column, ofUses, signed)]
    }),
  )
}

/** What it offers to each vessel, and wants of it. */
function vesselColumns(
  table: TripTable,
  activity: ActivityIndex,
  acting: readonly Habit[],
  vessels: readonly VesselPlace[],
): Weighted[] {
  const { id } = table.model.activities[activity]!
  return vessels.flatMap(({ habit }, v) => {
    if (!habit.effects.some((effect) => passesOn(effect) && effect.activity === id)) return []
    const ids = [...new Set([...acting.map((one) => one.id), habit.id])]
    const model = table.compileWith(ids)
    const { donors, recipients, active } = model.vessels.find((one) => one.habit === habit.id)!
    const streams = (list: readonly VesselEnd[], to: number) =>
      list
        .filter(({ stream }) => model.streams[stream]!.activity === activity)
        .map((end) => weighted(to, false, drawnWeights(model, end, active)))
    const column = table.limited.length + 2 * v
    return [...streams(donors, column), ...streams(recipients, column + 1)]
  })
}

/** L per litre-sum that a vessel's donor offers, or its recipient wants, in each part. */
function drawnWeights(
  { streams, volume, grid }: Model,
  { stream, share, byPersons }: VesselEnd,
  active: Uint8Array,
): Float64Array {
  const along = streams[stream]!
  return Float64Array.from(
    { length: grid.count },
    (_, i) =>
      active[i]! *
      share *
      (byPersons?.[i] ?? 1) *
      drawnPerUse(along, volume[along.activity * grid.count + i]!, i),
  )
}

function weighted(column: number, ofUses: boolean, weights: Float64Array): Weighted {
  const isSame = weights.every((weight) => weight === weights[0])
  return { column, ofUses, weights, constant: isSame ? weights[0]! : null }
}

function placeOf({ compileWith, limited }: TripTable, habit: Habit): VesselPlace {
  const { vessels, streams } = compileWith([habit.id])
  const { donors, recipients } = vessels.find((vessel) => vessel.habit === habit.id)!
  const columnsOf = (containers: number[]) => [
    ...new Set(containers.map((c) => limited.indexOf(c)).filter((k) => k >= 0)),
  ]
  return {
    habit,
    capacity: habit.vessel!.capacity.value,
    receivers: columnsOf(donors.map(({ stream }) => streams[stream]!.to)),
    supplies: columnsOf(recipients.map(({ stream }) => streams[stream]!.from)),
  }
}

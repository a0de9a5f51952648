import type { Habit, Id, Model, VesselEnd } from '../model'
import { effectsOf, levelSigns } from '../risk'
import type { Days } from '../quantities'
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
  capacity: number
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
  const { model, limited, trips } = table
  const vessels = habits.filter(({ vessel }) => vessel !== null).map((habit) => placeOf(table, habit))
  const columns = limited.length + 2 * vessels.length
  const flows = new Map<string, ActivityFlow>()
  const flowOf = (activity: number, chosen: readonly Habit[]): ActivityFlow => {
    const { id } = model.activities[activity]!
    const acting = chosen.filter((habit) => activitiesOf(habit).includes(id))
    const key = `${activity} ${acting
      .map((habit) => habit.id)
      .sort()
      .join()}`
    const flow = flows.get(key) ?? activityFlow(table, activity, acting, vessels)
    flows.set(key, flow)
    return flow
  }
  const indexOf = (id: Id) => model.activities.findIndex((activity) => activity.id === id)
  const acted = components.flatMap(({ activities }) => activities.map(indexOf))
  const others = model.activities.flatMap((_, a) => (acted.includes(a) ? [] : [a]))
  const bitsOf = (combo: Combo) =>
    vessels.reduce((bits, { habit }, v) => bits | (combo.habits.includes(habit) ? 1 << v : 0), 0)
  return {
    columns,
    vessels,
    at(days) {
      const total = totalsAt(table, columns, days)
      return {
        rest: total(others.map((a) => flowOf(a, always))),
        combos: components.map(({ activities, combos }) =>
          combos.map((combo) => ({
            combo,
            vessels: bitsOf(combo),
            totals: total(
              activities
                .map(indexOf)
                .filter((a) => a >= 0)
                .map((a) => flowOf(a, combo.habits)),
            ),
          })),
        ),
      }
    },
    touching: components.map(({ activities }) =>
      vessels.reduce((bits, { habit }, v) => {
        const touched = habit.effects.some(
          ({ kind, activity }) => (kind === 'catch' || kind === 'reuse') && activities.includes(activity),
        )
        return bits | (touched ? 1 << v : 0)
      }, 0),
    ),
  }

  /** Sums over activities; each one's own total at the instant is made once. */
  function totalsAt({ model: { grid } }: TripTable, width: number, days: Days) {
    let part = 0
    while (part < grid.count - 1 && grid.edges[part + 1]! < days) part++
    const share = Math.min(1, (days - grid.edges[part]!) / (grid.edges[part + 1]! - grid.edges[part]!))
    const known = new Map<Weighted, Float64Array>()
    return (all: readonly ActivityFlow[]): Float64Array => {
      const sum = new Float64Array(trips * width)
      for (const { drawn, columns: weighted } of all)
        for (const one of weighted) {
          const total = known.get(one) ?? totalOf(drawn, one, trips, part, share, grid.count + 1)
          known.set(one, total)
          for (let t = 0, k = one.column; t < trips; t++, k += width) sum[k]! += total[t]!
        }
      return sum
    }
  }
}

/** One column of an activity, by trip. @param share of the part that has passed */
function totalOf(
  drawn: Drawn,
  { ofUses, weights, constant }: Weighted,
  trips: number,
  part: number,
  share: number,
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
  activity: number,
  acting: readonly Habit[],
  vessels: readonly VesselPlace[],
): ActivityFlow {
  const { limited } = table
  const ids = acting.map(({ id }) => id)
  const model = table.compileWith(ids)
  const { id } = model.activities[activity]!
  const width = model.containers.length
  const effects = effectsOf(model, activity, {
    signs: levelSigns(model, width),
    accounts: width,
    solidsOf: new Map(),
    tapped: new Set(),
  })
  const levels = effects.flatMap(({ ofUses, effects: all }) =>
    all.flatMap(({ account, weights }): Weighted[] => {
      const column = limited.indexOf(account)
      const sign = model.containers[account]!.side === 'supply' ? -1 : 1
      return column < 0
        ? []
        : [
            weighted(
              column,
              ofUses,
              weights.map((weight) => sign * weight),
            ),
          ]
    }),
  )
  const passed = vessels.flatMap(({ habit }, v) => {
    const touches = habit.effects.some(
      (effect) => (effect.kind === 'catch' || effect.kind === 'reuse') && effect.activity === id,
    )
    if (!touches) return []
    const withVessel = table.compileWith([...new Set([...ids, habit.id])])
    const { donors, recipients, active } = withVessel.vessels.find((one) => one.habit === habit.id)!
    const column = limited.length + 2 * v
    const streams = (list: readonly VesselEnd[], to: number) =>
      list
        .filter(({ stream }) => withVessel.streams[stream]!.activity === activity)
        .map((end) => weighted(to, false, drawnWeights(withVessel, end, active)))
    return [...streams(donors, column), ...streams(recipients, column + 1)]
  })
  return { drawn: table.drawnOf(activity, rateHabits(acting, id)), columns: [...levels, ...passed] }
}

/** L per litre-sum that a vessel's donor offers, or its recipient wants, in each part. */
function drawnWeights(
  { streams, volume, grid }: Model,
  { stream, share, byPersons }: VesselEnd,
  active: Uint8Array,
): Float64Array {
  const { activity, ofDraw, portion } = streams[stream]!
  return Float64Array.from(
    { length: grid.count },
    (_, i) =>
      active[i]! *
      share *
      (byPersons?.[i] ?? 1) *
      ofDraw *
      (portion?.[i] ?? 1) *
      volume[activity * grid.count + i]!,
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

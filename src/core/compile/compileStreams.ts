import type { Share } from '../quantities'
import { PIECE, type Steps } from '../slices'
import type { ActiveHabit } from './activeHabits'
import {
  type Activity,
  type AddedFrom,
  type Crew,
  REDIRECT_ENDS,
  isOneOf,
  type Id,
  type Fixture,
  type Rig,
} from '../domain'
import { endCode, type ModelContainer, type Stream } from './model'

/** One way a use's water, solids or paper takes. Only what drains can be redirected. */
type Route = Pick<Stream, 'from' | 'to' | 'ofDraw' | 'fixed' | 'isSolid' | 'solidUses'> & {
  drains: boolean
  /** What it adds from elsewhere; null: it is water that was drawn. */
  added: AddedFrom | null
}
type FindContainer = (id: Id) => { code: number; isBin: boolean }

/**
 * Every activity's flows through the fixtures that serve its role. Per use: share × draw leaves the supply; of that the
 * drain share enters the receiver, the rest is consumed; what the body gives and what is brought in follow the drain.
 * A solids bin gets one use per solid use and no litres. A role that no fixture serves is off-site: no flow.
 * @param habits in the order of their ids: a redirect takes its share of what the ones before it left
 */
export function* compileStreams(
  rig: Rig,
  crew: Crew,
  containers: readonly ModelContainer[],
  habits: readonly ActiveHabit[],
): Steps<Stream[]> {
  const find = finder(containers)
  const places = new Map(rig.fixtures.map((fixture, index) => [fixture, index]))
  const streams: Stream[] = []
  let work = 0
  for (const [index, activity] of crew.activities.entries()) {
    const elsewhere = redirectsOf(activity, rig, find, habits)
    for (const { fixture, share } of serving(rig, activity)) {
      for (const { drains, added, ...route } of routesOf(fixture, activity, share, find)) {
        const portion = added === null ? null : addedPortion(activity, added, habits)
        const stream = {
          activity: index,
          fixture: places.get(fixture)!,
          portion,
          isOfVessel: false,
          ...route,
        }
        const sources = added === null ? broughtIn(stream, activity, habits) : [stream]
        if (drains) streams.push(...sources.flatMap((one) => redirected(one, elsewhere)))
        else streams.push(...sources)
        work += WORK_PER_STREAM
      }
    }
    if (work > PIECE) {
      work = 0
      yield (index + 1) / crew.activities.length
    }
  }
  return streams
}

/** What a stream costs, in the small operations that pieces are measured in. */
const WORK_PER_STREAM = 500

function finder(containers: readonly ModelContainer[]): FindContainer {
  const known = new Map(
    containers.flatMap(({ members, unit }, code) =>
      members.map((id) => [id, { code, isBin: unit === 'uses' }] as const),
    ),
  )
  return (id) => known.get(id)!
}

/** What flows nowhere is left out. */
function routesOf(fixture: Fixture, activity: Activity, share: Share, find: FindContainer): Route[] {
  return [
    ...drawnRoutes(fixture, activity, share, find),
    ...addedRoutes(fixture, activity, share, find),
  ].filter(({ ofDraw, fixed }) => ofDraw > 0 || fixed > 0)
}

/** The fixtures of an activity's role that take it, their shares made to add up to 1 again. */
function serving(rig: Rig, { role, kind }: Activity): { fixture: Fixture; share: Share }[] {
  const refused = kind === 'solid-use' ? 'liquids' : kind === 'liquid-use' ? 'solids' : null
  const fixtures = new Map(rig.fixtures.map((fixture) => [fixture.id, fixture]))
  const all = rig.roles.filter((entry) => entry.role === role)
  const taking = all.flatMap(({ fixture: id, share }) => {
    const fixture = fixtures.get(id)!
    return fixture.takes === refused || share.value === 0 ? [] : [{ fixture, share: share.value }]
  })
  const total = taking.reduce((sum, { share }) => sum + share, 0)
  return taking.map(({ fixture, share }) => ({ fixture, share: share / total }))
}

function drawnRoutes(fixture: Fixture, activity: Activity, share: Share, find: FindContainer): Route[] {
  const from = fixture.draws === null ? endCode('brought-in') : find(fixture.draws).code
  const drained = activity.drainShare.value
  const water = share * fixture.waterFactor.value
  const route = { from, fixed: 0, isSolid: false, solidUses: 0, added: null }
  return [
    { ...route, to: find(fixture.drains).code, ofDraw: water * drained, drains: true },
    { ...route, to: endCode('consumed'), ofDraw: water * (1 - drained), drains: false },
  ]
}

/** Solids and paper go to the second receiver where the toilet has one; a bin counts the use and none of the litres. */
function addedRoutes(fixture: Fixture, activity: Activity, share: Share, find: FindContainer): Route[] {
  const isSolidUse = activity.kind === 'solid-use'
  const apart = fixture.solids === null ? null : find(fixture.solids)
  const firstOfBody = activity.adds.findIndex(({ from }) => from === 'body')
  const litres = activity.adds.flatMap(({ from, volume }, i): Route[] => {
    const solidUses = isSolidUse && i === firstOfBody ? share : 0
    const isSolid = isSolidUse || from === 'brought-in'
    const receiver = isSolid && apart ? apart : find(fixture.drains)
    if (receiver.isBin) return []
    const fixed = share * volume.value
    const ends = { from: endCode(from), to: receiver.code, added: from }
    return [{ ...ends, ofDraw: 0, fixed, isSolid, solidUses, drains: true }]
  })
  if (!isSolidUse || !apart?.isBin) return litres
  const to = apart.code
  const use = {
    from: endCode('body'),
    to,
    ofDraw: 0,
    fixed: share,
    isSolid: true,
    solidUses: share,
    drains: false,
    added: null,
  }
  return [...litres, use]
}

interface Redirect {
  to: number
  /** 0 to 1, in each part. */
  share: Float64Array
}

/**
 * Redirects of one activity that have somewhere to go in this rig: a kind is the rig's first container of it, and what is
 * led to one of joined tanks is led to all.
 */
function redirectsOf(
  activity: Activity,
  rig: Rig,
  find: FindContainer,
  habits: readonly ActiveHabit[],
): Redirect[] {
  return habits.flatMap((habit) =>
    habit.effects.flatMap((effect): Redirect[] => {
      if (effect.kind !== 'redirect' || effect.activity !== activity.id) return []
      const share = shareIn(habit, activity, effect.share.value)
      if (isOneOf(REDIRECT_ENDS, effect.to)) return [{ to: endCode(effect.to), share }]
      const first = rig.containers.find(({ kind }) => kind === effect.to)
      return first ? [{ to: find(first.id).code, share }] : []
    }),
  )
}

/** A share of an activity's uses in each part: none where the habit does not hold, its persons' where only some take part. */
function shareIn({ active, shareOf }: ActiveHabit, { id }: Pick<Activity, 'id'>, share: Share): Float64Array {
  const persons = shareOf(id)
  return Float64Array.from(active, (isOn, i) => (isOn ? share * (persons?.[i] ?? 1) : 0))
}

/** What habits leave of what a use adds, in each part; null: all of it, always. */
function addedPortion(
  activity: Activity,
  from: AddedFrom,
  habits: readonly ActiveHabit[],
): Float64Array | null {
  let portion: Float64Array | null = null
  for (const habit of habits)
    for (const effect of habit.effects) {
      if (effect.kind !== 'adds' || effect.activity !== activity.id || effect.from !== from) continue
      const share = shareIn(habit, activity, 1)
      portion ??= new Float64Array(share.length).fill(1)
      for (let i = 0; i < share.length; i++) portion[i]! *= 1 + share[i]! * (effect.factor.value - 1)
    }
  return portion
}

/** Water drawn from the rig's own supply, and a stream beside it for what habits bring in by jug instead. */
function broughtIn(stream: Stream, { id }: Activity, habits: readonly ActiveHabit[]): Stream[] {
  const from = endCode('brought-in')
  let own: Float64Array | null = null
  for (const habit of habits)
    for (const effect of habit.effects) {
      if (effect.kind !== 'bring' || effect.activity !== id || stream.from === from) continue
      const share = shareIn(habit, { id }, effect.share.value)
      own ??= new Float64Array(share.length).fill(1)
      for (let i = 0; i < share.length; i++) own[i]! *= 1 - share[i]!
    }
  if (own === null) return [stream]
  return [
    { ...stream, portion: own },
    { ...stream, from, portion: own.map((left) => 1 - left) },
  ]
}

/** The stream with what redirects leave of it, and one stream for each of them. */
function redirected(stream: Stream, redirects: readonly Redirect[]): Stream[] {
  if (redirects.length === 0) return [stream]
  const left = stream.portion?.slice() ?? new Float64Array(redirects[0]!.share.length).fill(1)
  const others = redirects.map(({ to, share }) => {
    const portion = new Float64Array(left.length)
    for (let i = 0; i < left.length; i++) {
      portion[i] = share[i]! * left[i]!
      left[i]! -= portion[i]!
    }
    return { ...stream, to, portion }
  })
  return [{ ...stream, portion: left }, ...others]
}

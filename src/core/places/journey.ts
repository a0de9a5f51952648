import { slotNumber, slotOfTime } from '../calendar'
import { MOVING_KINDS, type Id, type Place, type Run, type StayCase } from '../domain'
import { roadBetween, wayTo, type Leg } from './way'

type About = Pick<StayCase, 'stay' | 'crew'>

/** What a run takes of the road. */
export interface RunRoad {
  /** km there and back, or what it adds to the road of those it shares a trip with. */
  kilometres: number
  /** Its whole time, packing, queue and service included. */
  minutes: number
  /** Runs of the same journey that come before it. */
  sharesWith: Id[]
  /** From the stop before, or from the site: km and minutes; null: not known. */
  leg: Leg | null
}

/**
 * The road of a run. What the owner typed of it stands. Else the runs of one part that go to places are one journey: from the site
 * by each of them in their order and back, and each is charged what it adds (so that the sum is the journey). A run to a place of
 * which no road is known, or to none, takes what is assumed of it.
 * @param stop of the run, where it is one @param before the stops of its part that come before it
 */
export function roadOf(
  { stay, crew }: About,
  run: Run,
  stop: Stop | null,
  before: readonly { run: Id; stop: Stop }[],
): RunRoad {
  if (!stop) {
    const leg = run.place === null ? null : wayTo({ stay, crew }, run.place)
    return { kilometres: run.kilometres.value, minutes: run.minutes.value, sharesWith: [], leg }
  }
  const { place, fromSite } = stop
  const last = before.at(-1)?.stop ?? null
  const between: Leg | null = last && betweenPlaces({ stay, crew }, last.place, place)
  const leg: Leg = between ?? fromSite
  const shared = last !== null && between !== null
  const back: Leg = last?.fromSite ?? fromSite
  const extra = (of: 'kilometres' | 'minutes') =>
    Math.max(0, shared ? leg[of] + fromSite[of] - back[of] : 2 * fromSite[of])
  const packs = MOVING_KINDS.includes(run.kind) && !(shared && MOVING_KINDS.includes(last.run.kind))
  const { packing, service } = crew.road
  const there = place.queue.value + service.value + (packs ? packing.value : 0)
  return {
    kilometres: extra('kilometres'),
    minutes: run.minutes.by === 'owner' ? run.minutes.value : extra('minutes') + there,
    sharesWith: shared ? before.map((one) => one.run) : [],
    leg,
  }
}

export interface Stop {
  run: Run
  place: Place
  fromSite: Leg
}

/** A run that is a round trip from the site to a place of which the road is known; null: it is none. */
export function stopOf(about: About, run: Run): Stop | null {
  const { stay } = about
  const place = stay.places.find(({ id }) => id === run.place)
  const isOfRoad = run.kind === 'on-the-road' || isLastWay(stay, run)
  if (!place || isOfRoad || run.kilometres.by === 'owner') return null
  const fromSite = wayTo(about, place.id)
  return fromSite && { run, place, fromSite }
}

/** A crew that goes home at the end of the stay does not come back. */
function isLastWay({ start, leaveAt }: StayCase['stay'], run: Run): boolean {
  return run.kind === 'go-home' && slotNumber(run) >= slotNumber(slotOfTime(start, leaveAt))
}

function betweenPlaces(about: About, a: Place, b: Place): Leg | null {
  if (a.id === b.id) return { kilometres: 0, minutes: 0, isOwn: false }
  return roadBetween(about, a.position, b.position)
}

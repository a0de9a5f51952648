import { slotNumber, slotOfTime } from '../calendar'
import { MOVING_KINDS, type Id, type Place, type Run, type StayCase } from '../model'
import { roadBetween, wayTo, type Leg } from './way'

type About = Pick<StayCase, 'stay' | 'crew'>

/** What a run takes of the road. */
export interface RunRoad {
  /** km there and back, or what it adds to the road of those it shares a trip with. */
  kilometres: number
  /** Its whole time, packing, queue and service included. */
  minutes: number
  /** Runs of the same trip that come before it. */
  sharesWith: Id[]
  /** From the stop before, or from the site: km and minutes; null: not known. */
  leg: Leg | null
}

/**
 * The roads of all runs. What the owner typed of a run stands. Else the runs of one part that go to places are one trip: from
 * the site by each of them in their order and back, and each is charged what it adds (so that the sum is the trip). A run to a
 * place of which no road is known, or to none, takes what is assumed of it.
 */
export function roadsOf({ stay, crew }: About): Map<Id, RunRoad> {
  const roads = new Map<Id, RunRoad>()
  const trips = new Map<number, Stop[]>()
  for (const run of stay.runs) {
    const stop = stopOf({ stay, crew }, run)
    if (!stop) {
      const leg = run.place === null ? null : wayTo({ stay, crew }, run.place)
      roads.set(run.id, { kilometres: run.kilometres.value, minutes: run.minutes.value, sharesWith: [], leg })
      continue
    }
    const at = slotNumber(run)
    trips.set(at, [...(trips.get(at) ?? []), stop])
  }
  for (const stops of trips.values()) chargeTrip({ stay, crew }, stops, roads)
  return roads
}

interface Stop {
  run: Run
  place: Place
  fromSite: Leg
}

/** A run that is a round trip from the site to a place of which the road is known. */
function stopOf(about: About, run: Run): Stop | null {
  const { stay } = about
  const place = stay.places.find(({ id }) => id === run.place)
  const isOfRoad = run.kind === 'on-the-road' || isLastWay(stay, run)
  if (!place || isOfRoad || run.kilometres.by === 'owner') return null
  const fromSite = wayTo(about, place.id)
  return fromSite && { run, place, fromSite }
}

/** Whoever goes home when the stay is left does not come back. */
function isLastWay({ start, leaveAt }: StayCase['stay'], run: Run): boolean {
  return run.kind === 'go-home' && slotNumber(run) >= slotNumber(slotOfTime(start, leaveAt))
}

function chargeTrip({ stay, crew }: About, stops: readonly Stop[], roads: Map<Id, RunRoad>): void {
  let before: Stop | null = null
  for (const stop of stops) {
    const { run, place, fromSite } = stop
    const between: Leg | null = before && betweenPlaces({ stay, crew }, before.place, place)
    const leg: Leg = between ?? fromSite
    const shared = before !== null && between !== null
    const back: Leg = before?.fromSite ?? fromSite
    const extra = (of: 'kilometres' | 'minutes') =>
      Math.max(0, shared ? leg[of] + fromSite[of] - back[of] : 2 * fromSite[of])
    const packs = MOVING_KINDS.includes(run.kind) && !(shared && MOVING_KINDS.includes(before!.run.kind))
    const { packing, service } = crew.road
    const there = place.queue.value + service.value + (packs ? packing.value : 0)
    roads.set(run.id, {
      kilometres: extra('kilometres'),
      minutes: run.minutes.by === 'owner' ? run.minutes.value : extra('minutes') + there,
      sharesWith: shared ? stops.slice(0, stops.indexOf(stop)).map((one) => one.run.id) : [],
      leg,
    })
    before = stop
  }
}

function betweenPlaces(about: About, a: Place, b: Place): Leg | null {
  if (a.id === b.id) return { kilometres: 0, minutes: 0, isOwn: false }
  return roadBetween(about, a.position, b.position)
}

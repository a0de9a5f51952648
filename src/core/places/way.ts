import type { Id, Place, Position, StayCase } from '../domain'
import { greatCircleKm } from './distance'

type About = Pick<StayCase, 'stay' | 'crew'>

/** One way over the road. */
export interface Leg {
  /** km */
  kilometres: number
  /** At the wheel. */
  minutes: number
  /** Whether the owner gave the kilometres; else they are the great circle times a factor. */
  isOwn: boolean
}

const HOUR_MIN = 60

/** The road from the site to a place: the owner's own wins over the great circle times a factor; null: neither is known. */
export function wayTo({ stay, crew }: About, placeId: Id): Leg | null {
  const own = stay.ways.find(({ place }) => place === placeId)
  const place = stay.places.find(({ id }) => id === placeId)
  const workedOut = place ? roadBetween({ crew }, stay.site.position, place.position) : null
  const kilometres = own?.kilometres?.value ?? workedOut?.kilometres
  if (kilometres === undefined) return null
  const minutes = own?.minutes?.value ?? (kilometres / crew.road.speed.value) * HOUR_MIN
  return { kilometres, minutes, isOwn: Boolean(own?.kilometres) }
}

/** The road between two positions, as it is worked out. */
export function roadBetween(
  { crew: { road } }: Pick<StayCase, 'crew'>,
  from: Position | null,
  to: Position | null,
): Leg | null {
  if (!from || !to) return null
  const kilometres = greatCircleKm(from, to) * road.factor.value
  return { kilometres, minutes: (kilometres / road.speed.value) * HOUR_MIN, isOwn: false }
}

/** Places by their road from the site, those of which it is not known last, each in the order of its name. */
export function byRoad(about: About, places: readonly Place[]): Place[] {
  const km = new Map(places.map(({ id }) => [id, wayTo(about, id)?.kilometres ?? Infinity]))
  return [...places].sort((a, b) => {
    const apart = km.get(a.id)! - km.get(b.id)!
    return Number.isNaN(apart) || apart === 0 ? (a.name < b.name ? -1 : 1) : apart
  })
}

import { addWallDays, dayZero, leaveAfterNights, type WallTime } from '@/core/calendar'
import { noBudget, type Document, type Id, type Stay } from '@/core/domain'
import { fromSource, type Quantity } from '@/core/quantities'
import { stayOf } from './find'
import { setStart } from './stayEdits'

/** Recipes on a draft: one stay after another. */

/** Lets a stay take over what another leaves; null: it starts by itself. */
export function setFollows(draft: Document, stayId: Id, follows: Id | null): void {
  stayOf(draft, stayId).follows = follows
}

/** Share of each waste tank that may be left when the stay's road ends; null: nobody asks. */
export function setEndsAt(draft: Document, stayId: Id, share: Quantity | null): void {
  stayOf(draft, stayId).endsAt = share
}

export interface NextStay {
  id: Id
  name: string
  start: WallTime
  nights: number
}

/** A stay after another: the same rig, crew, habits and places; its own land, site, runs and days. Shown from now on. */
export function followStay(draft: Document, stayId: Id, { id, name, start, nights }: NextStay): void {
  const before = stayOf(draft, stayId)
  const next: Stay = {
    ...(JSON.parse(JSON.stringify(before)) as Stay),
    id,
    name,
    start,
    leaveAt: leaveAfterNights(start, `${start.slice(0, 10)}T11:00`, nights),
    follows: stayId,
    habits: before.habits.filter(({ days }) => days === null).map((on) => ({ ...on })),
    absences: [],
    guests: [],
    counted: [],
    runs: [],
    rules: [],
    budget: noBudget(),
    endsAt: null,
  }
  next.weather.days = []
  next.site = { ...next.site, hookupNights: 0, position: null, water: 'none', sewer: 'none', stayLimit: null }
  next.ways = []
  draft.stays.splice(draft.stays.findIndex((stay) => stay.id === stayId) + 1, 0, next)
  draft.currentStay = id
}

/** A night at a paid hookup between two stays: gray and black go there, and fresh is filled, on the morning after it. */
export function hookupBetween(
  draft: Document,
  stayId: Id,
  { id, name, fee, run }: { id: Id; name: string; fee: number; run: Stay['runs'][0] },
): void {
  const stay = stayOf(draft, stayId)
  const { follows } = stay
  if (follows === null) return
  const before = stayOf(draft, follows)
  // From the afternoon on which the one before is left; the next begins a day later where it would begin too soon.
  const start = addWallDays(dayZero(before.leaveAt), 10 / 24)
  followStay(draft, follows, { id, name, start, nights: 1 })
  const hookupNight = stayOf(draft, id)
  Object.assign(hookupNight.site, { water: 'tap', sewer: 'all', hookupNights: 1 })
  const asked = { ...run, day: 1, part: 'morning' as const, fee: fromSource(fee, 'assumed') }
  hookupNight.runs = [JSON.parse(JSON.stringify(asked)) as Stay['runs'][0]]
  stay.follows = id
  if (stay.start < hookupNight.leaveAt) setStart(draft, stayId, addWallDays(stay.start, 1))
  draft.currentStay = stayId
}

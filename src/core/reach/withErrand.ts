import { addWallDays } from '../calendar'
import { runOffers, type RunOffer } from '../errands'
import { withHabits } from '../habits'
import type { Id, StayCase } from '../domain'
import type { Days, Share } from '../quantities'
import { riskTables } from '../risk'
import { withRun } from '../schedule'
import { untold } from '../slices'
import { SAMPLE, type ReachOptions } from './answer'
import { byTrying } from './byTrying'

/** One errand, and the habits beside it, that make the nights together. */
export interface ErrandSet {
  offer: RunOffer
  /** With it these are on; none where it does by itself. */
  habits: Id[]
  /** Of the habits, a day. */
  bother: number
  chance: Share
  /** In the owner's money: the errand's cost and the habits' bother for as long as is asked. */
  cost: number
}

/** Errands beside which habits are tried: the ones that bring most. */
const MOST_TRIED = 2

/**
 * Where habits alone do not reach the goal: the least that does with one errand (model.md section 7). Errands that do by themselves
 * come first; where none does, habits are tried beside those that bring most.
 */
export function* leastErrand(
  stayCase: StayCase,
  options: ReachOptions,
): Generator<undefined, ErrandSet | null> {
  const { seed, untilDays, trips = SAMPLE, tables = riskTables() } = options
  const { stay, now, crew } = stayCase
  const leaveAt = addWallDays(now?.at ?? stay.start, untilDays)
  const bare = withHabits({ ...stayCase, stay: { ...stay, leaveAt } }, [])
  const offers = (yield* untold(runOffers(bare, { seed, trials: 2 * trips, tables }))).filter(isErrandOfStay)
  const alone = offers
    .filter(({ chance }) => chance >= stay.confidence.value)
    .map((offer) => ({ offer, habits: [], bother: 0, chance: offer.chance, cost: offer.cost.total }))
  if (alone.length > 0) return least(alone)
  const most = [...offers].sort((a, b) => b.gain - a.gain).slice(0, MOST_TRIED)
  const found: ErrandSet[] = []
  for (const offer of most) {
    const { goal } = yield* untold(byTrying(withRun(bare, offer.run), options))
    if (!goal) continue
    const { habits, bother, chance } = goal
    const cost = offer.cost.total + bother * untilDays * crew.costs.bother.value
    found.push({ offer, habits, bother, chance, cost })
  }
  return found.length > 0 ? least(found) : null
}

/** What is done on the road, or ends the stay, is no errand of it. */
function isErrandOfStay({ run, usual, gain }: RunOffer): boolean {
  return run.kind !== 'on-the-road' && usual !== 'go-home' && gain > LEAST_D
}
const LEAST_D: Days = 1 / 20

function least(sets: readonly ErrandSet[]): ErrandSet {
  return sets.reduce((a, b) => (b.cost < a.cost ? b : a))
}

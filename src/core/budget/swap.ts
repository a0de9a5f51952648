import type { LogEntry } from '../log'
import { todayOf } from '../habits'
import type { Id, StayCase, Swap } from '../domain'
import { allowances } from './allowance'
import type { Budget, BudgetOptions } from './budget'
import { goalOf } from './goal'
import { caseAtFactor, groundsOf } from './atFactor'
import { heldUntil } from './holds'
import { partedBySaving } from './saved'

/** What giving up uses of one activity today would buy of another; `by` is the fewest that buy a whole one. */
export type SwapOffer =
  | { state: 'offered'; swap: Swap; binds: Id; held: Id | null }
  /** `none-left`: there are not enough of it. `no-help`: it spares nothing that binds. `forbidden`: another container would fail. */
  | {
      state: 'none-left' | 'no-help' | 'forbidden'
      swap: null
      /** How many uses a whole one of the other takes. */
      by: number
      binds: Id | null
      held: Id | null
    }

/** Nobody wants more of anything in a day. */
const MOST_PLUS = 30
/** By this share of trips a swap that keeps the balance may look worse, since it moves single trips over the edge. */
const NOISE = 0.005

/**
 * One use against another at their litres into the container that binds (model.md section 7), in whole uses, and no more
 * than the other containers allow on the same trips.
 */
export function swapOffer(
  stayCase: StayCase,
  log: readonly LogEntry[],
  { lines, binds, factor, chance, confidence }: Budget,
  less: Id,
  more: Id,
  options: BudgetOptions,
): SwapOffer {
  const [from, to] = [less, more].map((id) => lines.find(({ activity }) => activity === id))
  const none = (state: 'none-left' | 'no-help' | 'forbidden', by = 1, held: Id | null = null): SwapOffer => ({
    state,
    swap: null,
    by,
    binds,
    held,
  })
  if (!from || !to || less === more) return none('none-left')
  if (binds === null || from.cost <= 0) return none('no-help')
  const perUse = to.cost > 0 ? from.cost / to.cost : MOST_PLUS
  const by = Math.max(1, Math.ceil(1 / perUse - 1e-9))
  if (by > from.today) return none('none-left', by)
  const { saved } = partedBySaving(stayCase.crew)
  const goal = goalOf(stayCase.stay)
  const day = todayOf(stayCase)
  const needed = Math.min(chance, confidence) - NOISE
  const held = (plus: number) => {
    const swap: Swap = { day, less, by, more, plus }
    const { stay } = stayCase
    const swapped = {
      ...stayCase,
      stay: { ...stay, budget: { ...stay.budget, swaps: [...stay.budget.swaps, swap] } },
    }
    const grounds = groundsOf(swapped, saved, allowances(swapped, saved, goal.at, log))
    return { swap, held: heldUntil(caseAtFactor(grounds, factor), goal, options) }
  }
  let limiting: Id | null = null
  for (let plus = Math.min(MOST_PLUS, Math.floor(by * perUse + 1e-9)); plus >= 1; plus = fewer(plus)) {
    const tried = held(plus)
    if (tried.held.chance >= needed) return { state: 'offered', swap: tried.swap, binds, held: limiting }
    limiting = tried.held.failing.find(({ container }) => container !== binds)?.container ?? binds
  }
  return none('forbidden', by, limiting)
}

/** Large numbers fall faster: a look at each would take long. */
const fewer = (plus: number) => (plus > 8 ? Math.floor(plus * 0.7) : plus - 1)

import type { Run, StayCase } from '../domain'
import type { Days, Share } from '../quantities'
import { heldOn, type TripOptions } from '../risk'
import { runCost, type RunCost } from '../schedule'
import { usualRuns, type UsualErrand, type UsualRun } from './catalog'
import { groundOf, placedSteps, type Ground } from './placed'
import { runOf } from './makeErrand'

/** An errand ready to be set, where and when it helps most, with what it buys and what it asks for. */
export interface RunOffer {
  usual: UsualRun
  /** As it would be set: its place is the one that is named, and it gets its name when it is set. */
  run: Run
  /** Expected days held that it brings, and the chance to make all nights without it and with it. */
  gain: Days
  chanceBefore: Share
  chance: Share
  /** It can be done, at a time that is sure as far as is known. */
  isSure: boolean
  cost: RunCost
}

/** What is asked of the errands of a stay. */
export interface OfferOptions extends TripOptions {
  /** Which; left out: all that this rig can do. */
  usual?: readonly UsualRun[]
}

/**
 * The errands that this rig can do, each put where it helps most with the runs that are set already, on the same trips; an errand
 * that can be done nowhere is left out. One maker: what is offered is what is set.
 */
export function* runOffers(
  stayCase: StayCase,
  options: OfferOptions,
): Generator<RunOffer | undefined, RunOffer[], undefined> {
  const ground = groundOf(stayCase, options)
  yield
  const offers: RunOffer[] = []
  for (const errand of usualRuns(stayCase)) {
    if (options.usual && !options.usual.includes(errand.usual)) continue
    const offer = yield* offerOf(ground, errand, options)
    if (offer) offers.push(offer)
    yield offer ?? undefined
  }
  return offers
}

/** One errand, put where it helps most; null: it can be done nowhere. */
export function* offerOf(
  { stayCase, held: before, planOn }: Ground,
  errand: UsualErrand,
  options: TripOptions,
): Generator<undefined, RunOffer | null> {
  const slot = { day: 0, part: 'midday' } as const
  const run = runOf(stayCase, errand, `offer ${errand.usual}`, slot)
  const placed = yield* placedSteps(
    { stayCase, held: before, planOn },
    { ...run, when: errand.when },
    options,
  )
  if (!placed) return null
  const { answer, held } = placed
  return {
    usual: errand.usual,
    run: placed.run,
    gain: held.held - before.held,
    chanceBefore: before.chance,
    chance: held.chance,
    isSure: answer.visit.kind !== 'fits' || answer.visit.fit.span.isSure,
    cost: runCost(stayCase, answer),
  }
}

/** A run that is set, at a better time or place. */
export interface BetterTime {
  run: Run
  gain: Days
  chanceBefore: Share
  chance: Share
}

/** A run that is set, put where it helps more: the same errand, moved; null: nowhere is better. */
export function* betterTime(
  stayCase: StayCase,
  run: Run,
  options: TripOptions,
): Generator<undefined, BetterTime | null> {
  const { stay } = stayCase
  const without = { ...stayCase, stay: { ...stay, runs: stay.runs.filter(({ id }) => id !== run.id) } }
  const ground = groundOf(without, options)
  const now = heldOn(stayCase, options)
  yield
  const placed = yield* placedSteps(ground, { ...run, when: null }, options)
  if (!placed) return null
  const gain = placed.held.held - now.held
  return gain > LEAST_D
    ? { run: placed.run, gain, chanceBefore: now.chance, chance: placed.held.chance }
    : null
}
/** Less is not worth moving a run. */
const LEAST_D: Days = 1 / 20

import type { RunEntry } from '../log'
import type { Id } from '../domain'
import type { Card, CardStep } from './derive'
import { stopSafely, type SafeStep } from './stopSafely'

/**
 * A walk through the cards of an errand: plain data that outlives a locked screen and a reload. Times are milliseconds of a
 * clock that is passed in; a timer is what the clock says, never what a page counted.
 */
export interface Walk {
  cards: Card[]
  /** Which card, and which step of it; past the last step of the last card: it is done. */
  card: number
  step: number
  startedAt: number
  /** When each step was left, as `card.step`. */
  left: Record<string, number>
  /** Timers that were started, and tallies, by `card.step`. */
  timers: Record<string, Timer>
  tallies: Record<string, number>
  /** When somebody stopped before the end. */
  stoppedAt: number | null
}

export interface Timer {
  startedAt: number
  seconds: number
  /** When it was stopped by hand; null: it runs. */
  endedAt: number | null
}

export type WalkAction =
  | { do: 'next'; at: number }
  | { do: 'back' }
  | { do: 'start-timer'; at: number; seconds: number }
  | { do: 'end-timer'; at: number }
  | { do: 'tally'; by: 1 | -1 }
  | { do: 'stop'; at: number }
  | { do: 'go-on' }

export function startWalk(cards: readonly Card[], at: number): Walk {
  return {
    cards: [...cards],
    card: 0,
    step: 0,
    startedAt: at,
    left: {},
    timers: {},
    tallies: {},
    stoppedAt: null,
  }
}

export const keyOf = (card: number, step: number) => `${card}.${step}`

/** The step that is shown; null: all are done. */
export function stepAt({ cards, card, step }: Walk): CardStep | null {
  return cards[card]?.steps[step] ?? null
}

export function walked(walk: Walk, action: WalkAction): Walk {
  const key = keyOf(walk.card, walk.step)
  const isOver = stepAt(walk) === null
  switch (action.do) {
    case 'next': {
      if (isOver) return walk
      const isLast = walk.step + 1 >= walk.cards[walk.card]!.steps.length
      const running = walk.timers[key]
      return {
        ...walk,
        left: { ...walk.left, [key]: action.at },
        timers:
          running && running.endedAt === null
            ? { ...walk.timers, [key]: { ...running, endedAt: action.at } }
            : walk.timers,
        card: isLast ? walk.card + 1 : walk.card,
        step: isLast ? 0 : walk.step + 1,
      }
    }
    case 'back': {
      if (walk.stoppedAt !== null) return { ...walk, stoppedAt: null }
      if (walk.step > 0) return { ...walk, step: walk.step - 1 }
      if (walk.card === 0) return walk
      return { ...walk, card: walk.card - 1, step: walk.cards[walk.card - 1]!.steps.length - 1 }
    }
    case 'start-timer':
      return isOver
        ? walk
        : {
            ...walk,
            timers: {
              ...walk.timers,
              [key]: { startedAt: action.at, seconds: action.seconds, endedAt: null },
            },
          }
    case 'end-timer': {
      const timer = walk.timers[key]
      return timer && timer.endedAt === null
        ? { ...walk, timers: { ...walk.timers, [key]: { ...timer, endedAt: action.at } } }
        : walk
    }
    case 'tally':
      return isOver
        ? walk
        : { ...walk, tallies: { ...walk.tallies, [key]: Math.max(0, (walk.tallies[key] ?? 0) + action.by) } }
    case 'stop':
      return { ...walk, stoppedAt: action.at }
    case 'go-on':
      return { ...walk, stoppedAt: null }
  }
}

/** Seconds left of the timer of the step that is shown; negative: overdue by so much; null: none was started. */
export function secondsLeft(walk: Walk, at: number): number | null {
  const timer = walk.timers[keyOf(walk.card, walk.step)]
  if (!timer) return null
  return timer.seconds - ((timer.endedAt ?? at) - timer.startedAt) / 1000
}

/** Whether water or waste runs under somebody's eyes just now: the screen stays on. */
export function isRunning(walk: Walk): boolean {
  const timer = walk.timers[keyOf(walk.card, walk.step)]
  return timer !== undefined && timer.endedAt === null
}

/**
 * The card that is under hand, its parts as one, and how many of its steps were begun: what earlier parts left standing is standing
 * still. Null: the walk has none.
 */
export function underHand(walk: Walk): { card: Card; upTo: number } | null {
  const card = walk.cards[Math.min(walk.card, walk.cards.length - 1)]
  if (!card) return null
  const parts = walk.cards
    .slice(0, walk.card)
    .filter((one) => one.kind === card.kind && one.about === card.about)
  const steps = [...parts.flatMap((part) => part.steps), ...card.steps]
  const upTo =
    parts.reduce((sum, part) => sum + part.steps.length, 0) +
    (walk.card < walk.cards.length ? walk.step + 1 : card.steps.length)
  return { card: { ...card, steps }, upTo }
}

/** How far through all cards: the step that is shown, the first is 1, and how many there are. */
export function progressOf({ cards, card, step }: Walk): { at: number; all: number } {
  const stepsOf = (list: readonly Card[]) => list.reduce((sum, { steps }) => sum + steps.length, 0)
  const all = stepsOf(cards)
  return { at: Math.min(all, stepsOf(cards.slice(0, card)) + step + 1), all }
}

/** What makes it safe to stop where the walk stands. */
export function stopWalk(walk: Walk): SafeStep[] {
  const now = underHand(walk)
  return now ? stopSafely(now.card, now.upTo) : []
}

/** What a walk says to the log, before somebody looked it over. */
export interface Finished {
  did: RunEntry['did']
  /** Rounds that were counted for each tank, and whether a rinse was put off. */
  rinses: { container: Id; rounds: number; owed: number }[]
  doses: { container: Id; product: Id; amount: number }[]
  /** Minutes until the rush of a tank was over, where a clock ran and was stopped. */
  drains: { container: Id; minutes: number }[]
  minutes: number
  /** Tanks whose panel is read before and after. */
  read: Id[]
}

const ROUNDS = 'rounds'

/** From the steps that were left behind: what was not walked was not done. @param at the clock, where the walk is not over */
export function finished(walk: Walk, at: number): Finished {
  const { cards } = walk
  const done = cards.flatMap(({ steps }, c) =>
    steps.flatMap((step, s) => (walk.left[keyOf(c, s)] === undefined ? [] : [{ step, key: keyOf(c, s) }])),
  )
  const rinses = new Map<Id, { rounds: number; owed: number }>()
  const doses: Finished['doses'] = []
  const drains: Finished['drains'] = []
  const read = new Set<Id>()
  for (const { step, key } of done) {
    const rounds = step.numbers.find(({ id }) => id === ROUNDS)
    if (step.tally === ROUNDS && step.tank !== null) {
      const before = rinses.get(step.tank)?.rounds ?? 0
      rinses.set(step.tank, { rounds: before + (walk.tallies[key] ?? rounds?.value ?? 0), owed: 0 })
    }
    if (step.acts.some(({ act }) => act === 'owe-rinse') && step.tank !== null && !rinses.has(step.tank))
      rinses.set(step.tank, { rounds: 0, owed: 1 })
    const timer = walk.timers[key]
    if (step.timer === 'drain' && step.tank !== null && timer && timer.endedAt !== null)
      drains.push({
        container: step.tank,
        minutes: Math.round((timer.endedAt - timer.startedAt) / 6_000) / 10,
      })
    const dose = step.numbers.find(({ id }) => id === 'dose')
    if (step.product !== null && step.tank !== null && dose)
      doses.push({ container: step.tank, product: step.product, amount: dose.value })
    if (step.did.some(({ what }) => what === 'emptied'))
      for (const { container } of step.did) read.add(container)
  }
  const left = cards.flatMap(({ steps }, c) => steps.flatMap((_, k) => walk.left[keyOf(c, k)] ?? []))
  const times = [walk.startedAt, ...left, ...(walk.stoppedAt === null ? [] : [walk.stoppedAt])]
  if (left.length === 0 && walk.stoppedAt === null) times.push(at)
  return {
    did: merged(done.flatMap(({ step }) => step.did)),
    rinses: [...rinses].map(([container, rinse]) => ({ container, ...rinse })),
    doses,
    drains: drains.filter((one) => one.minutes > 0),
    minutes: Math.round(workedMs(times) / 60_000),
    read: [...read],
  }
}

/** Between two steps nobody works longer than this: the card was laid aside. A hold of bleach is shorter. */
const LAID_ASIDE_MS = 6 * 3_600_000

/** @param times of the steps in their order; a clock that was set back between two of them adds nothing */
function workedMs(times: readonly number[]): number {
  return times.slice(1).reduce((sum, time, k) => {
    const gap = time - times[k]!
    return gap > 0 && gap <= LAID_ASIDE_MS ? sum + gap : sum
  }, 0)
}

/** Each container once for each thing that was done to it. */
function merged(did: RunEntry['did']): RunEntry['did'] {
  const out: RunEntry['did'] = []
  for (const one of did) {
    const known = out.find(({ container, what }) => container === one.container && what === one.what)
    if (!known) out.push({ ...one })
    else if (known.litres !== null && one.litres !== null)
      known.litres = Math.round((known.litres + one.litres) * 10) / 10
  }
  return out
}

/** A tank that ran empty under somebody's eyes and whose panel says otherwise: its probe is suspect. */
export function suspects(did: RunEntry['did'], stepAfter: ReadonlyMap<Id, number>): Id[] {
  return did.flatMap(({ container, what }) =>
    what === 'emptied' && (stepAfter.get(container) ?? 0) > 0 ? [container] : [],
  )
}

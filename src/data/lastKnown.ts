import type { LogEntry } from '@/core/log'
import type { Id } from '@/core/domain'
import type { StayLearned } from '@/core/underway'
import { isListOf, isNumber, isRecord, isText, keptValue } from './keptValue'
import type { Space } from './storage/database'

/** What was learned of a stay, and of which log. */
export interface Known {
  stay: Id
  learned: StayLearned
  /** The entries it was learned of; of what was kept they are not known. */
  of: readonly LogEntry[] | null
  /** False: only what a first picture needs, of the time before. */
  isWhole: boolean
}

/** Stays of which it is kept, the newest asked first. */
const MOST = 6
const keptOf = (space: Space) =>
  keptValue<Kept[]>({
    ...{ key: `dry-count:known:${space}`, version: 3, first: [] },
    isWhole: isListOf(isKept),
  })

/** The last thing that was learned, kept in this browser: means only, so that the first picture waits for no log and no worker. */
export const lastKnown = {
  keep(space: Space, { stay, learned }: Known): void {
    const { at, now, factors, activities, made } = learned
    const spreads = activities.map(({ spread }) => spread)
    const kept: Kept = { stay, at, now: { ...now, draws: null }, factors, spreads, made }
    const others = keptOf(space)
      .read()
      .filter((one) => one.stay !== stay)
    const stays = [kept, ...others].slice(0, MOST)
    keptOf(space).write(stays)
  },
  of(space: Space, stay: Id): Known | null {
    const kept = keptOf(space)
      .read()
      .find((one) => one.stay === stay)
    if (!kept) return null
    const { at, now, factors, spreads, made } = kept
    const activities = spreads.map((spread) => ({ spread }))
    return {
      stay,
      learned: { at, now, factors, activities, made } as unknown as StayLearned,
      of: null,
      isWhole: false,
    }
  },
}

interface Kept extends Pick<StayLearned, 'at' | 'now' | 'factors' | 'made'> {
  stay: Id
  spreads: number[]
}

const isFactors = isListOf(isNumber)
const isContent = (value: unknown) => isRecord(value) && Object.values(value).some(isText)
/** What is only a first picture must not make a count of what is no number: it is learned again. */
function isKept(value: unknown): boolean {
  if (!isRecord(value) || !isText(value.stay) || !isText(value.at)) return false
  const { now, factors, spreads, made } = value
  if (![factors, spreads, made].every(isFactors) || !isRecord(now) || !isText(now.at)) return false
  const isLevel = (one: unknown) => isContent(one) && isNumber((one as { level?: unknown }).level)
  return isListOf(isLevel)(now.levels) && [now.vessels, now.onSolids].every(isListOf(isContent))
}

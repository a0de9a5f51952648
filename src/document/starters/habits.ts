import type { Effect, Habit } from '@/core/model'
import { fromSource } from '@/core/quantities'
import { STARTER_HABIT_IDS, type StarterHabitId, type StarterTexts } from './starterTexts'

interface Starter {
  group: string | null
  bother: number
  effects: Effect[]
}

const rate = (activity: string, factor: number): Effect => ({
  kind: 'rate',
  activity,
  factor: fromSource(factor, 'assumed'),
})
const volume = (activity: string, factor: number): Effect => ({
  kind: 'volume',
  activity,
  factor: fromSource(factor, 'assumed'),
})
const replace = (activity: string, litres: number): Effect => ({
  kind: 'replace',
  activity,
  volume: fromSource(litres, 'assumed'),
})

/** Habits that act on rate or volume. None touches drinking or the washing of hands. */
const STARTERS: Record<StarterHabitId, Starter> = {
  'wet-soap-rinse': { group: 'shower-style', bother: 2, effects: [replace('shower', 6)] },
  'one-hair-rinse': { group: null, bother: 1, effects: [volume('shower', 0.85)] },
  'shower-every-other': { group: null, bother: 3, effects: [rate('shower', 0.5)] },
  'basin-dishes': { group: 'dish-style', bother: 2, effects: [volume('dishes', 0.55)] },
  'paper-plates': { group: 'dish-style', bother: 1, effects: [rate('dishes', 0.5)] },
  'meals-out': { group: null, bother: 3, effects: [rate('dishes', 0.6), rate('cooking', 0.6)] },
  'spare-liquid-flush': { group: 'flush-style', bother: 1, effects: [replace('liquid-use', 0.3)] },
  'spray-bottle': {
    group: 'flush-style',
    bother: 2,
    effects: [volume('liquid-use', 0.7), volume('solid-use', 0.6)],
  },
  'toilets-away': { group: null, bother: 2, effects: [rate('liquid-use', 0.6), rate('solid-use', 0.5)] },
  'tooth-cup': { group: null, bother: 0.5, effects: [volume('teeth', 0.5)] },
  'damp-cloth': { group: null, bother: 1, effects: [volume('cleaning', 0.4)] },
}

export function starterHabits(texts: StarterTexts): Habit[] {
  return STARTER_HABIT_IDS.map((id) => {
    const { group, bother, effects } = STARTERS[id]
    return { id, ...texts.habits[id], group, effects, bother: fromSource(bother, 'assumed') }
  })
}

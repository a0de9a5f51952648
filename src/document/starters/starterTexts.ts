import type { ActivityKind } from '@/core/model'

/** Words for what a starter puts into a document; after that they are the owner's to change. */
export interface StarterTexts {
  activities: Record<Exclude<ActivityKind, 'own'>, string>
  habits: Record<StarterHabitId, { name: string; note: string }>
}

export const STARTER_HABIT_IDS = [
  'wet-soap-rinse', 'one-hair-rinse', 'shower-every-other', 'basin-dishes', 'paper-plates', 'meals-out',
  'spare-liquid-flush', 'spray-bottle', 'toilets-away', 'tooth-cup', 'damp-cloth',
] as const // prettier-ignore
export type StarterHabitId = (typeof STARTER_HABIT_IDS)[number]

import type { ActivityKind } from '@/core/domain'

/** Words for what a starter puts into a document; after that they are the owner's to change. */
export interface StarterTexts {
  activities: Record<Exclude<ActivityKind, 'own'>, string>
  habits: Record<StarterHabitId, { name: string; note: string }>
}

export const STARTER_HABIT_IDS = [
  'wet-soap-rinse',
  'full-shut-off',
  'one-hair-rinse',
  'leave-in-conditioner',
  'shower-every-other',
  'shower-bag',
  'outdoor-shower',
  'shower-carried-out',
  'shower-basin',
  'catch-run-up',
  'basin-dishes',
  'wipe-first',
  'paper-plates',
  'dish-water-flush',
  'dish-water-outdoors',
  'meals-out',
  'spare-liquid-flush',
  'no-liquid-flush',
  'spray-bottle',
  'bowl-liners',
  'paper-bin',
  'dry-bowl',
  'jug-flush',
  'toilets-away',
  'toilets-in-town',
  'liquids-only',
  'urine-outdoors',
  'urine-apart',
  'night-cup',
  'pump-off',
  'line-cup',
  'tooth-cup',
  'damp-cloth',
  'sun-bag',
  'low-flow-head',
  'screened-shower',
  'cup-poured-out',
  'wipe-wet-room',
] as const
export type StarterHabitId = (typeof STARTER_HABIT_IDS)[number]

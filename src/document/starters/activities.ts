import type { Activity, ActivityKind, AddedFrom, Role } from '@/core/domain'
import { fromSource, type SourceId } from '@/core/quantities'
import type { StarterTexts } from './starterTexts'

type Sourced = [value: number, source: SourceId]

interface Starter {
  kind: Exclude<ActivityKind, 'own'>
  role: Role
  per: Activity['per']
  /** Uses per day. */
  rate: Sourced
  /** L per use. */
  volume: Sourced
  drainShare: number
  /** Morning, midday, evening, night. */
  weights: [number, number, number, number]
  dispersion: 0 | 1
  adds?: [from: AddedFrom, litres: number, source: SourceId][]
}

/**
 * What a person does in a day. Public figures where there are some (model.md section 9), else assumed:
 * drinking 2.6 L in 8 cups; urine 1.42 L in 6.5 uses; solids 128 g, taken as 0.107 L in each of 1.2 uses.
 */
const STARTERS: Starter[] = [
  { kind: 'shower', role: 'shower', per: 'person', rate: [0.5, 'assumed'], volume: [14, 'watersense'], drainShare: 1, weights: [0.3, 0.1, 0.6, 0], dispersion: 1 },
  { kind: 'hand-wash', role: 'basin', per: 'person', rate: [6, 'assumed'], volume: [0.4, 'assumed'], drainShare: 1, weights: [0.3, 0.3, 0.3, 0.1], dispersion: 1 },
  { kind: 'teeth', role: 'basin', per: 'person', rate: [2, 'assumed'], volume: [0.3, 'assumed'], drainShare: 1, weights: [0.5, 0, 0.5, 0], dispersion: 1 },
  { kind: 'dishes', role: 'kitchen', per: 'crew', rate: [2, 'assumed'], volume: [6, 'assumed'], drainShare: 1, weights: [0.3, 0.2, 0.5, 0], dispersion: 1 },
  { kind: 'cooking', role: 'kitchen', per: 'crew', rate: [3, 'assumed'], volume: [1, 'assumed'], drainShare: 0.4, weights: [0.35, 0.25, 0.4, 0], dispersion: 1 },
  { kind: 'drinking', role: 'kitchen', per: 'person', rate: [8, 'assumed'], volume: [0.325, 'iom-2005'], drainShare: 0, weights: [0.3, 0.35, 0.25, 0.1], dispersion: 1 },
  { kind: 'liquid-use', role: 'toilet', per: 'person', rate: [6.5, 'rose-2015'], volume: [0.7, 'gravity-flush'], drainShare: 1, weights: [0.3, 0.25, 0.3, 0.15], dispersion: 1, adds: [['body', 0.218, 'rose-2015'], ['brought-in', 0.01, 'assumed']] },
  { kind: 'solid-use', role: 'toilet', per: 'person', rate: [1.2, 'rose-2015'], volume: [2, 'gravity-flush'], drainShare: 1, weights: [0.6, 0.15, 0.2, 0.05], dispersion: 1, adds: [['body', 0.107, 'rose-2015'], ['brought-in', 0.03, 'assumed']] },
  { kind: 'bowl-seal', role: 'toilet', per: 'crew', rate: [2, 'assumed'], volume: [0.3, 'assumed'], drainShare: 1, weights: [0.5, 0, 0, 0.5], dispersion: 0 },
  { kind: 'cleaning', role: 'kitchen', per: 'crew', rate: [1, 'assumed'], volume: [1.5, 'assumed'], drainShare: 0.8, weights: [0.25, 0.5, 0.25, 0], dispersion: 1 },
  { kind: 'laundry', role: 'laundry', per: 'crew', rate: [0.2, 'assumed'], volume: [12, 'assumed'], drainShare: 0.9, weights: [0.5, 0.5, 0, 0], dispersion: 1 },
  { kind: 'pet', role: 'kitchen', per: 'crew', rate: [2, 'assumed'], volume: [0.6, 'assumed'], drainShare: 0.1, weights: [0.5, 0, 0.5, 0], dispersion: 0 },
] // prettier-ignore

export interface StarterActivityOptions {
  pet: boolean
  laundry: boolean
  /** Whether water is left in the bowl as a seal. */
  bowlSeal?: boolean
}

/** The standard activities; ids are the kinds, the same in every crew, so that habits fit all of them. */
export function starterActivities(texts: StarterTexts, options: StarterActivityOptions): Activity[] {
  const isOne: Partial<Record<ActivityKind, boolean>> = {
    pet: options.pet,
    laundry: options.laundry,
    'bowl-seal': options.bowlSeal ?? false,
  }
  return STARTERS.filter(({ kind }) => isOne[kind] ?? true).map((starter) => ({
    id: starter.kind,
    kind: starter.kind,
    name: texts.activities[starter.kind],
    role: starter.role,
    per: starter.per,
    rate: fromSource(...starter.rate),
    volume: fromSource(...starter.volume),
    timed: null,
    drainShare: fromSource(starter.drainShare, 'assumed'),
    weights: { values: starter.weights, by: 'default', source: 'assumed' },
    ...assumedSpreads(),
    dispersion: starter.dispersion,
    adds: (starter.adds ?? []).map(([from, litres, source]) => ({
      from,
      volume: fromSource(litres, source),
    })),
  }))
}

/** An activity of the owner's own: once a day at the kitchen tap until they say otherwise. */
export function ownActivity(id: string, name: string): Activity {
  return {
    id,
    kind: 'own',
    name,
    role: 'kitchen',
    per: 'crew',
    rate: { value: 1, by: 'owner' },
    volume: { value: 1, by: 'owner' },
    timed: null,
    drainShare: fromSource(1, 'assumed'),
    weights: { values: [0.25, 0.25, 0.25, 0.25], by: 'default', source: 'assumed' },
    ...assumedSpreads(),
    dispersion: 1,
    adds: [],
  }
}

/** How far one use lies from the mean, and this crew's mean from the one above, until it was learned (model.md section 5). */
function assumedSpreads(): Pick<Activity, 'spread' | 'levelSpread' | 'learned'> {
  return { spread: fromSource(0.35, 'assumed'), levelSpread: fromSource(0.2, 'assumed'), learned: null }
}

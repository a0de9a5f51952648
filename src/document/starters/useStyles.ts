import type { Activity, ActivityKind } from '@/core/domain'
import { fromSource, type Litres, type SourceId } from '@/core/quantities'

/** How people use water: kept short; as most do who camp; as with a house's pipes behind the wall. */
export const USE_STYLES = ['careful', 'usual', 'as-at-home'] as const
export type UseStyle = (typeof USE_STYLES)[number]

type Kind = Extract<ActivityKind, 'shower' | 'hand-wash' | 'teeth' | 'dishes' | 'cooking' | 'cleaning'>
type Use = [rate: number, litres: number, source?: SourceId]

/**
 * Uses a day of a person (dishes, cooking and cleaning: of the crew) and litres of each, for one person. With what is
 * drunk, careful comes to some 9 L a person and day, within the 7.5 to 15 of the Sphere Handbook's basic needs; usual to some
 * 16 (assumed); as at home a shower is five minutes at the label's limit of 7.6 L a minute.
 */
const USES: Record<UseStyle, Record<Kind, Use>> = {
  careful: {
    shower: [0.33, 8, 'sphere'], 'hand-wash': [6, 0.2, 'sphere'], teeth: [2, 0.15, 'sphere'],
    dishes: [1, 1.5, 'sphere'], cooking: [3, 0.3, 'sphere'], cleaning: [1, 0.2, 'sphere'],
  },
  usual: {
    shower: [0.5, 12], 'hand-wash': [6, 0.35], teeth: [2, 0.25],
    dishes: [2, 1.5], cooking: [3, 0.4], cleaning: [1, 0.5],
  },
  'as-at-home': {
    shower: [0.9, 38, 'watersense'], 'hand-wash': [8, 1], teeth: [2, 1],
    dishes: [3, 3], cooking: [3, 1], cleaning: [1, 2],
  },
} // prettier-ignore

const isKind = (kind: ActivityKind): kind is Kind => kind in USES.usual

/** An activity as these people do it: what is done for all of them together grows with their number. */
export function asTheyLive(activity: Activity, style: UseStyle, persons: number): Activity {
  if (!isKind(activity.kind)) return activity
  const [rate, litres, source = 'assumed'] = USES[style][activity.kind]
  const heads = activity.per === 'crew' ? persons : 1
  return { ...activity, rate: fromSource(rate, source), volume: fromSource(litres * heads, source) }
}

/** Litres of a person and day, the toilet left aside. @param drinking L a day */
export function litresADay(style: UseStyle, drinking: Litres): Litres {
  return Object.values(USES[style]).reduce((sum, [rate, litres]) => sum + rate * litres, drinking)
}

/**
 * L of flush water for liquids and solids (model.md section 9): by the school where it falls into a black tank, little into
 * anything that is carried out.
 */
export const FLUSH = {
  plenty: { liquid: 1, solid: 1.9 },
  little: { liquid: 0.3, solid: 0.8 },
  carried: { liquid: 0.2, solid: 0.6 },
} as const

export function flushedWith(activity: Activity, flush: keyof typeof FLUSH): Activity {
  const { liquid, solid } = FLUSH[flush]
  const source = flush === 'carried' ? 'assumed' : 'gravity-flush'
  if (activity.kind === 'liquid-use') return { ...activity, volume: fromSource(liquid, source) }
  return activity.kind === 'solid-use' ? { ...activity, volume: fromSource(solid, source) } : activity
}

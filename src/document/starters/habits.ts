import type { Effect, Habit, RedirectTo } from '@/core/domain'
import { fromSource } from '@/core/quantities'
import { STARTER_HABIT_IDS, type StarterHabitId, type StarterTexts } from './starterTexts'

type Starter = Pick<Habit, 'effects'> & { bother: number } & Partial<
    Pick<Habit, 'group' | 'where' | 'vessel' | 'gear' | 'permission' | 'cautions'>
  > & { when?: Partial<Omit<Habit['when'], 'lowest'>> & { lowest?: number } }

const assumed = (value: number) => fromSource(value, 'assumed')
const rate = (activity: string, factor: number): Effect => ({
  kind: 'rate',
  activity,
  factor: assumed(factor),
})
const volume = (activity: string, factor: number): Effect => ({
  kind: 'volume',
  activity,
  factor: assumed(factor),
})
/** @param trickle L of it that run while the water is paused */
const replace = (activity: string, litres: number, trickle?: number): Effect => ({
  kind: 'replace',
  activity,
  volume: assumed(litres),
  trickle: trickle === undefined ? null : assumed(trickle),
})
const bring = (activity: string): Effect => ({ kind: 'bring', activity, share: assumed(1) })
const paper = (activity: string, factor: number): Effect => ({
  kind: 'adds',
  activity,
  from: 'brought-in',
  factor: assumed(factor),
})
const redirect = (activity: string, share: number, to: RedirectTo): Effect => ({
  kind: 'redirect',
  activity,
  share: assumed(share),
  to,
})
const caught = (activity: string, share: number): Effect => ({
  kind: 'catch',
  activity,
  share: assumed(share),
})
const reuse = (activity: string, share: number): Effect => ({
  kind: 'reuse',
  activity,
  share: assumed(share),
})
/** L that a dry flush still loses from the line. */
const LINE_L = 0.1
const gray = (litres: number) => ({ capacity: assumed(litres), clean: false })
const clean = (litres: number) => ({ capacity: assumed(litres), clean: true })
const flushing = [reuse('liquid-use', 1), reuse('solid-use', 1)]

/**
 * The catalogue (domain.md, 'Habits, and what each saves'). None touches drinking or cuts the washing of hands. *How* and
 * *where* are two choices: a paused shower may be outdoors, and a basin goes with paper plates.
 */
// prettier-ignore
const STARTERS: Record<StarterHabitId, Starter> = {
  'wet-soap-rinse': { group: 'shower-style', bother: 2, effects: [replace('shower', 6, 0.5)], cautions: ['trickle'] },
  'full-shut-off': { bother: 0.5, effects: [{ kind: 'trickle', activity: 'shower', factor: assumed(0) }], gear: ['shut-off-head'] },
  'one-hair-rinse': { bother: 1, effects: [volume('shower', 0.85)] },
  'leave-in-conditioner': { bother: 0.5, effects: [volume('shower', 0.9)] },
  'shower-every-other': { bother: 3, effects: [rate('shower', 0.5)], cautions: ['bin-not-bowl'] },
  'shower-bag': { group: 'shower-style', bother: 3, effects: [replace('shower', 7), bring('shower')], gear: ['shower-bag', 'water-jugs'], cautions: ['hot-vessel'] },
  'sun-bag': { group: 'shower-style', bother: 2, effects: [replace('shower', 7), bring('shower')], when: { daylight: true, lowest: 20 }, gear: ['shower-bag', 'water-jugs'], cautions: ['sun-warm'] },
  'low-flow-head': { bother: 0, effects: [volume('shower', 0.7)], gear: ['low-flow-head'] },
  'outdoor-shower': { where: 'shower-where', bother: 2, effects: [redirect('shower', 0.7, 'ground')], when: { daylight: true, lowest: 18 }, gear: ['outdoor-shower'], permission: 'washing-water', cautions: ['land-rules', 'clear-of-water', 'hot-vessel', 'plain-soap'] },
  'screened-shower': { where: 'shower-where', bother: 2, effects: [redirect('shower', 0.9, 'ground')], when: { daylight: true, lowest: 21 }, gear: ['outdoor-shower', 'shower-screen'], permission: 'washing-water', cautions: ['land-rules', 'clear-of-water', 'plain-soap'] },
  'shower-carried-out': { where: 'shower-where', bother: 3, effects: [redirect('shower', 0.8, 'ground')], gear: ['shower-basin', 'lidded-pail'], permission: 'washing-water', cautions: ['land-rules', 'clear-of-water', 'slippery', 'plain-soap'] },
  'shower-basin': { where: 'shower-where', bother: 3, effects: [caught('shower', 0.6), ...flushing], vessel: gray(12), gear: ['shower-basin', 'lidded-pail'], cautions: ['stored-gray', 'slippery', 'wash-hands'] },
  'catch-run-up': { bother: 1, effects: [caught('shower', 0.15), reuse('cooking', 0.5), reuse('cleaning', 1), reuse('pet', 1)], vessel: clean(4), gear: ['run-up-jug'], cautions: ['not-for-drinking'] },
  'basin-dishes': { group: 'dish-style', bother: 2, effects: [volume('dishes', 0.55)] },
  'wipe-first': { bother: 0.5, effects: [volume('dishes', 0.85)], cautions: ['bin-not-bowl'] },
  'paper-plates': { bother: 1, effects: [rate('dishes', 0.5)] },
  'dish-water-flush': { where: 'dish-where', bother: 3, effects: [caught('dishes', 0.7), ...flushing], vessel: gray(8), gear: ['lidded-pail'], cautions: ['stored-gray', 'wash-hands'] },
  'dish-water-outdoors': { where: 'dish-where', bother: 2, effects: [redirect('dishes', 0.8, 'ground')], when: { daylight: true }, gear: ['lidded-pail'], permission: 'washing-water', cautions: ['land-rules', 'clear-of-water', 'plain-soap'] },
  'meals-out': { bother: 3, effects: [rate('dishes', 0.6), rate('cooking', 0.6), rate('liquid-use', 0.85), rate('solid-use', 0.85)] },
  'spare-liquid-flush': { group: 'flush-style', bother: 1, effects: [replace('liquid-use', 0.3)], cautions: ['mound'] },
  'no-liquid-flush': { group: 'flush-style', bother: 2, effects: [replace('liquid-use', LINE_L)], cautions: ['mound'] },
  'spray-bottle': { bother: 2, effects: [volume('liquid-use', 0.7), volume('solid-use', 0.6)], gear: ['spray-bottle'], cautions: ['mound'] },
  'bowl-liners': { bother: 1, effects: [volume('solid-use', 0.75), paper('solid-use', 1.5)], cautions: ['mound'] },
  'paper-bin': { bother: 1, effects: [paper('liquid-use', 0), paper('solid-use', 0)], gear: ['lidded-bin'], cautions: ['bin-not-bowl', 'wash-hands'] },
  'dry-bowl': { bother: 1, effects: [rate('bowl-seal', 0)] },
  'jug-flush': { bother: 3, effects: [bring('liquid-use'), bring('solid-use')], gear: ['water-jugs'] },
  'toilets-away': { bother: 2, effects: [rate('liquid-use', 0.4), rate('solid-use', 0.4)], when: { daylight: true }, permission: 'site-toilets', cautions: ['wash-hands', 'mound'] },
  'toilets-in-town': { bother: 2, effects: [rate('liquid-use', 0.5), rate('solid-use', 0.5)], when: { parts: ['midday'] }, cautions: ['wash-hands', 'mound'] },
  'liquids-only': { bother: 3, effects: [rate('solid-use', 0)], permission: 'site-toilets', cautions: ['wash-hands'] },
  'urine-outdoors': { where: 'liquid-where', bother: 2, effects: [rate('liquid-use', 0)], when: { daylight: true }, permission: 'urine', cautions: ['land-rules', 'clear-of-water', 'mound'] },
  'urine-apart': { where: 'liquid-where', bother: 2, effects: [volume('liquid-use', 0), paper('liquid-use', 0), redirect('liquid-use', 1, 'urine')], cautions: ['mound', 'wash-hands'] },
  'night-cup': { bother: 2, effects: [volume('liquid-use', 0), paper('liquid-use', 0), redirect('liquid-use', 1, 'carried-out')], when: { parts: ['night'] }, permission: 'site-toilets', cautions: ['mound', 'wash-hands'] },
  'cup-poured-out': { where: 'liquid-where', bother: 2, effects: [volume('liquid-use', 0), paper('liquid-use', 0), redirect('liquid-use', 1, 'ground')], gear: ['cup'], permission: 'urine', cautions: ['land-rules', 'clear-of-water', 'mound', 'wash-hands'] },
  'pump-off': { bother: 1, effects: [volume('dishes', 0.95), volume('teeth', 0.95), volume('cleaning', 0.95)] },
  'line-cup': { bother: 1, effects: [caught('hand-wash', 0.1), reuse('cooking', 0.3), reuse('pet', 1)], vessel: clean(2), cautions: ['not-for-drinking'] },
  'tooth-cup': { bother: 0.5, effects: [volume('teeth', 0.5)] },
  'damp-cloth': { bother: 1, effects: [volume('cleaning', 0.4)] },
  'wipe-wet-room': { bother: 1, effects: [volume('cleaning', 0.85)], cautions: ['damp'] },
}

export function starterHabits(texts: StarterTexts): Habit[] {
  return STARTER_HABIT_IDS.map((id) => {
    const { bother, when = {}, ...starter } = STARTERS[id]
    return {
      id,
      ...texts.habits[id],
      group: null,
      where: null,
      vessel: null,
      gear: [],
      permission: null,
      cautions: [],
      ...starter,
      when: {
        parts: null,
        daylight: false,
        ...when,
        lowest: when.lowest === undefined ? null : assumed(when.lowest),
      },
      bother: assumed(bother),
    }
  })
}

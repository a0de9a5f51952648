import type { Id } from '../domain'
import type { Card, CardStep } from './derive'
import { RISKY } from './laws'
import type { Act } from './template'
import { play, yardOf } from './yard'

export const SAFE_STEPS = [
  'water-off',
  'pump-off',
  'shut-tank',
  'shut-end',
  'spout-up',
  'lift-hose',
  'lift-hose-tote',
  'shut-tote',
  'cap',
  'vent',
  'hands',
] as const
export type SafeStep = { safe: (typeof SAFE_STEPS)[number]; tank: Id | null }

/**
 * What makes it safe to stop after so many steps: water and power off, tank valves shut before the end valve, the hose lifted
 * towards the inlet and the cap on where nothing is left in it, hands washed. @param upTo steps that were begun
 */
export function stopSafely(card: Card, upTo: number): SafeStep[] {
  const yard = yardOf(card)
  const done = new Set<Act>()
  for (const step of card.steps.slice(0, upTo))
    for (const act of step.acts) {
      // A step that was begun may stand in the middle: what it opened is taken as open.
      const isLast = step === card.steps[upTo - 1]
      if (
        !(
          isLast &&
          (act.act === 'water-off' ||
            act.act === 'shut:tank' ||
            act.act === 'pump-off' ||
            act.act === 'vent-shut') &&
          opens(step)
        )
      )
        play(act, yard)
      done.add(act.act)
    }
  const safe = (one: SafeStep['safe'], tank: Id | null = null): SafeStep => ({ safe: one, tank })
  const runs =
    yard.water !== null ||
    card.steps[upTo - 1]?.acts.some(({ act }) => act === 'fresh-in' || act === 'move:top-up') === true
  const isPouring = card.steps[upTo - 1]?.acts.some(({ act }) => act === 'pour') === true && done.has('tow')
  return [
    ...(runs ? [safe('water-off')] : []),
    ...(yard.pump ? [safe('pump-off')] : []),
    ...(isPouring ? [safe('shut-tote')] : []),
    // Tanks that stand open to each other behind what is shut and capped stand as they live.
    ...(yard.cap || yard.hose || yard.end || card.kind === 'gray-to-black' ? [...yard.open] : [])
      .reverse()
      .map((tank) => safe('shut-tank', tank)),
    ...(yard.end ? [safe('shut-end')] : []),
    ...(done.has('spout-down') && !done.has('push-in') ? [safe('spout-up')] : []),
    ...(yard.hose ? [safe(yard.tote ? 'lift-hose-tote' : 'lift-hose')] : []),
    ...(yard.cap ? [safe('cap')] : []),
    ...(yard.vent ? [safe('vent')] : []),
    ...(card.turn?.goesOn || RISKY.some((act) => done.has(act)) ? [safe('hands')] : []),
  ]
}

const opens = ({ acts }: CardStep) =>
  acts.some(
    ({ act }) => act === 'water-on' || act === 'open:tank' || act === 'pump-on' || act === 'vent-open',
  )

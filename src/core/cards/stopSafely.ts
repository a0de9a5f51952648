import type { Id } from '../model'
import type { Card, CardStep } from './derive'
import { RISKY } from './laws'
import type { Act } from './template'
import { allShut, play } from './yard'

export const SAFE_STEPS = [
  'water-off',
  'pump-off',
  'shut-tank',
  'shut-end',
  'spout-up',
  'lift-hose',
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
  const yard = allShut()
  const done = new Set<Act>()
  for (const step of card.steps.slice(0, upTo))
    for (const act of step.acts) {
      // A step that was begun may stand in the middle: what it opened is taken as open.
      const isLast = step === card.steps[upTo - 1]
      if (
        !(
          isLast &&
          (act.act === 'water-off' || act.act === 'shut:tank' || act.act === 'pump-off') &&
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
  const isPumping = card.steps[upTo - 1]?.acts.some(({ act }) => act === 'pump-on') === true
  return [
    ...(runs ? [safe('water-off')] : []),
    ...(isPumping ? [safe('pump-off')] : []),
    ...[...yard.open].reverse().map((tank) => safe('shut-tank', tank)),
    ...(yard.end ? [safe('shut-end')] : []),
    ...(done.has('spout-down') && !done.has('push-in') ? [safe('spout-up')] : []),
    ...(yard.hose ? [safe('lift-hose')] : []),
    ...(yard.cap ? [safe('cap')] : []),
    ...(done.has('vent-open') && !done.has('tow') ? [safe('vent')] : []),
    ...(RISKY.some((act) => done.has(act)) ? [safe('hands')] : []),
  ]
}

const opens = ({ acts }: CardStep) =>
  acts.some(({ act }) => act === 'water-on' || act === 'open:tank' || act === 'pump-on')

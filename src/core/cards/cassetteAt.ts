import type { Rig } from '../domain'
import type { Card, CardStep } from './derive'
import type { Act } from './template'

/** A cassette as it stands while a step of its card is done: what the picture beside it shows. */
export interface CassetteState {
  name: string
  /** In the rig behind its hatch, or out of it. */
  isIn: boolean
  isBladeShut: boolean
  /** Folded in, turned out, or pointing down over the drain. */
  spout: 'in' | 'out' | 'down'
  isCapOn: boolean
  isButtonDown: boolean
  holds: 'waste' | 'water' | 'nothing'
  /** Something runs out of the spout. */
  runs: boolean
}

/** @param upTo steps that were begun, the last of them under way @returns null: the card is about no cassette */
export function cassetteAt(card: Card, rig: Rig, upTo: number): CassetteState | null {
  const own = rig.containers.find(({ id, kind }) => id === card.about && kind === 'cassette')
  if (card.kind !== 'cassette' || !own) return null
  const state: CassetteState = {
    name: own.name,
    isIn: true,
    isBladeShut: false,
    spout: 'in',
    isCapOn: true,
    isButtonDown: false,
    holds: 'waste',
    runs: false,
  }
  card.steps.slice(0, upTo).forEach((step, k) => {
    const isLast = k === upTo - 1
    for (const { act } of step.acts) {
      // While hands are at it the spout is still down and the button pressed.
      if (isLast && act === 'upright') continue
      if (isLast && act === 'pour') state.runs = true
      else CHANGES[act]?.(state)
    }
  })
  return state
}

const CHANGES: Partial<Record<Act, (state: CassetteState) => void>> = {
  'blade-shut': (state) => (state.isBladeShut = true),
  'pull-out': (state) => (state.isIn = false),
  'spout-round': (state) => (state.spout = 'out'),
  'spout-cap-off': (state) => (state.isCapOn = false),
  'spout-cap-on': (state) => (state.isCapOn = true),
  'spout-down': (state) => (state.spout = 'down'),
  button: (state) => (state.isButtonDown = true),
  pour: (state) => (state.holds = 'nothing'),
  upright: (state) => {
    state.spout = 'out'
    state.isButtonDown = false
  },
  'rinse-in': (state) => (state.holds = 'water'),
  'spout-in': (state) => (state.spout = 'in'),
  'push-in': (state) => (state.isIn = true),
}

/** Acts of hands at a cassette: a step with one of them is drawn. */
const AT_CASSETTE: readonly Act[] = [
  ...(['blade-shut', 'pull-out', 'spout-cap-on', 'spout-cap-off', 'spout-down', 'button'] as const),
  ...(['rinse-in', 'tilt', 'spout-in', 'push-in'] as const),
]
export function isAtCassette({ acts }: CardStep): boolean {
  return acts.some(({ act }) => AT_CASSETTE.includes(act))
}

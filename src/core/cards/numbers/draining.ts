import { baseArea, type Container } from '../../model'
import type { Litres } from '../../quantities'
import type { StepAnswer } from '../../schedule'
import { DISCHARGE, flowSeconds } from '../../transfer'
import { letOver, topUpOf } from '../amounts'
import type { Binding, CardCase, Subject } from '../cardCase'
import type { QuantityId } from '../template'
import { HANDS, assumed, thumb, of, levelTerm, type Made, type Make, type WhyTerm } from './made'

/** How long a tank runs out, and what hands know of a hose. */
export const draining = {
  pulse: () => thumb(HANDS.pulseSeconds, 'seconds'),
  pipe: (_, { outlet }) => {
    const bore = outlet?.bore.value ?? 0.076
    return {
      value: ((Math.PI * bore * bore) / 4) * HANDS.pipeMetres * 1000,
      why: [
        { term: 'bore', value: bore, unit: 'length', from: 'rig' },
        assumed('pipe-length', HANDS.pipeMetres, 'length'),
      ],
    }
  },
  'hose-weight': () => thumb(HANDS.hoseKg, 'mass'),
  drain: drainOf,
  'head-litres': (card) => headMade(card)?.litres ?? null,
  'head-seconds': (card) => headMade(card)?.seconds ?? null,
} satisfies Partial<Record<QuantityId, Make>>

/**
 * Minutes that a full tank takes to run out by itself: its height h of water over its bottom, from which
 * t = 2√h ÷ (Cd·a·√(2g)) × base (Torricelli for a prismatic tank; slow end of the valves' loss).
 */
function drainOf(card: CardCase, subject: Subject, binding: Binding): Made {
  const tank = of(binding, subject)
  if (!tank || !('safeFill' in tank) || tank.kind === 'solids') return null
  const content = Math.max(card.contents.get(tank.id)?.likely ?? 0, topUpOf(card, tank).level, 1)
  const capacity = tank.capacity.value
  const height = 'shape' in tank && tank.shape ? tank.shape.height.value : HANDS.tankHeightMetres
  const head = (Math.min(content, capacity) / capacity) * height
  const steepness = 1 / baseArea(capacity, height)
  const bore = subject.outlet?.bore.value ?? 0.076
  const drained = Math.min(content, capacity) * (1 - 1e-9)
  const seconds = flowSeconds(drained, head, steepness, bore, DISCHARGE.slow)
  return {
    value: seconds / 60,
    why: [
      levelTerm('content', content, tank, 'level'),
      { term: 'bore', value: bore, unit: 'length', from: 'rig' },
      {
        term: 'head-of-water',
        value: head,
        unit: 'length',
        from: 'shape' in tank && tank.shape ? 'rig' : 'assumed',
      },
    ],
  }
}

function headMade(card: CardCase): { litres: Made; seconds: Made } | null {
  const answer = letOver(card)
  if (!answer) return null
  const moved: WhyTerm = { term: 'moved', value: answer.moved, unit: 'volume', from: 'errand' }
  const head =
    card.model.runs.find(({ id }) => id === card.run.id)?.steps.find((one) => one.head)?.head ??
    headOf(card, answer)
  const seconds =
    head && answer.from && answer.to
      ? shortTime(head, answer.from.before, answer.to.before, answer, card)
      : null
  return {
    litres: { value: answer.moved, why: [moved] },
    seconds: seconds === null ? null : { value: seconds, why: [moved] },
  }
}

function headOf({ stayCase }: CardCase, { step }: StepAnswer) {
  const tank = (id: string | null) => stayCase.rig.containers.find((one) => one.id === id)
  const [gray, black] = [tank(step.from), tank(step.to)]
  const shaped = (one: Container | undefined) =>
    one && 'shape' in one && one.shape ? { ...one.shape, capacity: one.capacity.value } : null
  const [g, b] = [shaped(gray), shaped(black)]
  if (!g || !b) return null
  return {
    gray: { capacity: g.capacity, height: g.height.value, bottom: g.bottom.value },
    black: { capacity: b.capacity, height: b.height.value, bottom: b.bottom.value },
    readingError: 0,
  }
}

/** Seconds of the fast end of the valves' loss, with the surfaces as far apart as they stand: it never lets more through. */
function shortTime(
  head: NonNullable<ReturnType<typeof headOf>>,
  gray: Litres,
  black: Litres,
  { step, moved }: StepAnswer,
  { stayCase }: CardCase,
): number | null {
  const surface = (tank: (typeof head)['gray'], level: Litres) =>
    tank.bottom + (level / tank.capacity) * tank.height
  const apart = surface(head.gray, gray) - surface(head.black, black)
  const steepness =
    1 / baseArea(head.gray.capacity, head.gray.height) + 1 / baseArea(head.black.capacity, head.black.height)
  const bore =
    stayCase.rig.outlets.find(({ containers }) => containers.includes(step.from!))?.bore.value ?? 0.076
  if (apart <= 0 || moved <= 0 || (moved / 1000) * steepness >= apart) return null
  return flowSeconds(moved, apart, steepness, bore, DISCHARGE.fast)
}

import { baseArea } from '../../domain'
import { DISCHARGE, flowSeconds } from '../../runs'
import { headOver, topUpOf } from '../amounts'
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
 * t = 2√h ÷ (Cd·a·√(2g)) × base (Torricelli for a prismatic tank; slow end of the valves' loss). What was timed at this tank stands over it: the one in the middle.
 */
function drainOf(card: CardCase, subject: Subject, binding: Binding): Made {
  const tank = of(binding, subject)
  if (!tank || !('safeFill' in tank) || tank.kind === 'solids') return null
  const timed = (card.records.get(tank.id)?.drains ?? []).toSorted((a, b) => a - b)
  const middle = timed[Math.floor((timed.length - 1) / 2)]
  if (middle !== undefined)
    return {
      value: Math.max(1, middle),
      why: [{ term: 'timed', value: timed.length, unit: 'count', from: 'record' }],
    }
  const content = Math.max(card.contents.get(tank.id)?.likely ?? 0, topUpOf(card, tank).level, 1)
  const capacity = tank.capacity.value
  const height = 'shape' in tank && tank.shape ? tank.shape.height.value : HANDS.tankHeightMetres
  const head = (Math.min(content, capacity) / capacity) * height
  const steepness = 1 / baseArea(capacity, height)
  const bore = subject.outlet?.bore.value ?? 0.076
  const drained = Math.min(content, capacity) * (1 - 1e-9)
  const seconds = flowSeconds(drained, head, steepness, bore, DISCHARGE.slow)
  return {
    // When the rush is over; nobody watches a tank for seconds.
    value: Math.max(1, seconds / 60),
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

/** By the one rule for what runs over; null where the heights are not known, or it refuses. */
function headMade(card: CardCase): { litres: Made; seconds: Made } | null {
  const over = headOver(card)
  if (!over?.answer.ok) return null
  const { volume, seconds } = over.answer.value
  const moved: WhyTerm = { term: 'moved', value: volume, unit: 'volume', from: 'errand' }
  return { litres: { value: volume, why: [moved] }, seconds: { value: seconds.low, why: [moved] } }
}

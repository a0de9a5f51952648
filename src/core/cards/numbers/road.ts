import { WATER_KG_PER_L, type ActivityKind } from '../../domain'
import type { Litres } from '../../quantities'
import type { CardCase } from '../cardCase'
import { aboardKg, freshDrain } from '../weights'
import type { QuantityId } from '../template'
import { HANDS, assumed, thumb, contentOf, type Made, type Make, type WhyTerm } from './made'

/** Before the wheels turn, and what disinfects the fresh system. */
export const road = {
  'drain-fresh': (card, _, { tank }) => ({
    value: freshDrain(card, tank),
    why: [
      ...(contentOf(card, tank, 'likely')?.why ?? []),
      { term: 'reserve', value: card.stayCase.crew.schools.roadReserve.value, unit: 'volume', from: 'crew' },
    ],
  }),
  'drain-fresh-minutes': (card, _, { tank }) => ({
    value: freshDrain(card, tank) / HANDS.drainFlow,
    why: [
      { term: 'moved', value: freshDrain(card, tank), unit: 'volume', from: 'errand' },
      assumed('flow', HANDS.drainFlow, 'flow'),
    ],
  }),
  'road-kg': (card) => ({
    value: aboardKg(card),
    why: [{ term: 'content', value: aboardKg(card) / WATER_KG_PER_L, unit: 'volume', from: 'level' }],
  }),
  'flush-owed': ({ stayCase }) => {
    const solid = stayCase.crew.activities.find(({ kind }) => kind === 'solid-use')?.volume.value ?? 2
    return {
      value: HANDS.flushesOwed * Math.max(0.5, solid),
      why: [
        { term: 'solid-flush', value: solid, unit: 'volume', from: 'crew' },
        assumed('rounds-usual', HANDS.flushesOwed, 'count'),
      ],
    }
  },
  'shower-litres': (card) => useMade(card, 'shower'),
  'dishes-litres': (card) => useMade(card, 'dishes'),
  // A night of a frozen line: everybody's share of a day's uses.
  'flush-night': ({ stayCase: { crew } }) => {
    const use = (kind: string) => crew.activities.find((one) => one.kind === kind)
    const [liquid, solid] = [use('liquid-use'), use('solid-use')]
    const each = (one: typeof liquid) => (one ? one.rate.value * one.volume.value : 0)
    const aDay = (each(liquid) + each(solid)) * crew.persons.length
    return {
      value: Math.max(2, aDay / 2),
      why: [{ term: 'a-day', value: aDay, unit: 'volume', from: 'crew' }, assumed('per-litre', 0.5, 'share')],
    }
  },
  'system-litres': (card) => {
    const { litres, why } = systemOf(card)
    return { value: litres, why }
  },
  // model.md section 8: V × 50 mg/L ÷ (available chlorine in g/L × 1000), here in mL; per cent w/v × 10 is g/L.
  bleach: (card) => {
    const { litres, why } = systemOf(card)
    const gramsPerLitre = card.asks.bleachPercent * 10
    if (gramsPerLitre <= 0) return null
    return {
      value: (litres * HANDS.chlorinePerLitre * 1000) / gramsPerLitre,
      why: [
        ...why,
        { term: 'wanted', value: HANDS.chlorinePerLitre, unit: 'grams-per-litre', from: 'rule' },
        { term: 'chlorine', value: gramsPerLitre, unit: 'grams-per-litre', from: 'label' },
      ],
    }
  },
  'bleach-percent': ({ asks }) => ({
    value: asks.bleachPercent,
    why: [{ term: 'chlorine', value: asks.bleachPercent, unit: 'percent', from: 'label' }],
  }),
  'bleach-hold': () => thumb(HANDS.holdMinutes, 'minutes'),
  'gray-room': (card) => ({
    value: drainRoom(card),
    why: [{ term: 'safe-fill', value: drainRoom(card), unit: 'volume', from: 'rig' }],
  }),
  stages: (card) => {
    const { litres } = systemOf(card)
    const room = drainRoom(card)
    return {
      value: room > 0 ? Math.ceil(litres / room - 1e-9) : 1,
      why: [
        { term: 'capacity', value: litres, unit: 'volume', from: 'rig' },
        { term: 'safe-fill', value: room, unit: 'volume', from: 'rig' },
      ],
    }
  },
  'known-charge': (card) => {
    const { smallCharge } = card.stayCase.crew.schools
    return {
      value: smallCharge.value,
      why: [{ term: 'charge', value: smallCharge.value, unit: 'volume', from: 'crew' }],
    }
  },
  /** Made where the errand's own steps are at hand (`byHand`). */
  moved: () => null,
} satisfies Partial<Record<QuantityId, Make>>

/** L of water that the fresh system holds: tanks, heater and lines. */
function systemOf({ stayCase }: CardCase): { litres: Litres; why: WhyTerm[] } {
  const { containers, heater } = stayCase.rig
  const tanks = containers
    .filter(({ kind }) => kind === 'fresh')
    .reduce((sum, { capacity }) => sum + capacity.value, 0)
  const warm = heater?.volume.value ?? 0
  return {
    litres: tanks + warm + HANDS.lineLitres,
    why: [
      { term: 'capacity', value: tanks, unit: 'volume', from: 'rig' },
      { term: 'heater', value: warm, unit: 'volume', from: 'rig' },
      assumed('lines', HANDS.lineLitres, 'volume'),
    ],
  }
}

/** L of one use, as this crew has it. */
function useMade({ stayCase }: CardCase, kind: ActivityKind): Made {
  const use = stayCase.crew.activities.find((one) => one.kind === kind)
  return use
    ? {
        value: use.volume.value,
        why: [{ term: 'each-use', value: use.volume.value, unit: 'volume', from: 'crew' }],
      }
    : null
}

/**
 * L that all tanks take to which fresh water runs from a tap, emptied and rinsed as the card has them first: where a bath drains
 * to black, black too. The toilet is not flushed with it.
 */
function drainRoom({ stayCase: { rig } }: CardCase): Litres {
  const isFlushed = (id: string) =>
    rig.roles.some(({ role, fixture }) => role === 'toilet' && fixture === id) &&
    !rig.roles.some(({ role, fixture }) => role !== 'toilet' && fixture === id)
  const into = new Set(rig.fixtures.flatMap(({ id, drains }) => (isFlushed(id) ? [] : [drains])))
  return rig.containers.reduce(
    (sum, one) =>
      into.has(one.id) && (one.kind === 'gray' || one.kind === 'black')
        ? sum + Math.max(0, one.safeFill.value * one.capacity.value - one.residue.value)
        : sum,
    0,
  )
}

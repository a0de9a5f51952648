import { WATER_KG_PER_L } from '../../model'
import type { Litres } from '../../quantities'
import type { CardCase } from '../cardCase'
import { aboardKg, freshDrain } from '../weights'
import type { QuantityId } from '../template'
import { HANDS, assumed, thumb, contentOf, type Make, type WhyTerm } from './made'

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
    value: grayRoom(card),
    why: [{ term: 'content-high', value: grayRoom(card), unit: 'volume', from: 'level' }],
  }),
  stages: (card) => {
    const { litres } = systemOf(card)
    const room = grayRoom(card)
    return {
      value: room > 0 ? Math.ceil(litres / room - 1e-9) : 1,
      why: [
        { term: 'capacity', value: litres, unit: 'volume', from: 'rig' },
        { term: 'content-high', value: room, unit: 'volume', from: 'level' },
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

/** L that all gray tanks still take. */
function grayRoom(card: CardCase): number {
  return card.stayCase.rig.containers.reduce(
    (sum, one) =>
      one.kind === 'gray'
        ? sum + Math.max(0, one.safeFill.value * one.capacity.value - (card.contents.get(one.id)?.high ?? 0))
        : sum,
    0,
  )
}

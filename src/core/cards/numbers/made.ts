import { WATER_KG_PER_L, pointWithWater, type Container } from '../../domain'
import type { Binding, CardCase, Subject } from '../cardCase'
import type { QuantityId, QuantityUnit } from '../template'
import { contentOfOne } from '../weights'

/** A number on a card, in SI (minutes, seconds and mL as its unit says), with the numbers it is made of. */
export interface CardQuantity {
  id: QuantityId
  unit: QuantityUnit | 'uses'
  value: number
  why: WhyTerm[]
}

/** One number behind a quantity; `from` says whose it is. */
export interface WhyTerm {
  term: Term
  value: number
  unit: QuantityUnit | 'uses' | 'flow' | 'grams-per-litre'
  from: 'rig' | 'crew' | 'place' | 'level' | 'record' | 'label' | 'rule' | 'assumed' | 'errand'
}

export const TERMS = [
  'capacity', 'content', 'content-high', 'safe-fill', 'threshold', 'target', 'flow', 'bore',
  'pipe-length', 'rounds-usual', 'skipped', 'lift-limit', 'shell', 'label-dose', 'label-litres', 'charge', 'reserve',
  'per-litre', 'heater', 'lines', 'chlorine', 'wanted', 'tote', 'head-of-water', 'stock', 'gray-a-day', 'hose-gray',
  'moved', 'of-thumb', 'solid-flush', 'each-use', 'a-day', 'timed',
] as const // prettier-ignore
export type Term = (typeof TERMS)[number]

export type Made = { value: number; why: WhyTerm[]; unit?: 'uses' } | null
export type Make = (card: CardCase, subject: Subject, binding: Binding) => Made

/** Numbers of the trade that no rig or crew has (assumed, or by rule of thumb; cards.md). */
export const HANDS = {
  pulseSeconds: 3,
  pipeMetres: 1,
  hoseKg: 7,
  queueLow: 20,
  queueHigh: 40,
  grayPerRound: 10,
  roundsOver: 2,
  tankHeightMetres: 0.3,
  soakMinutes: 10,
  rinseTwice: 2,
  doseWater: 1,
  bricks: 1,
  mediumLitres: 4,
  pumpReachMetres: 15,
  pumpHeadMetres: 2,
  drainFlow: 8,
  flushesOwed: 2,
  lineLitres: 5,
  chlorinePerLitre: 0.05,
  holdMinutes: 180,
  pedalFlow: 6,
} as const

export const assumed = (term: Term, value: number, unit: WhyTerm['unit']): WhyTerm => ({
  term,
  value,
  unit,
  from: 'assumed',
})
export const thumb = (value: number, unit: WhyTerm['unit']): Made => ({
  value,
  why: [{ term: 'of-thumb', value, unit, from: 'rule' }],
})
export const of = (binding: Binding, subject: Subject): Container | null => binding.tank ?? subject.container
export const unitOf = (container: Container | null): 'uses' | undefined =>
  container?.kind === 'solids' ? 'uses' : undefined
export const levelTerm = (
  term: Term,
  value: number,
  container: Container | null,
  from: WhyTerm['from'],
): WhyTerm => ({
  term,
  value,
  unit: container?.kind === 'solids' ? 'uses' : 'level',
  from,
})

/** L a minute of the tap at hand: the place's, by a bucket test, else the crew's hose. */
export function tapFlow({ place, stayCase }: CardCase): WhyTerm {
  const flow = place && (pointWithWater(place).flow ?? place.flow)
  return flow
    ? { term: 'flow', value: flow.value, unit: 'flow', from: 'place' }
    : { term: 'flow', value: stayCase.crew.schools.hoseFlow.value, unit: 'flow', from: 'crew' }
}

/** Minutes that so many litres run; null where the tap does not. */
export function minutesOf(card: CardCase, litres: Made): Made {
  const flow = tapFlow(card)
  if (!litres || flow.value <= 0) return null
  return { value: litres.value / flow.value, why: [...litres.why, flow] }
}

export function contentOf(card: CardCase, container: Container | null, end: 'likely' | 'high'): Made {
  if (!container) return null
  const value = card.contents.get(container.id)?.[end] ?? 0
  const one = end === 'likely' && 'spares' in container ? contentOfOne(card, container) : value
  const term = end === 'likely' ? 'content' : 'content-high'
  const unit = unitOf(container)
  return { value: one, why: [levelTerm(term, one, container, 'level')], ...(unit ? { unit } : {}) }
}

export const kgOf = (litres: Made): Made =>
  litres && { value: litres.value * WATER_KG_PER_L, why: litres.why }

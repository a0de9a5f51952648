import { DISCHARGE, flowSeconds } from '../transfer'
import { baseArea, carrierFill, WATER_KG_PER_L, type CarrierContainer, type Container } from '../model'
import type { Litres } from '../quantities'
import { loadsFor } from '../schedule'
import { chargeOfTank, doseOf, leftoverOf, topUpOf } from './amounts'
import type { Binding, CardCase, Subject } from './cardCase'
import { NO_RECORD, roundsExpected } from './record'
import { QUANTITIES, type QuantityId, type QuantityUnit } from './template'
import { aboardKg, carriedKg, contentOfOne, freshDrain, liftedRinse } from './weights'

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
  'capacity', 'content', 'content-high', 'safe-fill', 'threshold', 'target', 'flow', 'fresh-above-reserve', 'bore',
  'pipe-length', 'rounds-usual', 'skipped', 'lift-limit', 'shell', 'label-dose', 'label-litres', 'charge', 'reserve',
  'per-litre', 'heater', 'lines', 'chlorine', 'wanted', 'tote', 'head-of-water', 'stock', 'gray-a-day', 'hose-gray',
  'moved', 'of-thumb', 'solid-flush', 'limit-uses', 'a-day',
] as const // prettier-ignore
export type Term = (typeof TERMS)[number]

type Made = { value: number; why: WhyTerm[]; unit?: 'uses' } | null
type Make = (card: CardCase, subject: Subject, binding: Binding) => Made

/** Numbers of the trade that no rig or crew has (assumed, or by rule of thumb; cards.md). */
export const HANDS = {
  pulseSeconds: 3,
  pipeMetres: 1,
  hoseKg: 7,
  queueLow: 20,
  queueHigh: 40,
  bucketLitres: 10,
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

const assumed = (term: Term, value: number, unit: WhyTerm['unit']): WhyTerm => ({
  term,
  value,
  unit,
  from: 'assumed',
})
const thumb = (value: number, unit: WhyTerm['unit']): Made => ({
  value,
  why: [{ term: 'of-thumb', value, unit, from: 'rule' }],
})
const of = (binding: Binding, subject: Subject): Container | null => binding.tank ?? subject.container
const unitOf = (container: Container | null): 'uses' | undefined =>
  container?.kind === 'solids' ? 'uses' : undefined
const levelTerm = (
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
  return place?.flow
    ? { term: 'flow', value: place.flow.value, unit: 'flow', from: 'place' }
    : { term: 'flow', value: stayCase.crew.schools.hoseFlow.value, unit: 'flow', from: 'crew' }
}

/** Minutes that so many litres run; null where the tap does not. */
function minutesOf(card: CardCase, litres: Made): Made {
  const flow = tapFlow(card)
  if (!litres || flow.value <= 0) return null
  return { value: litres.value / flow.value, why: [...litres.why, flow] }
}

function contentOf(card: CardCase, container: Container | null, end: 'likely' | 'high'): Made {
  if (!container) return null
  const value = card.contents.get(container.id)?.[end] ?? 0
  const one = end === 'likely' && 'spares' in container ? contentOfOne(card, container) : value
  const term = end === 'likely' ? 'content' : 'content-high'
  const unit = unitOf(container)
  return { value: one, why: [levelTerm(term, one, container, 'level')], ...(unit ? { unit } : {}) }
}

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

/** L of one round of rinsing: three quarters of the tank, less what may still be in it. */
function rinseLitres(card: CardCase, subject: Subject, binding: Binding): Made {
  const tank = of(binding, subject)
  if (tank?.kind !== 'black') return null
  const { rinseTo } = card.stayCase.crew.schools
  const target = Math.min(rinseTo.value, tank.safeFill.value) * tank.capacity.value
  const left = tank.residue.value
  return {
    value: Math.max(0, target - left),
    why: [
      levelTerm('capacity', tank.capacity.value, tank, 'rig'),
      { term: 'target', value: target, unit: 'volume', from: 'crew' },
      levelTerm('content-high', left, tank, 'rig'),
    ],
  }
}

function rounds(card: CardCase, subject: Subject, binding: Binding): Made {
  const tank = of(binding, subject)
  if (!tank) return null
  const record = card.records.get(tank.id) ?? NO_RECORD
  const value = roundsExpected(record, card.stayCase.crew)
  return {
    value,
    why: [
      {
        term: 'rounds-usual',
        value: value - record.skipped,
        unit: 'count',
        from: record.took.length > 0 ? 'record' : 'crew',
      },
      { term: 'skipped', value: record.skipped, unit: 'count', from: 'record' },
    ],
  }
}

function chargeMade(card: CardCase, subject: Subject, binding: Binding): Made {
  const tank =
    of(binding, subject) ?? card.stayCase.rig.containers.find(({ kind }) => kind === 'black') ?? null
  if (!tank) return null
  return { value: chargeOfTank(card, tank), why: [levelTerm('capacity', tank.capacity.value, tank, 'rig')] }
}

function topUpMade(what: 'missing' | 'fresh' | 'hose' | 'level'): Make {
  return (card, subject, binding) => {
    const tank = of(binding, subject)
    if (tank?.kind !== 'black') return null
    const made = topUpOf(card, tank)
    return {
      value: made[what],
      why: [
        { term: 'target', value: made.level, unit: 'volume', from: 'crew' },
        ...(contentOf(card, tank, 'likely')?.why ?? []),
        ...(what === 'hose' ? (contentOf(card, tank, 'high')?.why ?? []) : []),
        ...(what === 'fresh'
          ? [{ term: 'moved' as const, value: made.fresh, unit: 'volume' as const, from: 'errand' as const }]
          : []),
      ],
    }
  }
}

function carrierMade(
  card: CardCase,
  kind: 'tote' | 'jug',
  what: 'loads' | 'litres' | 'kg',
  subject: Subject,
): Made {
  const does = kind === 'tote' ? 'loads' : 'jugs'
  const steps = card.steps.filter(({ step }) => step.do === does && step.to === subject.container?.id)
  // Water may come in a tote as well as in jugs.
  const id = kind === 'tote' ? subject.container?.id : steps[0]?.step.from
  const carrier = card.stayCase.rig.containers.find(
    (one): one is CarrierContainer => one.id === id && (one.kind === 'tote' || one.kind === 'jug'),
  )
  if (!carrier) return null
  const volume = steps.reduce((sum, { moved }) => sum + moved, 0)
  const loads = steps[0]?.step.loads ?? 1
  const each =
    kind === 'jug'
      ? Math.min(carrierFill(carrier), volume / loads || carrierFill(carrier))
      : carrierFill(carrier)
  const tote: WhyTerm = { term: 'tote', value: each, unit: 'volume', from: 'rig' }
  if (what === 'litres') return { value: each, why: [tote] }
  if (what === 'kg')
    return {
      value: carrier.shell.value + each * WATER_KG_PER_L,
      why: [tote, { term: 'shell', value: carrier.shell.value, unit: 'mass', from: 'rig' }],
    }
  return {
    value: kind === 'jug' ? loads : loadsFor(volume, carrier),
    why: [{ term: 'moved', value: volume, unit: 'volume', from: 'errand' }, tote],
  }
}

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

/** What is filled into a fresh tank or into one that is being measured. */
function fillMade(card: CardCase, subject: Subject): Made {
  const tank = subject.container
  if (!tank) return null
  const step = card.steps.find((one) => one.step.do === 'fill' && one.step.to === tank.id)
  if (step)
    return {
      value: step.moved - (card.run.steps.length > 0 ? tapShare(card, tank.id) : 0),
      why: [
        levelTerm('capacity', tank.capacity.value, tank, 'rig'),
        levelTerm('content', card.contents.get(tank.id)?.likely ?? 0, tank, 'level'),
        { term: 'moved', value: step.moved, unit: 'volume', from: 'errand' },
      ],
    }
  const content = card.contents.get(tank.id)?.likely ?? 0
  return {
    value: Math.max(0, tank.capacity.value - content),
    why: [
      levelTerm('capacity', tank.capacity.value, tank, 'rig'),
      levelTerm('content', content, tank, 'level'),
    ],
  }
}

/**
 * L that an errand charges out of a supply which it fills afterwards: on the cards the fresh water comes first, so that this
 * much stays out of the tank and goes from the tap into the waste tank instead.
 */
export function tapShare({ steps }: Pick<CardCase, 'steps'>, supply: string): Litres {
  const filled = steps.findIndex(({ step }) => step.do === 'fill' && step.to === supply)
  if (filled < 0) return 0
  const charged = steps
    .slice(0, filled)
    .reduce((sum, { step, moved }) => sum + (step.do === 'charge' && step.from === supply ? moved : 0), 0)
  return Math.min(charged, steps[filled]!.moved)
}

const kgOf = (litres: Made): Made => litres && { value: litres.value * WATER_KG_PER_L, why: litres.why }

const MAKE: Record<QuantityId, Make> = {
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
  'queue-low': () => thumb(HANDS.queueLow, 'volume'),
  'queue-high': () => thumb(HANDS.queueHigh, 'volume'),
  threshold: ({ stayCase }, subject, binding) => {
    const { schools } = stayCase.crew
    const tank = of(binding, subject)
    const full = tank && 'safeFill' in tank ? tank.safeFill.value : 1
    const value = schools.sides['dump-black'] === 'full' ? full : schools.blackThreshold.value
    return { value, why: [{ term: 'threshold', value, unit: 'share', from: 'crew' }] }
  },
  content: (card, subject, binding) => contentOf(card, of(binding, subject), 'likely'),
  'content-high': (card, subject, binding) => contentOf(card, of(binding, subject), 'high'),
  limit: (_, subject, binding) => {
    const tank = of(binding, subject)
    if (!tank || !('safeFill' in tank)) return null
    const unit = unitOf(tank)
    return {
      value: tank.safeFill.value * tank.capacity.value,
      why: [
        levelTerm('capacity', tank.capacity.value, tank, 'rig'),
        { term: 'safe-fill', value: tank.safeFill.value, unit: 'share', from: 'rig' },
      ],
      ...(unit ? { unit } : {}),
    }
  },
  capacity: (_, subject, binding) => {
    const tank = of(binding, subject)
    const unit = unitOf(tank)
    return (
      tank && {
        value: tank.capacity.value,
        why: [levelTerm('capacity', tank.capacity.value, tank, 'rig')],
        ...(unit ? { unit } : {}),
      }
    )
  },
  'shut-hours': ({ stayCase, grayPerDay }) => {
    const wanted = stayCase.crew.schools.hoseGray.value
    if (grayPerDay <= 0) return thumb(24, 'hours')
    return {
      value: (wanted / grayPerDay) * 24,
      why: [
        { term: 'hose-gray', value: wanted, unit: 'volume', from: 'crew' },
        { term: 'gray-a-day', value: grayPerDay, unit: 'volume', from: 'level' },
      ],
    }
  },
  'top-up': topUpMade('missing'),
  'top-up-level': topUpMade('level'),
  'top-up-fresh': topUpMade('fresh'),
  'top-up-fresh-minutes': (card, subject, binding) => {
    const litres = topUpMade('fresh')(card, subject, binding)
    const flow = assumed('flow', HANDS.pedalFlow, 'flow')
    return litres && { value: litres.value / flow.value, why: [...litres.why, flow] }
  },
  'top-up-hose': topUpMade('hose'),
  'top-up-hose-minutes': (card, subject, binding) =>
    minutesOf(card, topUpMade('hose')(card, subject, binding)),
  'top-up-kg': (card, subject, binding) => {
    const fresh = topUpMade('hose')(card, subject, binding)
    return kgOf(fresh && { ...fresh, value: fresh.value + leftoverOf(card, null) })
  },
  leftover: (card, { container }) => ({
    value: leftoverOf(card, container),
    why: [{ term: 'moved', value: leftoverOf(card, container), unit: 'volume', from: 'errand' }],
  }),
  'road-reserve': ({ stayCase }) => {
    const { value } = stayCase.crew.schools.roadReserve
    return { value, why: [{ term: 'reserve', value, unit: 'volume', from: 'crew' }] }
  },
  'rinse-litres': rinseLitres,
  'rinse-minutes': (card, subject, binding) => minutesOf(card, rinseLitres(card, subject, binding)),
  rounds,
  'rounds-stop': (card, subject, binding) => {
    const made = rounds(card, subject, binding)
    return made && { value: made.value + HANDS.roundsOver, why: made.why }
  },
  buckets: (card, subject, binding) => {
    const made = rinseLitres(card, subject, binding)
    return made && { value: Math.ceil(made.value / HANDS.bucketLitres - 1e-9), why: made.why }
  },
  'bucket-size': () => thumb(HANDS.bucketLitres, 'volume'),
  'gray-keep': (card, subject, binding) => {
    const made = rounds(card, subject, binding)
    return (
      made && {
        value: made.value * HANDS.grayPerRound,
        why: [...made.why, assumed('per-litre', HANDS.grayPerRound, 'volume')],
      }
    )
  },
  charge: chargeMade,
  dose: (card, subject, { tank, product }) => {
    const into = tank ?? subject.container
    if (!product || !into) return null
    const charge = into.kind === 'cassette' ? HANDS.doseWater : chargeOfTank(card, into)
    return {
      value: doseOf(product, into.capacity.value, charge),
      why: [
        { term: 'label-dose', value: product.dose.value, unit: 'dose', from: 'label' },
        ...(product.per === 'each'
          ? []
          : [
              {
                term: 'label-litres' as const,
                value: product.perLitres.value,
                unit: 'volume' as const,
                from: 'label' as const,
              },
            ]),
        product.per === 'charge'
          ? { term: 'charge' as const, value: charge, unit: 'volume' as const, from: 'crew' as const }
          : levelTerm('capacity', into.capacity.value, into, 'rig'),
      ],
    }
  },
  'stock-left': (card, subject, binding) => {
    const made = MAKE.dose(card, subject, binding)
    if (!made || !binding.product) return null
    const stock = card.stock.get(binding.product.id) ?? binding.product.stock.value
    return {
      value: Math.max(0, stock - made.value),
      why: [{ term: 'stock', value: stock, unit: 'dose', from: 'record' }, ...made.why],
    }
  },
  'head-litres': (card) => headMade(card)?.litres ?? null,
  'head-seconds': (card) => headMade(card)?.seconds ?? null,
  kg: (card, { container }) =>
    container && {
      value: carriedKg(card, container),
      why: [
        levelTerm('content', contentOfOne(card, container), container, 'level'),
        { term: 'shell', value: 'shell' in container ? container.shell.value : 0, unit: 'mass', from: 'rig' },
      ],
    },
  'lift-limit': ({ stayCase }) => {
    const { value } = stayCase.crew.liftLimit
    return { value, why: [{ term: 'lift-limit', value, unit: 'mass', from: 'crew' }] }
  },
  'flush-litres': (card) => {
    const flush = card.stayCase.rig.containers.find(({ kind }) => kind === 'flush')
    if (!flush) return null
    const content = card.contents.get(flush.id)?.likely ?? 0
    return {
      value: Math.max(0, flush.capacity.value - content),
      why: [
        levelTerm('capacity', flush.capacity.value, flush, 'rig'),
        levelTerm('content', content, flush, 'level'),
      ],
    }
  },
  'cassette-rinse': cassetteRinse,
  'cassette-rinse-kg': (card, subject) => {
    const made = cassetteRinse(card, subject)
    const shell = subject.container && 'shell' in subject.container ? subject.container.shell.value : 0
    return (
      made && {
        value: shell + made.value * WATER_KG_PER_L,
        why: [...made.why, { term: 'shell', value: shell, unit: 'mass', from: 'rig' }],
      }
    )
  },
  'cassette-rounds': ({ stayCase }) =>
    thumb(stayCase.crew.schools.sides['cassette-rinse'] === 'twice' ? 2 : 1, 'count'),
  soak: () => thumb(HANDS.soakMinutes, 'minutes'),
  'dose-water': () => thumb(HANDS.doseWater, 'volume'),
  'urine-days': (card, { container }) => {
    if (container?.kind !== 'urine') return null
    const aDay = urinePerDay(card, container.id)
    const room = container.safeFill.value * container.capacity.value
    return aDay <= 0
      ? null
      : {
          value: room / aDay,
          why: [
            levelTerm('safe-fill', room, container, 'rig'),
            { term: 'a-day', value: aDay, unit: 'volume', from: 'level' },
          ],
        }
  },
  uses: (card, { container }) => {
    const made = contentOf(card, container, 'likely')
    return made && { value: Math.round(made.value), why: made.why }
  },
  bricks: () => thumb(HANDS.bricks, 'count'),
  'medium-litres': () => thumb(HANDS.mediumLitres, 'volume'),
  fill: fillMade,
  'fill-minutes': (card, subject) => minutesOf(card, fillMade(card, subject)),
  'fill-kg': (card, subject) => kgOf(fillMade(card, subject)),
  'bucket-seconds': (card) => {
    const flow = tapFlow(card)
    return flow.value <= 0
      ? null
      : {
          value: (HANDS.bucketLitres / flow.value) * 60,
          why: [assumed('of-thumb', HANDS.bucketLitres, 'volume'), flow],
        }
  },
  'jug-loads': (card, subject) => carrierMade(card, 'jug', 'loads', subject),
  'jug-litres': (card, subject) => carrierMade(card, 'jug', 'litres', subject),
  'jug-kg': (card, subject) => carrierMade(card, 'jug', 'kg', subject),
  'tote-loads': (card, subject, { tank }) => {
    const step = tank && card.steps.find((one) => one.step.do === 'loads' && one.step.from === tank.id)
    const carrier = subject.container as CarrierContainer
    return step
      ? {
          value: Math.max(1, loadsFor(step.moved, carrier)),
          why: [
            { term: 'moved', value: step.moved, unit: 'volume', from: 'errand' },
            { term: 'tote', value: carrierFill(carrier), unit: 'volume', from: 'rig' },
          ],
        }
      : carrierMade(card, 'tote', 'loads', subject)
  },
  'tote-litres': (card, subject) => carrierMade(card, 'tote', 'litres', subject),
  'tote-kg': (card, subject) => carrierMade(card, 'tote', 'kg', subject),
  reach: () => ({
    value: HANDS.pumpReachMetres,
    why: [assumed('of-thumb', HANDS.pumpReachMetres, 'length')],
  }),
  'pump-head': () => ({
    value: HANDS.pumpHeadMetres,
    why: [assumed('of-thumb', HANDS.pumpHeadMetres, 'length')],
  }),
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
  'probe-low': (_, { container }) =>
    container && {
      value: container.capacity.value / 4,
      why: [levelTerm('capacity', container.capacity.value, container, 'rig')],
    },
  'probe-high': (card, { container }) => {
    if (!container) return null
    const limit =
      'safeFill' in container ? container.safeFill.value * container.capacity.value : container.capacity.value
    const room = Math.max(0, limit - (card.contents.get(container.id)?.high ?? 0))
    return {
      value: Math.min(container.capacity.value / 2, Math.max(container.capacity.value / 4, room)),
      why: [
        levelTerm('capacity', container.capacity.value, container, 'rig'),
        ...(contentOf(card, container, 'high')?.why ?? []),
      ],
    }
  },
  /** Made where the errand's own steps are at hand (`byHand`). */
  moved: () => null,
  'known-charge': (card) => {
    const { smallCharge } = card.stayCase.crew.schools
    return {
      value: smallCharge.value,
      why: [{ term: 'charge', value: smallCharge.value, unit: 'volume', from: 'crew' }],
    }
  },
}

function cassetteRinse(card: CardCase, { container }: Subject): Made {
  if (container?.kind !== 'cassette') return null
  const most = liftedRinse(card, container)
  const isTwice = card.stayCase.crew.schools.sides['cassette-rinse'] === 'twice'
  return {
    value: isTwice ? Math.min(HANDS.rinseTwice, most) : most,
    why: [
      levelTerm('capacity', container.capacity.value, container, 'rig'),
      { term: 'lift-limit', value: card.stayCase.crew.liftLimit.value, unit: 'mass', from: 'crew' },
      { term: 'shell', value: container.shell.value, unit: 'mass', from: 'rig' },
    ],
  }
}

/** L a day that come into a urine jug on the average of the days that are counted. */
export function urinePerDay({ model }: CardCase, id: string): Litres {
  const at = model.containers.findIndex(({ members }) => members.includes(id))
  const days = model.grid.edges[model.grid.count]!
  return days > 0 ? inflowOf(model, (to) => to === at) / days : 0
}

/** L (or uses) that the uses of all parts bring to the ends asked for. */
export function inflowOf(model: CardCase['model'], isAsked: (to: number) => boolean): number {
  const { count } = model.grid
  return model.streams.reduce((sum, { activity, to, ofDraw, fixed, portion, isOfVessel }) => {
    if (isOfVessel || !isAsked(to)) return sum
    let all = sum
    for (let part = 0; part < count; part++) {
      const row = activity * count + part
      all += (portion?.[part] ?? 1) * model.uses[row]! * (ofDraw * model.volume[row]! + fixed)
    }
    return all
  }, 0)
}

function headMade(card: CardCase): { litres: Made; seconds: Made } | null {
  const answer = card.steps.find(({ step }) => step.do === 'by-head')
  if (!answer) return null
  const moved: WhyTerm = { term: 'moved', value: answer.moved, unit: 'volume', from: 'errand' }
  const head =
    card.model.runs.find(({ id }) => id === card.run.id)?.steps.find((one) => one.head)?.head ?? headOf(card)
  const seconds =
    head && answer.from && answer.to
      ? shortTime(head, answer.from.before, answer.to.before, answer.moved, card)
      : null
  return {
    litres: { value: answer.moved, why: [moved] },
    seconds: seconds === null ? null : { value: seconds, why: [moved] },
  }
}

function headOf({ stayCase, steps }: CardCase) {
  const { step } = steps.find((one) => one.step.do === 'by-head')!
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
  moved: Litres,
  { stayCase, steps }: CardCase,
): number | null {
  const { step } = steps.find((one) => one.step.do === 'by-head')!
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

/** A quantity for a step; null where this rig, crew or errand has none: then its template is at fault. */
export function quantityOf(
  id: QuantityId,
  card: CardCase,
  subject: Subject,
  binding: Binding,
): CardQuantity | null {
  const made = MAKE[id](card, subject, binding)
  if (!made || !Number.isFinite(made.value)) return null
  return { id, unit: made.unit ?? QUANTITIES[id], value: made.value, why: made.why }
}

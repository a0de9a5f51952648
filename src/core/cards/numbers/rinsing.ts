import { BUCKET_L, isRinsedByHose, roundLitres } from '../../runs'
import { chargeOfTank, doseOf } from '../amounts'
import type { Binding, CardCase, Subject } from '../cardCase'
import { NO_RECORD, roundsExpected } from '../record'
import type { QuantityId } from '../template'
import { HANDS, assumed, thumb, of, levelTerm, minutesOf, type Made, type Make } from './made'

/** Rounds of rinsing, what is left in the tank for the next days, and its dose. */
export const rinsing = {
  'queue-low': () => thumb(HANDS.queueLow, 'volume'),
  'queue-high': () => thumb(HANDS.queueHigh, 'volume'),
  'rinse-litres': rinseLitres,
  'rinse-minutes': (card, subject, binding) => minutesOf(card, rinseLitres(card, subject, binding)),
  rounds: roundsMade,
  'rounds-stop': (card, subject, binding) => {
    const made = roundsMade(card, subject, binding)
    return made && { value: made.value + HANDS.roundsOver, why: made.why }
  },
  'bucket-size': () => thumb(BUCKET_L, 'volume'),
  'gray-keep': (card, subject, binding) => {
    const made = roundsMade(card, subject, binding)
    return (
      made && {
        value: made.value * HANDS.grayPerRound,
        why: [...made.why, assumed('per-litre', HANDS.grayPerRound, 'volume')],
      }
    )
  },
  charge: chargeMade,
  dose: doseMade,
  'stock-left': (card, subject, binding) => {
    const made = doseMade(card, subject, binding)
    if (!made || !binding.product) return null
    const stock = card.stock.get(binding.product.id) ?? binding.product.stock.value
    return {
      value: Math.max(0, stock - made.value),
      why: [{ term: 'stock', value: stock, unit: 'dose', from: 'record' }, ...made.why],
    }
  },
} satisfies Partial<Record<QuantityId, Make>>

/** L of one round of rinsing: three quarters of the tank, less what may still be in it; where no hose gets in, a bucket. */
function rinseLitres(card: CardCase, subject: Subject, binding: Binding): Made {
  const tank = of(binding, subject)
  if (tank?.kind !== 'black') return null
  const { rig, crew } = card.stayCase
  const { rinseTo } = crew.schools
  if (!isRinsedByHose(rig, tank)) return { value: BUCKET_L, why: [assumed('of-thumb', BUCKET_L, 'volume')] }
  const target = Math.min(rinseTo.value, tank.safeFill.value) * tank.capacity.value
  const left = tank.residue.value
  return {
    value: roundLitres(rig, crew.schools, tank),
    why: [
      levelTerm('capacity', tank.capacity.value, tank, 'rig'),
      { term: 'target', value: target, unit: 'volume', from: 'crew' },
      levelTerm('content-high', left, tank, 'rig'),
    ],
  }
}

function roundsMade(card: CardCase, subject: Subject, binding: Binding): Made {
  const tank = of(binding, subject)
  if (!tank) return null
  const record = card.records.get(tank.id) ?? NO_RECORD
  const { rig, crew } = card.stayCase
  const value = roundsExpected(record, crew, isRinsedByHose(rig, tank))
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

function doseMade(card: CardCase, subject: Subject, { tank, product }: Binding): Made {
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
}

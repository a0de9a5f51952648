import { carrierFill, WATER_KG_PER_L, type CarrierContainer } from '../../domain'
import type { Litres } from '../../quantities'
import { loadsFor } from '../../errands'
import { NOTHING, litresOfLoad, loadsFrom } from '../amounts'
import type { Binding, CardCase, Subject } from '../cardCase'
import { inflowOf } from '../inflow'
import { carriedKg, contentOfOne, liftedRinse } from '../weights'
import type { QuantityId } from '../template'
import { HANDS, assumed, thumb, levelTerm, contentOf, type Made, type Make, type WhyTerm } from './made'

/** What is pulled out and carried, and how heavy it is. */
export const carried = {
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
  'jug-loads': (card, subject) => carrierMade(card, 'jug', 'loads', subject),
  'jug-litres': (card, subject) => carrierMade(card, 'jug', 'litres', subject),
  'jug-kg': (card, subject) => carrierMade(card, 'jug', 'kg', subject),
  'tote-loads': (card, { container, grays, blacks }) => {
    const tote = container as CarrierContainer
    const litres = [...grays, ...blacks].map(({ id }) => loadsFrom(card, id, tote.id)?.litres ?? 0)
    const isSome = litres.some((one) => one > NOTHING)
    return {
      // Black and gray go apart: each tank has loads of its own.
      value: isSome ? litres.reduce((sum, one) => sum + (one > NOTHING ? loadsFor(one, tote) : 0), 0) : 1,
      why: [
        { term: 'moved', value: litres.reduce((sum, one) => sum + one, 0), unit: 'volume', from: 'errand' },
        { term: 'tote', value: carrierFill(tote), unit: 'volume', from: 'rig' },
      ],
    }
  },
  'load-litres': (card, subject, binding) => loadMade(card, subject, binding),
  'load-kg': (card, subject, binding) => {
    const made = loadMade(card, subject, binding)
    const carrier = subject.container as CarrierContainer
    return (
      made && {
        value: carrier.shell.value + made.value * WATER_KG_PER_L,
        why: [...made.why, { term: 'shell', value: carrier.shell.value, unit: 'mass', from: 'rig' }],
      }
    )
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
} satisfies Partial<Record<QuantityId, Make>>

/** L of one load: a full tote, and what is left of the tank in the last one. */
function loadMade(card: CardCase, { container }: Subject, { tank, load }: Binding): Made {
  if (!container || !('payload' in container) || !tank || !load) return null
  const from = loadsFrom(card, tank.id, container.id)
  if (!from) return null
  return {
    value: litresOfLoad(from.litres, container, load),
    why: [
      { term: 'moved', value: from.litres, unit: 'volume', from: 'errand' },
      { term: 'tote', value: carrierFill(container), unit: 'volume', from: 'rig' },
    ],
  }
}

function cassetteRinse(card: CardCase, { container }: Subject): Made {
  if (container?.kind !== 'cassette') return null
  const most = liftedRinse(card, container)
  const isTwice = card.stayCase.crew.schools.sides['cassette-rinse'] === 'twice'
  if (isTwice && HANDS.rinseTwice <= most) return thumb(HANDS.rinseTwice, 'volume')
  return {
    value: isTwice ? Math.min(HANDS.rinseTwice, most) : most,
    why: [
      levelTerm('capacity', container.capacity.value, container, 'rig'),
      { term: 'lift-limit', value: card.stayCase.crew.liftLimit.value, unit: 'mass', from: 'crew' },
      { term: 'shell', value: container.shell.value, unit: 'mass', from: 'rig' },
    ],
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
    // Black and gray go apart: each tank has loads of its own.
    value:
      kind === 'jug'
        ? loads
        : steps.reduce((sum, { moved }) => sum + (moved > 0 ? loadsFor(moved, carrier) : 0), 0),
    why: [{ term: 'moved', value: volume, unit: 'volume', from: 'errand' }, tote],
  }
}

/** L a day that come into a urine jug on the average of the days that are counted. */
export function urinePerDay({ model }: CardCase, id: string): Litres {
  const at = model.containers.findIndex(({ members }) => members.includes(id))
  const days = model.grid.edges[model.grid.count]!
  return days > 0 ? inflowOf(model, (to) => to === at) / days : 0
}

import type { Container } from '../../domain'
import type { Litres } from '../../quantities'
import { BUCKET_L } from '../../runs'
import { leftoverOf, topUpOf } from '../amounts'
import type { CardCase, Subject } from '../cardCase'
import type { QuantityId } from '../template'
import {
  HANDS,
  assumed,
  thumb,
  of,
  unitOf,
  levelTerm,
  tapFlow,
  minutesOf,
  contentOf,
  kgOf,
  type Made,
  type Make,
} from './made'

/** What is in a tank, what it lacks, and what goes into it. */
export const filling = {
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
  // What comes from fresh was aboard before: only the hose's water is more.
  'top-up-kg': (card, subject, binding) => kgOf(topUpMade('hose')(card, subject, binding)),
  leftover: (card, { container }) => ({
    value: leftoverOf(card, container),
    why: [{ term: 'moved', value: leftoverOf(card, container), unit: 'volume', from: 'errand' }],
  }),
  'road-reserve': ({ stayCase }) => {
    const { value } = stayCase.crew.schools.roadReserve
    return { value, why: [{ term: 'reserve', value, unit: 'volume', from: 'crew' }] }
  },
  'probe-low': probeMade(0.25),
  'probe-high': probeMade(0.5),
  fill: fillMade,
  'metered-litres': (_, { container }) => meteredMade(container),
  'meter-minutes': (card, { container }) => minutesOf(card, meteredMade(container)),
  'fill-minutes': (card, subject) => minutesOf(card, fillMade(card, subject)),
  'fill-kg': (card, subject) => kgOf(fillMade(card, subject)),
  'bucket-seconds': (card) => {
    const flow = tapFlow(card)
    return flow.value <= 0
      ? null
      : {
          value: (BUCKET_L / flow.value) * 60,
          why: [assumed('of-thumb', BUCKET_L, 'volume'), flow],
        }
  },
} satisfies Partial<Record<QuantityId, Make>>

/** A share of a waste tank in warm water, at most its room with what is in it taken at the upper end. */
function probeMade(share: number): Make {
  return (card, { container }) => {
    if (!container) return null
    const limit =
      'safeFill' in container ? container.safeFill.value * container.capacity.value : container.capacity.value
    const room = Math.max(0, limit - (card.contents.get(container.id)?.high ?? 0))
    return {
      value: Math.min(container.capacity.value * share, room),
      why: [
        levelTerm('capacity', container.capacity.value, container, 'rig'),
        ...(contentOf(card, container, 'high')?.why ?? []),
      ],
    }
  }
}

/** What goes into an empty tank by the meter: a waste tank only as far as it may be filled. */
function meteredMade(container: Container | null): Made {
  if (!container) return null
  const isWaste = container.kind === 'gray' || container.kind === 'black'
  const residue = isWaste ? container.residue.value : 0
  const share = isWaste ? container.safeFill.value : 1
  return {
    value: Math.max(0, share * container.capacity.value - residue),
    why: [
      levelTerm('capacity', container.capacity.value, container, 'rig'),
      ...(isWaste
        ? [{ term: 'safe-fill' as const, value: share, unit: 'share' as const, from: 'rig' as const }]
        : []),
    ],
  }
}

function topUpMade(what: 'missing' | 'fresh' | 'hose' | 'level'): Make {
  return (card, subject, binding) => {
    const tank = of(binding, subject)
    if (!tank) return null
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

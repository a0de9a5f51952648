import type { CardKind } from '../../domain'
import type { CardTemplate } from '../template'
import { aboard } from './aboard'
import { frost, layUp, probes, sanitize, seals } from './care'
import { cassette, solids, tote, urine } from './carried'
import { charge, dump, grayOnly, grayToBlackCard, macerator, rinse, topUp } from './dump'
import { arrival, bucketTest, fresh, meteredFill, roadDay, shakedown } from './water'

/** What else an errand moves, of which no card has a step of its own. */
const byHand: CardTemplate = {
  kind: 'by-hand',
  about: 'rig',
  items: [
    { id: 'by-hand.out', shows: ['moved'], cautions: ['local-rule'] },
    { id: 'by-hand.in', shows: ['moved'] },
    { id: 'by-hand.over', shows: ['moved'], cautions: ['stay'] },
  ],
}

export const TEMPLATES: Record<CardKind, CardTemplate> = {
  dump,
  'top-up': topUp,
  rinse,
  charge,
  'gray-to-black': grayToBlackCard,
  'gray-only': grayOnly,
  cassette,
  urine,
  solids,
  fresh,
  tote,
  macerator,
  'road-day': roadDay,
  arrival,
  aboard,
  shakedown,
  sanitize,
  'lay-up': layUp,
  frost,
  probes,
  seals,
  'bucket-test': bucketTest,
  'metered-fill': meteredFill,
  'by-hand': byHand,
}

import type { CardKind } from '../../model'
import type { CardTemplate } from '../template'
import { frost, layUp, probes, sanitize, seals } from './care'
import { cassette, solids, tote, urine } from './carried'
import { charge, dump, grayOnly, grayToBlackCard, macerator, rinse, topUp } from './dump'
import { arrival, bucketTest, fresh, meteredFill, roadDay, shakedown } from './water'

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
  shakedown,
  sanitize,
  'lay-up': layUp,
  frost,
  probes,
  seals,
  'bucket-test': bucketTest,
  'metered-fill': meteredFill,
}

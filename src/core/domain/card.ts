import type { Id } from './ids'

/** The run cards, each one job of the hands; the texts give each its words. */
export const CARD_KINDS = [
  'dump',
  'top-up',
  'rinse',
  'charge',
  'gray-to-black',
  'gray-only',
  'cassette',
  'urine',
  'solids',
  'fresh',
  'tote',
  'macerator',
  'road-day',
  'arrival',
  'aboard',
  'shakedown',
  'sanitize',
  'lay-up',
  'frost',
  'probes',
  'seals',
  'bucket-test',
  'metered-fill',
  'by-hand',
] as const
export type CardKind = (typeof CARD_KINDS)[number]

/** A step of a card that the owner made: one of the templates' (`dump.end-open`), or the owner's words. */
export type OwnStep = { step: string } | { words: string }

/** A card that the owner made, made from a copy of a template. */
export interface OwnCard {
  id: Id
  name: string
  kind: CardKind
  /** Where it was written; one from elsewhere is marked as that. */
  from: 'own' | 'elsewhere'
  steps: OwnStep[]
}

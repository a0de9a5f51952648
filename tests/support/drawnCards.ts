import fc from 'fast-check'
import { FIRST_ASKS, cardCase, cardOf, runFor, subjectsOf, type Card, type CardCase } from '@/core/cards'
import { compile } from '@/core/compile'
import { count } from '@/core/count'
import {
  CARD_KINDS,
  PLACE_WATER,
  QUESTIONS,
  caseOf,
  type Accepted,
  type CardKind,
  type Question,
  type StayCase,
} from '@/core/domain'
import { owned } from '@/core/quantities'
import { newPlace } from '@/document/starters'
import { trailerDemo } from '../../scripts/demo/trailer'
import { truckDemo } from '../../scripts/demo/truck'
import { vanDemo } from '../../scripts/demo/van'
import { starterCases } from './starterRigs'

const RIGS: StayCase[] = [
  ...[trailerDemo, vanDemo, truckDemo].map((make) => {
    const document = make()
    return caseOf(document, document.stays[0]!.id)
  }),
  ...starterCases(),
]
/** Kinds that are drawn. */
export const KINDS = CARD_KINDS.filter((kind) => kind !== 'by-hand')
const TAKES: readonly (Accepted[] | null)[] = [
  null,
  ['gray'],
  ['gray', 'black'],
  ['gray', 'black', 'cassette', 'urine', 'solids'],
  ['cassette'],
  [],
]

/** Rigs that can have a card of each kind: what few of them have is drawn as often as the rest. */
const RIGS_OF = new Map<CardKind, StayCase[]>(
  KINDS.map((kind) => [
    kind,
    RIGS.filter(({ rig, ...rest }) => {
      const geared = { ...rig, gear: [...rig.gear, 'macerator' as const] }
      return subjectsOf({ ...rest, rig: geared }, kind).length > 0
    }),
  ]),
)

export interface Drawn {
  rig: number
  kind: CardKind
  about: number
  /** -1: no place is named. */
  takes: number
  water: number
  sides: number[]
  gear: boolean[]
  asks: { othersWait: boolean; stays: boolean; areTwo: boolean | null }
  /** What each container holds of itself, how wide the reading, and where in that it really stands. */
  levels: { share: number; error: number; really: number }[]
  isOver: boolean
  joins: boolean
  /** Whatever it weighs. */
  isLight?: boolean
}
export const drawn: fc.Arbitrary<Drawn> = fc.record({
  rig: fc.nat(RIGS.length - 1),
  kind: fc.constantFrom(...KINDS),
  about: fc.nat(4),
  takes: fc.integer({ min: -1, max: TAKES.length - 1 }),
  water: fc.nat(PLACE_WATER.length - 1),
  sides: fc.array(fc.nat(5), { minLength: 40, maxLength: 40 }),
  gear: fc.array(fc.boolean(), { minLength: 3, maxLength: 3 }),
  asks: fc.record({
    othersWait: fc.boolean(),
    stays: fc.boolean(),
    areTwo: fc.constantFrom(true, false, null),
  }),
  levels: fc.array(
    fc.record({
      share: fc.double({ min: 0, max: 1, noNaN: true }),
      error: fc.double({ min: 0, max: 0.3, noNaN: true }),
      really: fc.double({ min: 0, max: 1, noNaN: true }),
    }),
    { minLength: 12, maxLength: 12 },
  ),
  isOver: fc.boolean(),
  joins: fc.boolean(),
})

/** A card of that, and what really stands in the tanks. */
export function made(
  of: Drawn,
): { card: Card; made: CardCase; levels: Map<string, number>; takes: (what: Accepted) => boolean } | null {
  const rigs = RIGS_OF.get(of.kind)!
  const base = structuredClone(rigs[of.rig % rigs.length]!)
  const { rig, crew, stay } = base
  if (of.isLight) rig.payload = null
  Object.keys(QUESTIONS).forEach((question, k) => {
    const all = QUESTIONS[question as Question]
    Object.assign(crew.schools.sides, { [question]: all[of.sides[k]! % all.length] })
  })
  const gear = (['flow-meter', 'rinse-wand', 'macerator'] as const).filter((_, k) => of.gear[k])
  rig.gear = [...new Set([...rig.gear, ...gear])]
  for (const outlet of rig.outlets) {
    if (of.joins && outlet.endValve && outlet.containers.length > 1) outlet.joined = [...outlet.containers]
    if (of.isOver)
      outlet.rinses =
        outlet.containers.find((id) => rig.containers.some((one) => one.id === id && one.kind === 'black')) ??
        null
  }
  stay.levels = stay.levels.map((one, k) => {
    const tank = rig.containers.find(({ id }) => id === one.container)!
    const { share, error } = of.levels[k % of.levels.length]!
    const most = 'safeFill' in tank ? tank.safeFill.value * tank.capacity.value : tank.capacity.value
    return {
      ...one,
      level: owned(share * most),
      error: { shape: 'even' as const, size: owned(error * tank.capacity.value) },
    }
  })
  const accepts = of.takes < 0 ? null : TAKES[of.takes]!
  const place = { ...newPlace('there', 'There'), accepts, water: PLACE_WATER[of.water]! }
  stay.places = of.takes < 0 ? [] : [place]
  const subjects = subjectsOf(base, of.kind)
  const subject = subjects[of.about % Math.max(1, subjects.length)]
  if (!subject) return null
  const model = compile(base)
  const ground = { stayCase: base, model, counted: count(model), log: [] }
  const asks = { ...FIRST_ASKS, ...of.asks }
  const at = cardCase(ground, runFor(base, of.kind, subject), asks, of.takes < 0 ? null : 'there')
  const levels = new Map(
    [...at.contents].map(([id, { likely, high }], k) => {
      const low = Math.max(0, 2 * likely - high)
      return [id, low + of.levels[k % of.levels.length]!.really * (high - low)]
    }),
  )
  // Somebody who was asked and was not sure opened nothing: the walk goes on only where it is taken.
  const takes = (what: Accepted) => accepts === null || accepts.includes(what)
  return { card: cardOf(at, of.kind, subject), made: at, levels, takes }
}

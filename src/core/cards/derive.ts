import type { CardKind, Container, Id, OwnCard, Product, TreatedKind } from '../domain'
import type { Amount } from '../quantities'
import type { RunEntry } from '../log'
import { loadsFor } from '../errands'
import { NOTHING, loadsFrom, productsFor } from './amounts'
import { joinedTanks, type Binding, type CardCase, type Load, type Subject, type Turn } from './cardCase'
import { holds } from './facts'
import type { CardQuantity } from './numbers/made'
import { quantityOf } from './quantities'
import {
  isBlock,
  type Act,
  type CardCaution,
  type Item,
  type QuantityId,
  type StepTemplate,
  type Mishap,
} from './template'
import { TEMPLATES } from './templates'
import { refused } from './templates/shared'
import { atPlace } from './where'

/** A card for this rig, place and errand: only what applies, every number worked out. Plain data: it can be kept. */
export interface Card {
  kind: CardKind
  /** The outlet or container it is about; null: the rig. */
  about: Id | null
  /** Through which outlet waste leaves on it. */
  outlet: Id | null
  /** The pair that gray runs over in, where the words speak of it. */
  pair: { gray: Id | null; black: Id | null }
  /** It goes on where the outlet before it stopped, and leads on to the next; left out: it is by itself. */
  turn?: Pick<Turn, 'goesOn' | 'leadsOn'>
  /** Where it is done; null: it is not said. */
  place: Id | null
  /** A card that the owner made. */
  own: { id: Id; name: string; from: OwnCard['from'] } | null
  steps: CardStep[]
}

export interface CardStep {
  /** `card.step` of the templates, or `own.3` of an owner's words. */
  id: string
  /** An owner's own words; null: the texts have them. */
  words: string | null
  tank: Id | null
  /** Where it comes from, of what goes from one container into another by hand. */
  from: Id | null
  product: Id | null
  acts: CardAct[]
  numbers: CardQuantity[]
  /** Quantities that its words ask for and that could not be worked out: none, on a sound template. */
  lacks: QuantityId[]
  timer: QuantityId | null
  tally: QuantityId | null
  cautions: CardCaution[]
  mishaps: Mishap[]
  /** A valve or a caution: it wants a hold and not a tap. */
  holds: boolean
  /** What it moves in the ledger: container of the model and by how much. */
  moves: { container: Id; by: Amount }[]
  /** What it says to the log. */
  did: RunEntry['did']
  /** Which load of how many of its tank; null: it is about none. */
  load: Load | null
  /** Whose it is where one person is inside and one at the hose; left out: there is no such choice. */
  by?: Whose
}

export const WHOSE = ['inside', 'hose'] as const
export type Whose = (typeof WHOSE)[number]

/** Steps whose way hangs on whether there are two. */
const FOR_TWO = ['rinse.watch', 'rinse.go-in', 'rinse.shut']

/** Whether these cards ask for one person inside and one at the hose. */
export function asksForTwo(cards: readonly Pick<Card, 'steps'>[]): boolean {
  return cards.some(({ steps }) => steps.some(({ id }) => FOR_TWO.includes(id)))
}

/** An act with the valve or tank it is about. */
export interface CardAct {
  act: Act
  tank: Id | null
}

/** The most steps of one card; a longer one is split between its stages. */
export const MOST_STEPS = 14
/** The same where it has a column for each of two people. */
const MOST_FOR_TWO = 10

interface Staged {
  step: CardStep
  template: StepTemplate
  stage: number
}

/** The card of a kind for a subject, whole; `split` makes cards of at most fourteen steps of it. */
export function deriveCard(card: CardCase, asked: CardKind, about: Subject): Card & { stages: number[] } {
  const state = { stage: 0, steps: [] as Staged[] }
  const here = atPlace(card, asked, about)
  const { kind, subject } = here ?? { kind: asked, subject: about }
  const whole: Binding = { tank: subject.container, product: null, load: null }
  const items = !here ? [refused] : kind === 'by-hand' ? [] : TEMPLATES[kind].items
  for (const item of items) expand(item, card, subject, whole, state)
  if (state.steps.some(({ template }) => template.needsTwo))
    for (const { step, template } of state.steps) step.by = template.isInside ? 'inside' : 'hose'
  const { goesOn, leadsOn } = card.turn
  return {
    kind,
    about: subject.container?.id ?? subject.outlet?.id ?? null,
    outlet: subject.outlet?.id ?? null,
    pair: pairOf(card, subject),
    ...(goesOn || leadsOn ? { turn: { goesOn, leadsOn } } : {}),
    place: card.place?.id ?? null,
    own: null,
    steps: state.steps.map(({ step }) => step),
    stages: state.steps.map(({ stage }) => stage),
  }
}

function expand(
  item: Item,
  card: CardCase,
  subject: Subject,
  outer: Binding,
  state: { stage: number; steps: Staged[] },
): void {
  if (isBlock(item) && item.stage) state.stage += 1
  for (const binding of item.each ? bindingsOf(item.each, card, subject, outer) : [outer]) {
    if (!holds(item.when, card, subject, binding)) continue
    if (isBlock(item)) for (const inner of item.items) expand(inner, card, subject, binding, state)
    else state.steps.push({ step: stepOf(item, card, subject, binding), template: item, stage: state.stage })
  }
}

function bindingsOf(
  each: NonNullable<Item['each']>,
  card: CardCase,
  subject: Subject,
  outer: Binding,
): Binding[] {
  const { blacks, grays, container } = subject
  const tanks = (list: readonly Container[]) => list.map((tank) => ({ ...outer, tank }))
  const of = (kind: Container['kind']) => card.stayCase.rig.containers.filter((one) => one.kind === kind)
  switch (each) {
    case 'black':
      return tanks(blacks)
    case 'gray':
      return tanks(grays)
    case 'first-black':
      return tanks(blacks.slice(0, 1))
    case 'first-gray':
      return tanks(grays.slice(0, 1))
    case 'fresh':
      return tanks(of('fresh'))
    case 'loaded': {
      const from = (id: Id) => (container ? loadsFrom(card, id, container.id) : null)
      const loaded = [...grays, ...blacks].filter(({ id }) => from(id) !== null)
      const some = loaded.filter(({ id }) => from(id)!.litres > NOTHING)
      // Nothing in any of them: the card is as it would be for the first.
      return tanks(some.length > 0 ? some : loaded.slice(0, 1))
    }
    case 'product': {
      const treated = outer.tank ?? container
      const products: Product[] = treated ? productsFor(card, treated.kind as TreatedKind) : []
      return products.map((product) => ({ ...outer, product }))
    }
    case 'load': {
      const from = outer.tank && container ? loadsFrom(card, outer.tank.id, container.id) : null
      const n = from && container && 'payload' in container ? loadsFor(from.litres, container) : 1
      return Array.from({ length: n }, (_, k) => ({ ...outer, load: { n: k + 1, of: n } }))
    }
    case 'joined':
      return tanks(joinedTanks(card.stayCase.rig, subject))
  }
}

function stepOf(template: StepTemplate, card: CardCase, subject: Subject, binding: Binding): CardStep {
  const ids = [
    ...new Set([
      ...(template.shows ?? []),
      ...[template.timer, template.tally].filter((id) => id !== undefined),
    ]),
  ]
  const numbers = ids.flatMap((id) => quantityOf(id, card, subject, binding) ?? [])
  const acts = (template.acts ?? []).flatMap((act) => boundActs(act, subject, binding, card))
  const cautions = template.cautions ?? []
  return {
    id: template.id,
    words: null,
    tank: binding.tank?.id ?? subject.container?.id ?? null,
    from: null,
    product: binding.product?.id ?? null,
    acts,
    numbers,
    lacks: ids.filter((id) => !numbers.some((number) => number.id === id)),
    timer: template.timer ?? null,
    tally: template.tally ?? null,
    cautions: [...cautions],
    mishaps: [...(template.mishaps ?? [])],
    holds: cautions.length > 0 || acts.some(({ act }) => VALVES.has(act)),
    moves: [],
    did: [],
    load: binding.load,
  }
}

const VALVES = new Set<Act>(['open:tank', 'open:end', 'shut:tank', 'shut:end', 'shut:all'])

/** The pair that gray runs over in: the errand's, else the first of each at the outlet. */
function pairOf({ steps }: CardCase, { blacks, grays }: Subject) {
  const head = steps.find(({ step }) => step.do === 'by-head')?.step
  return { gray: head?.from ?? grays[0]?.id ?? null, black: head?.to ?? blacks[0]?.id ?? null }
}

function boundActs(act: Act, subject: Subject, { tank }: Binding, card: CardCase): CardAct[] {
  const { gray, black } = pairOf(card, subject)
  switch (act) {
    case 'open:gray':
      return [{ act: 'open:tank', tank: gray }]
    case 'shut:gray':
      return [{ act: 'shut:tank', tank: gray }]
    case 'open:black':
      return [{ act: 'open:tank', tank: black }]
    case 'shut:black':
      return [{ act: 'shut:tank', tank: black }]
    case 'shut:grays':
      return subject.grays.map(({ id }) => ({ act: 'shut:tank', tank: id }))
    case 'open:joined':
      return joinedTanks(card.stayCase.rig, subject).map(({ id }) => ({ act: 'open:tank', tank: id }))
    default:
      return [{ act, tank: tank?.id ?? subject.container?.id ?? null }]
  }
}

/** Cards of at most fourteen steps: whole stages together as far as they fit, a longer stage cut where it must be. */
export function split({ stages, ...card }: Card & { stages: readonly number[] }): Card[] {
  const parts: CardStep[][] = [[]]
  const most = card.steps.some(({ by }) => by) ? MOST_FOR_TWO : MOST_STEPS
  const groups = [...new Set(stages)].map((stage) => card.steps.filter((_, k) => stages[k] === stage))
  for (const group of groups) {
    const open = parts.at(-1)!
    if (open.length > 0 && open.length + group.length > most) parts.push([])
    for (const step of group) {
      if (parts.at(-1)!.length === most) parts.push([])
      parts.at(-1)!.push(step)
    }
  }
  return parts.filter((steps) => steps.length > 0).map((steps) => ({ ...card, steps }))
}

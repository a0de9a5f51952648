import { QUESTIONS, type CardKind, type Question, type AnswerOf } from '../domain'

/**
 * The language in which run cards are written: data, not code. A template is a list of steps in the order of the work; a
 * step is printed where its conditions hold, once or for each tank it is about. Its words are the texts' (or an owner's), with
 * `{quantity}` where a number belongs; what it does to valves, caps and water is said in acts, which the laws read.
 */
export interface CardTemplate {
  kind: CardKind
  /** What one card is about: an outlet, a container of one of these kinds, or the whole rig. */
  about: About
  items: Item[]
}

export type About =
  | 'outlet'
  | 'black'
  | 'gray'
  | 'cassette'
  | 'urine'
  | 'solids'
  | 'fresh'
  | 'tote'
  | 'tank'
  | 'waste'
  | 'rig'

export type Item = StepTemplate | Block

/** Steps that go together: each of them for one tank before the next, or only where something holds. */
export interface Block {
  each?: Each
  when?: Condition
  /** Begins a stage: a card that is too long is split between stages. */
  stage?: true
  items: Item[]
}

/** For which tanks (of the outlet, or of the rig) or products a block or step is repeated. */
/** `load`: each load of a tank that a tote takes; `joined`: tanks that stand open to each other. */
export const EACH = [
  'black', 'gray', 'first-gray', 'first-black', 'fresh', 'loaded', 'load', 'joined', 'product',
] as const // prettier-ignore
export type Each = (typeof EACH)[number]

export interface StepTemplate {
  /** `card.step`: the key of its words, unique among all templates. */
  id: string
  each?: Each
  when?: Condition
  acts?: Act[]
  /** Quantities that its words show. */
  shows?: QuantityId[]
  /** The quantity that a clock runs down, or that a tally counts up to. */
  timer?: QuantityId
  tally?: QuantityId
  cautions?: CardCaution[]
  /** Indoors; on a card that needs two people the one inside does it. */
  isInside?: true
  /** Somebody is inside while the waste hose is open: it needs another one at the hose. */
  needsTwo?: true
  /** What goes wrong at this step. */
  mishaps?: Mishap[]
}

/** All of these hold; of a list inside it, one of them. `!` is not; `question=side` is a school. */
export type Condition = readonly (Atom | readonly Atom[])[]
export type Atom = Fact | AnswerAtom | `!${Fact | AnswerAtom}`
type AnswerAtom = { [Q in Question]: `${Q}=${AnswerOf<Q>}` }[Question]

/** What may be so of a rig, a place, the levels or the hour; `facts.ts` says when each is. */
export const FACTS = [
  'end-valve', 'gray-here', 'black-here', 'panel', 'under-threshold', 'others-wait', 'stays-there', 'rinse-inlet',
  'wand', 'meter', 'water-here', 'septic', 'nothing-in', 'hookup', 'has-fresh', 'fresh-done', 'heights', 'runs-over', 'rinse-now',
  'charge-some', 'charge-from-tap', 'own-product', 'powder', 'sachet', 'top-up-fresh', 'top-up-hose', 'leftover',
  'flush-own', 'flush-from-fresh', 'too-heavy', 'spare', 'going-home', 'sawdust', 'wet', 'other-toilet',
  'jugs', 'in-vehicle', 'heater', 'cassette-here', 'solids-here', 'drain-fresh',
  'freezing', 'place-named', 'with-gray', 'fresh-room', 'urine-flows',
  'ask-toilet', 'ask-gray', 'old-black', 'no-toilet-waste', 'rule-unknown', 'drinking-here', 'drinking-asked', 'drinking-never',
  'toilet-here', 'bowl', 'flush-jug', 'goes-in', 'treats', 'charge-dropped', 'gray-enough', 'back-fill-here', 'joined-here',
  'top-up-cut', 'top-up-adds', 'rinses', 'pumped', 'last-load', 'waste-tank', 'probe-room', 'waste-here',
  'urine-here', 'for-guests', 'flush-plenty', 'showers-here', 'dishes-here', 'habits-on',
  'two-people', 'goes-on', 'leads-on', 'gray-hose', 'flush-room', 'toilet-in-gray',
] as const // prettier-ignore
export type Fact = (typeof FACTS)[number]

/** What hands do, as far as an order or a caution hangs on it. `tank` is the tank the step is for. */
export const ACTS = [
  'fresh-first', 'potable', 'fresh-in', 'toilet-shut', 'gloves', 'eyes', 'hands', 'point-clean', 'read-before', 'read-after',
  'shut:all', 'open:end', 'shut:end', 'open:tank', 'shut:tank', 'open:gray', 'shut:gray', 'open:black', 'shut:black',
  'shut:grays', 'open:joined', 'tote-on', 'tote-off', 'cap-off', 'cap-on', 'hose-on', 'hose-off', 'ground-on', 'ground-off', 'back-fill', 'rinse-hose',
  'water-on', 'water-off', 'attend', 'blade-shut', 'pull-out', 'lift', 'spout-round', 'spout-cap-off', 'spout-cap-on',
  'spout-down', 'spout-in', 'button', 'pour', 'upright', 'rinse-in', 'tilt', 'push-in', 'dose',
  'chlorine', 'waste-empty', 'flushed', 'hose-fixed', 'pump-on', 'pump-off', 'vent-shut', 'vent-open', 'tow', 'bag',
  'heater-off', 'pump-aboard-off', 'measure', 'time', 'move:empty', 'move:take', 'move:charge', 'move:top-up', 'move:fill',
  'move:head', 'move:loads', 'move:jugs', 'move:transfer', 'move:drain', 'owe-rinse',
] as const // prettier-ignore
export type Act = (typeof ACTS)[number]

export const CARD_CAUTIONS = [
  'gas', 'eyes', 'valves', 'stay', 'backflow', 'two-hoses', 'no-mix', 'no-bleach', 'lift', 'potable', 'never-poke', 'tilt',
  'local-rule', 'not-compost', 'open-bed', 'walking-pace', 'vent-room', 'no-flame', 'antifreeze', 'label', 'open-slowly', 'drinking-hose',
  'black-first', 'button-last', 'septic',
] as const // prettier-ignore
export type CardCaution = (typeof CARD_CAUTIONS)[number]

export const MISHAPS = [
  'leaks', 'no-flow', 'jumps', 'overflows', 'stuck', 'too-much-in-pipe', 'never-clear', 'air-lock', 'called-away', 'level-wrong',
  'late-jug', 'too-wet', 'heavy', 'races', 'smells', 'panel-lies', 'tote-leaks', 'tote-jumps', 'tote-overflows', 'pump-leaks',
] as const // prettier-ignore
export type Mishap = (typeof MISHAPS)[number]

/** The numbers a card may show; `quantities.ts` works each out. */
export const QUANTITIES = {
  pulse: 'seconds',
  pipe: 'volume',
  'hose-weight': 'mass',
  drain: 'minutes',
  'queue-low': 'volume',
  'queue-high': 'volume',
  threshold: 'share',
  content: 'level',
  'content-high': 'level',
  limit: 'level',
  capacity: 'level',
  'shut-hours': 'hours',
  'top-up': 'volume',
  'top-up-level': 'volume',
  'top-up-fresh': 'volume',
  'top-up-fresh-minutes': 'minutes',
  'top-up-hose': 'volume',
  'top-up-hose-minutes': 'minutes',
  'top-up-kg': 'mass',
  leftover: 'volume',
  'road-reserve': 'volume',
  'rinse-litres': 'volume',
  'rinse-minutes': 'minutes',
  rounds: 'count',
  'rounds-stop': 'count',
  'bucket-size': 'volume',
  'gray-keep': 'volume',
  charge: 'volume',
  dose: 'dose',
  'stock-left': 'dose',
  'head-litres': 'volume',
  'head-seconds': 'seconds',
  kg: 'mass',
  'lift-limit': 'mass',
  'flush-litres': 'volume',
  'cassette-rinse': 'volume',
  'cassette-rinse-kg': 'mass',
  'cassette-rounds': 'count',
  soak: 'minutes',
  'dose-water': 'volume',
  'urine-days': 'days',
  uses: 'count',
  bricks: 'count',
  'medium-litres': 'volume',
  fill: 'volume',
  'fill-minutes': 'minutes',
  'fill-kg': 'mass',
  'bucket-seconds': 'seconds',
  'jug-loads': 'count',
  'jug-litres': 'volume',
  'jug-kg': 'mass',
  'tote-loads': 'count',
  'tote-litres': 'volume',
  'tote-kg': 'mass',
  'load-litres': 'volume',
  'load-kg': 'mass',
  reach: 'length',
  'pump-head': 'length',
  'drain-fresh': 'volume',
  'drain-fresh-minutes': 'minutes',
  'road-kg': 'mass',
  'flush-owed': 'volume',
  'flush-night': 'volume',
  'system-litres': 'volume',
  bleach: 'millilitres',
  'bleach-percent': 'percent',
  'bleach-hold': 'minutes',
  'gray-room': 'volume',
  stages: 'count',
  'probe-low': 'volume',
  'probe-high': 'volume',
  'known-charge': 'volume',
  'metered-litres': 'level',
  'shower-litres': 'volume',
  'dishes-litres': 'volume',
  moved: 'level',
  'meter-minutes': 'minutes',
} as const
export type QuantityId = keyof typeof QUANTITIES
export type QuantityUnit = (typeof QUANTITIES)[QuantityId]

export function isBlock(item: Item): item is Block {
  return 'items' in item
}

const SIDES = new Set(
  Object.entries(QUESTIONS).flatMap(([question, sides]) => sides.map((side) => `${question}=${side}`)),
)

const isKnown = (atom: string) => SIDES.has(atom) || (FACTS as readonly string[]).includes(atom)

/** Every fault of a template in the language's own terms; the words are checked where they are. Empty: it is sound. */
export function templateFaults({ kind, items }: CardTemplate): string[] {
  const faults: string[] = []
  const seen = new Map<string, StepTemplate>()
  const among = (list: readonly string[], found: readonly string[] | undefined, where: string) => {
    for (const one of found ?? []) if (!list.includes(one)) faults.push(`${where}: ${one}`)
  }
  const visit = (item: Item, where: string) => {
    for (const atom of (item.when ?? []).flat())
      if (!isKnown(atom.replace('!', ''))) faults.push(`${where}: ${atom}`)
    if (item.each) among(EACH, [item.each], where)
    if (isBlock(item)) {
      item.items.forEach((inner) => visit(inner, where))
      return
    }
    // The same step may stand in several branches; another one of its name may not.
    if ((seen.get(item.id) ?? item) !== item) faults.push(`${item.id} twice`)
    seen.set(item.id, item)
    among(ACTS, item.acts, item.id)
    among(CARD_CAUTIONS, item.cautions, item.id)
    among(MISHAPS, item.mishaps, item.id)
    const numbers = [
      ...(item.shows ?? []),
      ...(item.timer ? [item.timer] : []),
      ...(item.tally ? [item.tally] : []),
    ]
    among(Object.keys(QUANTITIES), numbers, item.id)
    if (!/^[a-z0-9-]+\.[a-z0-9-]+$/.test(item.id)) faults.push(`${item.id}: not card.step`)
  }
  for (const item of items) visit(item, kind)
  return faults
}

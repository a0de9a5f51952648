import type { CardKind, OwnCard, Rig } from '../domain'
import type { Card, CardStep } from './derive'
import { brokenLaws, type Breaking } from './laws'
import { isBlock, type Item } from './template'
import { TEMPLATES } from './templates'
import { refused } from './templates/shared'

/** Every step that the templates have, by id. */
export function templateStepIds(): string[] {
  const ids = new Set<string>([refused.id])
  const visit = (item: Item): void => {
    if (isBlock(item)) item.items.forEach(visit)
    else ids.add(item.id)
  }
  for (const { items } of Object.values(TEMPLATES)) items.forEach(visit)
  return [...ids]
}

/** Ways of doing one thing, of which one applies at a time: a card that the owner made has all of them, as nobody knows yet who is there when it is walked. */
const WAYS: readonly (readonly string[])[] = [
  [
    ...['rinse.watch', 'rinse.wand', 'rinse.buckets', 'rinse.call'],
    ...['rinse.go-in', 'rinse.wand-alone', 'rinse.buckets-alone', 'rinse.go-out'],
  ],
]

/** A copy to begin with: the steps that the card has on this rig, each once; what only a later tank has stands in its place. */
export function ownCopy(card: Card, id: string, name: string): OwnCard {
  const ids: string[] = []
  card.steps.forEach((step, k) => {
    if (ids.includes(step.id)) return
    const before = card.steps[k - 1]
    ids.splice(before ? ids.indexOf(before.id) + 1 : 0, 0, step.id)
  })
  const all = ids.flatMap((step) => {
    const ways = WAYS.find((one) => one.includes(step))
    return ways ? (ids.find((one) => ways.includes(one)) === step ? ways : []) : [step]
  })
  return { id, name, kind: card.kind, from: 'own', steps: all.map((step) => ({ step })) }
}

/**
 * One's own order of a card: the steps that the card has here, in the order of the own one, its words between them. What is
 * done for several tanks, or loads, is done for each of them in turn: a stretch of such steps is gone through one by one.
 */
export function ownSteps(card: Card, own: OwnCard): CardStep[] {
  const of = (id: string) => card.steps.filter((step) => step.id === id)
  const out: CardStep[] = []
  let stretch: CardStep[][] = []
  const close = () => {
    const keys = [...new Set(stretch.flat().map(keyOf))]
    for (const key of keys)
      for (const steps of stretch) out.push(...steps.filter((step) => keyOf(step) === key))
    stretch = []
  }
  own.steps.forEach((one, k) => {
    const steps = 'words' in one ? [wordsStep(one.words, k)] : of(one.step)
    const goesOn = steps.some((one) => stretch.some((of) => of.some((step) => keyOf(step) === keyOf(one))))
    if (steps.length > 1 || goesOn) stretch.push(steps)
    else {
      close()
      out.push(...steps)
    }
  })
  close()
  return out
}

function wordsStep(words: string, k: number): CardStep {
  return {
    id: `own.${k}`,
    words,
    tank: null,
    from: null,
    product: null,
    acts: [],
    numbers: [],
    lacks: [],
    timer: null,
    tally: null,
    cautions: [],
    mishaps: [],
    holds: false,
    moves: [],
    did: [],
    load: null,
  }
}

/** What is gone through one after the other: each tank, and each load of it. */
const keyOf = ({ tank, load }: CardStep) => `${tank}.${load?.n ?? ''}`

export function withOwn(card: Card & { stages: number[] }, own: OwnCard): Card & { stages: number[] } {
  const steps = ownSteps(card, own)
  // Stages as they were where the step is one of the card's; own words stay with what they follow.
  let stage = 0
  const stages = steps.map((step) => {
    const at = card.steps.indexOf(step)
    stage = at < 0 ? stage : Math.max(stage, card.stages[at]!)
    return stage
  })
  return { ...card, own: { id: own.id, name: own.name, from: own.from }, steps, stages }
}

/** What a card that the owner made breaks that the template keeps; and what of the moves and cautions it dropped. */
export function ownFaults(card: Card, own: OwnCard, rig: Rig): Breaking[] {
  return brokenLaws({ ...card, steps: ownSteps(card, own) }, rig)
}

/** A file of one card: `dry-count/card@1`. */
export interface CardFile {
  format: 'dry-count/card@1'
  card: { name: string; kind: CardKind; steps: OwnCard['steps'] }
}

export function cardFile({ name, kind, steps }: OwnCard): CardFile {
  return { format: 'dry-count/card@1', card: { name, kind, steps } }
}

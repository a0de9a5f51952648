import { newPlace } from '@/document/starters'
import { describe, expect, it } from 'vitest'
import { en } from '@/texts'
import { count } from '../count'
import { compile } from '../compile'
import {
  CARD_KINDS,
  PLACE_RULES,
  PLACE_WATER,
  QUESTIONS,
  caseOf,
  type CardKind,
  type Document,
  type Place,
  type Product,
  type Question,
  type StayCase,
} from '../domain'
import { owned } from '../quantities'
import { starterCases } from '../../../tests/support/starterRigs'
import { allOf, pairwise, sizeOf, type Choice, type Fields } from '../../../tests/support/pairwise'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { truckDemo } from '../../../scripts/demo/truck'
import { vanDemo } from '../../../scripts/demo/van'
import {
  CARDS_OF_QUESTION,
  FIRST_ASKS,
  MOST_STEPS,
  QUANTITIES,
  TEMPLATES,
  brokenLaws,
  cardCase,
  cardOf,
  isBlock,
  runFor,
  split,
  subjectsOf,
  templateFaults,
  templateStepIds,
  type Card,
  type CardGround,
  type CardTemplate,
  type Item,
  type StepTemplate,
} from './index'

const NAMES = [
  ...[
    'tank',
    'outlet',
    'side',
    'handle',
    'valves',
    'gray',
    'black',
    'place',
    'product',
    'from',
    'load',
    'joined',
    'habits',
  ],
]

function stepsOf({ items }: Pick<CardTemplate, 'items'>): StepTemplate[] {
  const of = (item: Item): StepTemplate[] => (isBlock(item) ? item.items.flatMap(of) : [item])
  return items.flatMap(of)
}
function atomsOf({ items }: Pick<CardTemplate, 'items'>): string[] {
  const of = (item: Item): string[] => [
    ...(item.when ?? []).flat().map((atom) => atom.replace('!', '')),
    ...(isBlock(item) ? item.items.flatMap(of) : []),
  ]
  return items.flatMap(of)
}

describe('the language of the cards', () => {
  it('every template is sound, and a fault in one is found', () => {
    for (const template of Object.values(TEMPLATES)) expect(templateFaults(template)).toEqual([])
    const wrong = structuredClone(TEMPLATES['top-up']) as unknown as { items: Record<string, unknown>[] }
    Object.assign(wrong.items[0]!, {
      shows: ['no-number'],
      when: ['full-moon', 'charge=most'],
      acts: ['run'],
    })
    wrong.items.push(structuredClone(wrong.items[1]!))
    expect(templateFaults(wrong as unknown as CardTemplate)).toEqual([
      'top-up: full-moon',
      'top-up: charge=most',
      'top-up.see: run',
      'top-up.see: no-number',
      'top-up.no-room twice',
    ])
  })

  it('every step has its words and all words a step; what the words show is what the step works out', () => {
    expect(Object.keys(en.cardSteps).sort()).toEqual(templateStepIds().sort())
    const wrong: unknown[] = []
    for (const template of Object.values(TEMPLATES))
      for (const step of stepsOf(template)) {
        const asked = [...en.cardSteps[step.id]!.matchAll(/\{([a-z-]+)\}/g)].map(([, word]) => word!)
        const numbers = asked.filter((word) => !NAMES.includes(word))
        const made = [...(step.shows ?? []), ...[step.timer, step.tally].filter((one) => one !== undefined)]
        if (numbers.some((word) => !(word in QUANTITIES))) wrong.push([step.id, 'no quantity', numbers])
        if (numbers.some((word) => !made.includes(word as never))) wrong.push([step.id, 'not made', numbers])
        if ((step.shows ?? []).some((word) => !asked.includes(word)))
          wrong.push([step.id, 'not said', step.shows])
      }
    expect(wrong).toEqual([])
  })
})

/** What varies besides the schools: the place, the hour, the gear, the treatment. */
const AROUND: Fields = {
  water: [null, ...PLACE_WATER],
  rule: PLACE_RULES,
  others: [false, true],
  stays: [true, false],
  gear: [[], ['flow-meter'], ['rinse-wand'], ['flow-meter', 'rinse-wand', 'macerator']],
  products: ['none', 'liquid', 'powder', 'two'],
  full: [false, true],
  hookup: [false, true],
}

function productsOf(which: unknown): Product[] {
  const one = (id: string, form: Product['form'], per: Product['per']): Product => ({
    id,
    name: id,
    form,
    for: ['black', 'gray', 'cassette'],
    dose: owned(50),
    per,
    perLitres: owned(100),
    stock: owned(400),
  })
  if (which === 'none') return []
  if (which === 'two') return [one('first', 'sachet', 'each'), one('second', 'liquid', 'charge')]
  return [one('only', which === 'powder' ? 'powder' : 'liquid', 'capacity')]
}

function groundOf(stayCase: StayCase, choice: Choice): { ground: CardGround; place: string | null } {
  const { stay, crew, rig } = stayCase
  const schools = Object.fromEntries(Object.entries(choice).filter(([name]) => name in QUESTIONS))
  const place: Place | null =
    choice.water === null || choice.water === undefined
      ? null
      : {
          ...newPlace('there', 'There'),
          water: choice.water as Place['water'],
          rule: (choice.rule ?? 'any') as Place['rule'],
        }
  const changed: StayCase = {
    ...stayCase,
    crew: {
      ...crew,
      products: productsOf(choice.products ?? 'liquid'),
      schools: { ...crew.schools, sides: { ...crew.schools.sides, ...schools } },
    },
    rig: { ...rig, gear: [...new Set([...rig.gear, ...((choice.gear ?? []) as typeof rig.gear)])] },
    stay: {
      ...stay,
      places: place ? [place] : [],
      site: choice.hookup ? { ...stay.site, sewer: 'all', water: 'tap', hookupNights: 2 } : stay.site,
    },
  }
  const key = choice.full ? 'full' : 'empty'
  const kept = models.get(stayCase) ?? {}
  models.set(stayCase, kept)
  kept[key] ??= modelOf(stayCase, choice.full === true)
  return { ground: { stayCase: changed, ...kept[key], log: [] }, place: place?.id ?? null }
}
type Counted = Pick<CardGround, 'model' | 'counted'>
/** Answers and places change no level at the start: one model for all of them. */
const models = new WeakMap<StayCase, { full?: Counted; empty?: Counted }>()
function modelOf(stayCase: StayCase, isFull: boolean): Counted {
  const levels = stayCase.stay.levels.map((one) => {
    const { capacity, kind } = stayCase.rig.containers.find(({ id }) => id === one.container)!
    const share = kind === 'fresh' || kind === 'flush' ? 0.3 : 0.7
    return { ...one, level: owned(capacity.value * share) }
  })
  const model = compile(isFull ? { ...stayCase, stay: { ...stayCase.stay, levels } } : stayCase)
  return { model, counted: count(model) }
}

/** The fields that a template reads: its schools, and what its facts stand on. */
function fieldsOf(kind: CardKind): Fields {
  const schools = new Set(
    atomsOf(TEMPLATES[kind]).flatMap((atom) => (atom.includes('=') ? [atom.split('=')[0] as Question] : [])),
  )
  for (const question of ['charge', 'dump-black', 'rinse-when', 'fresh-driving', 'treatment'] as const)
    schools.add(question)
  const own = Object.fromEntries([...schools].map((question) => [question, QUESTIONS[question]]))
  return { ...own, ...AROUND }
}

const cardsOn = (
  stayCase: StayCase,
  kind: CardKind,
  choice: Choice,
): { card: Card & { stages: number[] }; rig: StayCase['rig'] }[] => {
  const { ground, place } = groundOf(stayCase, choice)
  const asks = {
    ...FIRST_ASKS,
    forGuests: choice.others === true,
    othersWait: choice.others === true,
    stays: choice.stays !== false,
  }
  return subjectsOf(ground.stayCase, kind).map((subject) => ({
    card: cardOf(cardCase(ground, runFor(ground.stayCase, kind, subject), asks, place), kind, subject),
    rig: ground.stayCase.rig,
  }))
}

const DEMOS = (): StayCase[] =>
  [trailerDemo, vanDemo, truckDemo].map((make) => {
    const document: Document = make()
    return caseOf(document, document.stays[0]!.id)
  })

describe('every card, every rig, every side', () => {
  it.each(CARD_KINDS)('%s keeps every law, lacks no number and no word, and is split at fourteen', (kind) => {
    const fields = fieldsOf(kind)
    // Once over everything, and once where there is water, time and somebody who stays: all of a rinse depends on those.
    const calm = {
      ...fields,
      others: [false],
      water: ['potable'],
      stays: [true],
      'rinse-when': ['every-dump'],
    }
    const choices = sizeOf(fields) <= 2000 ? allOf(fields) : [...pairwise(fields), ...pairwise(calm)]
    let seen = 0
    for (const stayCase of [...DEMOS(), ...starterCases()])
      for (const choice of choices)
        for (const { card, rig } of cardsOn(stayCase, kind, choice)) {
          seen += 1
          const faults = brokenLaws(card, rig)
          if (faults.length > 0 || card.steps.length === 0)
            expect({
              rig: rig.name,
              choice,
              faults: faults.map(({ law, step }) => [law, card.steps[step]?.id]),
            }).toBeNull()
          const parts = split(card)
          if (parts.some(({ steps }) => steps.length > MOST_STEPS || steps.length === 0))
            expect(choice).toEqual('split')
          expect(parts.flatMap(({ steps }) => steps)).toEqual(card.steps)
        }
    expect(seen > 0).toBe(kind !== 'by-hand')
  })

  it('every question changes a card: a table of which', () => {
    const changed: Partial<Record<Question, CardKind[]>> = {}
    const demos = DEMOS()
    for (const question of Object.keys(QUESTIONS) as Question[])
      for (const kind of CARD_KINDS) {
        const differs = demos.some((stayCase) => {
          const said = QUESTIONS[question].map((side) => {
            const around = { water: 'potable', gear: ['flow-meter'], hookup: true }
            const both = [false, true].flatMap((full) =>
              ['none', 'liquid'].flatMap((products) =>
                cardsOn(stayCase, kind, { ...around, full, products, [question]: side }),
              ),
            )
            return JSON.stringify(both.map(({ card }) => card.steps.map(({ id, numbers }) => [id, numbers])))
          })
          return new Set(said).size > 1
        })
        if (differs) (changed[question] ??= []).push(kind)
      }
    expect(changed).toEqual(CARDS_OF_QUESTION)
  })
})

import { playRun, type Count } from '../count'
import { compileRun, type Model } from '../compile'
import type { CardKind, Container, Id, Run, RunStep, StayCase } from '../domain'
import type { LogEntry } from '../log'
import type { Amount } from '../quantities'
import { newBlock } from '../runs'
import { answersOf, didOf, levelsBefore, type StepAnswer } from '../schedule'
import { litresOfLoad, loadsFrom } from './amounts'
import {
  NO_TURN,
  contentsAt,
  type CardAsks,
  type CardCase,
  type Load,
  type Subject,
  type Turn,
} from './cardCase'
import { deriveCard, type Card, type CardStep } from './derive'
import { inflowOf } from './inflow'
import { tapShare } from './numbers/filling'
import type { WhyTerm } from './numbers/made'
import { recordsOf, stockLeft } from './record'
import { subjectsOf } from './subjects'
import type { Act } from './template'
import { stepsTaken } from './where'

/** What there is to make cards of: the stay, its ledger, its log. */
export interface CardGround {
  stayCase: StayCase
  model: Model
  counted: Count
  log: readonly LogEntry[]
}

/** Too little to be worth a word, L (or uses). */
const NOTHING = 0.05

/**
 * The case of a card. A run that is planned is taken on the levels right before it; one that is not, on those where the model
 * begins. `isNow`: it is done now, whenever it was planned for.
 */
export function cardCase(
  ground: CardGround,
  run: Run,
  asks: CardAsks,
  placeId: Id | null,
  isNow = false,
): CardCase {
  const { stayCase, model, counted, log } = ground
  const planned = !isNow && model.runs.some(({ id }) => id === run.id) ? run : null
  const levels = planned
    ? levelsBefore(model, counted, planned)
    : Float64Array.from(model.containers, ({ start }) => start)
  const { rig, crew, stay } = stayCase
  const place = stay.places.find(({ id }) => id === placeId) ?? null
  const asked = { ...run, place: placeId }
  const at = { ...asked, steps: stepsTaken({ run: asked, place, stayCase }) }
  const rows =
    planned && placeId === run.place && at.steps.length === run.steps.length
      ? counted.ledger.runs.filter((row) => row.run === run.id)
      : playRun(
          model,
          compileRun(at, 0, { rig, crew, containers: model.containers, places: stay.places }),
          blockOf(levels),
        )
  const days = model.grid.edges[model.grid.count]!
  const gray = new Set(model.containers.flatMap(({ kind }, c) => (kind === 'gray' ? [c] : [])))
  return {
    stayCase,
    model,
    contents: contentsAt(stayCase, model, counted, planned),
    run: at,
    steps: answersOf(model, at, rows, levels.slice()),
    place,
    records: recordsOf(log),
    asks,
    turn: NO_TURN,
    stock: stockLeft(crew.products, log),
    grayPerDay: days > 0 ? inflowOf(model, (to) => gray.has(to)) / days : 0,
  }
}

function blockOf(levels: Float64Array) {
  const block = newBlock(levels.length, 1)
  block.levels.set(levels)
  return block
}

/** Cards of an errand in the order of the work, with what each of their steps moves; together they move what the run does. */
export function cardsFor(card: CardCase): (Card & { stages: number[] })[] {
  const jobs = jobsOf(card)
  const cards = jobs.map(({ kind, subject }, k) =>
    deriveCard({ ...card, turn: turnOf(jobs, k) }, kind, subject),
  )
  const left = assign(card, cards)
  return left.length > 0 ? [...cards, byHand(card, left)] : cards
}

/** What no card has a step for: said as it is, and moved all the same. */
function byHand(card: CardCase, left: readonly StepAnswer[]): Card & { stages: number[] } {
  const none: Subject = { outlet: null, blacks: [], grays: [], container: null }
  const steps = left.map((answer): CardStep => {
    const { from, to, do: does } = answer.step
    const tank = to ?? from
    const isUses = card.stayCase.rig.containers.some(({ id, kind }) => id === tank && kind === 'solids')
    const why: WhyTerm = {
      term: 'moved',
      value: answer.moved,
      unit: isUses ? 'uses' : 'volume',
      from: 'errand',
    }
    const isOver = from !== null && to !== null && does !== 'charge'
    return {
      id: isOver ? 'by-hand.over' : to === null ? 'by-hand.out' : 'by-hand.in',
      words: null,
      tank,
      from,
      product: null,
      acts: [],
      numbers: [{ id: 'moved', unit: isUses ? 'uses' : 'level', value: answer.moved, why: [why] }],
      lacks: [],
      timer: null,
      tally: null,
      cautions: isOver ? ['stay'] : to === null ? ['local-rule'] : [],
      mishaps: [],
      holds: isOver || to === null,
      moves: movesOf(card, answer),
      did: didOf(answer),
      load: null,
    }
  })
  return { ...deriveCard(card, 'by-hand', none), steps, stages: steps.map(() => 0) }
}

/** One card that somebody asked for by itself. */
export function cardOf(card: CardCase, kind: CardKind, subject: Subject): Card & { stages: number[] } {
  const made = deriveCard(card, kind, subject)
  assign(card, [made])
  return made
}

interface Job {
  kind: CardKind
  subject: Subject
}

/** Outlets that the same hose serves one after the other. */
const BY_HOSE: readonly CardKind[] = ['dump', 'gray-only']
/** Cards on which fresh water is offered before hands touch waste. */
const OFFERS_FRESH: readonly CardKind[] = [...BY_HOSE, 'macerator', 'tote', 'cassette', 'rinse']
function turnOf(jobs: readonly Job[], k: number): Turn {
  const isHose = (at: number) => jobs[at] !== undefined && BY_HOSE.includes(jobs[at].kind)
  return {
    goesOn: isHose(k) && isHose(k - 1),
    leadsOn: isHose(k) && isHose(k + 1),
    isLater: jobs.slice(0, k).some(({ kind }) => OFFERS_FRESH.includes(kind)),
  }
}

/** Before the fresh water, with it, the outlets, what is carried, and what comes last. */
function jobsOf(card: CardCase): Job[] {
  const { stayCase, run } = card
  const moved = card.steps.filter((one) => one.moved > NOTHING)
  const any = moved.length > 0 ? moved : card.steps
  const jobs: Job[] = []
  const add = (kind: CardKind, wanted: (subject: Subject) => boolean) => {
    for (const subject of subjectsOf(stayCase, kind)) if (wanted(subject)) jobs.push({ kind, subject })
  }
  const to = (does: RunStep['do'], { container }: Subject) =>
    any.some(({ step }) => step.do === does && step.to === container?.id)
  const from = (does: readonly RunStep['do'][], id: Id | undefined) =>
    any.some(({ step }) => does.includes(step.do) && step.from === id)
  const leaves = (tanks: readonly Container[]) => tanks.some(({ id }) => from(['empty', 'take'], id))
  add('top-up', (one) => to('top-up', one) || to('transfer', one))
  if (card.steps.some(({ step }) => step.do === 'by-head'))
    add('gray-to-black', (one) => one.grays.some(({ id }) => from(['by-head'], id)))
  add('fresh', (one) => to('fill', one) || to('jugs', one))
  if (run.kind === 'macerate')
    add('macerator', (one) => [...one.blacks, ...one.grays].some(({ id }) => from(['empty', 'take'], id)))
  else {
    add('dump', (one) => leaves(one.blacks))
    add('gray-only', (one) => leaves(one.grays) && !leaves(one.blacks))
  }
  add('tote', ({ container, blacks, grays }) =>
    any.some(
      ({ step }) =>
        step.do === 'loads' &&
        step.to === container?.id &&
        [...blacks, ...grays].some(({ id }) => id === step.from),
    ),
  )
  for (const kind of ['cassette', 'urine', 'solids'] as const)
    add(kind, (one) => from(['empty', 'take'], one.container?.id))
  const { sides } = stayCase.crew.schools
  const lets = ({ kind, subject }: Job, id: Id | undefined) =>
    CHARGES.includes(kind) &&
    [...subject.blacks, ...(sides['gray-treated'] === 'always' ? subject.grays : [])].some(
      (tank) => tank.id === id,
    )
  // With the hose still out nothing goes in: where another outlet follows a card of its own comes after.
  const isOwed = (id: Id | undefined, leadsOn: boolean) =>
    jobs.some((job, k) => turnOf(jobs, k).leadsOn === leadsOn && lets(job, id))
  add('charge', (one) => {
    const id = one.container?.id
    if (isOwed(id, true)) return to('charge', one) || sides.treatment !== 'none'
    return to('charge', one) && !isOwed(id, false)
  })
  if (any.some(({ step }) => step.do === 'empty' && isSupply(card, step.from))) add('road-day', () => true)
  return jobs
}
const CHARGES: readonly CardKind[] = ['dump', 'macerator', 'gray-only']

function isSupply({ stayCase }: CardCase, id: Id | null): boolean {
  return stayCase.rig.containers.some((one) => one.id === id && 'reserve' in one)
}

/** Whether anything is other than before: jugs that were filled and found no room stand full. */
function changes({ from, to }: StepAnswer): boolean {
  return [from, to].some((end) => end !== null && end.after !== end.before)
}

/** Which steps of an errand an act on a card carries out. */
const CARRIES: Partial<Record<Act, RunStep['do']>> = {
  'move:empty': 'empty',
  'move:take': 'take',
  'move:charge': 'charge',
  'move:top-up': 'top-up',
  'move:fill': 'fill',
  'move:head': 'by-head',
  'move:loads': 'loads',
  'move:jugs': 'jugs',
  'move:transfer': 'transfer',
  'move:drain': 'empty',
}

/**
 * Gives every step of the errand to the one step of a card that carries it out. With the fresh water first, what a charge
 * draws from a tank that is filled afterwards comes from the tap (`tapShare`).
 * @returns what none of them carries out
 */
function assign(card: CardCase, cards: readonly Card[]): StepAnswer[] {
  const steps = cards.flatMap(({ steps: own }) => own)
  const taken = new Set<StepAnswer>()
  for (const step of steps)
    for (const { act, tank } of step.acts) {
      const does = CARRIES[act]
      if (!does) continue
      if (step.load) {
        if (tank !== null) loaded(card, step, step.load, tank, taken)
        continue
      }
      const answers = card.steps.filter(
        (one) => !taken.has(one) && one.step.do === does && isAbout(one, act, tank),
      )
      for (const answer of answers) {
        taken.add(answer)
        step.moves.push(...movesOf(card, answer))
        step.did.push(...didOf(answer))
      }
    }
  return card.steps.filter((one) => !taken.has(one) && changes(one))
}

/** Each load takes its share of its tank; what was done is done with the last. */
function loaded(card: CardCase, step: CardStep, load: Load, tank: Id, taken: Set<StepAnswer>): void {
  const tote = card.steps.find((one) => one.step.do === 'loads' && one.step.from === tank)?.step.to
  const carrier = card.stayCase.rig.containers.find(({ id }) => id === tote)
  const from = tote ? loadsFrom(card, tank, tote) : null
  if (!from || !carrier || !('payload' in carrier)) return
  const litres = litresOfLoad(from.litres, carrier, load)
  const share = from.answer.moved > 0 ? litres / from.answer.moved : 1
  step.moves.push(...movesOf(card, from.answer).map(({ container, by }) => ({ container, by: by * share })))
  const isLast = load.n === load.of
  const tookOut = { container: tank, what: 'took-out' as const, litres: Math.round(litres * 10) / 10 }
  if (!isLast) {
    step.did.push(tookOut)
    return
  }
  for (const one of card.steps)
    if (one.step.do === 'loads' && (one.step.from === tank || one === from.answer)) taken.add(one)
  step.did.push(
    ...didOf(from.answer).map((did) =>
      did.what === 'took-out'
        ? tookOut
        : { ...did, container: did.container === from.answer.step.from ? tank : did.container },
    ),
  )
}

function isAbout({ step }: StepAnswer, act: Act, tank: Id | null): boolean {
  if (act === 'move:head') return true
  const drawn = act === 'move:empty' || act === 'move:take' || act === 'move:drain' || act === 'move:loads'
  return (drawn ? step.from : step.to) === tank
}

function movesOf(card: CardCase, answer: StepAnswer): { container: Id; by: Amount }[] {
  const { step, from, to } = answer
  const of = (id: Id | null) =>
    card.model.containers.find(({ members }) => id !== null && members.includes(id))?.id
  const moves: { container: Id; by: Amount }[] = []
  const supply = step.do === 'charge' ? step.from : step.do === 'fill' ? step.to : null
  const isBefore =
    step.do === 'fill' ||
    card.steps.indexOf(answer) <
      card.steps.findIndex(({ step: one }) => one.do === 'fill' && one.to === supply)
  const share = supply !== null && isBefore ? tapOf(card, answer, supply) : 0
  if (step.from !== null && from)
    moves.push({ container: of(step.from)!, by: from.after - from.before + share })
  if (step.to !== null && to)
    moves.push({ container: of(step.to)!, by: to.after - to.before - (step.do === 'fill' ? share : 0) })
  return moves
}

/** Of the tap's share, what falls on this step: all of it on the filling, on each charge in their order as far as it reaches. */
function tapOf({ steps }: CardCase, answer: StepAnswer, supply: Id): Amount {
  const all = tapShare({ steps }, supply)
  if (answer.step.do === 'fill') return all
  let left = all
  for (const one of steps) {
    if (one.step.do !== 'charge' || one.step.from !== supply) continue
    const own = Math.min(left, one.moved)
    if (one === answer) return own
    left -= own
  }
  return 0
}

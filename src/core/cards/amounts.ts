import { chargeOf, headOf, topUpLevel } from '../compile'
import { headCase, headTransfer, type Range, type TankState } from '../runs'
import { BY_ITSELF } from './runFor'
import {
  carrierFill,
  isSoiled,
  joinedWith,
  type CarrierContainer,
  type Container,
  type Id,
  type Product,
  type TreatedKind,
} from '../domain'
import type { Litres } from '../quantities'
import type { StepAnswer } from '../schedule'
import type { CardCase, Load } from './cardCase'

/** Less than this, L, is not worth a step. */
export const NOTHING = 0.05

/** The step of an errand that lets gray run into black; of several the one that moves most. */
export const letOver = ({ steps }: Pick<CardCase, 'steps'>): StepAnswer | undefined =>
  steps
    .filter(({ step, moved }) => step.do === 'by-head' && moved > NOTHING)
    .reduce<StepAnswer | undefined>((most, one) => (most && most.moved >= one.moved ? most : one), undefined)

/**
 * What the one rule for gray to black says of the errand's step, on the levels it meets and read within its error; null: it has
 * none, or the heights are not known.
 */
export function headOver({
  steps,
  stayCase,
  model,
  contents,
  run,
}: CardCase): { answer: ReturnType<typeof headTransfer> } | null {
  const over = letOver({ steps }) ?? steps.find(({ step }) => step.do === 'by-head')
  if (!over || over.step.amount.as !== 'head' || !over.from || !over.to) return null
  const head = headOf(stayCase.rig, over.step, over.step.amount.within.value)
  if (!head) return null
  const residue = model.containers.find(({ members }) => members.includes(over.step.from!))?.residue ?? 0
  const tanks = headCase(head, over.from.before, over.to.before, residue)
  // By itself it is done on what is known now: gray at its lower end, black at its upper.
  const wide = ({ content, ...tank }: TankState, id: Id | null): Range => {
    const known = run.id === BY_ITSELF ? contents.get(id ?? '') : undefined
    const likely = known?.likely ?? 0
    const off = known ? known.high - likely : 0
    return known
      ? {
          low: Math.max(0, Math.min(content.low, likely - off)),
          high: Math.min(tank.capacity, Math.max(content.high, likely + off)),
        }
      : content
  }
  const gray = { ...tanks.gray, content: wide(tanks.gray, over.step.from) }
  const black = { ...tanks.black, content: wide(tanks.black, over.step.to) }
  return { answer: headTransfer({ ...tanks, gray, black }) }
}

/** Whether a step of the errand is about this container. */
export const touches = ({ step }: StepAnswer, container: Pick<Container, 'id'> | null) =>
  container !== null && (step.to === container.id || step.from === container.id)

const compiled = ({ model }: CardCase, { id }: Container) =>
  model.containers.find(({ members }) => members.includes(id)) ?? null

/** L of liquid that go into a waste tank: what the errand moves, or the crew's side where it says nothing of it. */
export function chargeOfTank(card: CardCase, tank: Container): Litres {
  const step = card.steps.find((one) => one.step.do === 'charge' && one.step.to === tank.id)
  if (step) return step.moved
  const joined = joinedWith(card.stayCase.rig, tank.id)
  const isWithAnother = card.steps.some(
    (one) => one.step.do === 'charge' && one.step.to !== null && joined.includes(one.step.to),
  )
  if (isWithAnother) return 0
  const { sides } = card.stayCase.crew.schools
  const isGray = tank.kind === 'gray' && sides['gray-treated'] !== 'never'
  return tank.kind === 'black' || isGray
    ? chargeOf(card.stayCase.crew.schools, { capacity: tank.capacity.value })
    : 0
}

/** L of all charges by the crew's side, where no tank is spoken of. */
export function chargeMoved(card: CardCase): Litres {
  const black = card.stayCase.rig.containers.find(({ kind }) => kind === 'black')
  return black ? chargeOfTank(card, black) : 0
}

/** In their order: several components of a treatment go in one after the other. */
export function productsFor({ stayCase }: CardCase, kind: TreatedKind): Product[] {
  return stayCase.crew.products.filter((product) => product.for.includes(kind))
}

/**
 * What a label's dose comes to in this tank, in the product's unit: label dose × litres ÷ label litres, or as it is.
 * Source: model.md section 8.
 */
export function doseOf({ dose, per, perLitres }: Product, capacity: Litres, charge: Litres): number {
  if (per === 'each' || perLitres.value <= 0) return dose.value
  return (dose.value * (per === 'capacity' ? capacity : charge)) / perLitres.value
}

/** Whether an errand leaves out a tank's charge that the crew's side wants: too heavy, or no room. */
export function chargeDropped(card: CardCase, tank: Container): boolean {
  const step = card.steps.find((one) => one.step.do === 'charge' && one.step.to === tank.id)
  return step !== undefined && step.moved <= NOTHING && step.undone > NOTHING
}

/** Tanks that go into a tote on this errand, of those given. */
export function loadedOf<T extends Pick<Container, 'id'>>(card: CardCase, tanks: readonly T[]): T[] {
  const from = new Set(card.steps.flatMap(({ step }) => (step.do === 'loads' ? [step.from] : [])))
  return tanks.filter(({ id }) => from.has(id))
}

/**
 * What of an errand's loads comes out of one tank: L, and the step that moves them. Of tanks that stand open to each other the ledger
 * empties all by the first; on the card every valve is shut first, so each gives what is its own.
 */
export function loadsFrom(
  { steps, stayCase: { rig }, contents }: Pick<CardCase, 'steps' | 'stayCase' | 'contents'>,
  tank: Id,
  tote: Id,
): { answer: StepAnswer; litres: Litres } | null {
  const joined = joinedWith(rig, tank)
  const answers = steps.filter(
    ({ step }) => step.do === 'loads' && step.to === tote && step.from !== null && joined.includes(step.from),
  )
  const [first, ...rest] = answers
  if (!first || !answers.some(({ step }) => step.from === tank)) return null
  const answer = rest.reduce((most, one) => (one.moved > most.moved ? one : most), first)
  if (joined.length < 2) return { answer, litres: answer.moved }
  const own = (id: Id) => {
    const one = rig.containers.find((container) => container.id === id)
    const residue = one && 'residue' in one ? one.residue.value : 0
    return Math.max(0, (contents.get(id)?.likely ?? 0) - residue)
  }
  const all = answers.reduce((sum, { step }) => sum + own(step.from!), 0)
  const moved = answers.reduce((sum, one) => sum + one.moved, 0)
  return { answer, litres: all > 0 ? (moved * own(tank)) / all : 0 }
}

/** L of one load among those of its tank: each as much as a tote may hold, the last what is left. */
export function litresOfLoad(moved: Litres, tote: CarrierContainer, { n }: Load): Litres {
  const each = carrierFill(tote)
  return Math.max(0, Math.min(each, moved - (n - 1) * each))
}

export interface TopUp {
  /** L up to which it is filled, and L that are missing. */
  level: Litres
  missing: Litres
  /** L of those that come from fresh above the road's reserve, and from a hose. */
  fresh: Litres
  hose: Litres
  /** L that the errand would lead in beside, and that have no room at the high reading. */
  cut: Litres
}

/** What a black tank lacks before it is dumped (model.md section 8), with its content at the upper end of what is known. */
export function topUpOf(card: CardCase, tank: Container | null): TopUp {
  const none = { level: 0, missing: 0, fresh: 0, hose: 0, cut: 0 }
  if (!tank || !('safeFill' in tank) || !isSoiled(card.stayCase.rig, tank)) return none
  const one = compiled(card, tank)
  const { schools } = card.stayCase.crew
  const ceiling = tank.safeFill.value * tank.capacity.value
  const byside = one ? topUpLevel(schools, { capacity: tank.capacity.value, ceiling }) : 0
  const level = Math.min(ceiling, byside > 0 ? byside : schools.topUpTo.value * tank.capacity.value)
  const steps = card.steps.filter(({ step }) => step.do === 'top-up' && step.to === tank.id)
  const wanted = steps.reduce((sum, { step, moved }) => sum + (step.from === null ? 0 : moved), 0)
  const content = card.contents.get(tank.id) ?? { likely: 0, high: 0 }
  // Nothing goes in beyond its room, with what is in it taken at the upper end.
  const room = Math.max(0, ceiling - content.high)
  const over = ledLeftover(card, tank)
  const leftover = Math.min(over, room)
  const missing = Math.max(0, level - content.high - leftover)
  const fitting = Math.min(wanted, room - leftover)
  const fresh = Math.min(fitting, missing)
  const hose = Math.max(0, Math.min(missing - fresh, room - leftover - fresh))
  return { level, missing, fresh, hose, cut: over + wanted - leftover - fitting }
}

/** L of leftover fresh that an errand leads into a black tank, whatever its room. */
const ledLeftover = ({ steps }: CardCase, container: Pick<Container, 'id'>): Litres =>
  steps.reduce(
    (sum, { step, moved }) => sum + (step.do === 'transfer' && step.to === container.id ? moved : 0),
    0,
  )

/** L of it that has room at the tank's high reading. */
export function leftoverOf(card: CardCase, container: Container | null): Litres {
  if (!container || !('safeFill' in container)) return 0
  const { high } = card.contents.get(container.id) ?? { high: 0 }
  const room = Math.max(0, container.safeFill.value * container.capacity.value - high)
  return Math.min(ledLeftover(card, container), room)
}

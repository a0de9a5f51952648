import type { Count } from '../count'
import type { Model } from '../compile'
import type { Container, Id, Outlet, Place, Product, Rig, Run, StayCase, TankContainer } from '../domain'
import type { Amount, Litres } from '../quantities'
import { levelsBefore, type StepAnswer } from '../schedule'
import type { TankRecord } from './record'

/** What a card is made for: this rig at these levels, an errand, a place, and what is known of the hour. */
export interface CardCase {
  stayCase: StayCase
  model: Model
  /** What each container of the rig holds before it: the likely amount, and the upper end of what is known. */
  contents: ReadonlyMap<Id, Content>
  /** What is moved, and how far each step of it came on those levels. */
  run: Run
  steps: readonly StepAnswer[]
  place: Place | null
  records: ReadonlyMap<Id, TankRecord>
  asks: CardAsks
  turn: Turn
  /** Of each product, what is left of it, in its unit. */
  stock: ReadonlyMap<Id, number>
  /** L a day that run into all gray tanks together, on the average of the stay. */
  grayPerDay: Litres
}

export interface Content {
  likely: Amount
  high: Amount
}

/** Where a card stands among those of its run: the waste hose goes from one outlet to the next. */
export interface Turn {
  /** Its hose lies in the drain already, gloves are on, and what is asked at a drain was asked. */
  goesOn: boolean
  /** Another outlet follows: hose and gloves stay out. */
  leadsOn: boolean
  /** A card before it offered fresh water to clean hands. */
  isLater: boolean
}
export const NO_TURN: Turn = { goesOn: false, leadsOn: false, isLater: false }

/** What only the people who stand there know. */
export interface CardAsks {
  /** A queue: no time to rinse. */
  othersWait: boolean
  /** Somebody stays with a hose that runs into a shut tank. */
  stays: boolean
  /** One person inside and one at the hose; null: as many as the crew is. */
  areTwo: boolean | null
  /** Available chlorine of the bleach at hand, per cent (w/v). */
  bleachPercent: number
  /** The page that is hung up is for guests. */
  forGuests: boolean
}

export const FIRST_ASKS: CardAsks = {
  othersWait: false,
  stays: true,
  areTwo: null,
  bleachPercent: 5,
  forGuests: false,
}

/** What a card is about: an outlet with its tanks, a container, or neither. */
export interface Subject {
  outlet: Outlet | null
  blacks: TankContainer[]
  grays: TankContainer[]
  container: Container | null
}

/** What a step is for. */
export interface Binding {
  tank: Container | null
  product: Product | null
  load: Load | null
}

/** One load of a tote among those of its tank, the first is 1. */
export interface Load {
  n: number
  of: number
}

/** Tanks that stand open to each other at the outlet of a card, or at any of the rig where it is about none. */
export function joinedTanks({ outlets, containers }: Rig, { outlet }: Pick<Subject, 'outlet'>): Container[] {
  const joined = new Set((outlet ? [outlet] : outlets).flatMap((one) => one.joined))
  return containers.filter(({ id }) => joined.has(id))
}

/** Share of the upper tail that is left out: nine in ten are below. */
const HIGH = 0.9
/** Standard deviations of a normal error up to there. */
const HIGH_SIGMA = 1.2816

/**
 * What every container of the rig holds right before a run, or where the model begins. Joined tanks stand at one share of
 * their capacity; the upper end is that of what was learned or read, carried along by what surely flows.
 */
export function contentsAt(
  stayCase: StayCase,
  model: Model,
  counted: Count | null,
  run: Run | null,
): Map<Id, Content> {
  const { rig, stay, now } = stayCase
  const levels =
    counted && run
      ? levelsBefore(model, counted, run)
      : Float64Array.from(model.containers, ({ start }) => start)
  const contents = new Map<Id, Content>()
  model.containers.forEach(({ members, capacity }, c) => {
    const off = now?.draws ? drawnAbove(now.draws, c, model) : null
    const likely = levels[c]!
    for (const id of members) {
      const container = rig.containers.find((one) => one.id === id)
      if (!container) continue
      const share = members.length > 1 ? container.capacity.value / capacity : 1
      const start = stay.levels.find(({ container: of }) => of === id)
      const error = start?.error.size.value ?? 0
      const read = start?.error.shape === 'normal' ? HIGH_SIGMA * error : error / 2
      const spread = 'spread' in container ? HIGH_SIGMA * container.spread.value * likely * share : 0
      const above = (off === null ? read : off * share) + spread
      const most = members.length > 1 ? container.capacity.value : capacity
      const at = Math.max(0, likely * share)
      contents.set(id, { likely: at, high: Math.max(at, Math.min(most, at + Math.max(0, above))) })
    }
  })
  return contents
}

/** By how much nine draws in ten stay under: above the mean of them. */
function drawnAbove(
  { rows, columns, values }: NonNullable<NonNullable<StayCase['now']>['draws']>,
  c: number,
  model: Model,
) {
  const column = columns - model.containers.length + c
  const drawn = Float64Array.from({ length: rows }, (_, row) => values[row * columns + column]!).sort()
  const mean = drawn.reduce((sum, one) => sum + one, 0) / rows
  return drawn[Math.min(rows - 1, Math.floor(HIGH * rows))]! - mean
}

import {
  carrierFill,
  isSoiled,
  joinedWith,
  type Accepted,
  type Container,
  type Id,
  type Rig,
} from '../domain'
import type { Amount, Litres } from '../quantities'
import type { Card, CardAct, CardStep } from './derive'
import { handsOf, touch, type Hands, CLEAN } from './laws'
import { outletsOf } from './subjects'
import type { QuantityId } from './template'
import { play, yardOf, type Yard } from './yard'

/** What goes wrong when a card is done to the letter. */
export const PLAY_FAULTS = [
  'over-its-limit',
  'tote-over-its-limit',
  'not-taken-here',
  'sewage-into-gray',
  'dirty-hands',
  'load-onto-a-load',
  'valve-under-pump',
  'valve-under-water',
  'not-as-lived',
] as const
export type PlayFault = (typeof PLAY_FAULTS)[number]

export interface Played {
  faults: { fault: PlayFault; step: number }[]
  /** What each container holds afterwards. */
  levels: Map<Id, Amount>
}

export interface PlayedOn {
  rig: Rig
  /** What each container really holds before. */
  levels: ReadonlyMap<Id, Amount>
  /** Whether the drain there takes a kind of waste. */
  takes: (what: Accepted) => boolean
}

/** A hair of a sum of litres. */
const HAIR = 1e-6
/** L that a pulse of a few seconds lets out. */
const PULSE_L: Litres = 5

/**
 * A card done act by act on levels as they really are: what runs where, who touches what, and what stands open at the end. It knows
 * nothing of how the card was made: the numbers that its steps show are what is poured, pumped and filled.
 */
export function playCard(card: Card, { rig, levels: before, takes }: PlayedOn): Played {
  const faults: Played['faults'] = []
  const levels = new Map(before)
  const state: State = {
    card,
    rig,
    levels,
    takes,
    yard: yardOf(card),
    hands: handsOf(card),
    loaded: null,
    limits: new Map(rig.containers.map((one) => [one.id, Math.max(limitOf(one), before.get(one.id) ?? 0)])),
    says: () => undefined,
  }
  card.steps.forEach((step, k) => {
    state.says = (fault) => void faults.push({ fault, step: k })
    for (const act of step.acts) actOut(act, step, state)
    if (step.id === 'probes.water') add(step.tank, shown(step, 'probe-high'), state)
    if (step.id === 'metered.fill' && step.tank !== null) {
      levels.set(step.tank, residueOf(rig, step.tank))
      add(step.tank, shown(step, 'metered-litres'), state)
    }
  })
  state.says = (fault) => void faults.push({ fault, step: card.steps.length - 1 })
  atTheEnd(state)
  return { faults, levels }
}

interface State {
  card: Card
  rig: Rig
  levels: Map<Id, Amount>
  takes: PlayedOn['takes']
  yard: Yard
  hands: Hands
  /** L that stand in the tote. */
  loaded: Litres | null
  limits: ReadonlyMap<Id, Amount>
  says: (fault: PlayFault) => void
}

const shown = ({ numbers }: CardStep, id: QuantityId): number =>
  numbers.find((one) => one.id === id)?.value ?? 0
const found = (rig: Rig, id: Id | null): Container | undefined => rig.containers.find((one) => one.id === id)
const residueOf = (rig: Rig, id: Id) => {
  const one = found(rig, id)
  return one && 'residue' in one ? one.residue.value : 0
}

/** What it may hold: a waste tank its safe fill, all else its rim. */
function limitOf(one: Container): Amount {
  const spares = 'spares' in one ? 1 + one.spares : 1
  return 'safeFill' in one ? one.safeFill.value * one.capacity.value * spares : one.capacity.value * spares
}

function actOut(act: CardAct, step: CardStep, state: State): void {
  const { yard, hands, says } = state
  const isValve = /^(open|shut):(tank|end)$/.test(act.act)
  if (isValve && yard.pump) says('valve-under-pump')
  if (act.act === 'shut:tank' && yard.water !== null && yard.water === act.tank) says('valve-under-water')
  if (CLEAN.includes(act.act) && hands.soiled) says('dirty-hands')
  play(act, yard)
  touch(act, hands)
  const does = DOES[act.act]
  does?.(act.tank, step, state)
}

type Does = (tank: Id | null, step: CardStep, state: State) => void

const DOES: Partial<Record<CardAct['act'], Does>> = {
  'open:tank': (tank, step, state) => opened(tank, step, state),
  'open:end': (_, step, state) => state.yard.open.forEach((tank) => opened(tank, step, state)),
  'water-on': (tank, step, state) => {
    if (tank === null || runsOut(tank, state)) return
    add(tank, shown(step, 'rinse-litres') + shown(step, 'top-up-hose') + shown(step, 'queue-high'), state)
  },
  'move:charge': (tank, step, state) => add(tank, shown(step, 'charge') + shown(step, 'dose-water'), state),
  'move:top-up': (tank, step, state) => add(tank, shown(step, 'top-up-fresh'), state),
  'move:transfer': (tank, step, state) => add(tank, shown(step, 'leftover'), state),
  // Somebody stands there: a fresh tank that is full runs over at its top.
  'move:fill': (tank, step, state) => add(tank, shown(step, 'fill'), state, true),
  'move:jugs': (tank, step, state) =>
    add(tank, shown(step, 'jug-loads') * shown(step, 'jug-litres'), state, true),
  'move:loads': (tank, step, state) => {
    const tote = found(state.rig, state.card.about)
    if (tank === null || !tote || !('payload' in tote)) return
    if (state.loaded !== null && state.loaded > HAIR) state.says('load-onto-a-load')
    // The valve is shut at the mark, or nothing more comes.
    const there = Math.max(0, (state.levels.get(tank) ?? 0) - residueOf(state.rig, tank))
    const litres = Math.min(there, shown(step, 'load-litres'))
    state.levels.set(tank, (state.levels.get(tank) ?? 0) - litres)
    state.loaded = (state.loaded ?? 0) + litres
    if (state.loaded > carrierFill(tote) + HAIR) state.says('tote-over-its-limit')
    if (!state.takes(wasteOf(state, tank))) state.says('not-taken-here')
  },
  pour: (tank, _, state) => {
    if (state.card.kind === 'tote') state.loaded = 0
    else if (tank !== null) {
      const kind = found(state.rig, tank)?.kind
      if ((kind === 'cassette' || kind === 'urine' || kind === 'solids') && !state.takes(kind))
        state.says('not-taken-here')
      state.levels.set(tank, 0)
    }
  },
}

/** Whether what is poured into a tank runs straight out again. */
function runsOut(tank: Id, { yard, card, rig }: State): boolean {
  const outlet = outletsOf({ rig }).find(({ id }) => id === card.outlet)
  return yard.open.has(tank) && yard.hose && yard.ground && (!outlet?.endValve || yard.end)
}

/** What stands open to a tank that a toilet drains to is toilet waste, whatever it is called. */
const wasteOf = ({ rig }: State, tank: Id): Accepted => {
  return joinedWith(rig, tank).some((id) => isSoiled(rig, found(rig, id) ?? { id, kind: 'gray' }))
    ? 'black'
    : 'gray'
}

/** A valve opens: out of the hose it goes, into a tote only by its own act, or into the tank it stands open to. */
function opened(tank: Id | null, step: CardStep, state: State): void {
  if (tank === null) return
  const { levels, yard, card } = state
  if (card.kind === 'gray-to-black') {
    overInto(tank, step, state)
    return
  }
  if (!runsOut(tank, state) || yard.tote) return
  if (!state.takes(wasteOf(state, tank))) state.says('not-taken-here')
  const before = levels.get(tank) ?? 0
  const isPulse = step.numbers.some(({ id }) => id === 'pulse')
  const residue = Math.min(before, residueOf(state.rig, tank))
  levels.set(tank, isPulse ? Math.max(residue, before - PULSE_L) : residue)
}

/** Gray stands open and black opens: what the card says runs over, as far as gray really stands higher and black has room. */
function overInto(tank: Id, step: CardStep, { card, levels, limits, rig, says }: State): void {
  const { gray, black } = card.pair
  if (tank !== black || gray === null || black === null) return
  const litres = shown(step, 'head-litres')
  const [has, holds] = [levels.get(gray) ?? 0, levels.get(black) ?? 0]
  const surface = (id: Id, level: number) => {
    const one = found(rig, id)
    if (!one || !('shape' in one) || !one.shape) return null
    return one.shape.bottom.value + (level / one.capacity.value) * one.shape.height.value
  }
  const [over, under] = [surface(gray, has), surface(black, holds)]
  if (over !== null && under !== null && over <= under) says('sewage-into-gray')
  // Nobody measured: gray that is all but empty, or black that is full, would run the other way.
  const own = found(rig, black)
  const room = (own ? limitOf(own) : 0) - holds
  if ((over === null || under === null) && (has <= HAIR || room <= HAIR)) says('sewage-into-gray')
  if (holds + litres > (limits.get(black) ?? Infinity) + HAIR) says('over-its-limit')
  levels.set(gray, Math.max(0, has - litres))
  levels.set(black, holds + litres)
}

/** @param isSeen somebody pours it by hand, and stops where it is full */
function add(tank: Id | null, litres: Amount, { levels, limits, says }: State, isSeen = false): void {
  if (tank === null || litres <= 0) return
  const limit = limits.get(tank) ?? Infinity
  const level = (levels.get(tank) ?? 0) + litres
  if (!isSeen && level > limit + HAIR) says('over-its-limit')
  levels.set(tank, isSeen ? Math.min(limit, level) : level)
}

function atTheEnd({ card, rig, yard, says }: State): void {
  const outlet = outletsOf({ rig }).find(({ id }) => id === card.outlet) ?? null
  const joined = new Set((outlet ? [outlet] : rig.outlets).flatMap((one) => one.joined))
  const opens = card.steps.some(({ acts }) => acts.some(({ act }) => act === 'cap-off'))
  const isOpen =
    [...yard.open].some((id) => !joined.has(id)) || (opens && [...joined].some((id) => !yard.open.has(id)))
  if (isOpen || yard.end || yard.cap || yard.hose || yard.pump || yard.water !== null || yard.vent)
    says('not-as-lived')
}

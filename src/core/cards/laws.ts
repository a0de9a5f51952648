import { fillOf, type Id, type Outlet, type Rig } from '../domain'
import type { Card, CardAct, CardStep } from './derive'
import { outletsOf } from './subjects'
import type { Act, CardCaution } from './template'
import { play, yardOf, type Yard } from './yard'

/** What every card must keep to, no matter who wrote it; each is named, so that a card that breaks one says which. */
export const LAWS = [
  'fresh-before-waste',
  'all-home-before-cap',
  'connected-before-open',
  'end-first-opening-last-closing',
  'black-first-between-tanks',
  'never-a-hose-into-a-shut-tank-unattended',
  'others-shut-while-filling-shut',
  'content-at-its-upper-bound',
  'rinse-hose-and-breaker',
  'blade-before-pulling',
  'spout-before-button',
  'cap-before-tilt',
  'no-chlorine-on-urine',
  'gloves-before-waste',
  'toilet-shut-before-waste',
  'hands-last',
  'clean-hands',
  'load-by-load',
  'all-shut-at-the-end',
  'potable-before-fresh',
  'hose-fixed-before-power',
  'vent-shut-before-moving',
  'cautions-stand',
  'valves-that-there-are',
  'no-number-lacks',
  'held-where-it-matters',
] as const
export type Law = (typeof LAWS)[number]

/** A law broken, and at which step of the card. */
export interface Breaking {
  law: Law
  step: number
}

type Says = (law: Law) => void

/** Acts on waste: from the first of them nothing clean is touched any more. */
const WASTE: readonly Act[] = ['cap-off', 'hose-on', 'pull-out', 'pour', 'gloves', 'dose']
export const RISKY: readonly Act[] = [
  ...([
    'cap-off',
    'hose-on',
    'hose-off',
    'ground-on',
    'ground-off',
    'tote-on',
    'tote-off',
    'pull-out',
    'spout-down',
  ] as const),
  ...(['button', 'pour', 'bag', 'dose', 'chlorine'] as const),
]
/** What leaves waste on the gloves, and what is never touched with it on. */
const SOILS: readonly Act[] = RISKY.filter((act) => act !== 'dose' && act !== 'chlorine')
export const CLEAN: readonly Act[] = [
  'fresh-first',
  'fresh-in',
  'potable',
  'dose',
  'move:charge',
  'rinse-hose',
  'measure',
]
/** Which caution each act never stands without. */
const CAUTION_OF: Partial<Record<Act, CardCaution>> = {
  'cap-off': 'open-slowly',
  'water-on': 'stay',
  'toilet-shut': 'gas',
  'open:end': 'valves',
  chlorine: 'no-mix',
  dose: 'no-mix',
  button: 'button-last',
  'pull-out': 'lift',
  lift: 'lift',
  potable: 'potable',
  'rinse-hose': 'backflow',
  bag: 'not-compost',
}
/** Acts that draw from where `toilet-shut` is no matter: nothing of a tank is open. */
const GAS_FREE: readonly Card['kind'][] = ['road-day']

/**
 * All that a card breaks, in its order; empty: it keeps the laws. The card is the whole one, not a part of it. Own words have
 * no acts: they add, and take nothing of this away.
 */
export function brokenLaws(card: Card, rig: Rig): Breaking[] {
  const found: Breaking[] = []
  const yard = yardOf(card)
  const hands = handsOf(card)
  const outlet = outletsOf({ rig }).find(({ id }) => id === card.outlet) ?? null
  const done = new Set<Act>(card.turn?.goesOn ? ['toilet-shut'] : [])
  const joined = new Set((outlet ? [outlet] : rig.outlets).flatMap((one) => one.joined))
  card.steps.forEach((step, at) => {
    const says = (law: Law) => void found.push({ law, step: at })
    ofStep(step, card, rig, says)
    for (const act of step.acts) {
      checkAct(act, step, { card, outlet, yard, done, hands, joined }, says)
      play(act, yard)
      touch(act, hands)
      done.add(act.act)
    }
  })
  atTheEnd(
    card,
    { outlet, yard, done, hands, joined },
    (law) => void found.push({ law, step: card.steps.length - 1 }),
  )
  return found
}

/** What can be seen of a step by itself. */
function ofStep(step: CardStep, { kind }: Card, rig: Rig, says: Says): void {
  if (step.lacks.length > 0) says('no-number-lacks')
  for (const { act } of step.acts) {
    const caution = CAUTION_OF[act]
    const isFree = act === 'toilet-shut' && GAS_FREE.includes(kind)
    const isOwnTank = act === 'water-on' && step.cautions.includes('stay')
    if (caution && !isFree && !isOwnTank && !step.cautions.includes(caution)) says('cautions-stand')
  }
  const names = step.acts.filter(({ act }) => act === 'open:tank' || act === 'shut:tank')
  const isTank = (id: Id | null) =>
    rig.containers.some((one) => one.id === id && fillOf(one.kind) === 'waste')
  if (names.some(({ tank }) => !isTank(tank))) says('valves-that-there-are')
  const isValve = step.acts.some(({ act }) => act.startsWith('open:') || act.startsWith('shut:'))
  if ((isValve || step.cautions.length > 0) && !step.holds) says('held-where-it-matters')
}

/** What hands have on them, and loads that stand full in a tote. */
export interface Hands {
  gloves: boolean
  soiled: boolean
  loads: number
}

/** As a card finds them: gloves on, and on waste, where it goes on from another outlet. */
export function handsOf({ turn }: Pick<Card, 'turn'>): Hands {
  const isOn = turn?.goesOn ?? false
  return { gloves: isOn, soiled: isOn, loads: 0 }
}

export function touch({ act }: CardAct, hands: Hands): void {
  if (act === 'gloves') hands.gloves = true
  if (act === 'hands') hands.soiled = hands.gloves = false
  // Washed, and a fresh pair at once.
  if (SOILS.includes(act)) hands.soiled = true
  if (act === 'move:loads') hands.loads += 1
  if (act === 'pour') hands.loads = 0
}

interface Walk {
  card: Card
  hands: Hands
  /** Tanks that stand open to each other on this rig. */
  joined: ReadonlySet<Id>
  outlet: Outlet | null
  yard: Yard
  done: ReadonlySet<Act>
}

/** What can be seen of an act in its place. */
function checkAct({ act, tank }: CardAct, step: CardStep, walk: Walk, says: Says): void {
  const { card, outlet, yard, done, hands } = walk
  const isWasteBefore = WASTE.some((one) => done.has(one))
  if ((act === 'fresh-first' || act === 'fresh-in') && isWasteBefore) says('fresh-before-waste')
  if (act === 'fresh-in' && !done.has('potable')) says('potable-before-fresh')
  if (RISKY.includes(act) && !hands.gloves) says('gloves-before-waste')
  if (CLEAN.includes(act) && hands.soiled) says('clean-hands')
  if (act === 'move:loads' && hands.loads > 0) says('load-by-load')
  if (act === 'cap-off') {
    if (!done.has('shut:all') || yard.open.size > 0 || yard.end) says('all-home-before-cap')
    if (!done.has('toilet-shut')) says('toilet-shut-before-waste')
  }
  if (act === 'open:end' && (!outlet?.endValve || !yard.hose))
    says(outlet?.endValve ? 'connected-before-open' : 'valves-that-there-are')
  if (act === 'shut:end' && yard.open.size > 0 && !step.acts.some((one) => one.act === 'back-fill'))
    says('end-first-opening-last-closing')
  if (act === 'open:tank') openedTank(tank, walk, says)
  if (
    act === 'shut:tank' &&
    card.kind === 'gray-to-black' &&
    isGray(card, tank) &&
    [...yard.open].some((id) => id !== tank)
  )
    says('black-first-between-tanks')
  if (act === 'water-on') wateredTank(step, tank, walk, says)
  if (act === 'pull-out' && !done.has('blade-shut')) says('blade-before-pulling')
  if (act === 'button' && (!done.has('spout-down') || yard.spoutCap)) says('spout-before-button')
  if (act === 'tilt' && !(yard.spoutCap && yard.blade)) says('cap-before-tilt')
  if (act === 'chlorine' && !(done.has('waste-empty') && done.has('flushed'))) says('no-chlorine-on-urine')
  if (act === 'pump-on' && !done.has('hose-fixed')) says('hose-fixed-before-power')
  if (act === 'tow' && (yard.vent || !done.has('vent-shut'))) says('vent-shut-before-moving')
}

function isGray({ steps }: Card, tank: Id | null): boolean {
  // On this card gray is opened first.
  return steps.flatMap(({ acts }) => acts).find(({ act }) => act === 'open:tank')?.tank === tank
}

function openedTank(tank: Id | null, { card, outlet, yard, joined }: Walk, says: Says): void {
  // Open to each other again, with nothing that it could run out of.
  if (tank !== null && joined.has(tank) && !yard.cap && !yard.hose && !yard.end) return
  if (card.kind === 'gray-to-black') {
    // The end valve is shut and capped: gray runs over, and nothing out.
    if (yard.end || yard.cap) says('black-first-between-tanks')
    return
  }
  if (!yard.cap || !yard.hose || !yard.ground) says('connected-before-open')
  if (outlet?.endValve && !yard.end && tank !== null && outlet.containers.includes(tank))
    says('end-first-opening-last-closing')
}

/** A hose into a tank: open, or attended with a number to stop at and everything else on the outlet shut. */
function wateredTank(step: CardStep, tank: Id | null, { outlet, yard, done, card }: Walk, says: Says): void {
  const isTopUp = card.kind === 'top-up'
  if (
    !done.has('rinse-hose') &&
    !step.acts.some(({ act }) => act === 'rinse-hose') &&
    step.mishaps.length > 0 &&
    !isPoured(step)
  )
    says('rinse-hose-and-breaker')
  const isOpen = tank !== null && yard.open.has(tank) && (!outlet?.endValve || yard.end)
  if (isOpen) return
  const isAttended =
    step.acts.some(({ act }) => act === 'attend') && step.timer !== null && step.cautions.includes('stay')
  if (!isAttended) says('never-a-hose-into-a-shut-tank-unattended')
  if ([...yard.open].some((id) => id !== tank)) says('others-shut-while-filling-shut')
  const isByTop = step.numbers.some(({ why }) => why.some(({ term }) => term === 'content-high'))
  if (!isByTop && (isTopUp || tank !== null)) says('content-at-its-upper-bound')
}

/** Out of a bucket or a wand, and in a queue: no hose at the rinse inlet. */
const POURED: readonly string[] = [
  'rinse.buckets',
  'rinse.buckets-alone',
  'rinse.wand',
  'rinse.wand-alone',
  'dump.queue',
]
const isPoured = ({ id }: CardStep) => POURED.includes(id)

/** Cards after which the rig is lived in: what stands joined on it does so again. */
const LEAVES: readonly Card['kind'][] = [
  'dump',
  'gray-only',
  'rinse',
  'macerator',
  'tote',
  'road-day',
  'arrival',
  'shakedown',
]

/** How things stand when the last step is done. */
function atTheEnd({ kind, steps, turn }: Card, { yard, done, joined }: Omit<Walk, 'card'>, says: Says): void {
  const stand =
    [...joined].every((id) => yard.open.has(id)) || !LEAVES.includes(kind) || !done.has('shut:all')
  const isAsLived = stand && [...yard.open].every((id) => joined.has(id))
  if (!isAsLived || yard.end || yard.water !== null || yard.cap || yard.pump) says('all-shut-at-the-end')
  if (turn?.leadsOn) return
  const acts = steps.flatMap(({ acts: own }) => own.map(({ act }) => act))
  const lastWaste = Math.max(...RISKY.map((act) => acts.lastIndexOf(act)))
  if (lastWaste >= 0 && kind !== 'sanitize' && acts.lastIndexOf('hands') < lastWaste) says('hands-last')
  if (RISKY.some((act) => done.has(act)) && !done.has('hands')) says('hands-last')
}

import { isSoiled, type Id, type Rig } from '../domain'
import type { Card, CardStep } from './derive'
import { outletsOf } from './subjects'
import type { Act } from './template'
import { play, yardOf, type Yard } from './yard'

/** The outlet of this rig as it stands while a step of a card is done: what the picture beside it shows. */
export interface OutletState {
  tanks: { id: Id; name: string; waste: 'black' | 'gray'; isOpen: boolean; hasRunOut: boolean }[]
  end: 'none' | 'open' | 'shut'
  isCapped: boolean
  /** The waste hose on the rig, and where its far end is; null: no hose is on. */
  hose: { into: 'drain' | 'tote' | null } | null
  /** A pump stands between, and whether it runs. */
  pump: 'none' | 'off' | 'on'
  /** The tank that a rinse hose leads to, and whether its water runs. */
  rinse: { tank: Id; isOn: boolean } | null
  /** Tanks out of which something runs, and the one it runs into where it stays aboard. */
  runs: Id[]
  over: Id | null
}

/** Acts that take back what the same step did before: while hands are at it, it is still so. */
const UNDOES: Partial<Record<Act, readonly Act[]>> = {
  'water-off': ['water-on'],
  'shut:tank': ['open:tank'],
  'pump-off': ['pump-on'],
}

/** @param upTo steps that were begun, the last of them under way @returns null: the card is about no outlet */
export function outletAt(card: Card, rig: Rig, upTo: number): OutletState | null {
  const outlet = outletsOf({ rig }).find(({ id }) => id === card.outlet)
  if (!outlet) return null
  const yard = yardOf(card)
  // Joined tanks are open to each other until the card shuts them.
  for (const id of outlet.joined) yard.open.add(id)
  const drained = new Set<Id>()
  let rinsed: Id | null = null
  card.steps.slice(0, upTo).forEach((step, k) => {
    const isLast = k === upTo - 1
    for (const act of step.acts) {
      if (isLast && isTakenBack(act.act, step)) continue
      // What ran out before stays out.
      if (
        act.act === 'shut:tank' &&
        act.tank !== null &&
        isOut(yard, outlet.endValve) &&
        yard.open.has(act.tank)
      )
        drained.add(act.tank)
      if (act.act === 'rinse-hose') rinsed = act.tank ?? outlet.rinses
      play(act, yard)
    }
  })
  const isLet = isOut(yard, outlet.endValve)
  const isOver = card.kind === 'gray-to-black' && !yard.hose && !yard.end && yard.open.size > 1
  const tanks = outlet.containers.flatMap((id) => {
    const tank = rig.containers.find((one) => one.id === id)
    return tank
      ? [
          {
            id,
            name: tank.name,
            waste: isSoiled(rig, tank) ? ('black' as const) : ('gray' as const),
            isOpen: yard.open.has(id),
            hasRunOut: drained.has(id),
          },
        ]
      : []
  })
  const inlet = rinsed ?? (yard.water !== null ? yard.water : null)
  return {
    tanks,
    end: outlet.endValve ? (yard.end ? 'open' : 'shut') : 'none',
    isCapped: !yard.cap,
    hose: yard.hose ? { into: yard.ground ? (yard.tote ? 'tote' : 'drain') : null } : null,
    pump: yard.pump ? 'on' : card.kind === 'macerator' && yard.hose ? 'off' : 'none',
    rinse:
      inlet !== null && outlet.containers.includes(inlet) ? { tank: inlet, isOn: yard.water !== null } : null,
    runs: isLet
      ? tanks.filter(({ isOpen }) => isOpen).map(({ id }) => id)
      : isOver && card.pair.gray
        ? [card.pair.gray]
        : [],
    over: isOver ? card.pair.black : null,
  }
}

const isOut = (yard: Yard, hasEnd: boolean) => yard.hose && yard.ground && (!hasEnd || yard.end)

function isTakenBack(act: Act, { acts }: CardStep): boolean {
  const undone = UNDOES[act]
  return undone !== undefined && acts.some((one) => undone.includes(one.act))
}

/** Acts of hands at the outlet: a step with one of them is drawn. */
const AT_OUTLET: readonly Act[] = [
  ...([
    'shut:all',
    'open:end',
    'shut:end',
    'open:tank',
    'shut:tank',
    'cap-off',
    'cap-on',
    'hose-on',
    'hose-off',
  ] as const),
  ...([
    'ground-on',
    'ground-off',
    'tote-on',
    'tote-off',
    'water-on',
    'water-off',
    'pump-on',
    'attend',
  ] as const),
]
export function isAtOutlet({ acts }: CardStep): boolean {
  return acts.some(({ act }) => AT_OUTLET.includes(act))
}

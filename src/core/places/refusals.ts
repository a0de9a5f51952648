import {
  MOVING_KINDS,
  found,
  wasteOf,
  pointTaking,
  type Accepted,
  type Crew,
  type Place,
  type Point,
  type Rig,
  type Run,
} from '../domain'
import type { Metres } from '../quantities'

/** Why a place does not take a rig or what it brings, or what is to be seen to before. Those that refuse cannot be helped. */
export type Refusal =
  | { kind: 'nobody' }
  | { kind: 'too-high'; by: Metres }
  | { kind: 'too-long'; by: Metres }
  | { kind: 'product'; point: string; isSure: boolean }
  | { kind: 'for-guests' | 'for-customers' | 'call-first' }
  | { kind: 'wrong-side'; side: 'left' | 'right' }
  | { kind: 'home-code' }

export function refuses(refusal: Refusal): boolean {
  const { kind } = refusal
  return (
    kind === 'nobody' || kind === 'too-high' || kind === 'too-long' || (kind === 'product' && refusal.isSure)
  )
}

/** Who may use it, how high and long, on which side, with what in the tanks: as far as each is known. */
export function refusalsOf({ rig, crew }: { rig: Rig; crew: Crew }, run: Run, place: Place): Refusal[] {
  const wastes = wastesOf(rig, run)
  return [
    ...accessOf(place),
    ...(MOVING_KINDS.includes(run.kind) ? sizeOf(rig, place) : []),
    ...(MOVING_KINDS.includes(run.kind) ? fillOf(rig, run, place) : []),
    ...productOf(crew, place, wastes),
    ...(place.isHome && place.accepts === null && wastes.length > 0 ? [{ kind: 'home-code' as const }] : []),
  ]
}

/** What of the rig a run lets go there. */
export function wastesOf(
  rig: Pick<Rig, 'containers' | 'fixtures' | 'outlets' | 'roles'>,
  { steps }: Pick<Run, 'steps'>,
): Accepted[] {
  const kinds = steps.flatMap(({ do: does, from, to }): Accepted[] => {
    if (from === null || (does !== 'loads' && to !== null)) return []
    const what = wasteOf(rig, found(rig.containers, from, 'container'))
    return what ? [what] : []
  })
  return [...new Set(kinds)]
}

function accessOf({ access }: Place): Refusal[] {
  switch (access) {
    case 'nobody':
    case 'call-first':
      return [{ kind: access }]
    case 'guests':
    case 'customers':
      return [{ kind: `for-${access}` }]
    default:
      return []
  }
}

function sizeOf({ size: { height, length } }: Rig, { maxHeight, maxLength }: Place): Refusal[] {
  const over = (own: typeof height, most: typeof maxHeight) =>
    own && most && own.value > most.value ? own.value - most.value : 0
  const [high, long] = [over(height, maxHeight), over(length, maxLength)]
  return [
    ...(high > 0 ? [{ kind: 'too-high' as const, by: high }] : []),
    ...(long > 0 ? [{ kind: 'too-long' as const, by: long }] : []),
  ]
}

/** A drain on the other side wants a turn, or a longer hose. */
function fillOf({ outlets }: Rig, { steps }: Run, { approach }: Place): Refusal[] {
  if (approach !== 'left' && approach !== 'right') return []
  const emptied = outlets.find(
    ({ containers, side }) =>
      (side === 'left' || side === 'right') &&
      side !== approach &&
      steps.some(({ do: does, from, to }) => does === 'empty' && to === null && containers.includes(from!)),
  )
  return emptied ? [{ kind: 'wrong-side', side: approach }] : []
}

const TREATED: readonly Accepted[] = ['black', 'cassette']

/** A septic system dies of chemicals; where nothing may be in it nothing may be. */
function productOf({ schools: { sides } }: Crew, place: Place, wastes: readonly Accepted[]): Refusal[] {
  const treated = wastes.filter((what) => TREATED.includes(what))
  const points = new Set(treated.map((what) => pointTaking(place, what)).filter((one) => one !== null))
  return [...points].flatMap((point: Point): Refusal[] => {
    if (point.rule === 'unknown' || point.rule === 'any' || sides.treatment === 'none') return []
    if (point.rule === 'nothing') return [{ kind: 'product', point: point.name, isSure: true }]
    if (sides.treatment === 'biological') return []
    return [{ kind: 'product', point: point.name, isSure: sides.treatment === 'chemical' }]
  })
}

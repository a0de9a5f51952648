import { pointTaking, stepBlocked, wasteOf, type Accepted, type CardKind, type RunStep } from '../domain'
import type { CardCase, Subject } from './cardCase'

/** Whether what leaves on a card may leave where it is done: it is known, it is to be asked, or it may not. */
export type Taken = 'yes' | 'ask' | 'no'

/** What a place says of one kind of waste; no place named, or nothing known of it: it is to be asked. */
export function takenHere(
  { place, run, stayCase }: Pick<CardCase, 'place' | 'run' | 'stayCase'>,
  what: Accepted,
): Taken {
  if (place) {
    const point = pointTaking(place, what)
    return point === null ? 'no' : point.accepts === null ? 'ask' : 'yes'
  }
  if (run.kind !== 'restock') return 'ask'
  const { sewer } = stayCase.stay.site
  return sewer === 'all' || (sewer === 'gray' && what === 'gray') ? 'yes' : 'no'
}

/** The steps of a run that are done where it goes: what keeps its waste there gets no charge and no treatment either. */
export function stepsTaken({
  place,
  run,
  stayCase,
}: Pick<CardCase, 'place' | 'run' | 'stayCase'>): RunStep[] {
  const isRefused = (step: RunStep) => stepBlocked(step, run, stayCase.rig, place)?.why === 'not-accepted'
  const kept = new Set(run.steps.filter(isRefused).map(({ from }) => from))
  return run.steps.filter((step) => !isRefused(step) && !(step.to !== null && kept.has(step.to)))
}

/** A card as it may be done here: of another kind where its own is not taken; null: nothing of it may be let go. */
export function atPlace(
  card: CardCase,
  kind: CardKind,
  subject: Subject,
): { kind: CardKind; subject: Subject } | null {
  const is = (what: Accepted) => takenHere(card, what) !== 'no'
  const { rig } = card.stayCase
  const served: Subject = {
    ...subject,
    blacks: subject.blacks.filter((tank) => is(wasteOf(rig, tank)!)),
    grays: subject.grays.filter((tank) => is(wasteOf(rig, tank)!)),
  }
  const { container } = subject
  const isLeft = served.blacks.length + served.grays.length > 0
  switch (kind) {
    case 'dump':
      if (served.blacks.length > 0) return { kind, subject: served }
      return served.grays.length > 0 ? { kind: 'gray-only', subject: served } : null
    case 'gray-only':
      return served.grays.length > 0 ? { kind, subject: served } : null
    case 'macerator':
    case 'tote':
      return isLeft ? { kind, subject: served } : null
    case 'rinse':
    case 'top-up':
      return is('black') ? { kind, subject } : null
    case 'charge':
      return container?.kind === 'black' && !is('black') ? null : { kind, subject }
    case 'cassette':
    case 'urine':
    case 'solids':
      return is(kind) ? { kind, subject } : null
    default:
      return { kind, subject }
  }
}

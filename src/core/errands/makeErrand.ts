import type { Slot } from '../calendar'
import type { Id, Place, Run, StayCase } from '../domain'
import { placesFor } from '../places'
import type { UsualErrand } from './catalog'

/** The usual errand as a run: where it goes is the nearest place that takes all of it, whatever the hour. */
export function runOf(stayCase: StayCase, errand: UsualErrand, id: Id, slot: Slot): Run {
  const { usual: _, when: __, ...rest } = errand
  const run: Run = { ...rest, ...slot, id, name: '', place: null }
  return { ...run, place: placesFor(stayCase, run)[0]?.id ?? null }
}

/** The same run at each place that takes it, the nearest first; a run that goes nowhere stays where it is. */
export function atPlaces(stayCase: StayCase, run: Run): Run[] {
  const places: readonly Place[] = placesFor(stayCase, run)
  const own = places.find(({ id }) => id === run.place)
  const inOrder = own ? [own, ...places.filter((place) => place !== own)] : places
  return inOrder.length === 0 ? [run] : inOrder.map(({ id }) => ({ ...run, place: id }))
}

/** What an errand does for some containers alone: what is let go of them, put into them, or drawn for that. */
export function trimmedTo(errand: UsualErrand, members: readonly Id[]): UsualErrand {
  const isOf = (id: Id | null) => id !== null && members.includes(id)
  const steps = errand.steps.filter(({ do: does, from, to }) => {
    if (does === 'loads' || does === 'empty' || does === 'take') return isOf(from)
    return isOf(to) || (does === 'transfer' && isOf(from))
  })
  return { ...errand, steps }
}

/** Whether an errand takes something out of a waste tank and away, or fetches something for a supply. */
export function serves(
  { steps }: Pick<Run, 'steps'>,
  members: readonly Id[],
  { rig }: Pick<StayCase, 'rig'>,
): boolean {
  const isSupply = rig.containers.some((one) => members.includes(one.id) && 'reserve' in one)
  return steps.some(({ do: does, from, to }) => {
    if (isSupply) return to !== null && members.includes(to) && (does === 'fill' || does === 'jugs')
    const leaves = to === null || does === 'loads'
    return leaves && from !== null && members.includes(from)
  })
}

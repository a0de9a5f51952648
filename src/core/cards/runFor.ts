import {
  joinedWith,
  type CardKind,
  type Container,
  type Id,
  type Run,
  type RunStep,
  type StayCase,
  type TankContainer,
} from '../domain'
import { fromSource } from '../quantities'
import { loadsFor } from '../errands'
import type { Subject } from './cardCase'

/** The id of what a card does that no run asked for. */
export const BY_ITSELF = 'card'

/** What a card moves where no errand is planned: the usual of its kind, from the levels of now. */
export function runFor(stayCase: StayCase, kind: CardKind, subject: Subject): Run {
  const { crew, rig } = stayCase
  const step = (
    does: RunStep['do'],
    from: Id | null,
    to: Id | null,
    as: 'all' | 'one' | 'school' = 'all',
    loads = 1,
  ): RunStep => ({
    do: does,
    from,
    to,
    amount: { as },
    loads,
  })
  const { blacks, grays, container } = subject
  const out = ({ id }: Container) => step('empty', id, null)
  // What stands open to each other is charged once.
  const isFirstOfJoined = ({ id }: Container, k: number, all: readonly Container[]) => {
    const joined = joinedWith(rig, id)
    return !all.slice(0, k).some((one) => joined.includes(one.id))
  }
  const charges = (tanks: readonly Container[]) =>
    crew.schools.sides.charge === 'none'
      ? []
      : tanks.filter(isFirstOfJoined).map(({ id }) => step('charge', null, id, 'school'))
  const treated = crew.schools.sides['gray-treated'] === 'always' ? grays : []
  const fresh = rig.containers.find(({ kind: its }) => its === 'fresh')
  const steps = ((): RunStep[] => {
    switch (kind) {
      case 'dump':
        return [...blacks.map(out), ...grays.map(out), ...charges([...blacks, ...treated])]
      case 'gray-only':
        return [...grays.map(out), ...charges(treated)]
      case 'macerator':
        return [...blacks.map(out), ...grays.map(out), ...charges(blacks)]
      case 'rinse':
        return [out(container!), ...charges([container!])]
      case 'charge':
        return charges([container!])
      case 'top-up':
        return fresh && crew.schools.sides['dump-black'] !== 'every-move'
          ? [step('top-up', fresh.id, container!.id, 'school')]
          : []
      case 'gray-to-black': {
        const shaped = (list: TankContainer[]) => list.find(({ shape }) => shape)
        const [gray, black] = [shaped(grays), shaped(blacks)]
        return gray && black
          ? [
              {
                do: 'by-head',
                from: gray.id,
                to: black.id,
                amount: { as: 'head', within: fromSource(10, 'assumed') },
                loads: 1,
              },
            ]
          : []
      }
      case 'cassette':
        return [
          container && 'spares' in container && container.spares > 0
            ? step('take', container.id, null, 'one')
            : out(container!),
        ]
      case 'urine':
      case 'solids':
        return [out(container!)]
      case 'fresh':
        return [step('fill', null, container!.id)]
      case 'tote':
        return [...grays, ...blacks].map((tank) =>
          step('loads', tank.id, container!.id, 'all', tankLoads(tank, container!)),
        )
      case 'road-day':
        return crew.schools.sides['fresh-driving'] === 'reserve' && fresh
          ? [step('empty', fresh.id, null, 'school')]
          : []
      default:
        return []
    }
  })()
  const none = fromSource(0, 'assumed')
  return {
    id: BY_ITSELF,
    name: '',
    kind: kind === 'macerator' ? 'macerate' : 'move',
    day: 0,
    part: 'morning',
    place: null,
    steps,
    minutes: none,
    kilometres: none,
    fee: none,
    bother: none,
  }
}

function tankLoads({ capacity, safeFill }: TankContainer, tote: Container): number {
  return 'payload' in tote ? loadsFor(capacity.value * safeFill.value, tote) : 1
}

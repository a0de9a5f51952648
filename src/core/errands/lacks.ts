import { isOneOf, isSoiled, sparesOf, TANK_KINDS, type Container, type StayCase } from '../domain'
import type { UsualRun } from './catalog'

/** What an errand wants that is not there. */
export type Lack =
  | 'no-tote'
  | 'no-macerator'
  | 'no-tote-in-vehicle'
  | 'no-jug'
  | 'no-spare'
  | 'no-end-valve'
  | 'not-measured'
  | 'no-hookup'

/** Errands that would be of use to this rig, but for one thing that it lacks. */
export function lacks({ rig, stay }: Pick<StayCase, 'rig' | 'stay'>): { usual: UsualRun; lack: Lack }[] {
  const { containers, gear, outlets } = rig
  const of = (kind: Container['kind']) => containers.filter((container) => container.kind === kind)
  const hasTanks = containers.some(({ kind }) => isOneOf(TANK_KINDS, kind))
  const totes = of('tote')
  const rides = totes.some((tote) => 'payload' in tote && tote.payload !== null)
  const isTowed = totes.some((tote) => 'payload' in tote && tote.payload === null)
  const cassettes = of('cassette')
  const tanks = containers.filter(({ kind }) => isOneOf(TANK_KINDS, kind))
  const blacks = tanks.filter((tank) => isSoiled(rig, tank))
  const grays = tanks.filter((tank) => !isSoiled(rig, tank))
  const shared = outlets.filter(({ containers: ids }) =>
    [grays, blacks].every((tanks) => tanks.some(({ id }) => ids.includes(id))),
  )
  const all: [UsualRun, Lack, boolean][] = [
    ['tote-loads', 'no-tote', hasTanks && !isTowed],
    ['macerate-tote', 'no-macerator', hasTanks && !gear.includes('macerator')],
    ['macerate-tote', 'no-tote-in-vehicle', hasTanks && gear.includes('macerator') && !rides],
    ['jugs-of-water', 'no-jug', of('fresh').length > 0 && of('jug').length === 0],
    ['cassette-swap', 'no-spare', cassettes.length > 0 && cassettes.every((one) => sparesOf(one) === 0)],
    ['gray-to-black', 'no-end-valve', shared.length > 0 && shared.every(({ endValve }) => !endValve)],
    [
      'gray-to-black',
      'not-measured',
      shared.some(({ endValve, joined }) => endValve && joined.length === 0) &&
        [...grays, ...blacks].some((tank) => 'shape' in tank && tank.shape === null),
    ],
    ['restock', 'no-hookup', stay.site.water === 'none' && stay.site.sewer === 'none'],
  ]
  return all.flatMap(([usual, lack, isLacking]) => (isLacking ? [{ usual, lack }] : []))
}

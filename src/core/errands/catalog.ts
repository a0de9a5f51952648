import { slotOfTime, type Slot } from '../calendar'
import {
  carrierFill,
  isSoiled,
  wasteOf,
  kgPerUnit,
  type CarrierContainer,
  type Container,
  type Crew,
  type Id,
  type Rig,
  type Run,
  type RunKind,
  type RunStep,
  type StayCase,
  type TankContainer,
} from '../domain'
import { fromSource, type Quantity } from '../quantities'

/** The usual errands; the texts give each its words. */
export const USUAL_RUNS = [
  'move-dump-fill',
  'tote-loads',
  'macerate-tote',
  'cassette-swap',
  'empty-cassette',
  'empty-jug',
  'empty-bin',
  'jugs-of-water',
  'gray-to-black',
  'top-up-black',
  'fresh-into-black',
  'restock',
  'arrive-empty',
  'last-dump',
  'go-home',
  'groceries',
] as const
export type UsualRun = (typeof USUAL_RUNS)[number]

/** An errand that this rig can do, ready to be set on a day. */
export type UsualErrand = Omit<Run, 'id' | 'name' | 'day' | 'part' | 'place'> & {
  usual: UsualRun
  /** Where it belongs on the calendar; null: on any part. */
  when: 'arrival' | 'leaving' | null
}

const step = (
  does: RunStep['do'],
  from: Id | null,
  to: Id | null,
  amount: RunStep['amount'] = { as: 'all' },
  loads = 1,
): RunStep => ({ do: does, from, to, amount, loads })
const school = { as: 'school' } as const

/** Minutes and kilometres until the owner says. */
const ASSUMED: Record<UsualRun, { kind: RunKind; minutes: number; km: number; bother: number }> = {
  'move-dump-fill': { kind: 'move', minutes: 120, km: 20, bother: 4 },
  'tote-loads': { kind: 'tote-loads', minutes: 40, km: 4, bother: 2 },
  'macerate-tote': { kind: 'macerate', minutes: 60, km: 15, bother: 2 },
  'cassette-swap': { kind: 'carry', minutes: 20, km: 0, bother: 1 },
  'empty-cassette': { kind: 'carry', minutes: 25, km: 0, bother: 1 },
  'empty-jug': { kind: 'carry', minutes: 10, km: 0, bother: 1 },
  'empty-bin': { kind: 'carry', minutes: 25, km: 0, bother: 2 },
  'jugs-of-water': { kind: 'jugs', minutes: 40, km: 6, bother: 2 },
  'gray-to-black': { kind: 'gray-to-black', minutes: 10, km: 0, bother: 1 },
  'top-up-black': { kind: 'on-the-road', minutes: 10, km: 0, bother: 0 },
  'fresh-into-black': { kind: 'on-the-road', minutes: 10, km: 0, bother: 0 },
  restock: { kind: 'restock', minutes: 30, km: 0, bother: 1 },
  'arrive-empty': { kind: 'on-the-road', minutes: 45, km: 0, bother: 1 },
  'last-dump': { kind: 'on-the-road', minutes: 45, km: 0, bother: 1 },
  'go-home': { kind: 'go-home', minutes: 240, km: 120, bother: 5 },
  groceries: { kind: 'errand', minutes: 60, km: 20, bother: 1 },
}

const WHEN: Partial<Record<UsualRun, UsualErrand['when']>> = {
  'arrive-empty': 'arrival',
  'last-dump': 'leaving',
  'fresh-into-black': 'leaving',
}

/** What the errands are made of. */
interface Has {
  rig: Rig
  crew: Crew
  /** Built-in waste tanks in the order in which they are let go; a black tank that no toilet drains to is gray. */
  blacks: TankContainer[]
  grays: TankContainer[]
  fresh: Container[]
  of: (kind: Container['kind']) => Container[]
}

/** The errands that this rig can do with what it has, the crew's sides taken; those that it cannot are left out. */
export function usualRuns({ rig, crew, stay }: Pick<StayCase, 'rig' | 'crew' | 'stay'>): UsualErrand[] {
  const of = (kind: Container['kind']) => rig.containers.filter((container) => container.kind === kind)
  const tanks = rig.containers.filter(
    (one): one is TankContainer => one.kind === 'black' || one.kind === 'gray',
  )
  const has: Has = {
    rig,
    crew,
    blacks: tanks.filter((tank) => isSoiled(rig, tank)),
    grays: tanks.filter((tank) => !isSoiled(rig, tank)),
    fresh: of('fresh'),
    of,
  }
  const hookup = stay.site.water === 'tap' || stay.site.sewer !== 'none'
  return USUAL_RUNS.flatMap((usual): UsualErrand[] => {
    if (usual === 'restock' && !hookup) return []
    const steps = STEPS[usual](has, stay.site)
    const isInTown = usual === 'groceries' && stay.places.some(({ offers }) => offers.length > 0)
    if (steps.length === 0 && !isInTown) return []
    const { kind, minutes, km, bother } = ASSUMED[usual]
    const assumed = (value: number): Quantity => fromSource(value, 'assumed')
    return [
      {
        usual,
        when: WHEN[usual] ?? null,
        kind,
        steps,
        minutes: assumed(minutes),
        kilometres: assumed(km),
        fee: assumed(0),
        bother: assumed(bother),
      },
    ]
  })
}

type Steps = (has: Has, site: StayCase['stay']['site']) => RunStep[]

const STEPS: Record<UsualRun, Steps> = {
  'move-dump-fill': (has) => {
    const dumped = dumpSteps(has)
    return dumped.length === 0 ? [] : [...dumped, ...fillSteps(has)]
  },
  'tote-loads': (has) => {
    const tote = firstCarrier(has.of('tote'), false)
    return tote ? [...has.grays, ...has.blacks].map((tank) => loads(tank, tote)) : []
  },
  'macerate-tote': (has) => {
    const tote = firstCarrier(has.of('tote'), true)
    const isFitted = has.rig.gear.includes('macerator')
    return tote && isFitted ? [...has.blacks, ...has.grays].map((tank) => loads(tank, tote)) : []
  },
  'cassette-swap': ({ of }) =>
    of('cassette').flatMap((one) =>
      'spares' in one && one.spares > 0 ? [step('take', one.id, null, { as: 'one' })] : [],
    ),
  'empty-cassette': ({ of }) => of('cassette').map(({ id }) => step('empty', id, null)),
  'empty-jug': ({ of }) => of('urine').map(({ id }) => step('empty', id, null)),
  'empty-bin': ({ of }) => of('solids').map(({ id }) => step('empty', id, null)),
  'jugs-of-water': ({ of, fresh, crew }) => {
    const jug = of('jug')[0]
    if (!jug || !('payload' in jug) || !fresh[0]) return []
    // No fuller than somebody can lift.
    const lifted = Math.floor((crew.liftLimit.value - jug.shell.value) / kgPerUnit(jug))
    const most = { as: 'most', litres: fromSource(Math.max(1, lifted), 'iso-11228') } as const
    return [step('jugs', jug.id, fresh[0].id, lifted < jug.capacity.value ? most : { as: 'all' }, 2)]
  },
  'gray-to-black': ({ rig, grays, blacks }) => {
    const outlet = rig.outlets.find(
      ({ containers, endValve, joined }) =>
        endValve &&
        joined.length === 0 &&
        [grays, blacks].every((tanks) => tanks.some(({ id, shape }) => shape && containers.includes(id))),
    )
    const inIt = (tanks: TankContainer[]) =>
      tanks.find(({ id, shape }) => shape && outlet?.containers.includes(id))
    const [gray, black] = [inIt(grays), inIt(blacks)]
    return gray && black
      ? [step('by-head', gray.id, black.id, { as: 'head', within: fromSource(10, 'assumed') })]
      : []
  },
  'top-up-black': ({ fresh, blacks, crew, rig }) =>
    fresh[0] && crew.schools.sides['dump-black'] !== 'every-move'
      ? blacks
          .filter(({ id }) => !rig.outlets.some(({ joined }) => joined.includes(id)))
          .map(({ id }) => step('top-up', fresh[0]!.id, id, school))
      : [],
  'fresh-into-black': ({ fresh, blacks }) =>
    fresh[0] && blacks[0] ? [step('transfer', fresh[0].id, blacks[0].id, school)] : [],
  restock: (has, site) => {
    // What was once for toilet waste is asked about where only gray is taken.
    const grays = has.grays.filter((tank) => tank.kind === 'gray' && wasteOf(has.rig, tank) === 'gray')
    const empties = site.sewer === 'all' ? dumpSteps(has) : site.sewer === 'gray' ? grays.map(emptied) : []
    return [...empties, ...(site.water === 'tap' ? fillSteps(has) : [])]
  },
  'arrive-empty': (has) => [...dumpSteps(has), ...fillSteps(has)],
  'last-dump': (has) => {
    const { crew, fresh, grays, blacks } = has
    const { sides, smallCharge } = crew.schools
    const dumped = dumpSteps(has)
    if (dumped.length === 0) return []
    const into = sides['fresh-left'] === 'into-black' && fresh[0] && blacks[0]
    const first = into ? [step('transfer', fresh[0]!.id, blacks[0]!.id, school)] : []
    const isLight = sides['fresh-driving'] === 'reserve' && !into
    const drained = isLight ? fresh.map(({ id }) => step('empty', id, null, school)) : []
    const sloshing = sides['on-the-road'] === 'cleaner' ? grays : []
    const cleaner = sloshing.map(({ id }) => step('charge', null, id, { as: 'most', litres: smallCharge }))
    return [...first, ...dumped, ...drained, ...cleaner]
  },
  'go-home': (has) => {
    const carried = (['cassette', 'urine', 'solids'] as const).flatMap((kind) => has.of(kind).map(emptied))
    return [...dumpSteps(has), ...carried, ...fillSteps(has)]
  },
  groceries: () => [],
}

const emptied = ({ id }: Pick<Container, 'id'>): RunStep => step('empty', id, null)

/** Black topped up, let go in the crew's order, and charged again. */
function dumpSteps({ rig, crew, blacks, grays, fresh }: Has): RunStep[] {
  const { sides } = crew.schools
  const shares = (gray: TankContainer) =>
    rig.outlets.some(
      ({ containers }) => containers.includes(gray.id) && blacks.some(({ id }) => containers.includes(id)),
    )
  const pulse =
    sides['valve-first'] === 'gray-pulse'
      ? grays
          .filter(shares)
          .slice(0, 1)
          .map(({ id }) => step('take', id, null, { as: 'most', litres: fromSource(PULSE_L, 'assumed') }))
      : []
  // One that stands open to gray is a part of gray.
  const isAlone = ({ id }: TankContainer) => !rig.outlets.some(({ joined }) => joined.includes(id))
  const topped =
    sides['dump-black'] === 'every-move' || !fresh[0]
      ? []
      : blacks.filter(isAlone).map(({ id }) => step('top-up', fresh[0]!.id, id, school))
  const charged = sides.charge === 'none' ? [] : blacks.map(({ id }) => step('charge', null, id, school))
  return [...topped, ...pulse, ...blacks.map(emptied), ...grays.map(emptied), ...charged]
}

/** L that a gray pulse of a few seconds lets out. */
const PULSE_L = 5

/** The usual order dumps before it fills. */
function fillSteps({ of }: Has): RunStep[] {
  return [...of('fresh'), ...of('flush')].map(({ id }) => step('fill', null, id))
}

function loads(tank: TankContainer, tote: CarrierContainer): RunStep {
  const most = tank.safeFill.value * tank.capacity.value
  return step('loads', tank.id, tote.id, { as: 'all' }, loadsFor(most, tote))
}

/** Loads for a volume: ⌈volume ÷ what the carrier is filled to⌉, at least one (model.md section 8). */
export function loadsFor(litres: number, carrier: CarrierContainer): number {
  const each = carrierFill(carrier)
  return each <= 0 ? 1 : Math.max(1, Math.ceil(litres / each - 1e-9))
}

function firstCarrier(totes: Container[], rides: boolean): CarrierContainer | undefined {
  return totes.find(
    (tote): tote is CarrierContainer => 'payload' in tote && (tote.payload !== null) === rides,
  )
}

/** The part of the calendar that an errand belongs to, where it belongs to one. */
export function slotOf(
  { when }: Pick<UsualErrand, 'when'>,
  { start, leaveAt }: Pick<StayCase['stay'], 'start' | 'leaveAt'>,
): Slot | null {
  return when === null ? null : slotOfTime(start, when === 'arrival' ? start : leaveAt)
}

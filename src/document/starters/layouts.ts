import type { Container, Fixture, Outlet, Rig, Role } from '@/core/domain'
import { fromSource, owned } from '@/core/quantities'
import { newContainer, newFixture } from './containers'

/** How the drains run. */
export const PLUMBING_IDS = [
  'one-gray',
  'kitchen-and-bath',
  'basin-into-black',
  'bath-into-black',
  'two-bathrooms',
  'black-as-gray',
  'apart',
] as const
export type PlumbingId = (typeof PLUMBING_IDS)[number]

export const TOILET_IDS = [
  'black',
  'cassette',
  'cassette-fresh',
  'diverting',
  'diverting-tank',
  'portable',
  'none',
] as const
export type ToiletId = (typeof TOILET_IDS)[number]

export type TankLitres = Record<'fresh' | 'gray' | 'black', number>
export type TankName = keyof LayoutNames['tanks']

/** A container of a plan: what it is called there, and how large it is (L; a solids bin: uses). */
export interface PlannedTank {
  name: TankName
  kind: Container['kind']
  size: number
}

/** What the owner knows of a plan's containers beside the usual sizes. */
export interface KnownTanks {
  sizes: Partial<Record<TankName, number>>
  /** Cassettes or jugs alike beside the one in use. */
  spares: number
}
const NOTHING_KNOWN: KnownTanks = { sizes: {}, spares: 0 }

type PlannedName =
  | 'fresh'
  | 'gray'
  | 'black'
  | 'grayKitchen'
  | 'grayBath'
  | 'black2'
  | 'blackAsGray'
  | 'flush'
  | 'cassette'
  | 'portable'
  | 'urine'
  | 'solids'

export interface LayoutNames {
  tanks: Record<PlannedName, string>
  fixtures: Record<'kitchen' | 'basin' | 'shower' | 'toilet' | 'basin2' | 'toilet2', string>
  outlet: string
  outlet2: string
}

type NewId = (kind: 'rig' | 'tank' | 'fixture' | 'outlet') => string

const INTO_BLACK: readonly PlumbingId[] = ['basin-into-black', 'bath-into-black']

/** The toilets that fit a plumbing: a drain led into the black tank, or a second bathroom, stands on black tanks. */
export function toiletsFor(plumbing: PlumbingId): readonly ToiletId[] {
  if (INTO_BLACK.includes(plumbing) || plumbing === 'two-bathrooms') return ['black']
  return plumbing === 'black-as-gray' || plumbing === 'apart'
    ? TOILET_IDS.filter((id) => id !== 'black')
    : TOILET_IDS
}

/** A rig of a plumbing and a toilet that fits it (`toiletsFor`), with nothing measured yet. */
export function layoutRig(
  plumbing: PlumbingId,
  toilet: ToiletId,
  litres: TankLitres,
  name: string,
  names: LayoutNames,
  newId: NewId,
  known: KnownTanks = NOTHING_KNOWN,
): Rig {
  return laidOut(plumbing, toilet, litres, name, names, newId, known).rig
}

/** The containers a plan comes to, in its order, each with the size it has unless the owner knows better. */
export function plannedTanks(
  plumbing: PlumbingId,
  toilet: ToiletId,
  litres: TankLitres,
  names: LayoutNames,
  known: KnownTanks = NOTHING_KNOWN,
): PlannedTank[] {
  let n = 0
  return laidOut(plumbing, toilet, litres, '', names, () => String((n += 1)), known).planned
}

function laidOut(
  plumbing: PlumbingId,
  toilet: ToiletId,
  litres: TankLitres,
  name: string,
  names: LayoutNames,
  newId: NewId,
  known: KnownTanks,
): { rig: Rig; planned: PlannedTank[] } {
  const layout = new Layout(names, newId, known)
  const fresh = layout.tank('fresh', 'fresh', litres.fresh)
  const { kitchen, bath, solo } = grayTanks(layout, plumbing, litres)
  const black = toilet === 'black' ? layout.tank('black', 'black', litres.black) : null
  const basinDrain = INTO_BLACK.includes(plumbing) && black ? black : bath
  const showerDrain = plumbing === 'bath-into-black' ? basinDrain : bath
  layout.fixture('kitchen', 'kitchen', fresh, kitchen)
  layout.fixture('basin', 'basin', fresh, basinDrain)
  layout.fixture('shower', 'shower', fresh, showerDrain)
  addToilet(layout, toilet, fresh, black, bath)
  layout.outlet(
    'outlet',
    [...new Set([kitchen, bath, ...(solo ? [solo] : []), ...(black ? [black] : [])])],
    solo !== null,
  )
  if (plumbing === 'two-bathrooms') addSecondBathroom(layout, fresh, bath, litres.black)
  const rig = {
    id: newId('rig'),
    name,
    ...layout.parts(),
    heater: null,
    gear: [],
    payload: null,
    size: { height: null, length: null },
    cards: [],
    chores: [],
  }
  return { rig, planned: layout.planned }
}

/** @returns the receivers of kitchen and bath, and the old black tank that stands open to them */
function grayTanks(layout: Layout, plumbing: PlumbingId, { gray, black }: TankLitres) {
  if (plumbing === 'kitchen-and-bath' || plumbing === 'basin-into-black')
    return {
      kitchen: layout.tank('gray', 'grayKitchen', Math.round(gray / 2)),
      bath: layout.tank('gray', 'grayBath', Math.round(gray / 2)),
      solo: null,
    }
  const one = layout.tank('gray', 'gray', gray)
  return {
    kitchen: one,
    bath: one,
    solo: plumbing === 'black-as-gray' ? layout.tank('black', 'blackAsGray', black) : null,
  }
}

function addToilet(
  layout: Layout,
  toilet: ToiletId,
  fresh: string,
  black: string | null,
  gray: string,
): void {
  if (toilet === 'none') return
  if (black) return void layout.fixture('toilet', 'toilet', fresh, black)
  if (toilet === 'cassette' || toilet === 'portable') {
    const flush = layout.tank('flush', 'flush')
    return void layout.fixture('toilet', 'toilet', flush, layout.tank('cassette', toilet))
  }
  if (toilet === 'cassette-fresh')
    return void layout.fixture('toilet', 'toilet', fresh, layout.tank('cassette', 'cassette'))
  const liquids = toilet === 'diverting-tank' ? gray : layout.tank('urine', 'urine')
  const fixture = layout.fixture('toilet', 'toilet', null, liquids)
  fixture.solids = layout.tank('solids', 'solids')
  fixture.waterFactor = fromSource(0, 'rule-of-thumb')
}

/** Its black tank stands alone on its outlet: there is no gray to wash the hose with. */
function addSecondBathroom(layout: Layout, fresh: string, gray: string, litres: number): void {
  const black = layout.tank('black', 'black2', litres)
  layout.fixture('basin', 'basin2', fresh, gray)
  layout.fixture('toilet', 'toilet2', fresh, black)
  layout.outlet('outlet2', [black], false)
}

/** Collects the parts of a rig as they are laid out. */
class Layout {
  private containers: Container[] = []
  private fixtures: { fixture: Fixture; role: Role }[] = []
  private outlets: Outlet[] = []

  readonly planned: PlannedTank[] = []

  constructor(
    private names: LayoutNames,
    private newId: NewId,
    private known: KnownTanks,
  ) {}

  tank(kind: Container['kind'], name: TankName, usual?: number): string {
    const id = this.newId('tank')
    const made = newContainer(kind, id, this.names.tanks[name], this.known.sizes[name] ?? usual)
    this.planned.push({ name, kind, size: made.capacity.value })
    this.containers.push('spares' in made ? { ...made, spares: this.known.spares } : made)
    return id
  }

  fixture(role: Role, name: keyof LayoutNames['fixtures'], draws: string | null, drains: string): Fixture {
    const fixture = newFixture(this.newId('fixture'), this.names.fixtures[name], draws, drains)
    this.fixtures.push({ fixture, role })
    return fixture
  }

  outlet(name: 'outlet' | 'outlet2', containers: string[], joined: boolean): void {
    const id = this.newId('outlet')
    const common = {
      id,
      name: this.names[name],
      containers,
      rinses: null,
      side: 'left',
      handle: 'pull',
    } as const
    const bore = fromSource(0.076, 'assumed')
    this.outlets.push({ ...common, bore, endValve: joined, joined: joined ? [...containers] : [] })
  }

  /** Fixtures of the same role share it alike. */
  parts(): Pick<Rig, 'containers' | 'fixtures' | 'roles' | 'outlets'> {
    const roles = this.fixtures.map(({ fixture, role }) => {
      const alike = this.fixtures.filter((other) => other.role === role).length
      return { role, fixture: fixture.id, share: owned(1 / alike) }
    })
    return {
      containers: this.containers,
      fixtures: this.fixtures.map(({ fixture }) => fixture),
      roles,
      outlets: this.outlets,
    }
  }
}

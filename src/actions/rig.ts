import type { Container, Fixture, Gear, Heater, Id, Outlet, Rig, RigSize } from '@/core/domain'
import { fromSource, owned, type Quantity } from '@/core/quantities'
import * as edits from '@/document/edits'
import { action } from './action'

export const copyRig = action('copy', edits.copyRig)
export const takeRig = action('rig', edits.useRig)
/** Another rig comes on the stay, and this one goes. */
export const swapRig = action('remove', (draft, stay: Id, rig: Id, next: Id) => {
  edits.useRig(draft, stay, next)
  edits.removeRig(draft, rig)
})
/** A rig that is made comes on the stay. */
export const addRig = action('rig', (draft, stay: Id, rig: Rig) => {
  draft.rigs.push(rig)
  edits.useRig(draft, stay, rig.id)
})
export const renameRig = action(
  'rig',
  (draft, rig: Id, name: string) => void (edits.rigOf(draft, rig).name = name),
  (rig) => `rig name ${rig}`,
)
export const setRigSize = action(
  'rig',
  (draft, rig: Id, of: keyof RigSize, metres: Quantity | null) =>
    void (edits.rigOf(draft, rig).size[of] = metres),
  (rig, of) => `size ${of} ${rig}`,
)
/** kg it may carry, and what rides on it beside what is counted; numbers to be typed over. */
export const recordPayload = action('rig', (draft, rig: Id) => {
  edits.rigOf(draft, rig).payload = { limit: owned(600), other: fromSource(300, 'assumed') }
})
export const setPayload = action(
  'rig',
  (draft, rig: Id, of: 'limit' | 'other', kg: number) => {
    const { payload } = edits.rigOf(draft, rig)
    if (payload) payload[of] = owned(kg)
  },
  (rig, of) => `payload ${of} ${rig}`,
)
export const setGear = action('rig', edits.setGear)
/** All of it is there. */
export const addGear = action('rig', (draft, rig: Id, gear: readonly Gear[]) => {
  for (const item of gear) edits.setGear(draft, rig, item, true)
})
const HEATER_L = 22
/** @param supply the tank it is fed from; null: there is none */
export const setHeater = action('rig', (draft, rig: Id, supply: Id | null) => {
  edits.rigOf(draft, rig).heater =
    supply === null ? null : { volume: owned(HEATER_L), supply, counted: false }
})
export const changeHeater = action(
  'rig',
  (draft, rig: Id, patch: Partial<Heater>) => {
    const { heater } = edits.rigOf(draft, rig)
    if (heater) Object.assign(heater, patch)
  },
  (rig, patch) => ('volume' in patch ? `heater ${rig}` : null),
)

// Tanks
export const addContainer = action('rig', edits.addContainer)
export const removeContainer = action('rig', edits.removeContainer)
export const renameContainer = action(
  'rig',
  (draft, rig: Id, tank: Id, name: string) =>
    void (edits.containerOf(edits.rigOf(draft, rig), tank).name = name),
  (_rig, tank) => `tank name ${tank}`,
)
export const setCapacity = action('rig', edits.setCapacity, (_rig, tank) => `capacity ${tank}`)
export const setReserve = action('rig', edits.setReserve, (_rig, tank) => `reserve ${tank}`)
export const setSafeFill = action('rig', edits.setSafeFill, (_rig, tank) => `safe fill ${tank}`)
/**
 * One number of a tank as the owner knows it. @param pick where it is in a tank; null: this kind of tank has none
 * @param what makes typing one step
 */
export const setTankNumber = action(
  'rig',
  (draft, rig: Id, tank: Id, _what: string, pick: (of: Container) => Quantity | null, value: number) => {
    const quantity = pick(edits.containerOf(edits.rigOf(draft, rig), tank))
    if (!quantity) return
    // What it was assumed from goes with the assumption.
    if ('source' in quantity) delete (quantity as Partial<Record<'source', unknown>>).source
    Object.assign(quantity, owned(value))
  },
  (rig, tank, what) => `${what} ${tank} ${rig}`,
)
export const setSpares = action(
  'rig',
  (draft, rig: Id, tank: Id, spares: number) => {
    const of = edits.containerOf(edits.rigOf(draft, rig), tank)
    if ('spares' in of) of.spares = spares
  },
  (rig, tank) => `spares ${tank} ${rig}`,
)
/** kg that a vehicle may carry, to be typed over. */
const FIRST_PAYLOAD_KG = 100
/** Whether a carried tank rides in a vehicle or on the rig. */
export const toggleRides = action(
  'rig',
  (draft, rig: Id, tank: Id) => {
    const of = edits.containerOf(edits.rigOf(draft, rig), tank)
    if ('payload' in of) of.payload = of.payload ? null : owned(FIRST_PAYLOAD_KG)
  },
  (rig, tank) => `payload ${tank} ${rig}`,
)
export const changeMedium = action('rig', edits.changeMedium)
export const toggleLight = action('rig', edits.toggleLight)
export const measureTank = action('rig', edits.measureTank)

// Fixtures
export const addFixture = action('rig', edits.addFixture)
export const removeFixture = action('rig', edits.removeFixture)
export const setRole = action('rig', edits.setRole)
type FixturePatch = Partial<Pick<Fixture, 'name' | 'draws' | 'drains' | 'solids' | 'takes' | 'waterFactor'>>
const TYPED = ['name', 'waterFactor']
export const changeFixture = action(
  'rig',
  (draft, rig: Id, fixture: Id, patch: FixturePatch) => {
    Object.assign(edits.fixtureOf(edits.rigOf(draft, rig), fixture), patch)
  },
  (_rig, fixture, patch) => {
    const typed = Object.keys(patch).filter((key) => TYPED.includes(key))
    return typed.length > 0 ? `${typed.join()} ${fixture}` : null
  },
)
export const reroute = action('rig', edits.reroute)

// Outlets
export const addOutlet = action('rig', (draft, rig: Id, id: Id, name: string) => {
  edits.rigOf(draft, rig).outlets.push(edits.newOutlet(id, name))
})
export const removeOutlet = action('rig', (draft, rig: Id, outlet: Id) => {
  const of = edits.rigOf(draft, rig)
  of.outlets = of.outlets.filter(({ id }) => id !== outlet)
})
type OutletPatch = Partial<Pick<Outlet, 'name' | 'side' | 'handle' | 'rinses' | 'bore'>>
export const changeOutlet = action(
  'rig',
  (draft, rig: Id, outlet: Id, patch: OutletPatch) => {
    Object.assign(edits.outletOf(edits.rigOf(draft, rig), outlet), patch)
  },
  (rig, outlet, patch) => `${Object.keys(patch).join()} ${outlet} ${rig}`,
)
/** Tanks can be joined only behind an end valve. */
export const setEndValve = action('rig', (draft, rig: Id, outlet: Id, has: boolean) => {
  const of = edits.outletOf(edits.rigOf(draft, rig), outlet)
  of.endValve = has
  if (!has) of.joined = []
})
export const setOutlet = action('rig', edits.setOutlet)
export const setJoined = action('rig', edits.setJoined)

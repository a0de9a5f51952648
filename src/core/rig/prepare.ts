import { dayZero, wallDaysBetween } from '../calendar'
import { chargeOf, compile, heatStepsAt } from '../compile'
import { fillOf, warmestOf, type Container, type Id, type StayCase } from '../domain'
import type { Days, Litres } from '../quantities'
import { fillOnlyTo } from './weight'

/** L a person drinks and cooks with in a day in mild weather (Sphere Handbook: 2.5 to 3). */
const PER_PERSON_L = 3
/** A reserve is for so many days (assumed), or for the whole stay where that is shorter. */
const RESERVE_DAYS = 3

/** Litres in sealed vessels apart from the tanks, which no count knows of. */
export interface DrinkingReserve {
  litres: Litres
  persons: number
  days: Days
  perPerson: Litres
  /** L a person and day that heat adds on the hottest days. */
  heat: Litres
}

export interface Preparation {
  /** Supplies with the L to fill each to; `byWeight`: the payload and not the tank says so. */
  fill: { container: Id; litres: Litres; byWeight: boolean }[]
  /** Waste tanks that are charged after the last dump, L each. */
  charge: { container: Id; litres: Litres }[]
  /** Waste containers that hold something at the start as the stay is planned: they are to be emptied late. */
  empty: Id[]
  /** L of fresh that go along on the road for hands and toilet; null: the crew drives full. */
  roadReserve: Litres | null
  reserve: DrinkingReserve
  /** A tap is promised, and may fail. */
  isTapPromised: boolean
  /** Whether the toilet is a matter of where the rig stands: there are site's toilets, or others stand near. */
  hasSiteToilets: boolean
}

/** What a planned stay wants done before it begins. */
export function preparationOf(stayCase: StayCase): Preparation {
  const { stay, rig, crew } = stayCase
  const model = compile(stayCase, { horizonDays: 1 })
  const levelOf = (id: Id) => stay.levels.find(({ container }) => container === id)?.level.value ?? 0
  const { sides, roadReserve } = crew.schools
  const fill = rig.containers.flatMap((container) => {
    if (fillOf(container.kind) !== 'supply') return []
    const full = container.capacity.value
    const most = container.kind === 'fresh' ? (fillOnlyTo(rig, model, container.id) ?? full) : full
    return [{ container: container.id, litres: Math.min(full, most), byWeight: most < full - 0.5 }]
  })
  return {
    fill,
    charge: rig.containers.flatMap((container) => chargeIn(container, stayCase)),
    empty: rig.containers
      .filter(({ id, kind }) => fillOf(kind) === 'waste' && levelOf(id) > 0)
      .map(({ id }) => id),
    roadReserve: sides['fresh-driving'] === 'reserve' ? roadReserve.value : null,
    reserve: drinkingReserve(stayCase),
    isTapPromised: stay.site.water === 'tap',
    hasSiteToilets: stay.site.toilets,
  }
}

function chargeIn(container: Container, { crew }: StayCase): Preparation['charge'] {
  if (container.kind !== 'black' && container.kind !== 'cassette') return []
  const litres = chargeOf(crew.schools, { capacity: container.capacity.value })
  return litres > 0 ? [{ container: container.id, litres }] : []
}

/** People × days × L, more in heat; guests and those who are away count alike: a reserve is for everybody who is there. */
export function drinkingReserve({ stay, crew }: StayCase): DrinkingReserve {
  const whole = Math.max(1, Math.ceil(wallDaysBetween(dayZero(stay.start), stay.leaveAt)))
  const days = Math.min(RESERVE_DAYS, whole)
  const heats = Array.from({ length: whole }, (_, day) =>
    heatStepsAt(warmestOf(stay, day), crew.heat.above.value),
  )
  const heat = Math.max(...heats) * crew.heat.drinking.value
  const persons = crew.persons.length
  return { litres: persons * days * (PER_PERSON_L + heat), persons, days, perPerson: PER_PERSON_L, heat }
}

import {
  fillOf,
  sparesOf,
  type Container,
  type Crew,
  type Document,
  type Rig,
  type Stay,
} from '@/core/domain'
import { roundIn, type Quantity, type UnitChoice } from '@/core/quantities'

/**
 * What is proposed, in numbers that are round in the owner's own units: reserves, lights, shells, the load somebody lifts,
 * what a flush keeps, the speed on the road, the warmest of a day. What the owner typed stays as it is.
 */
export function inRoundNumbers<T extends { rig: Rig; crew: Crew; stay: Stay }>(
  made: T,
  units: UnitChoice,
): T {
  const round = (quantity: Quantity, unit: UnitChoice[keyof UnitChoice]): Quantity =>
    quantity.by === 'default' ? { ...quantity, value: roundIn(quantity.value, unit) } : quantity
  const { rig, crew, stay } = made
  return {
    ...made,
    rig: {
      ...rig,
      containers: rig.containers.map((container) => ({
        ...container,
        ...('reserve' in container ? { reserve: round(container.reserve, units.volume) } : {}),
        ...('light' in container && container.light ? { light: round(container.light, units.volume) } : {}),
        ...('shell' in container ? { shell: round(container.shell, units.mass) } : {}),
      })),
    },
    crew: {
      ...roundCrew(crew, round, units),
      heat: { ...crew.heat, above: round(crew.heat.above, units.temperature) },
    },
    stay: {
      ...stay,
      weather: { ...stay.weather, usual: round(stay.weather.usual, units.temperature) },
    },
  }
}

/**
 * A demo in numbers that are round in the reader's units: what tanks hold, reserves, starting levels, weights, what a crew
 * lifts and keeps, the size of the rig, the weather.
 * What a use takes stays as it is. A supply that starts full goes on starting full.
 */
export function demoInRoundNumbers(document: Document, units: UnitChoice): Document {
  const round = (quantity: Quantity, unit: UnitChoice[keyof UnitChoice]): Quantity => ({
    ...quantity,
    value: roundIn(quantity.value, unit),
  })
  const { volume, mass, temperature } = units
  const rigs = document.rigs.map((rig) => ({
    ...rig,
    containers: rig.containers.map((container) => roundContainer(container, round, units)),
    heater: rig.heater && { ...rig.heater, volume: round(rig.heater.volume, volume) },
    payload: rig.payload && { limit: round(rig.payload.limit, mass), other: round(rig.payload.other, mass) },
    size: {
      height: rig.size.height && round(rig.size.height, units.length),
      length: rig.size.length && round(rig.size.length, units.length),
    },
  }))
  const levelsOf = (stay: Stay): Stay['levels'] =>
    stay.levels.map((start) => {
      const tank = rigs
        .find(({ id }) => id === stay.rig)!
        .containers.find(({ id }) => id === start.container)!
      if (tank.kind === 'solids') return start
      const full = (1 + sparesOf(tank)) * tank.capacity.value
      const was = document.rigs.flatMap(({ containers }) => containers).find(({ id }) => id === tank.id)!
      const isFull = fillOf(tank.kind) !== 'waste' && start.level.value === was.capacity.value
      const level = isFull ? { ...start.level, value: full } : round(start.level, volume)
      return { ...start, level, error: { ...start.error, size: round(start.error.size, volume) } }
    })
  return {
    ...document,
    rigs,
    crews: document.crews.map((crew) => roundCrew(crew, round, units)),
    stays: document.stays.map((stay) => ({
      ...stay,
      levels: levelsOf(stay),
      weather: {
        ...stay.weather,
        usual: round(stay.weather.usual, temperature),
        days: stay.weather.days.map((day) => ({ ...day, warmest: round(day.warmest, temperature) })),
      },
    })),
  }
}

type Round = (quantity: Quantity, unit: UnitChoice[keyof UnitChoice]) => Quantity

function roundCrew(crew: Crew, round: Round, units: UnitChoice): Crew {
  const { volume, mass, distance } = units
  return {
    ...crew,
    liftLimit: round(crew.liftLimit, mass),
    flushFloor: round(crew.flushFloor, volume),
    flush: { ...crew.flush, plenty: round(crew.flush.plenty, volume) },
    road: { ...crew.road, speed: round(crew.road.speed, distance) },
    schools: roundAnswerNumbers(crew.schools, round, units),
  }
}

function roundAnswerNumbers(schools: Crew['schools'], round: Round, { volume }: UnitChoice): Crew['schools'] {
  const rounded = VOLUMES.map((key) => [key, round(schools[key], volume)] as const)
  return { ...schools, ...(Object.fromEntries(rounded) as Pick<Crew['schools'], (typeof VOLUMES)[number]>) }
}
const VOLUMES = ['smallCharge', 'largeCharge', 'roadReserve', 'hoseGray', 'hoseFlow'] as const

function roundContainer(container: Container, round: Round, { volume, mass }: UnitChoice): Container {
  return {
    ...container,
    ...(container.kind === 'solids' ? {} : { capacity: round(container.capacity, volume) }),
    ...('reserve' in container ? { reserve: round(container.reserve, volume) } : {}),
    ...('light' in container && container.light ? { light: round(container.light, volume) } : {}),
    ...('shell' in container ? { shell: round(container.shell, mass) } : {}),
  }
}

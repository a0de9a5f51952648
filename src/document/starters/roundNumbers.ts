import type { Crew, Rig, Stay } from '@/core/model'
import { roundIn, type Quantity, type UnitChoice } from '@/core/quantities'

/**
 * What is proposed, in numbers that are round in the owner's own units: reserves, lights, shells, the load somebody lifts,
 * the warmest of a day. What the owner typed stays as it is.
 */
export function inRoundNumbers<T extends { rig: Rig; crew: Crew; stay: Stay }>(made: T, units: UnitChoice): T {
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
      ...crew,
      liftLimit: round(crew.liftLimit, units.mass),
      heat: { ...crew.heat, above: round(crew.heat.above, units.temperature) },
    },
    stay: {
      ...stay,
      weather: { ...stay.weather, usual: round(stay.weather.usual, units.temperature) },
    },
  }
} // prettier-ignore

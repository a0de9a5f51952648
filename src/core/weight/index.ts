export { WATER_KG_PER_L, aboardByDay, aboardKg, fillOnlyTo, fullKg, kgPerUnit, lifts } from './weight'
export type { AboardDay, Lift } from './weight'

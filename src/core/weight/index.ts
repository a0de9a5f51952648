export { aboardByDay, aboardKg, fillOnlyTo, fullKg, lifts } from './weight'
export type { AboardDay, Lift } from './weight'

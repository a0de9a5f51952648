export { daysBought } from './daysBought'
export type { DaysBought } from './daysBought'
export { switchHabit, switched } from './switchHabit'

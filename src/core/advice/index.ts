export { sensitivity } from './sensitivity'
export type { Assumption, Swing } from './sensitivity'
export { habitsCompany, habitsWorth } from './worth'
export type { HabitCompany, HabitWorth, WorthOptions } from './worth'

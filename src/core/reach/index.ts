export { MOST_IN_COMPONENT } from './components'
export { SAMPLE, reach } from './reach'
export type { HabitSet, Reach, ReachOptions, ReachSoFar } from './reach'

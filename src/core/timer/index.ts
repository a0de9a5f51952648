export { flowsOf, readTimer, startTimer, timed } from './timer'
export type { ShowerTimer, TimerAction, TimerRead } from './timer'

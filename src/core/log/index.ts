export { ODD_REASONS, RUN_WHATS, SHAKEDOWN_STEPS, TEXT_KINDS, byTime, standing } from './entry'
export type { DoseEntry, LogEntry, OddEntry, ReadingEntry, RunEntry, RunTook, Saw, UseEntry } from './entry'
export { EACH_AT_FIRST, completenessOf, loggedUses, openUses } from './completeness'
export type { Completeness, CompletenessOptions } from './completeness'
export { countedThroughout, evidenceOf } from './evidenceOf'
export { happened } from './happened'
export { loggedTwice } from './twice'
export {
  toldDose,
  toldEnd,
  toldMove,
  toldOdd,
  toldReading,
  toldRun,
  toldShakedown,
  toldStart,
  toldText,
  toldUse,
} from './entries'
export type { Told } from './entries'
export { flowsOf, readTimer, startTimer, timed } from './showerTimer'
export type { ShowerTimer, TimerAction, TimerRead } from './showerTimer'

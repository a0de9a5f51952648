export { ODD_REASONS, RUN_WHATS, SHAKEDOWN_STEPS, TEXT_KINDS, byTime, standing } from './entry'
export type { DoseEntry, LogEntry, OddEntry, ReadingEntry, RunEntry, RunTook, Saw, UseEntry } from './entry'
export { countedThroughout, evidenceOf } from './evidenceOf'
export { happened } from './happened'

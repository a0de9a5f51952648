export { TEXT_KINDS, standing } from './entry'
export type { LogEntry, ReadingEntry, RunEntry, Saw, UseEntry } from './entry'
export { evidenceOf } from './evidenceOf'

export { pipeFlows, plumbingWarnings } from './plumbing'
export type { PipeFlow, PlumbingWarning } from './plumbing'

export { BOUNDS, applyRun, isEmptied, newBlock } from './applyRun'
export type { Bound, RunBlock } from './applyRun'
export { SHARE_OF_LEVELLING, byHead } from './head'

export { BOUNDS, applyRun, isEmptied, newBlock } from './applyRun'
export type { Bound, RunBlock } from './applyRun'
export {
  DISCHARGE,
  SHARE_OF_LEVELLING,
  flowSeconds,
  headCase,
  headLitres,
  headTransfer,
} from './headTransfer'
export { BUCKET_L, firstRounds, isRinsedByHose, roundLitres } from './rinseRounds'
export type { Range, TankState, Transfer, TransferCase, TransferRefusal } from './headTransfer'

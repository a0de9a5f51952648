export { countAfterTransfer, daysByTransfer, transferMoments } from './afterTransfer'
export { transferOf } from './transferOf'
export type { TransferAnswer, TransferOptions } from './transferOf'

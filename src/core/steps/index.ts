export { PIECE, untold, whole, within } from './steps'
export type { Steps } from './steps'

export { PIECE, whole, within } from './steps'
export type { Steps } from './steps'

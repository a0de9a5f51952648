export { choreStates } from './due'
export type { ChoreRequest, ChoreState, ChoreTurn } from './due'
export { stocks } from './stock'
export type { StockLeft } from './stock'

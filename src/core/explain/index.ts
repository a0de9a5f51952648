export { inputsOf } from './inputs'
export type { Input, InputKind } from './inputs'
export { explainCount, explainLevel } from './sum'
export type { LevelSum, Term } from './sum'

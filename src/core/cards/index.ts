export { CARDS_OF_QUESTION } from './byQuestion'
export { FIRST_ASKS } from './cardCase'
export type { CardAsks, CardCase, Content, Subject } from './cardCase'
export { MOST_STEPS, deriveCard, split } from './derive'
export type { Card, CardAct, CardStep } from './derive'
export { cardCase, cardOf, cardsFor } from './errand'
export { runFor } from './runFor'
export { PLAY_FAULTS, playCard } from './playCard'
export type { PlayFault, Played } from './playCard'
export { outletsOf, subjectsOf } from './subjects'
export type { CardGround } from './errand'
export { LAWS, brokenLaws } from './laws'
export type { Breaking, Law } from './laws'
export { SAFE_STEPS, stopSafely } from './stopSafely'
export type { SafeStep } from './stopSafely'
export { BUCKET_L } from '../runs'
export { HANDS, TERMS } from './numbers/made'
export type { CardQuantity, Term, WhyTerm } from './numbers/made'
export { recordsOf, roundsExpected, stockLeft } from './record'
export type { TankRecord } from './record'
export { ACTS, CARD_CAUTIONS, FACTS, QUANTITIES, MISHAPS, isBlock, templateFaults } from './template'
export type {
  Act,
  CardCaution,
  CardTemplate,
  Item,
  QuantityId,
  QuantityUnit,
  StepTemplate,
  Mishap,
} from './template'
export { TEMPLATES } from './templates'
export {
  finished,
  isRunning,
  keyOf,
  secondsLeft,
  startWalk,
  stepAt,
  progressOf,
  stopWalk,
  underHand,
  suspects,
  walked,
} from './walk'
export type { Finished, Timer, Walk, WalkAction } from './walk'
export { cardFile, ownCopy, ownFaults, ownSteps, templateStepIds, withOwn } from './ownCard'
export type { CardFile } from './ownCard'
export { isAtCassette, cassetteAt } from './cassetteAt'
export type { CassetteState } from './cassetteAt'
export { THINGS, thingsFor } from './things'
export type { Thing } from './things'
export { WHOSE, asksForTwo } from './derive'
export type { Whose } from './derive'
export { isAtOutlet, outletAt } from './outletAt'
export type { OutletState } from './outletAt'

export { noBudget } from './budget'
export type { Apart, StayBudget, Swap } from './budget'
export { CHORE_EVERY, CHORE_KINDS } from './chore'
export type { Chore, ChoreEvery, ChoreKind } from './chore'
export {
  CARRIED_KINDS,
  CARRIER_KINDS,
  MEDIA,
  SUPPLY_KINDS,
  TANK_KINDS,
  WASTE_KINDS,
  WATER_KG_PER_L,
  baseArea,
  carrierFill,
  isOneOf,
  kgPerUnit,
  limitOf,
  fillOf,
  sparesOf,
  unitOf,
} from './containers'
export type {
  CarriedKind,
  CarrierContainer,
  Container,
  ContainerKind,
  LevelUnit,
  Medium,
  Side,
  SolidsContainer,
  SupplyContainer,
  Panel,
  TankContainer,
  TankShape,
  VesselContainer,
} from './containers'
export {
  ACTIVITY_KINDS,
  ADDED_FROM,
  FLUSH_SCHOOLS,
  NEVER_RATIONED,
  NEVER_REDUCED,
  TOILET_KINDS,
  ownFactor,
  ownSpread,
  putInPerUse,
  tricklePerUse,
  volumePerUse,
} from './crew'
export type {
  Activity,
  ActivityKind,
  AddedFrom,
  Crew,
  FlushHabits,
  FlushAnswer,
  HeatEffect,
  Person,
  TakenOver,
  TimedFlow,
} from './crew'
export { CARD_KINDS } from './card'
export type { CardKind, OwnCard, OwnStep } from './card'
export { DOSED_BY, PRODUCT_FORMS, TREATED_KINDS } from './product'
export type { Product, ProductForm, TreatedKind } from './product'
export { DOCUMENT_FORMAT, emptyDocument } from './document'
export type { Document } from './document'
export { CAUTIONS, GEAR, LAND_RULES, REDIRECT_ENDS } from './habit'
export type { Caution, Effect, Gear, Habit, HabitOn, LandRule, RedirectTo, Vessel, When } from './habit'
export { FLOW_ENDS, found } from './ids'
export type { ActivityIndex, ContainerIndex, EndCode, FlowEnd, Id, StreamIndex } from './ids'
export type { JointDraws, Now, OnSolids, Passed, VesselContent } from './now'
export type { Hours, OpenSpan, OpenTimes } from './openTimes'
export { HANDLES, RIG_SIDES, ROLES, TAKES } from './rig'
export type {
  Fixture,
  Handle,
  Heater,
  Outlet,
  Payload,
  Rig,
  RigSide,
  RigSize,
  Role,
  RoleShare,
  Takes,
} from './rig'
export {
  ACCEPTED,
  APPROACHES,
  OFFERS,
  PLACE_ACCESS,
  PLACE_RULES,
  PLACE_WATER,
  pointTaking,
  pointWithWater,
  pointsOf,
} from './place'
export type {
  Accepted,
  Approach,
  Offer,
  Place,
  PlaceAccess,
  PlaceRule,
  PlaceWater,
  Point,
  Position,
  Road,
  Way,
} from './place'
export { AMOUNTS_OF, MOVING_KINDS, RUN_KINDS, STEP_DOES } from './run'
export type {
  Ask,
  Head,
  HeadTank,
  ModelRun,
  ModelStep,
  Run,
  RunKind,
  RunStep,
  StepAmount,
  StepDoes,
} from './run'
export { QUESTIONS } from './questions'
export type { CostWeights, Question, CrewAnswers, AnswerOf, Answers } from './questions'
export { SITE_SEWER, SITE_WATER } from './site'
export type { Site } from './site'
export { stepBlocked } from './stepBlocked'
export type { Blocked } from './stepBlocked'
export { LEVEL_ERRORS, isAwayOn, warmestOf } from './stay'
export { caseOf, fromItsStart } from './stayCase'
export type { Follows, StayCase } from './stayCase'
export type {
  Absence,
  CountedStretch,
  Guest,
  LevelError,
  RecordedRule,
  StartLevel,
  Stay,
  Weather,
} from './stay'
export { isSoiled, joinedWith, wasteOf } from './isSoiled'
export { PANEL_KINDS, asReading, readAs, panelMarks, panelOf, startOf } from './reading'
export type { Reading, PanelKind } from './reading'

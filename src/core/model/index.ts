export { compile, compileSteps, found } from './compile'
export type { CompileOptions } from './compile'
export { compileChances, heatStepsAt } from './compileChances'
export type { ActivityChance, Chances, ContainerChance, StartChance, UseLine } from './compileChances'
export { joinedLimit } from './compileContainers'
export {
  CARRIED_KINDS, CARRIER_KINDS, MEDIA, SUPPLY_KINDS, TANK_KINDS, WASTE_KINDS, baseArea, isOneOf, limitOf,
  sideOf, sparesOf, unitOf,
} from './containers' // prettier-ignore
export type {
  CarriedKind, CarrierContainer, Container, ContainerKind, LevelUnit, Medium, Side, SolidsContainer, SupplyContainer,
  TankContainer, TankShape, VesselContainer,
} from './containers' // prettier-ignore
export {
  ACTIVITY_KINDS,
  FLUSH_SCHOOLS,
  NEVER_RATIONED,
  NEVER_REDUCED,
  TOILET_KINDS,
  volumePerUse,
} from './crew'
export type {
  Activity,
  ActivityKind,
  Crew,
  FlushHabits,
  FlushSchool,
  HeatEffect,
  Person,
  TimedFlow,
} from './crew'
export { DOCUMENT_FORMAT } from './document'
export type { Document } from './document'
export { CAUTIONS, GEAR, LAND_RULES, REDIRECT_ENDS } from './habit'
export type { Caution, Effect, Gear, Habit, HabitOn, LandRule, RedirectTo, Vessel, When } from './habit'
export { FLOW_ENDS } from './ids'
export type { FlowEnd, Id } from './ids'
export { endId } from './model'
export type { Model, ModelActivity, ModelContainer, ModelVessel, Stream } from './model'
export { HANDLES, RIG_SIDES, ROLES, TAKES } from './rig'
export type { Fixture, Handle, Heater, Outlet, Payload, Rig, RigSide, Role, RoleShare, Takes } from './rig'
export { LEVEL_ERRORS, warmestOf } from './stay'
export type { Absence, LevelError, RecordedRule, StartLevel, Stay, Weather } from './stay'

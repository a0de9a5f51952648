export { compile, found } from './compile'
export type { CompileOptions } from './compile'
export {
  ACTIVITY_KINDS, DOCUMENT_FORMAT, FLOW_ENDS, NEVER_RATIONED, ROLES, SUPPLY_KINDS, WASTE_KINDS, limitOf, sideOf,
} from './document' // prettier-ignore
export type {
  Absence, Activity, ActivityKind, Container, ContainerKind, Crew, Document, Effect, Fixture, FlowEnd, Habit, HabitOn,
  Id, Person, Rig, Role, RoleShare, Side, Stay, SupplyContainer, WasteContainer,
} from './document' // prettier-ignore
export { endId } from './model'
export type { Model, ModelActivity, ModelContainer, Stream } from './model'

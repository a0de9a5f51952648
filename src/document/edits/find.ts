import {
  found,
  type Activity,
  type Container,
  type Crew,
  type Document,
  type Fixture,
  type Id,
  type Outlet,
  type Rig,
  type Stay,
} from '@/core/domain'

/** What a recipe changes, on a draft. @throws RangeError where it is gone: the edit does not fit */

export const rigOf = (draft: Document, rig: Id): Rig => found(draft.rigs, rig, 'rig')
export const stayOf = (draft: Document, stay: Id): Stay => found(draft.stays, stay, 'stay')
export const crewOf = (draft: Document, crew: Id): Crew => found(draft.crews, crew, 'crew')
export const containerOf = (rig: Rig, container: Id): Container =>
  found(rig.containers, container, 'container')
export const fixtureOf = (rig: Rig, fixture: Id): Fixture => found(rig.fixtures, fixture, 'fixture')
export const outletOf = (rig: Rig, outlet: Id): Outlet => found(rig.outlets, outlet, 'outlet')
export const activityOf = (crew: Crew, activity: Id): Activity => found(crew.activities, activity, 'activity')

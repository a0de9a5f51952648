import { addWallDays, leaveAfterNights, type WallTime } from '@/core/calendar'
import type { Crew, Document, Rig, Role, Stay } from '@/core/model'
import { sideOf } from '@/core/model'
import { fromSource, owned } from '@/core/quantities'
import { newContainer } from '../edits/rigEdits'
import { starterActivities } from './activities'
import { starterHabits } from './habits'
import type { StarterTexts } from './starterTexts'

export interface StarterNames {
  rig: string
  crew: string
  stay: string
  person: (n: number) => string
  tanks: { fresh: string; gray: string; black: string }
  fixtures: { kitchen: string; basin: string; shower: string; toilet: string }
}

type NewId = (kind: 'rig' | 'crew' | 'stay' | 'tank' | 'fixture' | 'person') => string

/** A whole first document: a small rig, two people, a week from the given morning. */
export function starterDocument(
  texts: StarterTexts,
  names: StarterNames,
  newId: NewId,
  today: WallTime,
): Document {
  const rig = starterRig(names, newId, { fresh: 100, gray: 80, black: 60 })
  const crew = starterCrew(texts, names, newId, 2)
  const stay = starterStay(names.stay, newId('stay'), rig, crew, today)
  return {
    format: 'dry-count/document',
    version: 1,
    currentStay: stay.id,
    rigs: [rig],
    crews: [crew],
    habits: starterHabits(texts),
    stays: [stay],
  }
}

/** @param litres capacities of the three tanks */
export function starterRig(
  names: StarterNames,
  newId: NewId,
  litres: Record<'fresh' | 'gray' | 'black', number>,
): Rig {
  const tanks = (['fresh', 'gray', 'black'] as const).map((kind) =>
    newContainer(kind, newId('tank'), names.tanks[kind], litres[kind]),
  )
  const [fresh, gray, black] = tanks.map(({ id }) => id) as [string, string, string]
  const roles: [Role & keyof StarterNames['fixtures'], string][] = [
    ['kitchen', gray],
    ['basin', gray],
    ['shower', gray],
    ['toilet', black],
  ]
  const fixtures = roles.map(([role, drains]) => ({
    id: newId('fixture'),
    name: names.fixtures[role],
    draws: fresh,
    drains,
  }))
  return {
    id: newId('rig'),
    name: names.rig,
    containers: tanks,
    fixtures,
    roles: roles.map(([role], i) => ({ role, fixture: fixtures[i]!.id, share: owned(1) })),
  }
}

export function starterCrew(texts: StarterTexts, names: StarterNames, newId: NewId, persons: number): Crew {
  return {
    id: newId('crew'),
    name: names.crew,
    persons: Array.from({ length: persons }, (_, i) => ({
      id: newId('person'),
      name: names.person(i + 1),
      rates: [],
    })),
    activities: starterActivities(texts, { pet: false, laundry: false }),
  }
}

/** Seven nights from the evening of the given day, fresh full and waste empty. */
export function starterStay(name: string, id: string, rig: Rig, crew: Crew, today: WallTime): Stay {
  const start = `${addWallDays(today, 0).slice(0, 10)}T15:00`
  return {
    id,
    name,
    rig: rig.id,
    crew: crew.id,
    start,
    leaveAt: leaveAfterNights(start, `${start.slice(0, 10)}T11:00`, 7),
    horizonDays: fromSource(60, 'rule-of-thumb'),
    levels: rig.containers.map(({ id: container, kind, capacity }) => ({
      container,
      level: fromSource(sideOf(kind) === 'supply' ? capacity.value : 0, 'assumed'),
    })),
    habits: [],
    absences: [],
  }
}

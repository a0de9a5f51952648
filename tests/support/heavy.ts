import type { Document } from '@/core/domain'
import { owned } from '@/core/quantities'
import { newContainer, newFixture, startLevel } from '@/document/starters'
import { trailerDemo } from '../../scripts/demo/trailer'

/**
 * The heaviest document that is still a valid one: 20 containers, 200 fixtures that share one role, 200 uses of it, 60
 * persons, 366 days, with the whole catalogue of habits. Nobody has it; a file may.
 */
export function heavyDocument(): Document {
  const document = trailerDemo()
  const rig = document.rigs[0]!
  const crew = document.crews[0]!
  const stay = document.stays[0]!
  const supplies = Array.from({ length: 10 }, (_, i) =>
    newContainer('fresh', `fresh-${i}`, `Fresh ${i}`, 20_000),
  )
  const wastes = Array.from({ length: 10 }, (_, i) => newContainer('gray', `gray-${i}`, `Gray ${i}`, 20_000))
  rig.containers = [...supplies, ...wastes]
  rig.fixtures = Array.from({ length: 200 }, (_, i) =>
    newFixture(`tap-${i}`, `Tap ${i}`, `fresh-${i % 10}`, `gray-${Math.floor(i / 10) % 10}`),
  )
  rig.roles = rig.fixtures.map(({ id }) => ({ role: 'kitchen', fixture: id, share: owned(1 / 200) }))
  rig.outlets = []
  rig.heater = null
  rig.payload = null
  const base = crew.activities.find(({ id }) => id === 'dishes')!
  const others = Array.from({ length: 200 - crew.activities.length }, (_, i) => ({
    ...structuredClone(base),
    id: `use-${i}`,
    name: `Use ${i}`,
    kind: 'own' as const,
    per: 'person' as const,
    rate: owned(0.3),
    volume: owned(0.2),
  }))
  crew.activities = [...crew.activities, ...others].map((activity) => ({
    ...activity,
    role: 'kitchen' as const,
    rate: owned(0.3),
    volume: owned(0.2),
    timed: null,
  }))
  crew.persons = Array.from({ length: 60 }, (_, i) => ({ id: `person-${i}`, name: `Person ${i}`, rates: [] }))
  stay.horizonDays = owned(366)
  stay.leaveAt = '2028-09-11T11:00'
  stay.absences = []
  stay.levels = rig.containers.map(({ id, kind }) => startLevel(id, owned(kind === 'fresh' ? 20_000 : 0)))
  return document
}

import type { Document } from '@/core/domain'
import { plainTrips } from '../tests/support/plainTrips'

/** Trips a second of the plain simulator that the tests keep, each to its stop. */
export function plainLoop(document: Document, stay: string, horizonDays: number, trips: number): number {
  const copy = structuredClone(document)
  copy.stays.find(({ id }) => id === stay)!.horizonDays.value = horizonDays
  const plain = plainTrips(copy, stay, 1)
  for (let t = 0; t < 20; t++) plain.next()
  const before = performance.now()
  for (let t = 0; t < trips; t++) plain.next()
  return (1000 * trips) / (performance.now() - before)
}

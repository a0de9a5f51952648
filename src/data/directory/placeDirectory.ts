import type { Position } from '@/core/domain'
import type { PlacesReport } from '@/document/places/placesReport'

/** Where a directory is asked about. */
export interface Around {
  position: Position
  /** As the crow flies. */
  km: number
}

/**
 * Why a directory did not help. `offline`: it cannot be reached; `slow`: it did not answer in time; `wrong`: what it said is no
 * list of places; `stopped`: somebody gave it up.
 */
export type DirectoryFault = 'offline' | 'slow' | 'wrong' | 'stopped'

export type DirectoryAnswer = { ok: true; report: PlacesReport } | { ok: false; fault: DirectoryFault }

/** Something that knows places. One acceptance suite holds every implementation to this. */
export interface PlaceDirectory {
  /** Never throws, and never waits longer than it says: what goes wrong is an answer too. @param signal gives it up */
  around: (where: Around, signal?: AbortSignal) => Promise<DirectoryAnswer>
}

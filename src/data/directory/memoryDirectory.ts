import { greatCircleKm } from '@/core/places'
import type { PlacesReport } from '@/document/places/placesReport'
import type { PlaceDirectory } from './placeDirectory'

/** A directory of what is in hand: what was last heard of a real one, or made up for a test. */
export function memoryDirectory(known: PlacesReport): PlaceDirectory {
  return {
    around: ({ position, km }, signal) =>
      Promise.resolve(
        signal?.aborted
          ? { ok: false, fault: 'stopped' }
          : {
              ok: true,
              report: {
                ...known,
                places: known.places.filter(
                  (place) => place.position !== null && greatCircleKm(position, place.position) <= km,
                ),
              },
            },
      ),
  }
}

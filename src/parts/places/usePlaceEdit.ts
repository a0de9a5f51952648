import type { Id, Place, Way } from '@/core/model'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { putPlace, removePlace, setWay } from '@/document/edits'

/** Changes a place of the stay; each is a step of the history. */
export function usePlaceEdit() {
  const forecast = useForecastStore()
  const workspace = useWorkspaceStore()
  const stayId = () => forecast.stay!.id
  return {
    put: (place: Place, what: string | null = null) => {
      const id = stayId()
      const coalesce = what === null ? null : `${what} ${place.id}`
      return workspace.edit('place', (draft) => putPlace(draft, id, place), coalesce)
    },
    putAll: (places: readonly Place[]) => {
      const id = stayId()
      return workspace.edit('place', (draft) => places.forEach((place) => putPlace(draft, id, place)))
    },
    remove: (place: Id) => {
      const id = stayId()
      return workspace.edit('place', (draft) => removePlace(draft, id, place))
    },
    setWay: (way: Way) => {
      const id = stayId()
      return workspace.edit('place', (draft) => setWay(draft, id, way), `way ${way.place}`)
    },
  }
}

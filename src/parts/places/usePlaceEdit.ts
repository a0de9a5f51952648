import { putPlace, putPlaces, removePlace, setWay } from '@/actions/runs'
import type { Id, Place, Way } from '@/core/domain'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'

/** Changes a place of the stay; each is a step of the history. */
export function usePlaceEdit() {
  const forecast = useForecastStore()
  const workspace = useWorkspaceStore()
  const stayId = () => forecast.stay!.id
  return {
    put: (place: Place, what: string | null = null) => {
      return workspace.act(putPlace(stayId(), place, what))
    },
    putAll: (places: readonly Place[]) => {
      return workspace.act(putPlaces(stayId(), places))
    },
    remove: (place: Id) => {
      return workspace.act(removePlace(stayId(), place))
    },
    setWay: (way: Way) => {
      return workspace.act(setWay(stayId(), way))
    },
  }
}

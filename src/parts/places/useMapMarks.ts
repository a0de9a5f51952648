import { computed, type Ref } from 'vue'
import { slotNumber, type WallTime } from '@/core/calendar'
import type { Place } from '@/core/domain'
import { greatCircleKm } from '@/core/places'
import { toSi } from '@/core/quantities'
import { useForecastStore } from '@/data/forecastStore'
import { useSettingsStore } from '@/data/settingsStore'
import { formatNumber } from '@/texts'
import * as t from '@/texts/t'
import { badgeOf, bearingOf, labelsOf, marksOf, reachOf, ringsOf, type Frame } from './mapShape'
import { usePlaceWords } from './usePlaceWords'

type Shape = 'station' | 'tap' | 'town' | 'home'

/** What stands on the map of the stay's places: marks, what is written at them, rings of road, the trips of the runs. */
export function useMapMarks(frame: Ref<Frame>, zoom: Ref<number>, at: () => WallTime) {
  const forecast = useForecastStore()
  const settings = useSettingsStore()
  const words = usePlaceWords()

  const site = computed(() => forecast.stay?.site.position ?? null)
  const placed = computed(() => (forecast.stay?.places ?? []).filter(({ position }) => position !== null))
  /** Without a site the map is about the first place. */
  const centre = computed(() => site.value ?? placed.value[0]?.position ?? null)
  const roadKm = (place: Place, km: number) =>
    words.legTo(place)?.kilometres ?? km * (forecast.crew?.road.factor.value ?? 1)
  const reach = computed(() => {
    const about = centre.value
    // Home may be far: it stands on the rim rather than pressing all else together.
    const near = placed.value.filter(({ isHome }) => !isHome)
    return about
      ? reachOf(
          (near.length > 0 ? near : placed.value).map((place) =>
            roadKm(place, greatCircleKm(about, place.position!)),
          ),
          zoom.value,
        )
      : 1
  })
  const rings = computed(() => {
    const unit = settings.units.distance
    return ringsOf(frame.value, reach.value, toSi(1, unit)).map((ring) => ({
      ...ring,
      words: `${formatNumber(ring.at, 1)} ${t.units[unit]}`,
    }))
  })

  function shapeOf(place: Place): Shape {
    if (place.isHome) return 'home'
    if (place.accepts === null || place.accepts.length > 0 || place.points.length > 0) return 'station'
    return place.offers.length > 0 && place.water !== 'potable' ? 'town' : 'tap'
  }
  /** Runs to each place by their number in the order of time. */
  const runs = computed(() =>
    [...(forecast.stay?.runs ?? [])]
      .sort((a, b) => slotNumber(a) - slotNumber(b))
      .flatMap(({ place }, i) => (place === null ? [] : [{ place, n: i + 1 }])),
  )
  const marks = computed(() => {
    const about = centre.value
    if (!about) return []
    const byId = new Map(placed.value.map((place) => [place.id, place]))
    return marksOf(frame.value, about, placed.value, reach.value, roadKm).map((mark) => {
      const place = byId.get(mark.id)!
      const road = words.road(place)
      const hours = words.hoursAt(place, at())
      const numbers = runs.value.filter((run) => run.place === place.id).map(({ n }) => n)
      return {
        ...mark,
        place,
        shape: shapeOf(place),
        state: words.stateAt(place, at()),
        name: road ? `${place.name}, ${road}` : place.name,
        hours,
        numbers,
        spoken: [place.name, road ?? t.places.noRoad, hours, words.takes(place)].join(', '),
      }
    })
  })
  /** Beyond the rim the first line says all there is room for. */
  const labels = computed(() => {
    const siteMark = {
      id: '',
      ...frame.value.centre,
      ways: [[site.value ? (forecast.stay?.name.length ?? 0) : 0]],
    }
    // Those that runs go to come first.
    const inOrder = [...marks.value].sort((a, b) => b.numbers.length - a.numbers.length)
    const of = inOrder.map(({ id: mark, x, y, name, hours, isBeyond, place }) => ({
      id: mark,
      x,
      y,
      ways: [...(isBeyond ? [] : [[name.length, hours.length * 0.86]]), [name.length], [place.name.length]],
    }))
    const known = new Map(marks.value.map((mark) => [mark.id, mark]))
    return labelsOf(frame.value, [siteMark, ...of]).map((label) => {
      const mark = known.get(label.id)
      if (!mark) return { ...label, first: site.value ? (forecast.stay?.name ?? '') : '', second: null }
      // Beyond the rim all there is room for is one line.
      const way = label.way + (mark.isBeyond ? 1 : 0)
      return {
        ...label,
        first: way === 2 ? mark.place.name : mark.name,
        second: way === 0 ? mark.hours : null,
      }
    })
  })
  /** Where the rings say how far they are: in the direction with the most room. */
  const bearing = computed(() => bearingOf(frame.value, marks.value, labels.value))
  /** Each trip from the site by its stops, in the order of the runs. */
  const trips = computed(() => {
    const byId = new Map(marks.value.map((mark) => [mark.id, mark]))
    const stops = new Map<number, string[]>()
    for (const run of forecast.stay?.runs ?? []) {
      const mark = run.place === null ? undefined : byId.get(run.place)
      if (!mark) continue
      const at = slotNumber(run)
      stops.set(at, [...(stops.get(at) ?? []), `L${mark.x} ${mark.y}`])
    }
    const { x, y } = frame.value.centre
    return [...new Set([...stops.values()].map((legs) => `M${x} ${y} ${legs.join(' ')}`))]
  })
  const badges = computed(() =>
    marks.value.flatMap((mark) =>
      mark.numbers.length === 0
        ? []
        : [{ ...badgeOf(mark, marks.value), id: mark.id, text: mark.numbers.join(' ') }],
    ),
  )

  return { site, centre, rings, marks, labels, bearing, trips, badges }
}

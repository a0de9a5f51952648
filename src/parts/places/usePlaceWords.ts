import { computed } from 'vue'
import type { WallTime } from '@/core/calendar'
import { pointWithWater, pointsOf, type Place } from '@/core/domain'
import { isOpenAt, nextOpening, wayTo } from '@/core/places'
import { useClockStore } from '@/data/clockStore'
import { useForecastStore } from '@/data/forecastStore'
import { usePlacesStore } from '@/data/placesStore'
import { useSettingsStore } from '@/data/settingsStore'
import { formatClock, formatDate, formatNumber, formatRoad } from '@/texts'
import * as t from '@/texts/t'

/** Whether it is open at a moment; null: that is not known. */
export type OpenState = 'open' | 'shut' | 'perhaps' | null

/** What is known of a place, in the owner's words and units. */
export function usePlaceWords() {
  const forecast = useForecastStore()
  const places = usePlacesStore()
  const clock = useClockStore()
  const settings = useSettingsStore()

  /** Now while the stay is under way, else its start. */
  const isNow = computed(() => {
    const { stay } = forecast
    return stay !== null && clock.now > stay.start && clock.now < stay.leaveAt
  })
  const moment = computed((): WallTime => (isNow.value ? clock.now : (forecast.stay?.start ?? clock.now)))

  function stateAt(place: Place, at: WallTime): OpenState {
    const times = places.hours?.get(place.id)
    if (!times || at < times.from || at >= times.until) return null
    const isOpen = isOpenAt(times, at)
    return isOpen === null ? 'perhaps' : isOpen ? 'open' : 'shut'
  }

  /** `open to 18:00`, `shut until Mon 13 Sep 08:00`. */
  function hoursAt(place: Place, at: WallTime): string {
    if (place.opening === null) return t.places.unknownHours
    const answer = places.answerOf(place)
    if (answer === null) return places.hasFailed ? t.places.unknownHours : t.places.reading
    if (!answer.ok) return t.places.unreadable
    const { times } = answer
    if (at < times.from || at >= times.until) return t.places.unknownHours
    const span = times.spans.find(({ from, until }) => from <= at && at < until)
    if (span && !span.isSure) return span.note === null ? t.places.perhapsOpen : t.places.perhaps(span.note)
    if (span)
      return span.until >= times.until ? t.places.openAlways : t.places.open(timeWords(span.until, at))
    const next = nextOpening(times, at)
    return next ? t.places.shut(timeWords(next.from, at)) : t.places.shutLong
  }
  /** The hour, and the day where it is another one. */
  function timeWords(time: WallTime, at: WallTime): string {
    const clock = formatClock(time)
    return time.slice(0, 10) === at.slice(0, 10) ? clock : `${formatDate(time)} ${clock}`
  }

  const legs = computed(() => {
    const { stayCase } = forecast
    return new Map((stayCase?.stay.places ?? []).map(({ id }) => [id, wayTo(stayCase!, id)]))
  })
  const legTo = ({ id }: Place) => legs.value.get(id) ?? null
  const road = (place: Place) => {
    const leg = legTo(place)
    return leg ? formatRoad(leg.kilometres, settings.units) : null
  }
  const drive = (place: Place) => {
    const leg = legTo(place)
    return leg
      ? t.runs.minutes(formatNumber(Math.round(leg.minutes / 5) * 5 || Math.round(leg.minutes), 0))
      : null
  }

  /** What all its points take. */
  function takes(place: Place): string {
    const points = pointsOf(place)
    const known = new Set(points.flatMap(({ accepts }) => accepts ?? []))
    const isVague = points.some(({ accepts }) => accepts === null)
    const words = [...known].map((what) => t.runs.accepted[what])
    if (isVague) words.push(t.places.takesUnknown)
    return words.length === 0 ? t.places.takesNothing : words.join(', ')
  }
  const water = (place: Place) => t.runs.places.waters[pointWithWater(place).water]
  const fee = ({ fee: asked }: Place) =>
    asked === null
      ? t.places.feeUnknown
      : asked.value === 0
        ? t.places.free
        : t.places.feeOf(formatNumber(asked.value, 2))

  return { isNow, moment, stateAt, hoursAt, legTo, road, drive, takes, water, fee }
}

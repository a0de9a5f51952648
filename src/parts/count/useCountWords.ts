import { computed } from 'vue'
import type { Count } from '@/core/count'
import type { Model, Stay } from '@/core/model'
import { dayZero, nightsBetween, wallDaysBetween, type WallTime } from '@/core/calendar'
import { useForecastStore } from '@/data/forecastStore'
import { useClockStore } from '@/data/clockStore'
import { formatDate, formatDays, formatNumber, formatPartOfDay } from '@/texts'
import * as t from '@/texts/t'

export type CountWords = ReturnType<typeof countWords>

/** The current count in words. Null without a stay. */
export function useCountWords() {
  const forecast = useForecastStore()
  const clock = useClockStore()
  return computed(() => {
    const { stay, result, model } = forecast
    return stay && result && model ? countWords(stay, model, result, clock.now) : null
  })
}

/** A count in words: what is large, what is said, what is short. @param now wall time: other years are said */
export function countWords(stay: Stay, model: Model, result: Count, now: WallTime) {
  const nights = nightsBetween(model.start, stay.leaveAt)
  const horizon = formatNumber(model.horizonDays, 0)
  const stopper = model.containers.find(({ id }) => id === result.stopper)?.name ?? null
  const lasts = result.days === null || result.days >= wallDaysBetween(model.start, stay.leaveAt)
  return {
    days: result.days,
    figure: result.days === null ? horizon : formatDays(result.days),
    isBeyond: result.days === null,
    horizon,
    nights,
    stopper,
    when: result.at ? formatPartOfDay(result.at, now) : null,
    startsPast: result.days === 0,
    lasts,
    /** It goes on from a day of the stay: what is said is of what is left. */
    isLeft: model.start > stay.start,
    marks: {
      start: formatDate(model.start, now),
      stop: result.at && !lasts ? formatDate(dayZero(result.at)) : null,
      end: formatDate(stay.leaveAt, now),
    },
    /** Nights planned that are not reached. */
    short: result.days === null ? 0 : Math.max(0, nights - Math.floor(result.days + 1e-9)),
    strip: result.days === null ? t.count.stripBeyond(horizon) : formatDays(result.days),
  }
}

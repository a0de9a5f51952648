import { computed } from 'vue'
import type { Count } from '@/core/count'
import { HOOKUP_RUN, type Model } from '@/core/compile'
import type { Stay } from '@/core/model'
import { dayZero, nightsBetween, wallDaysBetween, type WallTime } from '@/core/calendar'
import { useForecastStore } from '@/data/forecastStore'
import { useClockStore } from '@/data/clockStore'
import { formatDate, formatDays, formatNumber, formatPartOfDay } from '@/texts'
import * as t from '@/texts/t'

export type CountWords = ReturnType<typeof countWords> & {
  runs?: ReturnType<typeof runWords>
}

/** The current count in words. Null without a stay. */
export function useCountWords() {
  const forecast = useForecastStore()
  const clock = useClockStore()
  return computed(() => {
    const { stay, result, dry, model } = forecast
    if (!stay || !result || !dry || !model) return null
    return { ...countWords(stay, model, result, clock.now), runs: runWords(model, dry) }
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

/** How many runs the count stands on, and what it would be without them; null where none is set. */
function runWords(model: Model, dry: Count) {
  const set = model.runs.filter(({ id }) => id !== HOOKUP_RUN).length
  if (set === 0) return null
  const stopper = model.containers.find(({ id }) => id === dry.stopper)?.name ?? null
  const days = dry.days === null ? t.count.beyond(formatNumber(model.horizonDays, 0)) : formatDays(dry.days)
  return { count: set, dry: t.count.withoutRuns(days, stopper) }
}

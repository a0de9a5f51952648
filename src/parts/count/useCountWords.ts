import { computed } from 'vue'
import { nightsMade, type Count } from '@/core/count'
import type { Model } from '@/core/compile'
import type { Stay } from '@/core/domain'
import type { OwnCounts } from '@/core/risk'
import { dayZero, type WallTime } from '@/core/calendar'
import { useForecastStore } from '@/data/forecastStore'
import { useClockStore } from '@/data/clockStore'
import { useWithoutRunsStore } from '@/data/withoutRunsStore'
import { chanceWords } from '@/parts/risk/chanceWords'
import { formatDate, formatDays, formatNumber, formatPartOfDay } from '@/texts'
import * as t from '@/texts/t'

export type CountWords = ReturnType<typeof countWords> & {
  runs?: ReturnType<typeof runWords>
}

/** The current count in words. Null without a stay. */
export function useCountWords() {
  const forecast = useForecastStore()
  const clock = useClockStore()
  const without = useWithoutRunsStore()
  without.follow()
  return computed(() => {
    const { stay, result, model } = forecast
    if (!stay || !result || !model) return null
    return { ...countWords(stay, model, result, clock.now), runs: runWords(model, without.counts) }
  })
}

/** A count in words: what is large, what is said, what is short. @param now wall time: other years are said */
export function countWords(stay: Stay, model: Model, result: Count, now: WallTime) {
  const nights = nightsMade(result.days, model.start, stay.leaveAt)
  const horizon = formatNumber(model.horizonDays, 0)
  const stopper = model.containers.find(({ id }) => id === result.stopper)?.name ?? null
  const lasts = nights.planned > 0 ? nights.short === 0 : result.at === null || result.at >= stay.leaveAt
  return {
    days: result.days,
    figure: result.days === null ? horizon : formatDays(result.days),
    isBeyond: result.days === null,
    horizon,
    nights: nights.planned,
    /** Days from where the count begins to the end of each night. */
    ends: nights.ends,
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
    /** Nights planned that are not made. */
    short: nights.short,
    made: nights.made,
    strip: result.days === null ? t.count.stripBeyond(horizon) : formatDays(result.days),
  }
}

/** How many runs the count stands on, and what the same trips come to without them; null where none counts. */
function runWords(model: Model, without: OwnCounts | null) {
  const set = model.runs.filter(({ isPlanned }) => isPlanned).length
  if (set === 0) return null
  return { count: set, dry: without && t.count.withoutRuns(set, ...likeWith(model, without)) }
}

function likeWith({ horizonDays }: Model, { joint, held }: OwnCounts): [chance: string, days: string] {
  const days = Number.isFinite(joint) ? formatDays(joint) : t.count.beyond(formatNumber(horizonDays, 0))
  return [chanceWords(held.chance), days]
}

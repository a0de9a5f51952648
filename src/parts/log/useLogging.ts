import { computed } from 'vue'
import { dayAndPartOf } from '@/core/calendar'
import type { Activity, Id } from '@/core/model'
import { dailyUse } from '@/core/explain'
import { useClockStore } from '@/data/clockStore'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import { formatDate } from '@/texts'
import * as t from '@/texts/t'
import { dayAndTime } from './entryWords'

/** What can be logged by one tap, and how often it was today. */
export interface Key {
  activity: Activity
  isCounted: boolean
  /** Uses logged today; of an expected one what came on top. */
  today: number
  isLeftOut: boolean
  letter: string
}

/** Logging from any screen. */
export function useLogging() {
  const forecast = useForecastStore()
  const log = useLogStore()
  const clock = useClockStore()

  const isCounted = (id: Id) =>
    forecast.stay?.counted.some(({ activity, until }) => activity === id && until === null) ?? false
  const isToday = (at: string) =>
    forecast.stay !== null &&
    dayAndPartOf(forecast.stay.start, at).day === dayAndPartOf(forecast.stay.start, clock.now).day

  /** Counted ones first, then what draws most in a day. */
  const keys = computed((): Key[] => {
    const { crew } = forecast
    if (!crew) return []
    const litres = (activity: Activity) => dailyUse(crew, activity).litres
    const order = [...crew.activities]
      .filter(({ kind, rate }) => kind !== 'bowl-seal' && kind !== 'drinking' && rate.value > 0)
      .sort((a, b) => Number(isCounted(b.id)) - Number(isCounted(a.id)) || litres(b) - litres(a))
    const letters = new Set<string>(['p', 'e'])
    return order.map((activity) => {
      const ofToday = log.entries.flatMap((entry) =>
        entry.kind === 'use' && entry.activity === activity.id && isToday(entry.at) ? [entry.n] : [],
      )
      const letter =
        activity.name
          .toLowerCase()
          .match(/[a-z]/g)
          ?.find((one) => !letters.has(one)) ?? ''
      letters.add(letter)
      return {
        activity,
        isCounted: isCounted(activity.id),
        today: ofToday.reduce((sum, n) => sum + n, 0),
        isLeftOut: ofToday.includes(0),
        letter,
      }
    })
  })

  /** What is wrong with a time; null: nothing. */
  function wrongTime(at: string): string | null {
    const { stay } = forecast
    if (!/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/.test(at)) return t.log.when.none
    if (at > clock.now) return t.log.when.future(dayAndTime(clock.now))
    return stay && at < stay.start
      ? t.log.when.before(`${formatDate(stay.start)}, ${stay.start.slice(11)}`)
      : null
  }

  return { keys, isCounted, wrongTime }
}

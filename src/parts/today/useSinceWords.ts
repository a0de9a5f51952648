import { computed } from 'vue'
import { dayAndPartOf } from '@/core/calendar'
import type { Cause } from '@/core/underway'
import { useForecastStore } from '@/data/forecastStore'
import { useTodayStore } from '@/data/todayStore'
import { useAmounts } from '@/parts/useAmounts'
import { dayAndTime, formatDays, formatNumber, formatSigned } from '@/texts'
import * as t from '@/texts/t'

/** Less than this, days, is nothing to speak of. */
const LEAST = 0.05
/** A day this much warmer than the usual one, °C, is a warm day. */
const WARMER = 3
const NAMED = 2
/** Days between two counts: rounded, while a count itself is cut. */
const apart = (days: number) => formatSigned(Math.abs(days)).replace('+', '')

/** A day that goes by as expected moves the count by hardly more, days. */
const LEAP = 0.7
const tenths = (days: number) => Math.round(days * 10)

/**
 * Parts as they are written, to a tenth, so that they add up to the total as it is written: what rounding is off by goes to the
 * largest, and what is more than that is a part by itself.
 */
export function addingUp<T extends { days: number; words: string }>(
  parts: readonly T[],
  total: number,
  rest: string,
): { words: string; text: string }[] {
  const off = tenths(total) - parts.reduce((sum, { days }) => sum + tenths(days), 0)
  const largest = parts.reduce((k, { days }, i) => (Math.abs(days) > Math.abs(parts[k]!.days) ? i : k), 0)
  const isRounding = parts.length > 0 && Math.abs(off) <= parts.length / 2 + 0.5
  const written = parts.map(({ words, days }, k) => ({
    words,
    text: formatSigned((tenths(days) + (isRounding && k === largest ? off : 0)) / 10),
  }))
  return off === 0 || isRounding ? written : [...written, { words: rest, text: formatSigned(off / 10) }]
}

/** What moved the count since yesterday, in a line and one by one; null while it is not known. */
export function useSinceWords() {
  const today = useTodayStore()
  const forecast = useForecastStore()
  const { temperature } = useAmounts()

  function causeWords(cause: Cause, days: number): string {
    if (cause.kind === 'day') {
      const isWarm = cause.warmest - cause.usual >= WARMER
      if (isWarm) return t.since.cause.hot(temperature(cause.warmest))
      // With runs what can be planned on leaps when a day has gone by: that is no day like the others.
      return Math.abs(days) > LEAP ? t.since.cause.leap : t.since.cause.day
    }
    if (cause.kind === 'use') {
      const name = forecast.crew?.activities.find(({ id }) => id === cause.activity)?.name ?? ''
      const by = Math.abs(cause.n - cause.expected)
      const n = formatNumber(by, by < 9.95 ? 1 : 0)
      return cause.n > cause.expected ? t.since.cause.usesMore(n, name) : t.since.cause.usesLess(n, name)
    }
    if (cause.kind === 'levels') return cause.isRead ? t.since.cause.read : t.since.cause.unread
    return t.since.cause[cause.kind]
  }

  return computed(() => {
    const { since } = today
    const { stay } = forecast
    if (!since || !stay) return null
    const isFirst = dayAndPartOf(stay.start, since.at).day === 0 || since.elapsed < 1
    const words = isFirst ? t.since.sinceStart : t.since
    const size = apart(since.change)
    const isSame = Math.abs(since.change) < LEAST
    const change = isSame ? words.same : since.change < 0 ? words.less(size) : words.more(size)
    const parts = since.parts
      .filter(({ days }) => Math.abs(days) >= LEAST)
      .map(({ cause, days }) => ({ words: causeWords(cause, days), days }))
    const same = parts.filter(({ days }) => days < 0 === since.change < 0)
    const named = (isSame ? [] : same).slice(0, NAMED).map((part) => part.words)
    const plan =
      Math.abs(since.ahead) < LEAST * 2
        ? t.since.onPlan
        : since.ahead > 0
          ? t.since.ahead(apart(since.ahead))
          : t.since.behind(apart(since.ahead))
    return {
      change,
      why: named.join(', '),
      plan,
      parts: addingUp(parts, since.change, t.since.cause.rest),
      total: formatSigned(since.change),
      explained: t.since.explained(formatDays(since.then), dayAndTime(since.from)),
    }
  })
}

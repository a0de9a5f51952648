import { PARTS, dayAndPartOf, dayZero, type WallTime } from '@/core/calendar'
import * as words from './en/words'
import { localeInUse } from './locale'

type Format = (time: WallTime) => string
/** Made with its first use: making one takes far longer than using it. */
const formatter = (options: Intl.DateTimeFormatOptions): Format => {
  let made: { locale: string; format: Intl.DateTimeFormat } | null = null
  return (time) => {
    const locale = localeInUse().dates
    if (made?.locale !== locale)
      made = { locale, format: new Intl.DateTimeFormat(locale, { ...options, timeZone: 'UTC' }) }
    return made.format.format(new Date(`${time}:00Z`)).replace(',', '')
  }
}
/** With the year, where it is not the one it is now. @param now wall time; without it never */
const dated =
  (format: Format) =>
  (time: WallTime, now?: WallTime): string =>
    now === undefined || time.slice(0, 4) === now.slice(0, 4)
      ? format(time)
      : `${format(time)} ${time.slice(0, 4)}`

/** `Fri 17 Sep`, `Fri 17 Sep 2027` */
export const formatDate = dated(formatter({ weekday: 'short', day: 'numeric', month: 'short' }))
const weekday = formatter({ weekday: 'short' })
/** `Fri 17` */
export const formatShortDay: Format = (time) => `${weekday(time)} ${Number(time.slice(8, 10))}`
const longDay = dated(formatter({ weekday: 'long', day: 'numeric', month: 'long' }))

/** `13:05`; where clocks have twelve hours `1:05 pm`, and `1 pm` at the full hour. */
export function formatClock(time: WallTime): string {
  if (!localeInUse().isTwelveHours) return time.slice(11)
  const hour = Number(time.slice(11, 13)) % 24
  const minutes = time.slice(14)
  return words.clock[hour < 12 ? 'am' : 'pm'](`${hour % 12 || 12}${minutes === '00' ? '' : `:${minutes}`}`)
}

/** An hour of any day, `22:00` or `10 pm`. @param time HH:MM */
export const formatTimeOfDay = (time: string): string => formatClock(`2000-01-01T${time}`)

/** `Tue 14 Sep, 13:05` */
export function dayAndTime(time: WallTime): string {
  return `${formatDate(time)}, ${formatClock(time)}`
}

/** `Friday 17 September, in the evening`; the night belongs to the day it began. */
export function formatPartOfDay(time: WallTime, now?: WallTime): { day: string; part: string } {
  const { part } = dayAndPartOf(time, time)
  return { day: longDay(dayZero(time), now), part: words.parts[PARTS[part]!] }
}

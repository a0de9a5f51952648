import { PARTS, dayAndPartOf, dayZero, type WallTime } from '@/core/calendar'
import * as words from './en/words'

const LOCALE = 'en-GB'

type Format = (time: WallTime) => string
/** Made with its first use: making one takes far longer than using it. */
const formatter = (options: Intl.DateTimeFormatOptions): Format => {
  let made: Intl.DateTimeFormat | null = null
  return (time) => {
    made ??= new Intl.DateTimeFormat(LOCALE, { ...options, timeZone: 'UTC' })
    return made.format(new Date(`${time}:00Z`)).replace(',', '')
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
/** `Fri 17` */
export const formatShortDay = formatter({ weekday: 'short', day: 'numeric' })
const longDay = dated(formatter({ weekday: 'long', day: 'numeric', month: 'long' }))

/** `13:05` */
export function formatClock(time: WallTime): string {
  return time.slice(11)
}

/** `Tue 14 Sep, 13:05` */
export function dayAndTime(time: WallTime): string {
  return `${formatDate(time)}, ${formatClock(time)}`
}

/** `Friday 17 September, in the evening`; the night belongs to the day it began. */
export function formatPartOfDay(time: WallTime, now?: WallTime): { day: string; part: string } {
  const { part } = dayAndPartOf(time, time)
  return { day: longDay(dayZero(time), now), part: words.parts[PARTS[part]!] }
}

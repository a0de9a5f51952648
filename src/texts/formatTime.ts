import { PARTS, dayAndPartOf, dayZero, type WallTime } from '@/core/calendar'
import { words } from './en/words'

const LOCALE = 'en-GB'

const formatter = (options: Intl.DateTimeFormatOptions) => {
  const format = new Intl.DateTimeFormat(LOCALE, { ...options, timeZone: 'UTC' })
  return (time: WallTime) => format.format(new Date(`${time}:00Z`)).replace(',', '')
}

/** `Fri 17 Sep` */
export const formatDate = formatter({ weekday: 'short', day: 'numeric', month: 'short' })
/** `Fri 17` */
export const formatShortDay = formatter({ weekday: 'short', day: 'numeric' })
const longDay = formatter({ weekday: 'long', day: 'numeric', month: 'long' })

/** `Friday 17 September, in the evening`; the night belongs to the day it began. */
export function formatPartOfDay(time: WallTime): { day: string; part: string } {
  const { part } = dayAndPartOf(time, time)
  return { day: longDay(dayZero(time)), part: words.parts[PARTS[part]!] }
}

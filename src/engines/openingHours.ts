import OpeningHours from 'opening_hours'
import { wallMinutes, wallTimeAt, type WallTime } from '@/core/calendar'
import type { OpenTimes } from '@/core/domain'
import { withUtcDates } from './utcDates'

export interface OpeningRequest {
  /** In the `opening_hours` notation of OpenStreetMap. */
  text: string
  from: WallTime
  until: WallTime
  /** Wall times `hh:mm`: what the text calls sunrise and sunset. The machine's own zone and place say nothing of them. */
  sunrise: string
  sunset: string
}

export type OpeningAnswer = { ok: true; times: OpenTimes } | { ok: false; why: string }

/** Longer texts are refused unread: its reader takes the longer the more there is to try. */
export const LONGEST_TEXT = 500
/** Why a text is refused without the library's own words. */
export const TOO_LONG = 'too-long'
export const TOO_HARD = 'too-hard'

/**
 * What an opening text says of a stretch of time. `why` is the library's own word on a text that cannot be read.
 * Holidays are left aside: which there are depends on a country nobody here knows.
 */
export function readOpening({ text, from, until, sunrise, sunset }: OpeningRequest): OpeningAnswer {
  // Its reader tries blanks in every way there is: twenty-six of them take it ten seconds, sixty of them for ever.
  const collapsed = outsideQuotes(text.trim(), (part) => part.replace(/\s+/g, ' '))
  const withoutSun = sunAsClock(collapsed, sunrise, sunset)
  const { plain, leavesHolidays } = withoutHolidays(withoutSun)
  if (plain.length > LONGEST_TEXT) return { ok: false, why: TOO_LONG }
  try {
    return withUtcDates(() => {
      const opening = new OpeningHours(plain, null)
      const isDoubtful = isTwoWays(plain) || warns(opening)
      const spans = opening
        .getOpenIntervals(dateAt(from), dateAt(until))
        .flatMap(([begins, ends, isUnsure, note]) => {
          // What the library remarks by itself is not what is written there.
          const written = note !== undefined && text.includes(note) ? note : null
          // A day may be a holiday: which is one nobody here knows.
          const isSure = !isUnsure && !isDoubtful && !leavesHolidays
          const span = { from: wallAt(begins), until: wallAt(ends), isSure, note: written }
          return span.from < span.until ? [span] : []
        })
      return { ok: true, times: { spans: inOne(spans), from, until, leavesHolidays, isDoubtful } }
    })
  } catch (error) {
    return { ok: false, why: wordsOf(error) }
  }
}

/** Whether its reader remarks on how a text is written: it may mean something else. */
function warns(opening: OpeningHours): boolean {
  try {
    return opening.getWarnings().length > 0
  } catch {
    // What cannot even be remarked on is not sure.
    return true
  }
}

const MONTHS = 'Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec'
/** Days of a month after a comma without their month, which are taken for something else. */
const BARE_DAYS = new RegExp(`\\b(?:${MONTHS})\\s+\\d{1,2}(?:-\\d{1,2})?\\s*,\\s*\\d{1,2}(?![\\d:])`, 'i')

function isTwoWays(text: string): boolean {
  let isSo = false
  outsideQuotes(text, (part) => {
    isSo ||= BARE_DAYS.test(part)
    return part
  })
  return isSo
}

/** One evening's end that is the next one's beginning is no closing. */
function inOne(spans: OpenTimes['spans']): OpenTimes['spans'] {
  const joined: OpenTimes['spans'] = []
  for (const span of spans) {
    const last = joined.at(-1)
    if (last && last.until === span.from && last.isSure === span.isSure && last.note === span.note)
      joined[joined.length - 1] = { ...last, until: span.until }
    else joined.push(span)
  }
  return joined
}

/** A wall time as the library takes it, within `withUtcDates`. */
function dateAt(time: WallTime): Date {
  return new Date(wallMinutes(time) * MS_PER_MINUTE)
}

function wallAt(date: Date): WallTime {
  return wallTimeAt(Math.floor(date.getTime() / MS_PER_MINUTE))
}
const MS_PER_MINUTE = 60_000

/** Civil twilight lies about so far from the sun's edge. */
const TWILIGHT_MIN = 30
const SUN =
  /\(\s*(sunrise|sunset|dawn|dusk)\s*([+-])\s*(\d{1,2}):(\d{2})\s*\)|\b(sunrise|sunset|dawn|dusk)\b/gi

/** Only outside quotes: what stands in quotes is a remark. */
function sunAsClock(text: string, sunrise: string, sunset: string): string {
  const at = (word: string) => {
    const isEarly = /sunrise|dawn/i.test(word)
    const twilight = /dawn/i.test(word) ? -TWILIGHT_MIN : /dusk/i.test(word) ? TWILIGHT_MIN : 0
    return minutesOf(isEarly ? sunrise : sunset) + twilight
  }
  return outsideQuotes(text, (part) =>
    part.replace(
      SUN,
      (_, shifted?: string, sign?: string, hours?: string, minutes?: string, bare?: string) => {
        const by = shifted ? (sign === '-' ? -1 : 1) * (Number(hours) * 60 + Number(minutes)) : 0
        return clockOf(at(shifted ?? bare!) + by)
      },
    ),
  )
}

const HOLIDAY = /\b(PH|SH)\b/
/** A holiday among weekdays goes, a rule that is of holidays alone goes whole. */
function withoutHolidays(text: string): { plain: string; leavesHolidays: boolean } {
  let leavesHolidays = false
  const plain = outsideQuotes(text, (part) => {
    if (!HOLIDAY.test(part)) return part
    leavesHolidays = true
    const kept = part
      .split(';')
      .map((rule) => rule.replace(/(?:,\s*(?:PH|SH)\b)|(?:\b(?:PH|SH)\s*,\s*(?=[A-Z]))/g, ''))
      .filter((rule) => !HOLIDAY.test(rule))
    return kept.join(';')
  })
  // Where nothing else is written, nothing is known.
  return { plain: plain.trim() === '' ? 'unknown' : plain, leavesHolidays }
}

function outsideQuotes(text: string, change: (part: string) => string): string {
  return text
    .split(/("[^"]*")/)
    .map((part) => (part.startsWith('"') ? part : change(part)))
    .join('')
}

function minutesOf(clock: string): number {
  return Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3))
}

function clockOf(minutes: number): string {
  return wallTimeAt(wallMinutes('2000-01-01T00:00') + ((minutes % 1440) + 1440)).slice(11)
}

/** The library's words, without the machine's. */
function wordsOf(error: unknown): string {
  const words = typeof error === 'string' ? error : error instanceof Error ? error.message : ''
  return words.replace(/\s+/g, ' ').trim().slice(0, 200)
}

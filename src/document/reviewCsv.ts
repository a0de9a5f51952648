import Papa from 'papaparse'
import { perPersonDay, type Review } from '@/core/review'

/** The columns of a season as CSV, a line for each stay; litres are litres, whatever is shown. */
export const REVIEW_COLUMNS = [
  ...[
    'stay',
    'name',
    'start',
    'end',
    'nights_planned',
    'nights_lived',
    'dry_days_planned',
    'stopper_planned',
  ],
  ...['nearest', 'nearest_share', 'person_days', 'drawn_l', 'gray_l', 'toilet_l', 'drawn_l_per_person_day'],
  ...['readings', 'readings_not_fitting', 'dumps', 'minutes', 'kilometres', 'fee'],
] as const

const FORMULA = /^['=+\-@\t\r]/

/** Comma, quotes, CRLF (RFC 4180). @param nameOf of a stay */
export function reviewsToCsv(reviews: readonly Review[], nameOf: (stay: string) => string): string {
  const number = (value: number | null) => (value === null ? '' : String(Math.round(value * 1000) / 1000))
  const text = (value: string) => (FORMULA.test(value) ? `'${value}` : value)
  const data = reviews.map((review) => {
    const { nights, planned, lived, nearest, readings, cost } = review
    const { drawn, gray, toilet } = lived.litres
    return [
      ...[text(review.stay), text(nameOf(review.stay)), review.start, review.end],
      ...[number(nights.planned), number(nights.lived), number(planned.days), planned.stopper ?? ''],
      ...[nearest?.container ?? '', number(nearest?.share ?? null), number(lived.personDays)],
      ...[number(drawn), number(gray), number(toilet), number(perPersonDay(drawn, lived.personDays))],
      ...[number(readings.total), number(readings.lied.length)],
      ...[number(cost.dumps), number(cost.minutes), number(cost.kilometres), number(cost.fee)],
    ]
  })
  return `${Papa.unparse({ fields: [...REVIEW_COLUMNS], data }, { newline: '\r\n' })}\r\n`
}

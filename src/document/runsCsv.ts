import Papa from 'papaparse'

/** One line of the schedule, amounts in SI. */
export interface ScheduleLine {
  day: number
  date: string
  part: string
  run: string
  place: string
  /** Wall times, empty where they are not known. */
  leaveBy: string
  at: string
  changes: string
  minutes: number
  kilometres: number
  fee: number
}

export const SCHEDULE_COLUMNS = [
  'day', 'date', 'part', 'run', 'place', 'leave_by', 'at', 'changes', 'minutes', 'kilometres', 'fee',
] as const // prettier-ignore

const FORMULA = /^['=+\-@\t\r]/

/** Comma, quotes, CRLF (RFC 4180); a text that a spreadsheet would take for a formula is marked as text. */
export function scheduleToCsv(lines: readonly ScheduleLine[]): string {
  const text = (value: string) => (FORMULA.test(value) ? `'${value}` : value)
  const number = (value: number) => String(Math.round(value * 100) / 100)
  const data = lines.map((line) => [
    ...[number(line.day), line.date, line.part, text(line.run), text(line.place), line.leaveBy, line.at],
    ...[text(line.changes), number(line.minutes), number(line.kilometres), number(line.fee)],
  ])
  return `${Papa.unparse({ fields: [...SCHEDULE_COLUMNS], data }, { newline: '\r\n' })}\r\n`
}

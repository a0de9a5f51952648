/** The common case of opening hours: the same hours on some days, in some months. */
export interface PlainHours {
  /** Monday first. */
  days: boolean[]
  /** `hh:mm`; both `00:00` and `24:00`: all day. */
  from: string
  until: string
  /** 1 to 12, both included; null: all year. */
  months: [number, number] | null
}

const DAYS = ['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su'] as const
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const
const DAY = `(?:${DAYS.join('|')})`
const MONTH = `(?:${MONTHS.join('|')})`
const PATTERN = new RegExp(
  `^(?:(${MONTH})-(${MONTH}):? )?(?:(${DAY}(?:[-,]${DAY})*) )?(\\d{2}:\\d{2})-(\\d{2}:\\d{2})$`,
)

/** The text of plain hours; no day at all is never open. */
export function openingOf({ days, from, until, months }: PlainHours): string {
  const open = DAYS.filter((_, i) => days[i])
  if (open.length === 0) return 'off'
  const isAlways = open.length === 7 && from === '00:00' && until === '24:00'
  if (isAlways && !months) return '24/7'
  const season = months ? `${MONTHS[months[0] - 1]}-${MONTHS[months[1] - 1]}: ` : ''
  const week = open.length === 7 ? '' : `${inRanges(days)} `
  return `${season}${week}${from}-${until}`
}

/** Plain hours out of a text, where it is no more than that; null: it says more. */
export function plainHoursOf(text: string): PlainHours | null {
  const every = DAYS.map(() => true)
  if (text.trim() === '24/7') return { days: every, from: '00:00', until: '24:00', months: null }
  const match = PATTERN.exec(text.trim())
  if (!match) return null
  const [, first, last, week, from, until] = match
  const month = (name: string) => MONTHS.findIndex((one) => one === name) + 1
  return {
    days: week ? daysOf(week) : every,
    from: from!,
    until: until!,
    months: first && last ? [month(first), month(last)] : null,
  }
}

/** `Mo-Fr,Su` of the days that are open. */
function inRanges(days: readonly boolean[]): string {
  const ranges: string[] = []
  for (let i = 0; i < 7; i++) {
    if (!days[i]) continue
    let last = i
    while (days[last + 1]) last++
    ranges.push(
      last === i ? DAYS[i]! : last === i + 1 ? `${DAYS[i]},${DAYS[last]}` : `${DAYS[i]}-${DAYS[last]}`,
    )
    i = last
  }
  return ranges.join(',')
}

function daysOf(week: string): boolean[] {
  const days = DAYS.map(() => false)
  for (const range of week.split(',')) {
    const [first, last = first] = range.split('-')
    const at = (name: string | undefined) => DAYS.findIndex((one) => one === name)
    // A range may run over the end of the week.
    for (let i = at(first), n = 0; n < 7; i = (i + 1) % 7, n++) {
      days[i] = true
      if (i === at(last)) break
    }
  }
  return days
}

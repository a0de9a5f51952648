type Parts = [year: number, month: number, ...rest: number[]]

/**
 * A date whose local hours are those of UTC: on it every day has 24 hours, whatever the machine's clock does. A library that knows
 * only the machine's own dates so takes wall times as they are.
 */
class UtcDate extends Date {
  constructor(...args: [] | [number | string | Date] | Parts) {
    if (args.length === 0) super()
    else if (args.length === 1) super(args[0] instanceof Date ? args[0].getTime() : args[0])
    else super(Date.UTC(...(args as Parts)))
  }
  override getTimezoneOffset() {
    return 0
  }
}

const FIELDS = ['FullYear', 'Month', 'Date', 'Day', 'Hours', 'Minutes', 'Seconds', 'Milliseconds'] as const
for (const field of FIELDS)
  for (const verb of ['get', 'set'] as const) {
    const inUtc = Reflect.get(Date.prototype, `${verb}UTC${field}`) as unknown
    if (inUtc) Object.defineProperty(UtcDate.prototype, `${verb}${field}`, { value: inUtc })
  }

/** Does work that must not wait, with every date that is made meanwhile in UTC. */
export function withUtcDates<T>(work: () => T): T {
  const own = globalThis.Date
  globalThis.Date = UtcDate as DateConstructor
  try {
    return work()
  } finally {
    globalThis.Date = own
  }
}

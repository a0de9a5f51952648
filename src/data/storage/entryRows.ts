import { isWallTime } from '@/core/calendar'
import type { LogEntry } from '@/core/log'

type Fields = Record<string, unknown>
type Test = (value: unknown, of: Fields) => boolean
const isText = (value: unknown) => typeof value === 'string'
const isNumber = (value: unknown) => Number.isFinite(value)
const isAmount = (value: unknown) => value === null || isNumber(value)
const isTime = (value: unknown) => isText(value) && isWallTime(value)
const isAny = () => true
const isOneOf = (words: string) => (value: unknown) => isText(value) && words.split(' ').includes(value)
const isList = (test: Test) => (value: unknown, of: Fields) =>
  Array.isArray(value) && value.every((one) => test(one, of))
/** Every field that is named passes; others do not matter. */
const has =
  (tests: Record<string, Test>): Test =>
  (value) =>
    typeof value === 'object' &&
    value !== null &&
    Object.entries(tests).every(([key, test]) => test((value as Fields)[key], value as Fields))
const isMaybe = (test: Test) => (value: unknown, of: Fields) => value === undefined || test(value, of)

const SAW: Record<string, Test> = {
  panel: has({ edges: isList(isNumber), step: (step, { edges }) => (step as number) in (edges as object) }),
  amount: has({ amount: isNumber, deviation: isNumber }),
  weight: has({ kg: isNumber }),
  light: isAny,
  full: isAny,
  dry: isAny,
}
const TANK = { container: isText }
const KINDS: Record<string, Test> = {
  start: isAny,
  end: isAny,
  use: has({ activity: isText, n: isNumber, litres: isAmount, minutes: isAmount }),
  reading: has({
    ...TANK,
    saw: has({
      as: (as, saw) => isText(as) && Object.hasOwn(SAW, as) && SAW[as]!(saw, saw),
    }),
  }),
  run: has({
    did: isList(has({ ...TANK, what: isOneOf('emptied filled put-in took-out'), litres: isAmount })),
    took: isMaybe(
      has({
        rinses: isList(has({ ...TANK, rounds: isNumber, owed: isNumber })),
        drains: isMaybe(isList(has({ ...TANK, minutes: isNumber }))),
      }),
    ),
  }),
  dose: has({ ...TANK, product: isText, amount: isNumber }),
  odd: has({
    from: (from, { at }) => isTime(from) && (from as string) <= (at as string),
    why: isOneOf('leak visitor rest other'),
  }),
  shakedown: has({ did: isOneOf('begun rested taken-up ended') }),
}
for (const text of ['treatment', 'chore', 'trial', 'practice', 'note']) KINDS[text] = isAny
const isEntry = has({
  id: isText,
  rig: isText,
  stay: (stay) => stay === null || isText(stay),
  revision: isNumber,
  at: isTime,
  utc: (utc) => isText(utc) && isNumber(Date.parse(utc)),
  note: isText,
  isRemoved: (is) => typeof is === 'boolean',
  kind: (kind, row) => isText(kind) && Object.hasOwn(KINDS, kind) && KINDS[kind]!(row, row),
})

/**
 * Whether a row of the log is an entry that nothing breaks on: a look before the rules are there, which are large and come
 * later. What does not pass is set aside, and the rest goes on.
 */
export const looksWhole = (row: unknown): row is LogEntry => isEntry(row, {})

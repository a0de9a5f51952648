import { isWallTime } from '@/core/calendar'
import { ODD_REASONS, RUN_WHATS, SHAKEDOWN_STEPS, TEXT_KINDS, type LogEntry } from '@/core/log'

type Fields = Record<string, unknown>
const isText = (value: unknown): value is string => typeof value === 'string'
const isNumber = (value: unknown): value is number => typeof value === 'number' && Number.isFinite(value)
const isNumberOrNull = (value: unknown) => value === null || isNumber(value)
const isFields = (value: unknown): value is Fields => typeof value === 'object' && value !== null
const isOneOf = (all: readonly string[], value: unknown) => isText(value) && all.includes(value)

/**
 * Whether a row of the log is an entry that nothing breaks on: a look before the rules are there, which are large and come
 * later. What does not pass is set aside, and the rest goes on.
 */
export function looksWhole(row: unknown): row is LogEntry {
  if (!isFields(row)) return false
  const { id, revision, rig, stay, at, utc, note, isRemoved, kind } = row
  return (
    isText(id) &&
    isText(rig) &&
    (stay === null || isText(stay)) &&
    isNumber(revision) &&
    isText(at) &&
    isWallTime(at) &&
    isText(utc) &&
    Number.isFinite(Date.parse(utc)) &&
    isText(note) &&
    typeof isRemoved === 'boolean' &&
    isText(kind) &&
    isOfItsKind(kind, row)
  )
}

function isOfItsKind(kind: string, row: Fields): boolean {
  switch (kind) {
    case 'use':
      return (
        isText(row.activity) && isNumber(row.n) && isNumberOrNull(row.litres) && isNumberOrNull(row.minutes)
      )
    case 'reading':
      return isText(row.container) && isSaw(row.saw)
    case 'run':
      return Array.isArray(row.did) && row.did.every(isDid) && (row.took === undefined || isTook(row.took))
    case 'dose':
      return isText(row.container) && isText(row.product) && isNumber(row.amount)
    case 'odd':
      return (
        isText(row.from) &&
        isWallTime(row.from) &&
        row.from <= (row.at as string) &&
        isOneOf(ODD_REASONS, row.why)
      )
    case 'shakedown':
      return isOneOf(SHAKEDOWN_STEPS, row.did)
    case 'start':
    case 'end':
      return true
    default:
      return isOneOf(TEXT_KINDS, kind)
  }
}

function isSaw(saw: unknown): boolean {
  if (!isFields(saw)) return false
  if (saw.as === 'panel')
    return (
      Array.isArray(saw.edges) && saw.edges.every(isNumber) && isNumber(saw.step) && saw.step in saw.edges
    )
  if (saw.as === 'amount') return isNumber(saw.amount) && isNumber(saw.deviation)
  return saw.as === 'weight' ? isNumber(saw.kg) : isOneOf(['light', 'full', 'dry'], saw.as)
}

const isDid = (one: unknown) =>
  isFields(one) && isText(one.container) && isOneOf(RUN_WHATS, one.what) && isNumberOrNull(one.litres)

const isRinse = (one: unknown) =>
  isFields(one) && isText(one.container) && isNumber(one.rounds) && isNumber(one.owed)
const isDrain = (one: unknown) => isFields(one) && isText(one.container) && isNumber(one.minutes)

function isTook(took: unknown): boolean {
  if (!isFields(took)) return false
  const { rinses, drains = [] } = took
  return Array.isArray(rinses) && rinses.every(isRinse) && Array.isArray(drains) && drains.every(isDrain)
}

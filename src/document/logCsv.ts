import Papa from 'papaparse'
import type { LogEntry } from '@/core/log'
import { entryFaults } from './checks/logChecks'
import { LIMITS } from './schema/limits'
import { logEntrySchema } from './schema/logEntry'

/**
 * The columns of a log as CSV, in this order; `docs/format.md` says what each holds. What a kind of entry does not have is
 * empty. `details` holds, as JSON, what has no column of its own (`saw`, `did`).
 */
export const LOG_COLUMNS = [
  'id', 'revision', 'removed', 'rig', 'stay', 'at', 'utc', 'kind', 'activity', 'n', 'person', 'litres',
  'minutes', 'container', 'from', 'why', 'did', 'valvesShut', 'offLevel', 'details', 'note',
] as const // prettier-ignore
type Column = (typeof LOG_COLUMNS)[number]
/** Those without which a line is no entry. */
const NEEDED: readonly Column[] = ['id', 'rig', 'at', 'utc', 'kind']

/** What a spreadsheet would take for a formula is led by an apostrophe; what begins with one already gets another. */
const FORMULA = /^['=+\-@\t\r]/

/** The text of a CSV file: comma, quotes, CRLF (RFC 4180), UTF-8. */
export function logToCsv(log: readonly LogEntry[]): string {
  const lines = log.map((entry) => LOG_COLUMNS.map((column) => escaped(textOf(entry, column))))
  return `${Papa.unparse({ fields: [...LOG_COLUMNS], data: lines }, { newline: '\r\n' })}\r\n`
}

const escaped = (text: string) => (FORMULA.test(text) ? `'${text}` : text)
const plain = (text: string) => (/^'['=+\-@\t\r]/.test(text) ? text.slice(1) : text)

function textOf(entry: LogEntry, column: Column): string {
  const fields = entry as unknown as Record<string, unknown>
  const value = column === 'details' ? detailsOf(entry) : fields[FIELD[column] ?? column]
  // The steps of a run are details; those of a shakedown are a word.
  if (typeof value === 'string') return value
  return typeof value === 'number' || typeof value === 'boolean' ? String(value) : ''
}

const FIELD: Partial<Record<Column, string>> = { removed: 'isRemoved', offLevel: 'isOffLevel' }

function detailsOf(entry: LogEntry): string | null {
  if (entry.kind === 'reading') return JSON.stringify(entry.saw)
  if (entry.kind === 'dose') return JSON.stringify({ product: entry.product, amount: entry.amount })
  if (entry.kind === 'chore' && entry.chore !== undefined) return JSON.stringify({ chore: entry.chore })
  if (entry.kind === 'use' && entry.isExtra === true) return JSON.stringify({ isExtra: true })
  if (entry.kind !== 'run') return null
  const { did, place, took } = entry
  return JSON.stringify({ did, place, took })
}

export interface CsvFault {
  /** As a spreadsheet counts them: the header is 1. */
  line: number
  column: string
  found: string
}

export type CsvRead =
  | { ok: true; log: LogEntry[]; unknown: string[] }
  | { ok: false; missing: string[]; faults: CsvFault[] }

const FAULTS_KEPT = 50

/** What spreadsheets put between cells, by their language. */
const BETWEEN = [',', ';', '\t'] as const

/** The one that parts the most names in the first line. */
function delimiterOf(text: string): string {
  const [header = ''] = text.split(/\r?\n/, 1)
  const parts = (mark: string) => header.split(mark).length
  return BETWEEN.reduce((best, mark) => (parts(mark) > parts(best) ? mark : best))
}

/**
 * Reads a log from CSV: every line, or none and what is wrong. Columns that are not ours are named and left aside. As spreadsheets write
 * it too: semicolons or tabs, TRUE and FALSE, decimal commas, a byte-order mark.
 */
export function logFromCsv(text: string): CsvRead {
  const body = text.replace(/^\uFEFF/, '')
  const { data, meta } = Papa.parse<Record<string, string>>(body, {
    delimiter: delimiterOf(body),
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) => name.trim(),
  })
  const columns = meta.fields ?? []
  const missing = NEEDED.filter((column) => !columns.includes(column))
  if (missing.length > 0) return { ok: false, missing, faults: [] }
  if (data.length > LIMITS.logEntries)
    return {
      ok: false,
      missing: [],
      faults: [{ line: LIMITS.logEntries + 2, column: '', found: String(data.length) }],
    }
  const faults: CsvFault[] = []
  const log: LogEntry[] = []
  const seen = new Set<string>()
  data.forEach((row, i) => {
    const line = i + 2
    const cell = (column: Column) =>
      plain(column === 'note' ? (row[column] ?? '') : (row[column] ?? '').trim())
    const entry = logEntrySchema.safeParse(entryOf(cell))
    if (!entry.success) {
      if (faults.length < FAULTS_KEPT) faults.push(faultOf(entry.error.issues[0]?.path ?? [], cell, line))
    } else if (entryFaults(entry.data).length > 0) {
      const [fault] = entryFaults(entry.data)
      if (faults.length < FAULTS_KEPT) faults.push(faultOf(fault!.path, cell, line))
    } else if (seen.has(entry.data.id)) faults.push({ line, column: 'id', found: entry.data.id })
    else {
      seen.add(entry.data.id)
      log.push(entry.data)
    }
  })
  if (faults.length > 0) return { ok: false, missing: [], faults }
  return {
    ok: true,
    log,
    unknown: columns.filter((name) => !(LOG_COLUMNS as readonly string[]).includes(name)),
  }
}

type Cell = (column: Column) => string

function faultOf(path: readonly PropertyKey[], cell: Cell, line: number): CsvFault {
  const field = String(path[0] ?? 'kind')
  const column = LOG_COLUMNS.find((name) => (FIELD[name] ?? name) === field) ?? 'details'
  return { line, column, found: cell(column).slice(0, 60) }
}

const orNull = (text: string) => (text === '' ? null : text)
const numberOr = (text: string) => (text === '' ? null : numberOf(text))
/** With a decimal comma, where there is nothing that it could part but a number. */
const numberOf = (text: string) => Number(/^-?\d+,\d+$/.test(text) ? text.replace(',', '.') : text)
/** Neither of the two is a fault of its cell: what was removed must not come back because of how it was written. */
function booleanOf(text: string): boolean | string {
  const said = text.toLowerCase()
  return said === 'true' ? true : said === 'false' || said === '' ? false : text
}

function entryOf(cell: Cell): unknown {
  const head = {
    id: cell('id'),
    revision: cell('revision') === '' ? 1 : numberOf(cell('revision')),
    isRemoved: booleanOf(cell('removed')),
    rig: cell('rig'),
    stay: orNull(cell('stay')),
    at: cell('at'),
    utc: cell('utc'),
    note: cell('note'),
    kind: cell('kind'),
  }
  return { ...head, ...ofKind(cell) }
}

function ofKind(cell: Cell): object {
  const details = () => {
    try {
      return JSON.parse(cell('details')) as unknown
    } catch {
      return null
    }
  }
  switch (cell('kind')) {
    case 'start':
      return { valvesShut: booleanOf(cell('valvesShut')) }
    case 'use':
      return {
        activity: cell('activity'),
        n: numberOr(cell('n')),
        person: orNull(cell('person')),
        litres: numberOr(cell('litres')),
        minutes: numberOr(cell('minutes')),
        ...((cell('details') === '' ? null : (details() as object | null)) ?? {}),
      }
    case 'reading':
      return { container: cell('container'), saw: details(), isOffLevel: booleanOf(cell('offLevel')) }
    case 'run':
      return (details() as object | null) ?? { did: null }
    case 'dose':
      return { container: cell('container'), ...((details() as object | null) ?? {}) }
    case 'odd':
      return { from: cell('from'), container: orNull(cell('container')), why: cell('why') }
    case 'shakedown':
      return { did: cell('did') }
    case 'end':
      return {}
    default:
      return { container: orNull(cell('container')), ...((details() as object | null) ?? {}) }
  }
}

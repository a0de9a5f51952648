import type { LogEntry } from '@/core/log'
import type { Document } from '@/core/domain'
import { DOCUMENT_FORMAT } from '@/core/domain'
import { documentChecks, editChecks } from './checks/documentChecks'
import { show, type DocumentFault } from './faults'
import { migrate } from './migrations/chain'
import { CURRENT_VERSION } from './schema/currentVersion'
import { LIMITS } from './schema/limits'
import { logEntrySchema } from './schema/logEntry'
import { oldSchema } from './schema/oldVersions'
import {
  crewSchema,
  documentSchema,
  fileSchema,
  habitSchema,
  rigSchema,
  staySchema,
} from './schema/version11'
import { entryFaults, logChecks } from './checks/logChecks'
import { shapeFaults } from './shapeFaults'

export type Result<T, E> = { ok: true; value: T } | { ok: false; faults: E }

/** Some editors put it before everything else. */
const BYTE_ORDER_MARK = /^\uFEFF/
/** The beginning of one of our files that is not followed by its end. */
const CUT_SHORT = /^\s*\{(?=[\s\S]*"format"\s*:\s*"dry-count\/)/

/** What a file holds: the document and the log that is kept beside it. */
export type Opened =
  /** `leftOut`: what is wrong with entries of the log that were left out; not there where none were. */
  | { ok: true; value: Document; log: LogEntry[]; leftOut?: DocumentFault[] }
  | { ok: false; faults: DocumentFault[] }

/** Reads the text of a file. Never half-reads: a document with its log, or every fault found. */
export async function readDocument(text: string): Promise<Opened> {
  const bytes = new TextEncoder().encode(text).length
  if (bytes > LIMITS.fileBytes) return refuse('too-large', `${Math.ceil(bytes / 1024 / 1024)} MB`, '50 MB')
  const plain = text.replace(BYTE_ORDER_MARK, '')
  let input: unknown
  try {
    input = JSON.parse(plain)
  } catch {
    return CUT_SHORT.test(plain)
      ? refuse('cut-short', show(plain.slice(-40)), 'JSON')
      : refuse('not-json', show(plain.slice(0, 40)), 'JSON')
  }
  return openDocument(input)
}

/**
 * Checks and, where it is older, migrates a copy: it is held against its own version before, and against the current one
 * after. Never changes its input.
 */
export async function openDocument(input: unknown): Promise<Opened> {
  if (typeof input !== 'object' || input === null || Array.isArray(input))
    return refuse('foreign', show(input), DOCUMENT_FORMAT)
  const { format, version } = input as { format?: unknown; version?: unknown }
  if (format !== DOCUMENT_FORMAT) return refuse('foreign', show(format), DOCUMENT_FORMAT, ['format'])
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return refuse('unknown-version', show(version), `1 to ${CURRENT_VERSION}`, ['version'])
  if (version > CURRENT_VERSION) return refuse('too-new', show(version), String(CURRENT_VERSION), ['version'])
  if (version === CURRENT_VERSION) return checkedFile(input)
  const old = parsedBy(await oldSchema(version), input)
  if (!old.ok) return old
  const opened = checkedFile(migrate(old.input, version, CURRENT_VERSION))
  const leftOut = [...old.leftOut, ...asWritten((opened.ok && opened.leftOut) || [], old.leftOut)]
  return opened.ok && leftOut.length > 0 ? { ...opened, leftOut } : opened
}

/** Faults of a file of the current version, shape first. Entries of the log that are no good are left out by themselves. */
export function checkedFile(input: unknown): Opened {
  const parsed = parsedBy(fileSchema, input)
  if (!parsed.ok) return parsed
  const { log, ...document } = parsed.data
  const faults = documentChecks(document)
  if (faults.length > 0) return { ok: false, faults }
  const odd = logChecks(log)
  const gone = new Set(odd.map(({ path }) => path[1]))
  const leftOut = [...parsed.leftOut, ...asWritten(odd, parsed.leftOut)]
  const kept = gone.size > 0 ? log.filter((_, i) => !gone.has(i)) : log
  return { ok: true, value: document, log: kept, ...(leftOut.length > 0 ? { leftOut } : {}) }
}

interface Schema<T> {
  safeParse: (
    input: unknown,
  ) => { success: true; data: T } | { success: false; error: { issues: Parameters<typeof shapeFaults>[0] } }
}
type Parsed<T> =
  | { ok: true; data: T; input: object; leftOut: DocumentFault[] }
  | { ok: false; faults: DocumentFault[] }

/** Where all that is wrong lies in single entries of the log, it is read without them. */
function parsedBy<T>(schema: Schema<T>, input: unknown): Parsed<T> {
  const whole = schema.safeParse(input)
  if (whole.success) return { ok: true, data: whole.data, input: input as object, leftOut: [] }
  const faults = shapeFaults(whole.error.issues, input)
  const isOfEntry = ({ path: [list, i] }: DocumentFault) => list === 'log' && typeof i === 'number'
  if (!faults.every(isOfEntry)) return { ok: false, faults }
  const kept = withoutEntries(input, faults)
  const rest = schema.safeParse(kept)
  return rest.success
    ? { ok: true, data: rest.data, input: kept, leftOut: faults }
    : { ok: false, faults: shapeFaults(rest.error.issues, kept) }
}

/** Faults of entries that were counted without those left out before: as they are counted in the file. */
function asWritten(faults: readonly DocumentFault[], before: readonly DocumentFault[]): DocumentFault[] {
  const gone = [...new Set(before.map(({ path }) => Number(path[1])))].sort((a, b) => a - b)
  return faults.map((fault) => {
    const [list, i, ...rest] = fault.path
    const at = gone.reduce((now, one) => (one <= now ? now + 1 : now), Number(i))
    return { ...fault, path: [list!, at, ...rest] }
  })
}

function withoutEntries(input: unknown, faults: readonly DocumentFault[]): object {
  const gone = new Set(faults.map(({ path }) => path[1]))
  const { log, ...rest } = input as { log: unknown[] }
  return { ...rest, log: log.filter((_, i) => !gone.has(i)) }
}

/** Faults of single entries, before they are written or taken in. @param input anything */
export function checkedEntry(input: unknown): Result<LogEntry, DocumentFault[]> {
  const parsed = logEntrySchema.safeParse(input)
  if (!parsed.success) return { ok: false, faults: shapeFaults(parsed.error.issues, input) }
  const faults = entryFaults(parsed.data)
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: parsed.data }
}

/** Faults of a document of the current version without its log, shape first. */
export function checked(input: unknown): Result<Document, DocumentFault[]> {
  const parsed = documentSchema.safeParse(input)
  if (!parsed.success) return { ok: false, faults: shapeFaults(parsed.error.issues, input) }
  const document: Document = parsed.data
  const faults = documentChecks(document)
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: document }
}

const ENTITY_SCHEMAS = { rigs: rigSchema, crews: crewSchema, habits: habitSchema, stays: staySchema }

/**
 * The same for an edit of a good document: only entities that are new objects, and what refers to them, are looked at, so
 * that an edit costs the same however much else the document holds.
 * @param base a document that was checked; entities shared with it are taken as good
 */
export function checkedEdit(base: Document, next: Document): Result<Document, DocumentFault[]> {
  const shape = (Object.keys(ENTITY_SCHEMAS) as (keyof typeof ENTITY_SCHEMAS)[]).flatMap((list) => {
    if (next[list] === base[list]) return []
    const known = new Set<object>()
    const isNew = (entity: object, i: number) => {
      if (entity === base[list][i]) return false
      if (known.size === 0) for (const one of base[list]) known.add(one)
      return !known.has(entity)
    }
    const changed: DocumentFault[] = []
    next[list].forEach((entity, i) => {
      const parsed = isNew(entity, i) ? ENTITY_SCHEMAS[list].safeParse(entity) : null
      if (!parsed || parsed.success) return
      for (const fault of shapeFaults(parsed.error.issues, entity))
        changed.push({ ...fault, path: [list, i, ...fault.path] })
    })
    const tooMany = next[list].length > LIMITS.entries
    return tooMany ? [tooManyFault(list, next[list].length), ...changed] : changed
  })
  if (shape.length > 0) return { ok: false, faults: shape }
  const faults = editChecks(base, next)
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: next }
}

function tooManyFault(list: string, length: number): DocumentFault {
  return { code: 'too-many', path: [list], found: `a list of ${length}`, expected: String(LIMITS.entries) }
}

function refuse(
  code: DocumentFault['code'],
  found: string,
  expected: string,
  path: DocumentFault['path'] = [],
): { ok: false; faults: DocumentFault[] } {
  return { ok: false, faults: [{ code, path, found, expected }] }
}

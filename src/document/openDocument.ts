import type { Document } from '@/core/model'
import { DOCUMENT_FORMAT } from '@/core/model'
import { documentChecks } from './checks/documentChecks'
import { show, type DocumentFault } from './faults'
import { CURRENT_VERSION, migrate } from './migrations/chain'
import { LIMITS } from './schema/limits'
import { documentSchemaV1 } from './schema/version1'
import { shapeFaults } from './shapeFaults'

export type Result<T, E> = { ok: true; value: T } | { ok: false; faults: E }

/** Reads the text of a file. Never half-reads: a document or every fault found. */
export function readDocument(text: string): Result<Document, DocumentFault[]> {
  const bytes = new TextEncoder().encode(text).length
  if (bytes > LIMITS.fileBytes) return refuse('too-large', `${Math.ceil(bytes / 1024 / 1024)} MB`, '50 MB')
  let input: unknown
  try {
    input = JSON.parse(text)
  } catch {
    return refuse('not-json', show(text.slice(0, 40)), 'JSON')
  }
  return openDocument(input)
}

/** Checks and, where it is older, migrates a copy. Never changes its input. */
export function openDocument(input: unknown): Result<Document, DocumentFault[]> {
  if (typeof input !== 'object' || input === null || Array.isArray(input))
    return refuse('foreign', show(input), DOCUMENT_FORMAT)
  const { format, version } = input as { format?: unknown; version?: unknown }
  if (format !== DOCUMENT_FORMAT) return refuse('foreign', show(format), DOCUMENT_FORMAT, ['format'])
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return refuse('unknown-version', show(version), `1 to ${CURRENT_VERSION}`, ['version'])
  if (version > CURRENT_VERSION) return refuse('too-new', show(version), String(CURRENT_VERSION), ['version'])
  return checked(migrate(input, version, CURRENT_VERSION))
}

/** Faults of a document of the current version, shape first. */
export function checked(input: unknown): Result<Document, DocumentFault[]> {
  const parsed = documentSchemaV1.safeParse(input)
  if (!parsed.success) return { ok: false, faults: shapeFaults(parsed.error.issues, input) }
  const document: Document = parsed.data
  const faults = documentChecks(document)
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: document }
}

function refuse(
  code: DocumentFault['code'],
  found: string,
  expected: string,
  path: DocumentFault['path'] = [],
): { ok: false; faults: DocumentFault[] } {
  return { ok: false, faults: [{ code, path, found, expected }] }
}

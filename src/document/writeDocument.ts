import type { LogEntry } from '@/core/log'
import type { Document } from '@/core/domain'

/** The text of a file, two spaces deep so that people can read and compare it; ends with a line end. */
export function writeDocument(document: Document, log: readonly LogEntry[] = []): string {
  return `${JSON.stringify({ ...document, log }, null, 2)}\n`
}

/** A file name from the stay's name: `harrow-ridge.drycount.json`. */
export function fileName(name: string): string {
  const plain = name
    .normalize('NFKD')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '')
    .toLowerCase()
  return `${plain === '' ? 'dry-count' : plain.slice(0, 60)}.drycount.json`
}

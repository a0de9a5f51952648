import type { DocumentFault } from '@/document'

/**
 * What can go wrong between the application and the disk. full: no room. blocked: the browser lets nothing be kept here.
 * newer: a newer application has written it. damaged: rows that are no valid document. upgrade: rows of an older
 * application that could not be brought to this one's; they stand as they were. deleted: the database went while it was
 * open. failed: anything else.
 */
export const STORAGE_FAULTS = ['full', 'blocked', 'newer', 'damaged', 'upgrade', 'deleted', 'failed'] as const
export type StorageFaultKind = (typeof STORAGE_FAULTS)[number]

export class StorageFault extends Error {
  constructor(
    readonly kind: StorageFaultKind,
    readonly faults: readonly DocumentFault[] = [],
    options?: ErrorOptions,
  ) {
    super(kind, options)
  }
}

/** Names of errors, Dexie's and the browser's, by what they mean. */
const KINDS: Record<string, StorageFaultKind> = {
  QuotaExceededError: 'full',
  VersionError: 'newer',
  UpgradeError: 'upgrade',
  MissingAPIError: 'blocked',
  SecurityError: 'blocked',
  OpenFailedError: 'blocked',
  InvalidAccessError: 'blocked',
}

/** Any error of a store as a fault; the innermost cause says most. */
export function storageFault(error: unknown): StorageFault {
  const causes: { name?: string }[] = []
  for (let cause = error; cause instanceof Object && causes.length < 6;) {
    causes.unshift(cause)
    const { inner, cause: deeper } = cause as { inner?: unknown; cause?: unknown }
    cause = inner ?? deeper
  }
  const own = causes.find((cause) => cause instanceof StorageFault)
  if (own) return own
  const kind = causes.map(({ name = '' }) => KINDS[name]).find((known) => known !== undefined)
  return new StorageFault(kind ?? 'failed', [], { cause: error })
}

import { useStorage, type RemovableRef } from '@vueuse/core'
import { report } from './report'
import { safeStorage } from './safeStorage'

/** A value that this browser keeps beside the document: a preference, or an answer of before. */
export interface Kept<T> {
  key: string
  /** Of its shape; what was kept in another is left aside. */
  version: number
  /** Where nothing is kept, or nothing that is whole. */
  first: T
  /** Asked of whatever is read, before it is used. */
  isWhole: (value: unknown) => boolean
}

/** A kept value that is read and written when it is asked for. */
export function keptValue<T>(kept: Kept<T>, storage: Storage = safeStorage()) {
  const text = serializerOf(kept)
  return {
    read(): T {
      const found = storage.getItem(kept.key)
      return found === null ? kept.first : text.read(found)
    },
    write: (value: T): void => storage.setItem(kept.key, text.write(value)),
    forget: (): void => storage.removeItem(kept.key),
  }
}

/** The same as a ref: what another tab writes is seen here. */
export function keptRef<T extends string | number | boolean | object>(kept: Kept<T>): RemovableRef<T> {
  const { key, first } = kept
  return useStorage<T>(key, first, safeStorage(), {
    mergeDefaults: true,
    serializer: serializerOf(kept),
    onError: (error) => report(`kept ${key}`, error),
  })
}

function serializerOf<T>({ key, version, first, isWhole }: Kept<T>) {
  return {
    read(text: string): T {
      const { of, value } = parsed(text)
      if (of === version && isWhole(value)) return value as T
      // One of another version is expected after an update; what is broken is not.
      if (of === version) report(`kept ${key}`, new Error('it is not whole'))
      return first
    },
    write: (value: T) => JSON.stringify({ version, value }),
  }
}

/** What was kept before there were versions stands by itself, and is of the first. */
function parsed(text: string): { of: number; value: unknown } {
  let value: unknown = text
  try {
    value = JSON.parse(text)
  } catch {
    // A word without quotes, as they were kept.
  }
  const known = value as { version?: unknown; value?: unknown } | null
  const isVersioned = typeof known === 'object' && known !== null && 'version' in known && 'value' in known
  return isVersioned ? { of: Number(known.version), value: known.value } : { of: 1, value }
}

export const isText = (value: unknown): value is string => typeof value === 'string'
export const isNumber = (value: unknown): value is number =>
  typeof value === 'number' && Number.isFinite(value)
export const isFlag = (value: unknown): value is boolean => typeof value === 'boolean'
export const isListOf =
  (isIt: (value: unknown) => boolean) =>
  (value: unknown): boolean =>
    Array.isArray(value) && value.every(isIt)
export const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** The newest version this application writes. */
export const CURRENT_VERSION = 1

/** `chain[n]` turns a document of version n into version n + 1, on a copy. Contiguous from 1; tested. */
export const chain: Record<number, (document: unknown) => unknown> = {}

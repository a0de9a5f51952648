import { z } from './zod'

/**
 * Schemas of the versions before the current one, read from the JSON Schema that was shipped with each: data, not code.
 * Fetched only when an old file is opened.
 */
const OLD: Record<number, () => Promise<{ default: unknown }>> = {
  1: () => import('../../../docs/schema/document-1.schema.json'),
  2: () => import('../../../docs/schema/document-2.schema.json'),
  3: () => import('../../../docs/schema/document-3.schema.json'),
  4: () => import('../../../docs/schema/document-4.schema.json'),
  5: () => import('../../../docs/schema/document-5.schema.json'),
  6: () => import('../../../docs/schema/document-6.schema.json'),
  7: () => import('../../../docs/schema/document-7.schema.json'),
  8: () => import('../../../docs/schema/document-8.schema.json'),
  9: () => import('../../../docs/schema/document-9.schema.json'),
  10: () => import('../../../docs/schema/document-10.schema.json'),
}

type Schema = Pick<z.ZodType, 'safeParse'>
const built = new Map<number, Schema>()

/** @param version one before the current */
export async function oldSchema(version: number): Promise<Schema> {
  const known = built.get(version)
  if (known) return known
  const { default: json } = await OLD[version]!()
  const schema = z.fromJSONSchema(withRanges(json) as Parameters<typeof z.fromJSONSchema>[0])
  built.set(version, schema)
  return schema
}

/** Patterns are compiled without the u flag there: the class of control characters is written out. */
function withRanges(json: unknown): unknown {
  return JSON.parse(JSON.stringify(json).replaceAll('\\\\p{Cc}', '\\\\u0000-\\\\u001f\\\\u007f-\\\\u009f'))
}

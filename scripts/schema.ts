import { mkdirSync, writeFileSync } from 'node:fs'
import { documentSchemaV3 } from '@/document/schema/version3'
import { z } from '@/document/schema/zod'

// npm run schema: the JSON Schema of the current document version, for other programs.
mkdirSync('docs/schema', { recursive: true })
const schema = z.toJSONSchema(documentSchemaV3, { unrepresentable: 'any' })
writeFileSync('docs/schema/document-3.schema.json', `${JSON.stringify(schema, null, 2)}\n`)

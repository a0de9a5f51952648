import { mkdirSync, writeFileSync } from 'node:fs'
import { documentSchemaV2 } from '@/document/schema/version2'
import { z } from '@/document/schema/zod'

// npm run schema: the JSON Schema of the current document version, for other programs.
mkdirSync('docs/schema', { recursive: true })
const schema = z.toJSONSchema(documentSchemaV2, { unrepresentable: 'any' })
writeFileSync('docs/schema/document-2.schema.json', `${JSON.stringify(schema, null, 2)}\n`)

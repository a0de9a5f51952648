import { mkdirSync, writeFileSync } from 'node:fs'
import { documentSchema } from '@/document/schema/version4'
import { z } from '@/document/schema/zod'

// npm run schema: the JSON Schema of the current document version, for other programs.
mkdirSync('docs/schema', { recursive: true })
const schema = z.toJSONSchema(documentSchema, { unrepresentable: 'any' })
writeFileSync('docs/schema/document-4.schema.json', `${JSON.stringify(schema, null, 2)}\n`)

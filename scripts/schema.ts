import { mkdirSync, writeFileSync } from 'node:fs'
import { fileSchema } from '@/document/schema/version11'
import { z } from '@/document/schema/zod'

// npm run schema: the JSON Schema of the current document version, for other programs.
mkdirSync('docs/schema', { recursive: true })
const schema = z.toJSONSchema(fileSchema, { unrepresentable: 'any' })
writeFileSync('docs/schema/document-11.schema.json', `${JSON.stringify(schema, null, 2)}\n`)

import { createHash } from 'node:crypto'
import { readFileSync, readdirSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { CURRENT_VERSION, chain, migrate, openDocument, readDocument } from '../index'
import { FROZEN } from './frozen'

const sha = (text: string) => createHash('sha256').update(text).digest('hex').slice(0, 16)

describe('the chain of versions', () => {
  it('is contiguous from 1 to the version before the current one', () => {
    const versions = Array.from({ length: CURRENT_VERSION - 1 }, (_, i) => String(i + 1))
    expect(Object.keys(chain)).toEqual(versions)
  })

  it('keeps every shipped version frozen: a changed schema or fixture needs a new version with a migration', () => {
    expect(FROZEN.map(({ version }) => version)).toEqual(
      Array.from({ length: CURRENT_VERSION }, (_, i) => i + 1),
    )
    for (const { version, schema, fixture } of FROZEN) {
      expect(sha(readFileSync(`docs/schema/document-${version}.schema.json`, 'utf8'))).toBe(schema)
      expect(sha(readFileSync(`src/document/fixtures/version-${version}.drycount.json`, 'utf8'))).toBe(
        fixture,
      )
    }
  })

  it('opens a document of every version as the current one', async () => {
    const files = readdirSync('src/document/fixtures')
    expect(files.length).toBe(CURRENT_VERSION)
    for (const file of files) {
      const opened = await readDocument(readFileSync(`src/document/fixtures/${file}`, 'utf8'))
      expect(opened).toMatchObject({ ok: true, value: { version: CURRENT_VERSION } })
    }
  })

  it('migrates a copy, step by step, and throws rather than skip one', async () => {
    const steps = {
      1: (document: unknown) => Object.assign(document as object, { version: 2, a: 1 }),
      2: (document: unknown) =>
        Object.assign(document as object, { version: 3, b: (document as { a: number }).a + 1 }),
    }
    const original = Object.freeze({ version: 1 })
    expect(migrate(original, 1, 3, steps)).toEqual({ version: 3, a: 1, b: 2 })
    expect(original).toEqual({ version: 1 })
    expect(migrate(original, 3, 3, steps)).toBe(original)
    expect(() => migrate(original, 1, 4, steps)).toThrow('no migration from version 3')
    expect(await openDocument({ format: 'dry-count/document', version: CURRENT_VERSION + 1 })).toMatchObject({
      ok: false,
      faults: [{ code: 'too-new' }],
    })
  })
})

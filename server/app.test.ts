import { mkdtempSync, mkdirSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gunzipSync, gzipSync } from 'node:zlib'
import { describe, expect, it } from 'vitest'
import { createServer } from './app'

function build(): string {
  const root = mkdtempSync(join(tmpdir(), 'dry-count-'))
  mkdirSync(join(root, 'assets'))
  writeFileSync(join(root, 'index.html'), '<!doctype html><html lang="en"><title>Dry Count</title></html>')
  writeFileSync(join(root, 'assets/a-123.js'), 'console.log("hi")')
  writeFileSync(join(root, 'assets/a-123.js.gz'), gzipSync('console.log("hi")'))
  return root
}

describe('the server', () => {
  it('serves the page with the policy, asked for every time, marked for the demo only when it is one', async () => {
    const root = build()
    const [demo, mine] = [await createServer({ root, demo: true }), await createServer({ root, demo: false })]
    const page = await demo.inject('/')
    expect(page.headers['content-security-policy']).toContain("script-src 'self' 'wasm-unsafe-eval';")
    expect(page.headers['x-content-type-options']).toBe('nosniff')
    expect(page.headers['cache-control']).toBe('no-cache')
    expect(page.body).toContain('data-start="demo"')
    expect((await mine.inject('/')).body).not.toContain('data-start')
    expect((await mine.inject('/api/health')).json()).toEqual({ status: 'ok', demo: false })
  })

  it('serves hashed files compressed and for good, screens by hash, and nothing else', async () => {
    const app = await createServer({ root: build(), demo: false })
    const script = await app.inject({ url: '/assets/a-123.js', headers: { 'accept-encoding': 'gzip' } })
    expect(script.headers['content-encoding']).toBe('gzip')
    expect(gunzipSync(script.rawPayload).toString()).toContain('hi')
    expect(script.headers['cache-control']).toContain('immutable')
    expect((await app.inject('/stay')).headers.location).toBe('/#/stay')
    for (const url of ['/nowhere', '/../package.json', '/%2e%2e/package.json', '/assets/'])
      expect([403, 404]).toContain((await app.inject(url)).statusCode)
  })
})

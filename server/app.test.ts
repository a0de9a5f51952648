import { mkdtempSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { connect, type AddressInfo } from 'node:net'
import { gunzipSync, gzipSync } from 'node:zlib'
import { describe, expect, it } from 'vitest'
import { createServer } from './app'
import { startOptions } from './options'

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
    expect((await app.inject('/cards/dump/outlet?place=a')).headers.location).toBe(
      '/#/cards/dump/outlet?place=a',
    )
    // Every screen of the application has an address.
    const router = readFileSync('src/app/router.ts', 'utf8')
    const screens = [...router.matchAll(/path: '\/([a-z-]+)/g)].map(([, screen]) => screen!)
    expect(screens.length).toBeGreaterThan(15)
    for (const screen of new Set(screens))
      expect((await app.inject(`/${screen}`)).headers.location).toBe(`/#/${screen}`)
    for (const url of ['/nowhere', '/../package.json', '/%2e%2e/package.json', '/assets/'])
      expect([403, 404]).toContain((await app.inject(url)).statusCode)
  })

  it('error answers carry the same headers, whatever is asked', async () => {
    const app = await createServer({ root: build(), demo: false })
    const policy = (await app.inject('/')).headers['content-security-policy']
    for (const url of ['/nowhere', '/%zz', '/%2e%2e/package.json', `/${'a'.repeat(9000)}`]) {
      const answer = await app.inject(url)
      expect(answer.statusCode).toBeGreaterThanOrEqual(400)
      expect([url.slice(0, 20), answer.headers['content-security-policy']]).toEqual([
        url.slice(0, 20),
        policy,
      ])
      expect(answer.headers['content-type']).toContain('text/plain')
    }
    await app.listen({ port: 0, host: '127.0.0.1' })
    const { port } = app.server.address() as AddressInfo
    const raw = await new Promise<string>((resolve) => {
      const socket = connect(port, '127.0.0.1', () => socket.write('this is no HTTP\r\n\r\n'))
      socket.on('data', (data) => resolve(String(data)))
    })
    expect(raw).toContain(`content-security-policy: ${policy as string}`)
    await app.close()
  })

  it('is started with a port, or an empty one that is none, and says in a line what it does not know', () => {
    expect(startOptions([], { PORT: '' })).toEqual({ port: 4870, host: '127.0.0.1', demo: false, lan: false })
    expect(startOptions(['--demo', '--port', '5000'], { PORT: '6000' })).toMatchObject({
      port: 5000,
      demo: true,
    })
    expect(startOptions([], { PORT: '6000' })).toMatchObject({ port: 6000 })
    for (const port of ['x', '-1', '70000', '1.5', '1e3'])
      expect(startOptions([], { PORT: port })).toEqual({
        words: expect.stringContaining(`${port} is not a port`) as string,
      })
    expect(startOptions(['--lan-party'], {})).toEqual({
      words: expect.stringMatching(/^Unknown option.*--lan-party/) as string,
    })
  })
})

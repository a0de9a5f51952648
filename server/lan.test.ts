import { mkdtempSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { X509Certificate } from 'node:crypto'
import { get } from 'node:https'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, it } from 'vitest'
import { generate } from 'selfsigned'
import { createServer } from './app'
import { credentialsFor, lanWords, ownAddresses } from './lan'
import { startOptions } from './options'

const DAY_MS = 86_400_000
const folder = () => mkdtempSync(join(tmpdir(), 'dry-count-lan-'))

it('names its own addresses, and opens to them only when asked', () => {
  const face = { netmask: '', mac: '', cidr: null, internal: false } as const
  const interfaces = {
    lo: [{ ...face, address: '127.0.0.1', family: 'IPv4' as const, internal: true }],
    wlan: [
      { ...face, address: '192.0.2.7', family: 'IPv4' as const },
      { ...face, address: 'fe80::1', family: 'IPv6' as const, scopeid: 0 },
    ],
  }
  expect(ownAddresses(interfaces as never)).toEqual(['192.0.2.7'])
  expect(startOptions(['--lan'], {})).toMatchObject({ lan: true, host: '0.0.0.0' })
  expect(startOptions([], {})).toMatchObject({ lan: false, host: '127.0.0.1' })
  expect(lanWords('https://192.0.2.7:4870/', 'CODE')).toMatch(/^CODE\n.*https:\/\/192\.0\.2\.7:4870\//)
})

it('makes a certificate for its addresses once, keeps it to itself, and makes another before it runs out', async () => {
  const file = join(folder(), 'kept', 'certificate.json')
  const now = Date.UTC(2027, 8, 1)
  const first = await credentialsFor(['192.0.2.7'], file, now)
  const read = new X509Certificate(first.cert)
  expect(read.checkIP('192.0.2.7')).toBe('192.0.2.7')
  expect(read.checkIP('192.0.2.8')).toBeUndefined()
  // It vouches for this server and for nothing else.
  expect(read.ca).toBe(false)
  // Phones refuse what is valid for more than 398 days.
  expect(Date.parse(read.validTo) - Date.parse(read.validFrom)).toBeLessThan(398 * DAY_MS)
  expect(statSync(file).mode & 0o077).toBe(0)
  expect((await credentialsFor(['192.0.2.7'], file, now + 300 * DAY_MS)).cert).toBe(first.cert)
  expect((await credentialsFor(['192.0.2.7'], file, now + 380 * DAY_MS)).cert).not.toBe(first.cert)
  const other = await credentialsFor(['192.0.2.9'], file, now)
  expect(new X509Certificate(other.cert).checkIP('192.0.2.9')).toBe('192.0.2.9')
  // One of before, an authority that could vouch for anything, is not kept.
  const authority = await generate([{ name: 'commonName', value: 'Dry Count' }], {
    keyType: 'ec',
    extensions: [{ name: 'basicConstraints', cA: true, critical: true }],
  })
  const until = now + 390 * DAY_MS
  writeFileSync(
    file,
    JSON.stringify({ key: authority.private, cert: authority.cert, addresses: ['192.0.2.9'], until }),
  )
  expect(new X509Certificate((await credentialsFor(['192.0.2.9'], file, now)).cert).ca).toBe(false)
  writeFileSync(file, '{ torn')
  expect((await credentialsFor(['192.0.2.9'], file, now)).cert).toContain('BEGIN CERTIFICATE')
})

it('serves over HTTPS what it serves without, to whom trusts the certificate', async () => {
  const root = folder()
  writeFileSync(join(root, 'index.html'), '<!doctype html><html lang="en"><title>Dry Count</title></html>')
  const file = join(folder(), 'certificate.json')
  const https = await credentialsFor(['127.0.0.1'], file, Date.now())
  const app = await createServer({ root, demo: false, https })
  await app.listen({ port: 0, host: '127.0.0.1' })
  const { port } = app.server.address() as AddressInfo
  const asked = (ca?: string) =>
    new Promise<string>((resolve, reject) => {
      const options = ca === undefined ? {} : { ca }
      get({ host: '127.0.0.1', port, path: '/', ...options }, (response) => {
        response.setEncoding('utf8').on('data', resolve)
      }).on('error', reject)
    })
  expect(await asked(https.cert)).toContain('<title>Dry Count</title>')
  await expect(asked()).rejects.toThrow(/self.signed|unable to verify/i)
  expect(readFileSync(file, 'utf8')).toContain('PRIVATE KEY')
  await app.close()
})

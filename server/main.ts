import { existsSync } from 'node:fs'
import type { AddressInfo } from 'node:net'
import { fileURLToPath } from 'node:url'
import { toString } from 'qrcode'
import { createServer } from './app'
import { credentialsFor, lanWords, ownAddresses } from './lan'
import { startOptions } from './options'

const options = startOptions(process.argv.slice(2), process.env)
if ('words' in options) fail(options.words)
const { port, host, demo, lan } = options

const root = fileURLToPath(new URL('../dist', import.meta.url))
if (!existsSync(`${root}/index.html`)) fail('There is no build yet: run npm run build, or npm start.')

const addresses = lan ? ownAddresses() : []
if (lan && addresses.length === 0) fail('This machine is in no network: --lan has nobody to serve.')
const kept = fileURLToPath(new URL('../.cache/lan-certificate.json', import.meta.url))
const https = lan ? await credentialsFor(addresses, kept, Date.now()) : null
const app = await createServer({ root, demo, https })
try {
  const address = await app.listen({ port, host })
  console.log(`Dry Count is at ${address}/${demo ? ' (demo data; your own is one tap away)' : ''}`)
  if (lan) {
    const { port: open } = app.server.address() as AddressInfo
    for (const ip of addresses) {
      const url = `https://${ip}:${open}/`
      console.log(lanWords(url, await toString(url, { type: 'terminal', small: true })))
    }
  }
} catch (error) {
  const code = (error as NodeJS.ErrnoException).code
  if (code === 'EADDRINUSE') fail(`Port ${port} is in use. Choose another: PORT=${port + 1} npm start`)
  if (code === 'EACCES') fail(`Port ${port} is not ours to open. Choose another: PORT=4870 npm start`)
  if (code === 'ENOTFOUND' || code === 'EADDRNOTAVAIL') fail(`${host} is no address of this machine.`)
  fail(`The server did not start: ${code ?? String(error)}`)
}

// It ends when it is told to, and with the process that started it.
for (const signal of ['SIGTERM', 'SIGINT', 'SIGHUP'] as const) process.on(signal, end)
process.on('disconnect', end)

function end(): void {
  app.server.closeAllConnections()
  void app.close().finally(() => process.exit(0))
}

function fail(words: string): never {
  console.error(words)
  process.exit(1)
}

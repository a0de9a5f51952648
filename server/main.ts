import { existsSync } from 'node:fs'
import { parseArgs } from 'node:util'
import { fileURLToPath } from 'node:url'
import { createServer } from './app'

const { values } = parseArgs({
  options: {
    port: { type: 'string', default: process.env.PORT ?? '4870' },
    host: { type: 'string', default: '127.0.0.1' },
    demo: { type: 'boolean', default: false },
  },
})

const root = fileURLToPath(new URL('../dist', import.meta.url))
const port = Number(values.port)

if (!existsSync(`${root}/index.html`)) fail('There is no build yet: run npm run build, or npm start.')
if (!Number.isInteger(port) || port < 0 || port > 65_535)
  fail(`${values.port} is not a port: use a number from 1 to 65535.`)

const app = await createServer({ root, demo: values.demo })
try {
  const address = await app.listen({ port, host: values.host })
  console.log(`Dry Count is at ${address}/${values.demo ? ' (demo data; your own is one tap away)' : ''}`)
} catch (error) {
  const code = (error as NodeJS.ErrnoException).code
  if (code === 'EADDRINUSE') fail(`Port ${port} is in use. Choose another: PORT=${port + 1} npm start`)
  fail(`The server did not start: ${code ?? String(error)}`)
}

function fail(words: string): never {
  console.error(words)
  process.exit(1)
}

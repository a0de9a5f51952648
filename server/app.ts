import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import fastifyStatic from '@fastify/static'
import Fastify, { type FastifyInstance } from 'fastify'
import { SECURITY_HEADERS } from './headers'

export interface ServerOptions {
  /** The folder of the build. */
  root: string
  /** Open with the demo data where the visitor has not chosen otherwise. */
  demo: boolean
}

const ONE_YEAR_S = 31_536_000
/** Addresses people may type; the application itself routes by hash. */
const SCREENS = ['stay', 'habits', 'runs', 'log', 'rig', 'practice', 'guide', 'settings', 'start']

/** Serves the build: pre-compressed files, hashed ones cached for good, the page itself always asked for. */
export async function createServer({ root, demo }: ServerOptions): Promise<FastifyInstance> {
  const app = Fastify({ logger: false })
  const page = async () => {
    const html = await readFile(join(root, 'index.html'), 'utf8')
    return demo ? html.replace('<html ', '<html data-start="demo" ') : html
  }

  app.addHook('onSend', (_request, reply, _payload, done) => {
    reply.headers(SECURITY_HEADERS)
    done()
  })
  app.get('/api/health', () => ({ status: 'ok', demo }))
  for (const path of ['/', '/index.html'])
    app.get(path, async (_request, reply) =>
      reply
        .type('text/html; charset=utf-8')
        .header('cache-control', 'no-cache')
        .send(await page()),
    )
  for (const screen of SCREENS) app.get(`/${screen}`, (_request, reply) => reply.redirect(`/#/${screen}`))
  await app.register(fastifyStatic, {
    root,
    index: false,
    preCompressed: true,
    cacheControl: false,
    setHeaders: (reply, path) => {
      const hashed = path.includes(join(root, 'assets'))
      reply.header('cache-control', hashed ? `public, max-age=${ONE_YEAR_S}, immutable` : 'no-cache')
    },
  })
  app.setNotFoundHandler((_request, reply) =>
    reply.code(404).type('text/plain').send('Not here. Dry Count is at /'),
  )
  return app
}

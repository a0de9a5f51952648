import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import fastifyStatic from '@fastify/static'
import Fastify, { type FastifyInstance, type FastifyReply } from 'fastify'
import { placeDirectory } from './directory/directory'
import { SECURITY_HEADERS } from './headers'
import type { Credentials } from './lan'

export interface ServerOptions {
  /** The folder of the build. */
  root: string
  /** Open with the demo data where the visitor has not chosen otherwise. */
  demo: boolean
  /** Over HTTPS, where there are any. */
  https?: Credentials | null
}

const ONE_YEAR_S = 31_536_000
const LONGEST_ADDRESS = 2_000
/** Addresses people may type or reload; the application itself routes by hash. What follows a screen goes along. */
export const SCREENS = [
  'stay',
  'habits',
  'runs',
  'places',
  'season',
  'log',
  'rig',
  'budget',
  'shower',
  'chores',
  'review',
  'cards',
  'walk',
  'practice',
  'guide',
  'settings',
  'start',
  'more',
]

/** Serves the build: pre-compressed files, hashed ones cached for good, the page itself always asked for. */
export async function createServer({ root, demo, https = null }: ServerOptions): Promise<FastifyInstance> {
  const app = Fastify({
    https,
    logger: false,
    // Addresses that are none, and requests that cannot be read, get the same headers as everything else.
    frameworkErrors: (error, _request, reply: FastifyReply) => {
      void reply
        .code(error.statusCode ?? 400)
        .headers(SECURITY_HEADERS)
        .type('text/plain')
        .send('Dry Count cannot read this address.')
    },
    clientErrorHandler: (_error, socket) => {
      if (socket.writable) socket.end(`HTTP/1.1 400 Bad Request\r\n${rawHeaders()}connection: close\r\n\r\n`)
    },
  })
  const page = async () => {
    const html = await readFile(join(root, 'index.html'), 'utf8')
    return demo ? html.replace('<html ', '<html data-start="demo" ') : html
  }

  app.addHook('onSend', (_request, reply, _payload, done) => {
    reply.headers(SECURITY_HEADERS)
    done()
  })
  placeDirectory(app)
  app.get('/api/health', () => ({ status: 'ok', demo }))
  for (const path of ['/', '/index.html'])
    app.get(path, async (_request, reply) =>
      reply
        .type('text/html; charset=utf-8')
        .header('cache-control', 'no-cache')
        .send(await page()),
    )
  for (const screen of SCREENS)
    for (const path of [`/${screen}`, `/${screen}/*`])
      app.get(path, (request, reply) => reply.redirect(`/#${request.url.slice(0, LONGEST_ADDRESS)}`))
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
  app.setErrorHandler((error: { statusCode?: number }, _request, reply) =>
    reply
      .code(error.statusCode ?? 500)
      .headers(SECURITY_HEADERS)
      .type('text/plain')
      .send('Dry Count could not answer this.'),
  )
  return app
}

function rawHeaders(): string {
  return Object.entries(SECURITY_HEADERS)
    .map(([name, value]) => `${name}: ${value}\r\n`)
    .join('')
}

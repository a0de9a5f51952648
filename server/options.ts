import { parseArgs } from 'node:util'

export interface StartOptions {
  port: number
  host: string
  demo: boolean
  /** To the own network, over HTTPS with a certificate of its own. */
  lan: boolean
}

const DEFAULT_PORT = '4870'

/** What the server is started with. @returns the words where it is none of its options, or no port */
export function startOptions(
  args: readonly string[],
  env: Readonly<Record<string, string | undefined>>,
): StartOptions | { words: string } {
  try {
    const { values } = parseArgs({
      args: [...args],
      options: {
        port: { type: 'string' },
        host: { type: 'string' },
        demo: { type: 'boolean', default: false },
        lan: { type: 'boolean', default: false },
      },
    })
    // An empty PORT is none.
    const wanted = values.port || env.PORT?.trim() || DEFAULT_PORT
    const port = /^\d+$/.test(wanted) ? Number(wanted) : NaN
    if (!(port >= 0 && port <= 65_535))
      return { words: `${wanted} is not a port: use a number from 1 to 65535.` }
    const host = values.host ?? (values.lan ? '0.0.0.0' : '127.0.0.1')
    return { port, host, demo: values.demo, lan: values.lan }
  } catch {
    return {
      words: `Unknown option among: ${args.join(' ')}. Known are --port NUMBER, --host NAME, --lan and --demo.`,
    }
  }
}

import { parseArgs } from 'node:util'

export interface StartOptions {
  port: number
  host: string
  demo: boolean
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
        host: { type: 'string', default: '127.0.0.1' },
        demo: { type: 'boolean', default: false },
      },
    })
    // An empty PORT is none.
    const wanted = values.port || env.PORT?.trim() || DEFAULT_PORT
    const port = /^\d+$/.test(wanted) ? Number(wanted) : NaN
    if (!(port >= 0 && port <= 65_535))
      return { words: `${wanted} is not a port: use a number from 1 to 65535.` }
    return { port, host: values.host, demo: values.demo }
  } catch {
    return {
      words: `Unknown option among: ${args.join(' ')}. Known are --port NUMBER, --host NAME and --demo.`,
    }
  }
}

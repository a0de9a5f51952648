import { readFileSync } from 'node:fs'
import * as t from '@/texts/t'
import { run, type Outcome } from './run'

/** The answer was there, and could not be put where it was to go. */
const NOT_WRITTEN = 1

const { output, messages, exitCode } = await answered(process.argv.slice(2), (file) =>
  readFileSync(file === '-' ? 0 : file, 'utf8'),
)
process.exitCode = exitCode
process.stderr.on('error', () => undefined)
process.stdout.on('error', notWritten)
if (messages.length > 0) process.stderr.write(`${messages.join('\n')}\n`)
if (output !== null) process.stdout.write(output)

/** Who closes a pipe has read what they wanted: that is no fault. Anything else is said in a line. */
function notWritten({ code }: NodeJS.ErrnoException): void {
  if (code === 'EPIPE') return
  process.stderr.write(`${t.cli.notWritten(code ?? '')}\n`)
  process.exitCode = NOT_WRITTEN
}

/** Whatever goes wrong, one line and no stack trace. */
async function answered(...args: Parameters<typeof run>): Promise<Outcome> {
  try {
    return await run(...args)
  } catch (error) {
    return {
      output: null,
      messages: [t.cli.broken(error instanceof Error ? error.message : 'unknown')],
      exitCode: 2,
    }
  }
}

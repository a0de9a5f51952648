import { readFileSync } from 'node:fs'
import { t } from '@/texts'
import { run, type Outcome } from './run'

const { output, messages, exitCode } = answered(process.argv.slice(2), (file) =>
  readFileSync(file === '-' ? 0 : file, 'utf8'),
)
if (output !== null) process.stdout.write(output)
if (messages.length > 0) process.stderr.write(`${messages.join('\n')}\n`)
process.exitCode = exitCode

/** Whatever goes wrong, one line and no stack trace. */
function answered(...args: Parameters<typeof run>): Outcome {
  try {
    return run(...args)
  } catch (error) {
    return {
      output: null,
      messages: [t.cli.broken(error instanceof Error ? error.message : 'unknown')],
      exitCode: 2,
    }
  }
}

import { readFileSync } from 'node:fs'
import { run } from './run'

const { output, messages, exitCode } = run(process.argv.slice(2), (file) =>
  readFileSync(file === '-' ? 0 : file, 'utf8'),
)
if (output !== null) process.stdout.write(output)
if (messages.length > 0) process.stderr.write(`${messages.join('\n')}\n`)
process.exitCode = exitCode

// npm test: installs what is missing, then lint, types, unit tests and browser tests; every step runs. What failed
// is said once more at the end, where it is still seen when only the end is kept, and the last line has the true
// totals. A suite that fails, or that ran no test, fails the run.
import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { build, installChromium, installPackages, requireNode } from './prepare.mjs'

requireNode()
installPackages()
installChromium()

const totals = { passed: 0, failed: 0 }
/** What failed, and the beginning of what it said. */
const failures = []
/** What went only at the second try: said, so that it is mended. */
const retried = []
function fail(name, said) {
  totals.failed += 1
  failures.push(`${name}\n${said.trim().slice(0, 2_000)}`)
}
const reports = 'node_modules/.cache/dry-count/reports'
rmSync(reports, { recursive: true, force: true })
mkdirSync(reports, { recursive: true })

/** What each says is shown when it is done, so that those side by side do not talk into each other. */
function check(name, script) {
  return new Promise((resolve) => {
    const child = spawn('npm', ['run', '--silent', script], { stdio: ['ignore', 'pipe', 'pipe'] })
    const said = []
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (data) => said.push(data))
    child.on('close', (code) => {
      const text = Buffer.concat(said).toString().trim()
      console.log(`\n— ${name}\n${text}`)
      if (code === 0) totals.passed += 1
      else fail(name, text)
      resolve()
    })
  })
}

async function suite(name, script) {
  console.log(`\n— ${name}`)
  const file = `${reports}/${script}.json`
  const reporters = ['--reporter=default', '--reporter=json', `--outputFile.json=${file}`]
  const child = spawn('npm', ['run', '--silent', script, '--', ...reporters], { stdio: 'inherit' })
  const code = await new Promise((resolve) => child.on('close', resolve))
  const report = existsSync(file)
    ? JSON.parse(readFileSync(file, 'utf8'))
    : { numPassedTests: 0, numFailedTests: 0, testResults: [] }
  totals.passed += report.numPassedTests
  for (const { assertionResults } of report.testResults)
    for (const { status, fullName, failureMessages } of assertionResults)
      if (status === 'failed') fail(fullName, failureMessages.join('\n'))
      else if (failureMessages?.length > 0) retried.push(`${fullName}\n${failureMessages[0].slice(0, 800)}`)
  const ranNothing = report.numPassedTests + report.numFailedTests === 0
  if (ranNothing) fail(name, 'no test ran')
  else if (code !== 0 && report.numFailedTests === 0) fail(name, `ended with ${code}; see above`)
}

const beside = Promise.all([check('lint', 'lint'), check('types', 'types')])
await suite('unit tests', 'unit')
await beside
build()
await suite('browser tests', 'e2e')

for (const one of retried) console.log(`\n— at the second try only: ${one}`)
for (const failure of failures) console.error(`\n— failed: ${failure}`)
console.log(`\n${totals.passed} passed, ${totals.failed} failed`)
process.exit(totals.failed > 0 ? 1 : 0)

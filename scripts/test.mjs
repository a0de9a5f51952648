// npm test: installs what is missing, then lint, types, unit tests and browser tests; every step runs, and the
// last line has the true totals. A suite that fails, or that ran no test, fails the run.
import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { build, installChromium, installPackages, requireNode } from './prepare.mjs'

requireNode()
installPackages()
installChromium()

const totals = { passed: 0, failed: 0 }
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
      console.log(`\n— ${name}\n${Buffer.concat(said).toString().trim()}`)
      totals[code === 0 ? 'passed' : 'failed'] += 1
      resolve()
    })
  })
}

async function suite(name, script) {
  console.log(`\n— ${name}`)
  const file = `${reports}/${script}.json`
  const reporters = ['--reporter=default', '--reporter=json', `--outputFile.json=${file}`]
  const child = spawn('npm', ['run', '--silent', script, '--', ...reporters], { stdio: 'inherit' })
  const status = await new Promise((resolve) => child.on('close', resolve))
  const report = existsSync(file)
    ? JSON.parse(readFileSync(file, 'utf8'))
    : { numPassedTests: 0, numFailedTests: 0 }
  totals.passed += report.numPassedTests
  totals.failed += report.numFailedTests
  const ranNothing = report.numPassedTests + report.numFailedTests === 0
  if (ranNothing) console.error(`${name}: no test ran`)
  if (ranNothing || (status !== 0 && report.numFailedTests === 0)) totals.failed += 1
}

const beside = Promise.all([check('lint', 'lint'), check('types', 'types')])
await suite('unit tests', 'unit')
await beside
build()
await suite('browser tests', 'e2e')

console.log(`\n${totals.passed} passed, ${totals.failed} failed`)
process.exit(totals.failed > 0 ? 1 : 0)

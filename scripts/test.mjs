// npm test: installs what is missing, then lint, types, unit tests and browser tests; every step runs, and the
// last line has the true totals. A suite that fails, or that ran no test, fails the run.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { build, installChromium, installPackages, requireNode, run } from './prepare.mjs'

requireNode()
installPackages()
installChromium()

const totals = { passed: 0, failed: 0 }
const reports = 'node_modules/.cache/dry-count/reports'
rmSync(reports, { recursive: true, force: true })
mkdirSync(reports, { recursive: true })

function check(name, args) {
  console.log(`\n— ${name}`)
  const passed = run('npm', ['run', '--silent', ...args]).status === 0
  totals[passed ? 'passed' : 'failed'] += 1
}

function suite(name, script) {
  console.log(`\n— ${name}`)
  const file = `${reports}/${script}.json`
  const done = run('npm', [
    'run',
    '--silent',
    script,
    '--',
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${file}`,
  ])
  const report = existsSync(file)
    ? JSON.parse(readFileSync(file, 'utf8'))
    : { numPassedTests: 0, numFailedTests: 0 }
  totals.passed += report.numPassedTests
  totals.failed += report.numFailedTests
  const ranNothing = report.numPassedTests + report.numFailedTests === 0
  if (ranNothing) console.error(`${name}: no test ran`)
  if (ranNothing || (done.status !== 0 && report.numFailedTests === 0)) totals.failed += 1
}

check('lint', ['lint'])
check('types', ['types'])
suite('unit tests', 'unit')
build()
suite('browser tests', 'e2e')

console.log(`\n${totals.passed} passed, ${totals.failed} failed`)
process.exit(totals.failed > 0 ? 1 : 0)

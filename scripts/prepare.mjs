// What the commands need before they can work. Each step does nothing when its result is already there.
// Kept free of newer syntax, so that an old Node can still say that it is old.
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { spawnSync } from 'node:child_process'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

const OLDEST_NODE = [20, 19]
const STAMPS = join('node_modules', '.cache', 'dry-count')
export const CHROMIUM = '/usr/bin/chromium'

/** Signs in a path that the tools of the build take for their own. */
const NOT_IN_PATHS = /[#?*{}[\]()!"']/

/** The commands work in the checkout, from whichever folder they are given. */
const ROOT = dirname(dirname(fileURLToPath(import.meta.url)))
process.chdir(ROOT)

export function stop(words) {
  console.error(words)
  process.exit(1)
}

export function requireNode() {
  const [major, minor] = process.versions.node.split('.').map(Number)
  const old = major < OLDEST_NODE[0] || (major === OLDEST_NODE[0] && minor < OLDEST_NODE[1])
  if (old) stop(`Dry Count needs Node ${OLDEST_NODE.join('.')} or newer; this is ${process.versions.node}.`)
}

export function run(command, args, options) {
  return spawnSync(command, args, { stdio: 'inherit', ...options })
}

/** Packages, where the lock has changed since the last install. */
export function installPackages() {
  const wanted = hashOf(['package.json', 'package-lock.json'])
  if (existsSync('node_modules') && stamp('packages') === wanted) return
  requireFolder()
  console.log('Installing packages…')
  const done = run('npm', ['install', '--no-audit', '--no-fund', '--loglevel', 'error'])
  if (done.status !== 0)
    stop('The packages could not be installed. Is there a network? Try again when there is.')
  setStamp('packages', hashOf(['package.json', 'package-lock.json']))
}

/** Before anything is written: whether it can be, and whether the tools can read the folder's name. */
function requireFolder() {
  const sign = NOT_IN_PATHS.exec(ROOT)
  if (sign) stop(`Dry Count cannot be built in a folder with ${sign[0]} in its path. Rename it: ${ROOT}`)
  try {
    mkdirSync('node_modules', { recursive: true })
    writeFileSync(join('node_modules', '.dry-count-try'), '')
  } catch {
    stop(`This folder cannot be written to, and something has to be installed or built in it: ${ROOT}`)
  }
}

/** The build, where a source has changed since the last one. */
export function build() {
  const wanted = hashOf(sources())
  if (existsSync('dist/index.html') && stamp('build') === wanted) return
  requireFolder()
  console.log('Building…')
  const done = run('npm', ['run', '--silent', 'build'])
  if (done.status !== 0) stop('The build failed; the lines above say where.')
  setStamp('build', wanted)
}

/** Debian's Chromium for the browser tests. */
export function installChromium() {
  if (existsSync(CHROMIUM)) return
  const advice = 'Browser tests need Chromium: run  apt-get update && apt-get install -y chromium  as root.'
  if (typeof process.getuid !== 'function' || process.getuid() !== 0) stop(advice)
  console.log('Installing Chromium…')
  const quiet = {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  }
  const done = run('sh', ['-c', 'apt-get update -qq && apt-get install -y -qq chromium'], quiet)
  if (done.status !== 0 || !existsSync(CHROMIUM)) stop(`Chromium could not be installed. ${advice}`)
}

function sources() {
  const files = ['index.html', 'vite.config.ts', 'package-lock.json', 'tsconfig.json', 'scripts/compress.mjs']
  for (const folder of ['src', 'public', 'demo']) walk(folder, files)
  return files.filter((file) => !file.endsWith('.test.ts'))
}

function walk(folder, files) {
  for (const name of readdirSync(folder).sort()) {
    const path = join(folder, name)
    if (statSync(path).isDirectory()) walk(path, files)
    else files.push(path)
  }
}

function hashOf(files) {
  const hash = createHash('sha256')
  for (const file of files) if (existsSync(file)) hash.update(file).update(readFileSync(file))
  return hash.digest('hex')
}

function stamp(name) {
  const path = join(STAMPS, name)
  return existsSync(path) ? readFileSync(path, 'utf8') : null
}

function setStamp(name, value) {
  mkdirSync(STAMPS, { recursive: true })
  writeFileSync(join(STAMPS, name), value)
}

// npm run lighthouse: loading as Lighthouse measures it, on a laptop and on its simulated phone, the median of five runs.
// Its package is large and drifts the lock: it is installed apart, into .cache.
import { spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, writeFileSync } from 'node:fs'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { build, installChromium, installPackages, requireNode } from './prepare.mjs'

const VERSION = '12.8.2'
const RUNS = 5
const LEAST = { desktop: 95, mobile: 90 }
const folder = fileURLToPath(new URL('../.cache/lighthouse', import.meta.url))

requireNode()
installPackages()
installChromium()
build()
if (!existsSync(`${folder}/node_modules/lighthouse`)) {
  mkdirSync(folder, { recursive: true })
  writeFileSync(`${folder}/package.json`, '{ "private": true }\n')
  console.log('Fetching Lighthouse…')
  const done = spawnSync('npm', ['install', '--prefix', folder, '--no-save', `lighthouse@${VERSION}`], {
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  if (done.status !== 0) {
    console.error('Lighthouse could not be fetched: this needs a network once.')
    process.exit(1)
  }
}
const from = (name) => import(pathToFileURL(`${folder}/node_modules/${name}`).href)
const { default: lighthouse, desktopConfig } = await from('lighthouse/core/index.js')
const { launch } = await from('chrome-launcher/dist/index.js')
const { register } = await import('tsx/esm/api')
register()
const { createServer } = await import('../server/app.ts')

const app = await createServer({ root: fileURLToPath(new URL('../dist', import.meta.url)), demo: true })
const url = await app.listen({ port: 0, host: '127.0.0.1' })
const chrome = await launch({
  chromePath: '/usr/bin/chromium',
  chromeFlags: ['--headless=new', '--no-sandbox', '--disable-gpu'],
})
let isGood = true
for (const [form, config] of [
  ['desktop', desktopConfig],
  ['mobile', undefined],
]) {
  const runs = []
  for (let run = 0; run < RUNS; run++) {
    const options = { port: chrome.port, onlyCategories: ['performance'], logLevel: 'silent' }
    const { lhr } = await lighthouse(url, options, config)
    runs.push({
      score: Math.round(lhr.categories.performance.score * 100),
      shift: lhr.audits['cumulative-layout-shift'].numericValue,
      blocked: lhr.audits['total-blocking-time'].numericValue,
      painted: lhr.audits['largest-contentful-paint'].numericValue,
    })
  }
  const median = (key) => runs.map((run) => run[key]).sort((a, b) => a - b)[Math.floor(RUNS / 2)]
  isGood &&= median('score') >= LEAST[form]
  console.log(
    `${form}: performance ${median('score')} (at least ${LEAST[form]}; ${runs.map(({ score }) => score).join(', ')}), ` +
      `layout shift ${median('shift').toFixed(3)}, blocked ${median('blocked').toFixed(0)} ms, ` +
      `largest paint ${(median('painted') / 1000).toFixed(1)} s`,
  )
}
await chrome.kill()
await app.close()
process.exit(isGood ? 0 : 1)

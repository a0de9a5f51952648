import { createServer } from '../server/app'
import { launch } from '../tests/e2e/support/browser'
import { restingHeight, wordsAboveFold } from '../tests/e2e/support/screenSize'

// npm run heights: how high each screen of the demo is on a phone, and how many words stand above the fold; on a build.
const SCREENS = [
  ...[
    '/',
    '/stay',
    '/runs',
    '/places',
    '/season',
    '/log',
    '/budget',
    '/shower',
    '/chores',
    '/review',
    '/habits',
  ],
  ...[
    '/rig',
    '/rig/gray-to-black',
    '/cards',
    '/cards/dump/outlet',
    '/guide',
    '/guide/questions',
    '/more',
    '/settings',
  ],
]
/** Before the stay begins, and where the demo begins: on its fourth day. */
const CLOCKS = { planned: '2027-09-01T12:00', 'under way': null }

const server = await createServer({ root: new URL('../dist', import.meta.url).pathname, demo: true })
const url = await server.listen({ port: 0, host: '127.0.0.1' })
const browser = await launch()
const wide = Math.max(...SCREENS.map((screen) => screen.length))
for (const [name, clock] of Object.entries(CLOCKS)) {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    ...{ hasTouch: true, isMobile: true, locale: 'en-GB', reducedMotion: 'reduce', serviceWorkers: 'block' },
  })
  const page = await context.newPage()
  if (clock !== null) {
    await page.goto(`${url}/icon.svg`)
    await page.evaluate((at) => localStorage.setItem('dry-count:demo-clock', at), clock)
  }
  console.log(`\n${name.padEnd(wide)}  height px  words above the fold`)
  for (const screen of SCREENS) {
    await page.goto(`${url}/#${screen}`)
    await page.waitForTimeout(3_000)
    const [height, words] = [await restingHeight(page), await wordsAboveFold(page)]
    console.log(`${screen.padEnd(wide)}  ${String(height).padStart(9)}  ${String(words.length).padStart(6)}`)
  }
  await context.close()
}
await browser.close()
await server.close()

import type { Browser, Page } from 'playwright-core'
import { launch } from '../tests/e2e/support/browser'
import { createServer } from '../server/app'

// npm run shots: docs/screenshots, from the demo data of the build.
interface Shot {
  name: string
  hash: string
  theme?: 'light' | 'dark' | 'sun'
  phone?: boolean
  prepare?: (page: Page) => Promise<unknown>
  /** The demo's clock stands before its stay begins: a plan. */
  planned?: boolean
}

const SHOTS: Shot[] = [
  { name: 'camp', hash: '/', prepare: moved },
  { name: 'camp-plan', hash: '/', planned: true },
  { name: 'camp-phone', hash: '/', phone: true, prepare: advised },
  {
    name: 'budget',
    hash: '/budget',
    phone: true,
    prepare: (page) => page.getByTestId('budget-dishes').waitFor(),
  },
  {
    name: 'review',
    hash: '/review?stay=low-meadow',
    prepare: (page) => page.getByTestId('plot').locator('svg').first().waitFor(),
  },
  { name: 'stay', hash: '/stay' },
  { name: 'stay-plan', hash: '/stay', planned: true, prepare: setRuns },
  { name: 'runs', hash: '/runs', planned: true, prepare: setRuns },
  { name: 'places', hash: '/places' },
  { name: 'season', hash: '/season', planned: true, prepare: followOn },
  { name: 'card', hash: '/cards/dump/outlet' },
  { name: 'walk', hash: '/cards/dump/outlet', phone: true, prepare: walkSome },
  { name: 'guide', hash: '/guide', prepare: lookUp },
  { name: 'why', hash: '/', prepare: askWhy },
  { name: 'rig', hash: '/rig?show=map' },
  { name: 'habits', hash: '/habits' },
  { name: 'gray-to-black', hash: '/rig/gray-to-black' },
  { name: 'log', hash: '/log', prepare: showLearned },
  { name: 'panel-sun', hash: '/', phone: true, theme: 'sun', prepare: readWhole },
]

/** To the step at which black runs out. */
async function walkSome(page: Page) {
  await page.getByTestId('start-card').click()
  await page.getByTestId('walk').waitFor()
  for (let k = 0; k < MOST_STEPS; k++) {
    if ((await page.getByTestId('walk').getAttribute('data-step')) === 'dump.black') return
    await page.getByTestId('walk-next').focus()
    await page.keyboard.down('Enter')
    await page.waitForTimeout(850)
    await page.keyboard.up('Enter')
  }
}
const MOST_STEPS = 30

/** Yesterday is compared once the rest stands. */
function moved(page: Page) {
  return page.getByTestId('since').waitFor()
}

/** The last that comes on a phone. */
async function advised(page: Page) {
  await page.getByTestId('decide-short').waitFor()
  await page.getByTestId('left-today').getByText('Shower').waitFor()
}

async function lookUp(page: Page) {
  await page.getByTestId('guide-search').fill('rinse')
}

async function showLearned(page: Page) {
  await openSection(page, 'learned')
  await page.getByTestId('learned-shower').waitFor()
  await scrollTo(page, '#learned')
}

async function readWhole(page: Page) {
  await page.getByTestId('key-panel').click()
  const form = page.getByTestId('panel-form')
  await form.getByTestId('read-fresh').getByRole('button', { name: '⅓' }).click()
  await form.getByTestId('read-gray').getByRole('button', { name: '⅓' }).click()
}

/** A stay after this one, with what is done on the road between. */
async function followOn(page: Page) {
  await page.getByRole('button', { name: 'Plan the next stay after this one' }).click()
  for (const name of ['A last dump on the way', 'Arrive empty and full']) {
    await page.getByRole('button', { name }).click()
    await page.waitForTimeout(800)
  }
  await page.evaluate(() => window.scrollTo(0, 0))
}

/** Two moves and gray moved into black, where they help; back at the top. */
async function setRuns(page: Page) {
  for (const usual of ['move-dump-fill', 'move-dump-fill', 'gray-to-black']) {
    await page.getByRole('button', { name: 'Add a run' }).click()
    await page.getByTestId(`usual-${usual}`).click()
    await page.waitForTimeout(2500)
  }
  await page.evaluate(() => window.scrollTo(0, 0))
}

function openSection(page: Page, section: string) {
  return page.locator(`[data-fold=${section}] h2 button`).click()
}

function scrollTo(page: Page, place: string) {
  return page.locator(place).evaluate((element) => {
    window.scrollTo(0, element.getBoundingClientRect().top + window.scrollY - 90)
  })
}

async function askWhy(page: Page) {
  await page.getByRole('button', { name: 'Why?', exact: true }).click()
  await page.getByTestId('why-term').first().click()
}

async function take(
  browser: Browser,
  url: string,
  { name, hash, theme = 'light', phone = false, planned = false, prepare }: Shot,
) {
  const context = await browser.newContext({
    viewport: phone ? { width: 390, height: 844 } : { width: 1280, height: 800 },
    locale: 'en-GB',
    reducedMotion: 'reduce',
  })
  await context.addInitScript((chosen) => localStorage.setItem('dry-count:theme', chosen), theme)
  if (planned)
    await context.addInitScript(() => localStorage.setItem('dry-count:demo-clock', '2027-09-02T09:00'))
  const page = await context.newPage()
  await page.clock.setFixedTime(new Date('2027-09-02T09:00:00'))
  await page.goto(`${url}/#${hash}`)
  await page.locator('[data-testid=count-sentence], [data-testid=count-strip]').first().waitFor()
  await page.locator('[data-testid=plan-on], [data-testid=plan-strip], form').first().waitFor()
  await page.waitForTimeout(2500)
  await prepare?.(page)
  await page.waitForTimeout(400)
  await page.screenshot({ path: `docs/screenshots/${name}.png` })
  await context.close()
}

const server = await createServer({ root: new URL('../dist', import.meta.url).pathname, demo: true })
const url = await server.listen({ port: 0, host: '127.0.0.1' })
const browser = await launch()
// `npm run shots -- walk card`: only those.
const asked = process.argv.slice(2)
for (const shot of SHOTS) if (asked.length === 0 || asked.includes(shot.name)) await take(browser, url, shot)
await browser.close()
await server.close()

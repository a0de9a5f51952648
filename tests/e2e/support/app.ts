import { afterAll, afterEach, beforeAll, expect, inject } from 'vitest'
import type { Browser, BrowserContext, BrowserContextOptions, Locator, Page } from 'playwright-core'
import { launch } from './browser'

export interface App {
  page: Page
  context: BrowserContext
  /** Errors and warnings of the page's console since it opened. */
  noise: string[]
}

const SECTIONS = [
  ...['risk', 'assumptions', 'who', 'weather', 'land', 'uses', 'when', 'which', 'site'],
  ...['cost', 'dump', 'road', 'toilet', 'care', 'numbers'],
  ...['tanks', 'map', 'outlets', 'weight', 'gear', 'preset'],
  ...['reach', 'flush', 'habits-others', 'habits-blocked'],
  ...['learned', 'agreement', 'counted', 'shakedown', 'csv'],
  ...['prepare', 'apart', 'stock', 'season'],
  ...['own-cards', 'products', 'guide-terms', 'guide-cautions', 'guide-ask'],
]
function openSections(sections: string[]): void {
  try {
    if (localStorage.getItem('dry-count:open') === null)
      localStorage.setItem('dry-count:open', JSON.stringify(sections))
  } catch {
    // Site data is blocked: then everything is folded.
  }
}

/** The demo's clock stands before its stays begin: they are planned, unless a test says otherwise. */
const BEFORE = '2027-09-01T12:00'
function setClock(at: string): void {
  try {
    if (localStorage.getItem('dry-count:demo-clock') === null)
      localStorage.setItem('dry-count:demo-clock', at)
  } catch {
    // Site data is blocked: the clock stands where the demo begins.
  }
}

type Visit = BrowserContextOptions & {
  isFolded?: boolean
  /** Where the demo's clock stands; null: where the demo begins. */
  clock?: string | null
}

/** One browser for a file of tests. */
export function useBrowser() {
  let browser: Browser
  beforeAll(async () => {
    browser = await launch()
  })
  afterAll(() => browser.close())
  // A page that was left open would go on computing beside the next test.
  afterEach(() => Promise.all(browser.contexts().map((context) => context.close())))

  /** A fresh visitor. */
  return async function open(
    which: 'demo' | 'mine',
    hash = '/',
    { isFolded = false, clock = BEFORE, ...options }: Visit = {},
  ): Promise<App> {
    const context = await browser.newContext({
      viewport: { width: 1280, height: 800 },
      locale: 'en-GB',
      reducedMotion: 'reduce',
      serviceWorkers: 'block',
      ...options,
    })
    if (process.env.E2E_PATIENCE_MS) context.setDefaultTimeout(Number(process.env.E2E_PATIENCE_MS))
    // As somebody who opened every section before; `isFolded` is the first visit.
    if (!isFolded) await context.addInitScript(openSections, SECTIONS)
    if (clock !== null) await context.addInitScript(setClock, clock)
    const page = await context.newPage()
    const noise: string[] = []
    page.on('console', (message) => {
      const isOurs = !message.text().includes('Service Worker registration blocked')
      if (isOurs && (message.type() === 'error' || message.type() === 'warning')) noise.push(message.text())
    })
    page.on('pageerror', (error) => noise.push(error.message))
    await page.goto(`${inject(which === 'demo' ? 'demoUrl' : 'mineUrl')}/#${hash}`)
    // The demo is there: what 'saved' speaks of from now on is not the emptiness before it.
    if (which === 'demo')
      await page
        .locator('[data-testid=count-strip], [data-testid=count-days]')
        .first()
        .waitFor({ state: 'attached' })
    return { page, context, noise }
  }
}

/** What opens and closes a section. */
export function fold(page: Page, section: string) {
  return page.locator(`[data-fold=${section}] h2 button`)
}

/** The large figure of Camp. */
export async function dryDays(page: Page): Promise<number> {
  return Number(await page.getByTestId('count-days').innerText())
}

/** Everything shown has reached the disk. */
export async function saved(page: Page): Promise<void> {
  await expect.poll(() => page.getByTestId('saved').textContent()).toBe('saved')
}

/** To a screen that stands behind More on a phone, and in the bar on a laptop. */
export async function goTo(page: Page, name: string): Promise<void> {
  const inBar = page.getByRole('link', { name, exact: true }).filter({ visible: true }).first()
  if (await inBar.isVisible()) return inBar.click()
  await page.getByRole('link', { name: 'More', exact: true }).filter({ visible: true }).click()
  await page
    .getByRole('main')
    .getByRole('link', { name: new RegExp(`^${name}`) })
    .click()
}

/** Where something stands once nothing moves it any more: a scroll runs on for a while after its finger. */
export async function atRest(thing: Locator) {
  let last = ''
  let quiet = 0
  await expect
    .poll(async () => {
      const box = JSON.stringify(await thing.boundingBox())
      quiet = box === last ? quiet + 1 : 0
      last = box
      return quiet
    })
    .toBeGreaterThan(3)
  return (await thing.boundingBox())!
}

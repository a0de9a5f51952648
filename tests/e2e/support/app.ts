import { afterEach, beforeAll, beforeEach, expect, inject } from 'vitest'
import type { Browser, BrowserContext, BrowserContextOptions, Locator, Page } from 'playwright-core'
import { isTurn } from '../../support/thorough'
import { launch } from './browser'
import { EVERY_RUN, shareOf } from './everyRun'

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
  ...[0, 1, 2, 3, 4, 5].map((part) => `card-part-${part}`),
  ...['run-steps', 'run-takes', 'own-cards', 'products', 'guide-terms', 'guide-cautions', 'guide-ask'],
]

/** The demo's clock stands before its stays begin: they are planned, unless a test says otherwise. */
const BEFORE = '2027-09-01T12:00'

type Visit = BrowserContextOptions & {
  isFolded?: boolean
  /** Where the demo's clock stands; null: where the demo begins. */
  clock?: string | null
  /** With a browser context of its own: for a test that changes what the browser itself does, or what it is offered. */
  isAlone?: boolean
  /** The application stays open from test to test, and the demo is put back as it was; else the page is loaded again. */
  isStanding?: boolean
  /** Another server than the one of all tests. */
  at?: string
}

/** A page that one test after the other has to itself, with nothing kept; its code is compiled once. */
interface Seat {
  page: Page
  context: BrowserContext
  isTaken: boolean
  /** The application is still open there. */
  isOpen: boolean
  heard: string[]
  size: { width: number; height: number }
}

/** All files of tests share it, one after the other, and its seats; it goes with the process. */
let shared: Promise<Browser> | null = null
const seats = new Map<string, Seat>()

/** The browser of all tests. @param usual what the visits of a file have in common */
export function useBrowser(usual: Visit = {}) {
  let browser: Browser
  beforeAll(async () => {
    shared ??= launch()
    browser = await shared
  })
  beforeEach(({ task: { name }, skip }) => {
    const isShared = !EVERY_RUN.some((beginning) => name.startsWith(beginning))
    skip(isShared && !isTurn(shareOf(name), 3), 'in the share of another day')
  })
  // A page that was left open would go on computing beside the next test.
  afterEach(async ({ task }) => {
    if (task.result?.state === 'fail') seats.clear()
    for (const [key, { page }] of seats) if (page.isClosed()) seats.delete(key)
    const kept = [...seats.values()]
    const others = browser.contexts().filter((one) => !kept.some(({ context }) => context === one))
    await Promise.all([...others.map((context) => context.close()), ...kept.map(leave)])
  })

  /** A fresh visitor. */
  return async function open(which: 'demo' | 'mine', hash = '/', own: Visit = {}): Promise<App> {
    const {
      isFolded = false,
      clock = BEFORE,
      isAlone = false,
      isStanding = false,
      at,
      ...options
    } = { ...usual, ...own }
    const url = at ?? inject(which === 'demo' ? 'demoUrl' : 'mineUrl')
    const seat = await seatFor(isAlone, { url, ...options })
    const { page, context, heard } = seat
    const known = {
      // As somebody who opened every section before; `isFolded` is the first visit.
      'dry-count:open': isFolded ? null : JSON.stringify(SECTIONS),
      'dry-count:demo-clock': clock,
    }
    if (isStanding && seat.isOpen) {
      heard.length = 0
      await putBack(page, known, hash)
    } else {
      await page.goto(`${url}/icon.svg`)
      await page.evaluate(forgetAll, known)
      heard.length = 0
      await page.goto(`${url}/#${hash}`)
    }
    seat.isOpen = isStanding && which === 'demo'
    // The demo is there: what 'saved' speaks of from now on is not the emptiness before it.
    if (which === 'demo')
      await page
        .locator('[data-testid=count-strip], [data-testid=count-sentence]')
        .first()
        .waitFor({ state: 'attached' })
    return { page, context, noise: heard }
  }

  async function seatFor(isAlone: boolean, options: BrowserContextOptions & { url: string }): Promise<Seat> {
    const key = JSON.stringify(options)
    const known = seats.get(key)
    if (known && !isAlone && !known.isTaken) {
      known.isTaken = true
      return known
    }
    const seat = await newSeat(options)
    if (!known && !isAlone) seats.set(key, seat)
    return seat
  }

  async function newSeat(options: BrowserContextOptions): Promise<Seat> {
    const context = await browser.newContext({ ...USUAL, ...options })
    if (process.env.E2E_PATIENCE_MS) context.setDefaultTimeout(Number(process.env.E2E_PATIENCE_MS))
    const page = await context.newPage()
    const heard: string[] = []
    page.on('console', (message) => {
      // A browser looks for an icon beside whatever page it opens first.
      const isOurs =
        !message.text().includes('Service Worker registration blocked') &&
        !message.location().url.endsWith('/favicon.ico')
      if (isOurs && (message.type() === 'error' || message.type() === 'warning')) heard.push(message.text())
    })
    page.on('pageerror', (error) => heard.push(error.message))
    return { page, context, isTaken: true, isOpen: false, heard, size: page.viewportSize()! }
  }
}

const USUAL: BrowserContextOptions = {
  viewport: { width: 1280, height: 800 },
  locale: 'en-GB',
  reducedMotion: 'reduce',
  serviceWorkers: 'block',
}

/** The last test has gone: nothing runs on, and what the test did to the page is undone. */
async function leave(seat: Seat): Promise<void> {
  const { page, context } = seat
  seat.isTaken = false
  await Promise.all(
    context
      .pages()
      .filter((one) => one !== page)
      .map((one) => one.close()),
  )
  await page.unrouteAll({ behavior: 'ignoreErrors' })
  if (!seat.isOpen) await page.goto('about:blank')
  await page.emulateMedia({ media: null })
  await page.setViewportSize(seat.size)
}

/** The demo as it was, in an application that goes on; what the browser remembers of it is told as another tab would. */
async function putBack(page: Page, known: Record<string, string | null>, hash: string): Promise<void> {
  await page.keyboard.press('Escape')
  await page.evaluate(() => void (location.hash = '#/settings'))
  await page.evaluate(remember, { 'dry-count:demo-clock': BEFORE })
  // Whatever stands over it.
  await page.getByRole('button', { name: 'Put the demo back as it was' }).dispatchEvent('click')
  // Its clock is put back last of all.
  await page.waitForFunction((before) => localStorage.getItem('dry-count:demo-clock') !== before, BEFORE)
  await saved(page)
  const others = await page.evaluate(() =>
    Object.keys(localStorage).filter((key) => key !== 'dry-count:hours-2'),
  )
  await page.evaluate(remember, { ...Object.fromEntries(others.map((key) => [key, null])), ...known })
  await page.evaluate((to) => void (location.hash = to), hash)
}

/** In the page: as if another tab had chosen it; null: nothing. */
function remember(known: Record<string, string | null>): void {
  const storageArea = localStorage
  for (const [key, newValue] of Object.entries(known)) {
    if (newValue === null) localStorage.removeItem(key)
    else localStorage.setItem(key, newValue)
    window.dispatchEvent(new StorageEvent('storage', { key, newValue, storageArea }))
  }
}

/**
 * Nothing that was kept before is left, and `known` is; but for what a large library read of the texts of opening hours, which
 * is the same for everybody. In the page.
 */
async function forgetAll(known: Record<string, string | null>): Promise<void> {
  const hours = localStorage.getItem('dry-count:hours-2')
  localStorage.clear()
  if (hours !== null) localStorage.setItem('dry-count:hours-2', hours)
  sessionStorage.clear()
  for (const { name } of await indexedDB.databases())
    await new Promise((resolve, reject) => {
      const asked = indexedDB.deleteDatabase(name!)
      asked.onsuccess = resolve
      asked.onerror = asked.onblocked = reject
    })
  for (const [key, value] of Object.entries(known)) if (value !== null) localStorage.setItem(key, value)
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

/** The names of the stays that can be chosen, once their list is there. */
export async function staysOffered(page: Page): Promise<string[]> {
  const list = page.getByLabel('Stay', { exact: true })
  await list.waitFor()
  return list.locator('option').allInnerTexts()
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

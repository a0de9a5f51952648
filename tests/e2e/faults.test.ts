import { readFile } from 'node:fs/promises'
import type { Dialog, Page } from 'playwright-core'
import { describe, expect, inject, it } from 'vitest'
import { heavyDocument } from '../support/heavy'
import { inProof } from '../support/thorough'
import { dryDays, saved, useBrowser } from './support/app'

const open = useBrowser()
/** What is done to the browser before the application starts, or to all its pages, is done to one of its own. */
const ALONE = { isAlone: true }
const trouble = (page: Page) => page.getByTestId('trouble')
const state = (page: Page) => page.getByTestId('saved').textContent()
const DEMO = 'demo/harrow-ridge-trailer.drycount.json'

/** A fresh page with something broken before the application starts. */
async function openBroken(which: 'demo' | 'mine', init: () => void, hash = '/') {
  const { page, context, noise } = await open(which, '/nowhere-yet', ALONE)
  await page.addInitScript(init)
  await page.goto(`${inject(which === 'demo' ? 'demoUrl' : 'mineUrl')}/?fresh#${hash}`)
  return { page, context, noise }
}

/** Changes what the database of the demo holds, by another hand. */
async function byHand(page: Page, store: string, key: string, path: string[], value: unknown): Promise<void> {
  await page.evaluate(
    ([name, at, path, value]) =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open('dry-count-demo')
        opening.onsuccess = () => {
          const table = opening.result.transaction(name, 'readwrite').objectStore(name)
          const rows = table.getAll()
          rows.onsuccess = () => {
            const row = (rows.result as { id?: string; key?: string }[]).find(
              (one) => one.id === at || one.key === at,
            )!
            const last = path
              .slice(0, -1)
              .reduce<Record<string, unknown>>((at, step) => at[step] as Record<string, unknown>, row)
            last[path.at(-1)!] = value
            table.put(row)
          }
          table.transaction.oncomplete = () => {
            opening.result.close()
            resolve()
          }
          table.transaction.onerror = reject
        }
      }),
    [store, key, path, value] as const,
  )
}

/** What the demo's database holds of the trailer. */
const keptRigs = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const opening = indexedDB.open('dry-count-demo')
        opening.onsuccess = () => {
          const count = opening.result.transaction('rigs').objectStore('rigs').count()
          count.onsuccess = () => {
            opening.result.close()
            resolve(count.result)
          }
        }
      }),
  )

describe('a browser that keeps nothing, or not all', () => {
  it('works in memory where site data is blocked, says so, and lets files out and in', async () => {
    const { page } = await openBroken('demo', () => {
      const blocked = () => {
        throw new DOMException('blocked', 'SecurityError')
      }
      Object.defineProperty(window, 'localStorage', { get: blocked })
      IDBFactory.prototype.open = blocked
      Object.defineProperty(window, 'BroadcastChannel', { value: undefined })
    })
    // Nothing is remembered, the clock neither: the demo stands where it begins, on its fourth day.
    expect(await dryDays(page)).toBeGreaterThan(2)
    await trouble(page).getByText('does not save anything for Dry Count').waitFor()
    expect(await state(page)).toBe('not kept')
    await page.getByRole('switch', { name: 'Wet, soap, rinse' }).click()
    const download = page.waitForEvent('download')
    await trouble(page).getByRole('button', { name: 'Export a file' }).click()
    expect((await download).suggestedFilename()).toContain('harrow-ridge')
    await page.getByRole('link', { name: 'Settings' }).first().click()
    await page.locator('input[type=file]').setInputFiles(DEMO)
    await page.getByRole('button', { name: 'Replace what is here' }).click()
    await page.getByTestId('file-message').getByText('Opened harrow-ridge-trailer').waitFor()
    // Closing would lose it: the page asks.
    const asked = page.waitForEvent('dialog')
    void page.close({ runBeforeUnload: true })
    expect((await asked).type()).toBe('beforeunload')
    await (await asked).accept()
  })

  it('without a broadcast between tabs everything is kept, and a tab that comes to the front looks again', async () => {
    const { page, context } = await openBroken('demo', () => {
      Object.defineProperty(window, 'BroadcastChannel', { value: undefined })
      Storage.prototype.setItem = () => {
        throw new DOMException('full', 'QuotaExceededError')
      }
    })
    await page.getByRole('switch', { name: 'Wet, soap, rinse' }).click()
    await saved(page)
    const days = await dryDays(page)
    const other = await context.newPage()
    await other.goto(page.url())
    await expect.poll(() => dryDays(other)).toBe(days)
    await other.getByRole('switch', { name: 'Wet, soap, rinse' }).click()
    await saved(other)
    await page.evaluate(() => window.dispatchEvent(new Event('focus')))
    await expect.poll(() => dryDays(page)).toBeLessThan(days)
    // A look chosen here holds as long as the page, though there is no room to keep it.
    await page.getByRole('link', { name: 'Settings' }).first().click()
    await page.getByRole('radio', { name: 'Bright sun' }).click()
    await expect.poll(() => page.locator('html').getAttribute('data-theme')).toBe('sun')
  })

  it('a full disk: not saved, said; undo goes back to what is kept, and then it is saved', async () => {
    const { page } = await open('demo', '/settings')
    await saved(page)
    await page.evaluate(() => {
      // eslint-disable-next-line typescript/unbound-method -- it is called with what stands for `this`
      const put = IDBObjectStore.prototype.put
      Object.assign(window, { isFull: true })
      IDBObjectStore.prototype.put = function (...given) {
        if ((window as unknown as { isFull: boolean }).isFull)
          throw new DOMException('full', 'QuotaExceededError')
        return put.apply(this, given)
      }
    })
    const rigs = await keptRigs(page)
    await page.locator('input[type=file]').setInputFiles({
      name: 'more.drycount.json',
      mimeType: 'application/json',
      buffer: Buffer.from((await readFile(DEMO, 'utf8')).replace('"Family trailer"', '"Another"')),
    })
    await page.getByRole('button', { name: 'Add to what is here' }).click()
    await trouble(page).getByText('no room left on this device').waitFor()
    await page.getByTestId('file-message').getByText('shown, but not saved').waitFor()
    expect([await state(page), await keptRigs(page)]).toEqual(['not saved', rigs])
    await page.getByRole('button', { name: 'Undo: import' }).click()
    await saved(page)
    expect(await trouble(page).count()).toBe(0)
    await page.getByRole('button', { name: 'Redo: import' }).click()
    await trouble(page).waitFor()
    await page.evaluate(() => Object.assign(window, { isFull: false }))
    await trouble(page).getByRole('button', { name: 'Try again' }).click()
    await saved(page)
    expect(await keptRigs(page)).toBe(rigs + 1)
  })

  it('asks before it is closed while something is not written', async () => {
    const { page } = await open('demo', '/', ALONE)
    await saved(page)
    await page.evaluate(() => {
      IDBObjectStore.prototype.put = () => {
        throw new DOMException('full', 'QuotaExceededError')
      }
    })
    await page.getByRole('switch', { name: 'Wet, soap, rinse' }).click()
    await trouble(page).waitFor()
    const asked = page.waitForEvent('dialog')
    void page.close({ runBeforeUnload: true })
    expect((await asked).type()).toBe('beforeunload')
    await (await asked).accept()
  })

  it('deleted while it is open: said, and kept again with what is shown', async () => {
    const { page } = await open('demo')
    await page.getByRole('switch', { name: 'Wet, soap, rinse' }).click()
    await saved(page)
    const days = await dryDays(page)
    await page.evaluate(() => void indexedDB.deleteDatabase('dry-count-demo'))
    await trouble(page).getByText('was deleted while Dry Count was open').waitFor()
    expect(await state(page)).toBe('not saved')
    await trouble(page).getByRole('button', { name: 'Keep what I see' }).click()
    await saved(page)
    await page.reload()
    await expect.poll(() => dryDays(page)).toBe(days)
  })
})

describe('what was kept cannot be shown', () => {
  it('a damaged row, a newer application: in words, with every way out; deleting it only where it is ours', async () => {
    const { page } = await open('demo', '/stay')
    await saved(page)
    await byHand(page, 'rigs', 'trailer', ['entity', 'containers', '0', 'capacity', 'value'], 'much')
    await page.reload()
    const screen = page.getByTestId('trouble-screen')
    await screen.getByText('What this browser kept is damaged').waitFor()
    const download = page.waitForEvent('download')
    await screen.getByRole('button', { name: 'Take the data out as a file' }).click()
    const file = await readFile(await (await download).path(), 'utf8')
    expect(JSON.parse(file)).toMatchObject({
      format: 'dry-count/document',
      rigs: expect.arrayContaining([expect.objectContaining({ id: 'trailer' })]) as never,
    })
    await screen.locator('input[type=file]').setInputFiles(DEMO)
    await expect.poll(() => page.getByTestId('count-strip').count()).toBe(1)
    expect(await state(page)).toBe('not kept')
    // What is damaged is still there, untouched; leaving asks, since what is in memory goes.
    const leave = (dialog: Dialog) => void dialog.accept()
    page.on('dialog', leave)
    await page.reload()
    await screen.getByRole('button', { name: 'Delete it here and start again' }).click()
    await page.getByRole('dialog').getByRole('button', { name: 'Delete it' }).click()
    await expect.poll(() => screen.count()).toBe(0)
    await page.reload()
    await page.getByTestId('board').waitFor()

    await saved(page)
    await byHand(page, 'meta', 'documentVersion', ['value'], 99)
    await page.reload()
    await screen.getByText('A newer Dry Count has written it').waitFor()
    expect(await screen.getByRole('button', { name: /start again/ }).count()).toBe(0)
    await screen.getByRole('button', { name: 'Go on without saving' }).click()
    await trouble(page).getByText('does not save anything').waitFor()
    page.off('dialog', leave)
  })
})

describe('code that does not come', () => {
  it('without its workers everything is computed beside the screen, to the same numbers, and said', async () => {
    const { page } = await open('demo')
    const progress = (on: Page) => on.getByTestId('risk-progress').innerText()
    // The last of the waves, not the first that is shown.
    await expect.poll(() => progress(page), { timeout: 60_000 }).toContain('10,000 of 10,000')
    const right = await page.getByTestId('plan-on').innerText()
    const { page: without, context } = await open('demo', '/settings', ALONE)
    await context.route('**/job.worker*.js', (route) => route.abort())
    await without.goto(`${inject('demoUrl')}/?again#/`)
    await without.getByText('cannot count in the background').waitFor()
    await expect.poll(() => without.getByTestId('plan-on').innerText(), { timeout: 60_000 }).toBe(right)
    await expect.poll(() => progress(without), { timeout: 60_000 }).toContain('10,000 of 10,000')
  })

  it('a screen that cannot be loaded says so, and is tried again', async () => {
    const { page } = await open('demo')
    await page.getByTestId('plan-on').waitFor()
    let isBroken = true
    await page.route('**/StayPage*.js', (route) => (isBroken ? route.abort() : route.continue()))
    await page.getByRole('link', { name: 'Stay', exact: true }).first().click()
    const notice = page.getByTestId('notice')
    await notice.getByText('could not be loaded').waitFor()
    expect(await dryDays(page)).toBeGreaterThan(5)
    isBroken = false
    await notice.getByRole('button', { name: 'Try again' }).click()
    await page.getByTestId('board').waitFor()
    expect(await notice.count()).toBe(0)
    // A part of a screen: the count stands, its room is kept, and it is said.
    await saved(page)
    await page.route('**/CampHabits*.js', (route) => route.abort())
    await page.goto(page.url().replace(/#.*/, '?again#/'))
    await notice.getByText('could not be loaded').waitFor()
    expect(await dryDays(page)).toBeGreaterThan(5)
  })

  it('a demo that cannot be fetched is not waited for: it is said, and had again', async () => {
    const { page } = await open('mine', '/nowhere-yet', ALONE)
    let isBroken = true
    await page.route('**/demo-*.js', (route) => (isBroken ? route.abort() : route.continue()))
    await page.goto(`${inject('demoUrl')}/?fresh#/`)
    const notice = page.getByTestId('notice')
    await notice.getByText('could not be loaded').waitFor()
    expect(await page.getByTestId('count-days').count()).toBe(0)
    isBroken = false
    await notice.getByRole('button', { name: 'Try again' }).click()
    await page.getByTestId('count-days').waitFor()
    expect(await notice.count()).toBe(0)
  })

  inProof(
    'the heaviest valid file is counted in slices, with progress, and the screen goes on',
    async () => {
      const { page } = await open('mine', '/settings')
      await page.evaluate(() => {
        const watched = { longest: 0 }
        Object.assign(window, { watched })
        new PerformanceObserver((list) => {
          for (const { duration } of list.getEntries()) watched.longest = Math.max(watched.longest, duration)
        }).observe({ type: 'longtask' })
      })
      await page.locator('input[type=file]').setInputFiles({
        name: 'heavy.drycount.json',
        mimeType: 'application/json',
        buffer: Buffer.from(JSON.stringify({ ...heavyDocument(), log: [] })),
      })
      await page.getByTestId('counting').waitFor()
      // It answers while it counts.
      await page.getByRole('radio', { name: 'Night' }).click()
      await expect.poll(() => page.locator('html').getAttribute('data-theme')).toBe('dark')
      await expect.poll(() => page.getByTestId('count-strip').count(), { timeout: 60_000 }).toBe(1)
      const longest = await page.evaluate(
        () => (window as unknown as { watched: { longest: number } }).watched.longest,
      )
      console.log(`heaviest valid file: longest task ${longest.toFixed(0)} ms (18,000 before)`)
    },
    120_000,
  )
})

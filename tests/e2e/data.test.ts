import { appendFile, cp, mkdtemp, readFile, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Page } from 'playwright-core'
import { describe, expect, it } from 'vitest'
import { createServer } from '../../server/app'
import { dryDays, fold, saved, useBrowser } from './support/app'

const open = useBrowser({ isStanding: true })
const gray = (page: Page) => page.getByTestId('tank-gray').getByLabel('Holds')

describe('data that cannot be lost', () => {
  it('undoes and redoes across a reload, a drag as one step', async () => {
    const { page } = await open('demo')
    const first = await dryDays(page)
    await page.getByRole('switch', { name: 'Wet, soap, rinse' }).click()
    await expect.poll(() => dryDays(page)).toBeGreaterThan(first)
    const second = await dryDays(page)
    const post = page.getByRole('slider', { name: 'Gray, starting level' })
    for (let n = 0; n < 20; n++) await post.press('ArrowUp')
    await expect.poll(() => dryDays(page)).toBeLessThan(second)
    const third = await dryDays(page)
    await saved(page)
    await page.reload()
    await expect.poll(() => dryDays(page)).toBe(third)
    await page.getByRole('button', { name: 'Undo: level' }).click()
    await expect.poll(() => dryDays(page)).toBe(second)
    await page.keyboard.press('Control+Z')
    await expect.poll(() => dryDays(page)).toBe(first)
    await saved(page)
    await page.reload()
    await page.getByRole('button', { name: 'Redo: habit' }).click()
    await expect.poll(() => dryDays(page)).toBe(second)
    await page.keyboard.press('Control+Shift+Z')
    await expect.poll(() => dryDays(page)).toBe(third)
  })

  it('shows two tabs each other’s edits, and keeps both', async () => {
    const { page, context } = await open('demo', '/rig')
    await saved(page)
    const other = await context.newPage()
    await other.goto(page.url())
    await gray(other).waitFor()
    await gray(page).fill('150')
    await expect.poll(() => gray(other).inputValue()).toBe('150')
    await other.getByTestId('tank-black').getByLabel('Holds').fill('99')
    await expect.poll(() => page.getByTestId('tank-black').getByLabel('Holds').inputValue()).toBe('99')
    expect(await gray(page).inputValue()).toBe('150')
    await saved(other)
    expect(await other.getByTestId('count-strip').innerText()).toBe(
      await page.getByTestId('count-strip').innerText(),
    )
  })

  it('replaces or adds a file, and undoes either', async () => {
    const { page } = await open('demo', '/settings')
    await saved(page)
    const file = await readFile('demo/harrow-ridge-trailer.drycount.json', 'utf8')
    const larger = file.replace('"Family trailer"', '"Long trailer"').replace('"value": 210', '"value": 400')
    const offer = () =>
      page.locator('input[type=file]').setInputFiles({
        name: 'larger.drycount.json',
        mimeType: 'application/json',
        buffer: Buffer.from(larger),
      })
    const strip = () => page.getByTestId('count-strip').innerText()
    const before = await strip()
    await offer()
    await page.getByRole('button', { name: 'Leave it' }).last().click()
    expect(await strip()).toBe(before)
    await offer()
    await page.getByRole('button', { name: 'Add to what is here' }).click()
    await expect.poll(strip).not.toBe(before)
    const added = await strip()
    await page.getByRole('link', { name: 'Stay', exact: true }).first().click()
    await expect.poll(() => page.getByLabel('Stay', { exact: true }).locator('option').count()).toBe(4)
    await page.getByRole('button', { name: 'Undo: import' }).click()
    await expect.poll(strip).toBe(before)
    await expect.poll(() => page.getByLabel('Stay', { exact: true }).locator('option').count()).toBe(3)
    await page.getByRole('link', { name: 'Settings' }).first().click()
    await offer()
    await page.getByRole('button', { name: 'Replace what is here' }).click()
    await expect.poll(strip).toBe(added)
    await page.keyboard.press('Control+Z')
    await expect.poll(strip).toBe(before)
  })

  it('offers a newer version and forces it on nobody; after one visit it works whole with the server gone', async () => {
    const root = await mkdtemp(join(tmpdir(), 'dry-count-update-'))
    await cp(new URL('../../dist', import.meta.url).pathname, root, { recursive: true })
    for (const twin of ['sw.js.br', 'sw.js.gz']) await rm(join(root, twin), { force: true })
    const server = await createServer({ root, demo: true })
    const url = await server.listen({ port: 0, host: '127.0.0.1' })
    const { page } = await open('demo', '/', { isAlone: true, serviceWorkers: 'allow', at: url })
    await saved(page)
    await page.evaluate(() => navigator.serviceWorker.ready)
    await page.reload()
    await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true)
    await page.getByTestId('count-days').waitFor()
    await appendFile(join(root, 'sw.js'), '\n// newer\n')
    await page.evaluate(async () => {
      await (await navigator.serviceWorker.getRegistration())?.update()
    })
    const notice = page.getByText('A newer Dry Count is ready.')
    await notice.waitFor()
    const first = await dryDays(page)
    await page.getByRole('switch', { name: 'Half the showers' }).click()
    await expect.poll(() => dryDays(page)).toBeGreaterThan(first)
    await page.getByRole('button', { name: 'Later' }).click()
    expect(await notice.count()).toBe(0)
    await page.reload()
    await notice.waitFor()
    await page.evaluate(() => void (document.title = 'the page of the older version'))
    await page.getByRole('button', { name: 'Use it now' }).click()
    // It is there when the page has come again: going elsewhere before that would be crossed by its coming.
    await expect
      .poll(() =>
        page.evaluate(async () => [
          document.readyState === 'complete' && document.title !== 'the page of the older version',
          (await navigator.serviceWorker.getRegistration())?.waiting === null,
        ]),
      )
      .toEqual([true, true])

    // Typed addresses, charts, the guide and cards too.
    const typed = async () => {
      await page.goto(`${url}/rig/gray-to-black`)
      await page.getByRole('heading', { level: 1, name: 'Gray to black' }).waitFor()
      expect(page.url()).toBe(`${url}/#/rig/gray-to-black`)
    }
    await typed()
    await server.close()
    await rm(root, { recursive: true })
    await typed()
    await page.goto(`${url}/#/`)
    await page.reload()
    const before = await dryDays(page)
    await page.getByTestId('habit-wet-soap-rinse').getByRole('switch').click()
    await expect.poll(() => dryDays(page)).toBeGreaterThan(before)
    for (const [name, heading] of [
      ['Stay', 'Levels and their ranges'],
      ['Rig', 'Tanks'],
      ['Settings', 'Your data'],
    ] as const) {
      await page.getByRole('link', { name, exact: true }).first().click()
      await page.getByRole('heading', { name: heading }).waitFor()
    }
    await page.goto(`${url}/#/stay`)
    await fold(page, 'chart').click()
    await page.locator('[data-testid=plot] svg').first().waitFor()
    const fonts = await page.evaluate(() =>
      document.fonts.ready.then(() => [...document.fonts].filter(({ status }) => status === 'loaded').length),
    )
    expect(fonts).toBeGreaterThan(0)
    // A screen that was never open before, and a card.
    await page.evaluate(() => void (location.hash = '#/guide'))
    await page.getByTestId('guide-search').fill('septic')
    await expect.poll(() => page.getByTestId('guide-found').innerText()).toContain('septic tank')
    await page.evaluate(() => void (location.hash = '#/cards/dump/outlet'))
    await page.getByTestId('start-card').waitFor()
  })
})

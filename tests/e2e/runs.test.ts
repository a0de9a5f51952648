import type { Locator, Page } from 'playwright-core'
import { describe, expect, it } from 'vitest'
import { isThorough } from '../support/thorough'
import { atRest, dryDays, fold, goTo, saved, staysOffered, useBrowser } from './support/app'

const open = useBrowser({ isStanding: true })
const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true }
const posts = (page: Page) => page.locator('[data-testid^=post-]')

/** Two taps make a usual run. */
async function add(page: Page, usual: string, tap: (on: Locator) => Promise<void> = (on) => on.click()) {
  await tap(page.getByRole('button', { name: 'Add a run' }))
  await tap(page.getByTestId(`usual-${usual}`))
  await page.getByTestId(`usual-${usual}`).waitFor({ state: 'detached' })
}

/** The section may be closed on a first visit. */
async function opened(page: Page, section: string): Promise<void> {
  const button = fold(page, section)
  if ((await button.getAttribute('aria-expanded')) === 'false') await button.click()
}

describe('runs', () => {
  it('by touch: each of the three demo stays is made to hold by runs set by hand', async () => {
    const { page, noise } = await open('demo', '/stay?show=which', PHONE)
    const needed = [
      ['Harrow Ridge', ['move-dump-fill', 'move-dump-fill']],
      ['Low Meadow', ['empty-cassette', 'move-dump-fill']],
      ['Ridge season', ['move-dump-fill', 'empty-jug']],
    ] as const
    const stays = await staysOffered(page)
    expect(stays).toHaveLength(3)
    // One of them in every run.
    for (const [k, [, runs]] of needed.entries()) {
      if (k > 0 && !isThorough) continue
      await page.evaluate(() => void (location.hash = '#/stay?show=which'))
      await page.getByLabel('Stay', { exact: true }).selectOption({ label: stays[k]! })
      await page.getByRole('navigation').last().getByRole('link', { name: 'Runs' }).tap()
      await page.getByText('A run dumps, refills or carries').waitFor()
      await page.getByTestId('stay-plan-on').getByText('Less than 1 in 100 trips make all').waitFor()
      const held = async () =>
        Number(/(\d+) in 100 trips/.exec(await page.getByTestId('stay-plan-on').innerText())?.[1] ?? 0)
      for (const [n, run] of runs.entries()) {
        await page.waitForTimeout(800)
        await add(page, run, (on) => on.tap())
        await expect.poll(() => page.locator('[data-testid^=run-run]').count()).toBe(n + 1)
      }
      // Without them, less than one trip in a hundred; with them most.
      await expect.poll(held).toBeGreaterThan(50)
      await expect
        .poll(() => page.getByTestId('count-dry').innerText())
        .toMatch(/^Without (it|them): .*in 100, and \d+\.\d days to plan on\.$/)
      await saved(page)
    }
    // A finger drags a run a day on, and the page stays where it is.
    await page.getByRole('navigation').last().getByRole('link', { name: 'Stay' }).tap()
    const post = posts(page).first()
    await post.scrollIntoViewIfNeeded()
    const label = await post.getAttribute('aria-label')
    const box = await atRest(post)
    const touch = await page.context().newCDPSession(page)
    const at = (x: number) => [{ x, y: box.y + box.height / 2 }]
    await touch.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: at(box.x + 20) })
    for (const step of [10, 30, 60, 90])
      await touch.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: at(box.x + 20 - step) })
    await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
    await expect.poll(() => posts(page).first().getAttribute('aria-label')).not.toBe(label)
    expect(noise).toEqual([])
  })

  it('on the board: dragged to a time that is impossible, it says why and offers the nearest; keys, copies, undo', async () => {
    const { page, noise } = await open('demo', '/stay')
    await page.getByTestId('board').waitFor()
    const average = () => page.getByTestId('count-strip').innerText()
    const dry = await average()
    await add(page, 'gray-to-black')
    await expect.poll(() => posts(page).count()).toBe(1)
    await expect.poll(average).not.toBe(dry)
    const holds = await average()
    const post = posts(page).first()
    const label = await post.getAttribute('aria-label')
    // Dragged to the evening of the first day, where gray stands no higher than black.
    await post.scrollIntoViewIfNeeded()
    const box = await atRest(post)
    const first = (await page.locator('[data-testid=cell-gray-0]').boundingBox())!
    await page.mouse.move(box.x + 20, box.y + 20)
    await page.mouse.down()
    for (let x = box.x + 20; x > first.x + 0.62 * first.width + 20; x -= 40)
      await page.mouse.move(x, box.y + 20)
    await page.mouse.move(first.x + 0.5 * first.width + 20, box.y + 20)
    await page.mouse.up()
    await page.getByText('Gray is not higher than black by then').first().waitFor()
    await expect.poll(average).toBe(dry)
    const nearest = page.getByTestId('nearest').first()
    await nearest.waitFor()
    expect(await nearest.innerText()).toMatch(/^Put it on \w+ \d+ Sept, \w+$/)
    await nearest.click()
    await expect.poll(() => page.getByText('Gray is not higher').count()).toBe(0)
    // Undo: the nearest, then the drag as one step.
    await page.getByRole('button', { name: 'Undo: run' }).click()
    await page.getByText('Gray is not higher than black by then').first().waitFor()
    await page.getByRole('button', { name: 'Undo: run' }).click()
    await expect.poll(() => posts(page).first().getAttribute('aria-label')).toBe(label)
    await expect.poll(average).toBe(holds)
    // By keyboard: a part earlier and back; opened, set again every third day, undone, taken away.
    await posts(page).first().focus()
    await page.keyboard.press('ArrowLeft')
    await expect.poll(() => posts(page).first().getAttribute('aria-label')).not.toBe(label)
    await page.keyboard.press('ArrowRight')
    await expect.poll(() => posts(page).first().getAttribute('aria-label')).toBe(label)
    await page.keyboard.press('Enter')
    const dialog = page.getByTestId('run-dialog')
    await dialog.getByRole('button', { name: 'Every third day from here' }).click()
    await page.keyboard.press('Escape')
    await expect.poll(() => posts(page).count()).toBeGreaterThan(2)
    await page.getByRole('button', { name: 'Undo: run' }).click()
    await expect.poll(() => posts(page).count()).toBe(1)
    await posts(page).first().focus()
    await page.keyboard.press('Delete')
    await expect.poll(() => posts(page).count()).toBe(0)
    await expect.poll(average).toBe(dry)
    expect(noise).toEqual([])
  })

  it('a place that takes no black says so and offers one that does; a side taken moves the sums; why, cost, log', async () => {
    const { page, noise } = await open('demo', '/runs')
    await add(page, 'move-dump-fill')
    const card = page.locator('[data-testid^=run-run]').first()
    await expect.poll(() => card.getByTestId('run-does').innerText()).toMatch(/Black \d+\sL → 6\sL/)
    await card.getByRole('button', { name: /^Change Move to dump/ }).click()
    const dialog = page.getByTestId('run-dialog')
    await dialog.getByLabel('Where').selectOption({ label: 'Tern Hollow, free drain' })
    await dialog.getByText('Tern Hollow, free drain takes no black.').waitFor()
    await dialog.getByText('not for drinking').first().waitFor()
    await dialog.getByRole('button', { name: 'Go to Sallow Mill station instead' }).click()
    await expect.poll(() => dialog.getByText('takes no black').count()).toBe(0)
    await dialog.getByLabel('Fee').fill('12')
    await dialog.getByLabel('Fee').press('Enter')
    // Bad input changes nothing and stays typed.
    await dialog.getByLabel('Minutes in all').fill('two hours')
    await dialog.getByLabel('Minutes in all').press('Enter')
    await dialog.getByText('is not a number').waitFor()
    expect(await dialog.getByLabel('Minutes in all').inputValue()).toBe('two hours')
    await page.keyboard.press('Escape')
    await expect.poll(() => card.getByTestId('run-takes').innerText()).toContain('fee 12')
    await opened(page, 'cost')
    expect(await page.getByTestId('cost-total').innerText()).toMatch(/In all\s+2\.4\s*h\s+36\s*km\s+12/)
    // A fifth of the tank after every dump, chosen once.
    await page.getByRole('link', { name: 'Your way of doing it' }).click()
    await opened(page, 'dump')
    await page
      .getByTestId('question-charge')
      .getByRole('radio', { name: /^A fifth of the tank/ })
      .click()
    await goTo(page, 'Runs')
    await expect.poll(() => card.getByTestId('run-does').innerText()).toMatch(/Black \d+\sL → 26\sL/)
    await page.getByRole('button', { name: 'Undo: way of doing it' }).click()
    await expect.poll(() => card.getByTestId('run-does').innerText()).toMatch(/Black \d+\sL → 6\sL/)
    // The sum of a level names the run.
    await goTo(page, 'Stay')
    await page.getByTestId('cell-gray-9').click()
    await page.getByTestId('why-run').getByText('Move to dump and fill').waitFor()
    await page.keyboard.press('Escape')
    // What there is at the site.
    await opened(page, 'site')
    await page.getByLabel('Nights allowed here, 0 if no limit is known').fill('10')
    await page.getByLabel('Nights allowed here, 0 if no limit is known').press('Enter')
    await expect
      .poll(() => page.getByTestId('answer-site').innerText())
      .toBe('You plan 12 nights; 10 are allowed.')
    await page.getByLabel('Water', { exact: true }).selectOption('tap')
    await goTo(page, 'Runs')
    await page.getByRole('button', { name: 'Add a run' }).click()
    await page.getByTestId('usual-restock').waitFor()
    await saved(page)
    expect(noise).toEqual([])
  })

  it('under way a run that was done goes into the log, and the count goes on from there', async () => {
    const { page } = await open('demo', '/runs', { clock: null })
    await add(page, 'tote-loads')
    const card = page.locator('[data-testid^=run-run]').first()
    await card.waitFor()
    // Brought to this afternoon by hand.
    while ((await card.getByRole('button', { name: 'Done: into the log' }).count()) === 0)
      await card.getByRole('button', { name: 'Earlier' }).click()
    await goTo(page, 'Camp')
    const before = await dryDays(page)
    await goTo(page, 'Runs')
    await card.getByRole('button', { name: 'Done: into the log' }).click()
    await expect.poll(() => page.locator('[data-testid^=run-run]').count()).toBe(0)
    await goTo(page, 'Camp')
    await expect.poll(() => dryDays(page)).toBeGreaterThan(before - 1)
    await goTo(page, 'Log')
    const rows = page.getByTestId('log-list').getByText('emptied').filter({ visible: true })
    await rows.first().waitFor()
  })
})

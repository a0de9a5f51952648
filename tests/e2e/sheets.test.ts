import type { Page } from 'playwright-core'
import { describe, expect, it } from 'vitest'
import { useBrowser } from './support/app'

const open = useBrowser({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
const at = (page: Page) => page.evaluate(() => location.hash)
const dialog = (page: Page) => page.getByRole('dialog')
/** The dialog itself has no size: its title is what can be seen. */
const title = (page: Page) => dialog(page).getByRole('heading').first()

describe('a sheet and the way back', () => {
  it('Back closes a sheet and nothing else, also the first thing after opening; then it leaves as it would have', async () => {
    const { page, noise } = await open('demo', '/log', { clock: null })
    await page.evaluate(() => void (location.hash = '/chores'))
    await page.getByTestId('chores').waitFor()
    const add = page.getByRole('button', { name: 'A chore of your own' })
    await add.click()
    await title(page).waitFor()
    await page.goBack()
    await dialog(page).waitFor({ state: 'detached' })
    expect(await at(page)).toBe('#/chores')
    // Closed by its button it leaves nothing that Back would have to be pressed twice for.
    for (let n = 0; n < 3; n++) {
      await add.click()
      await dialog(page).getByRole('button', { name: 'Close', exact: true }).click()
      await dialog(page).waitFor({ state: 'detached' })
    }
    await page.goBack()
    await expect.poll(() => at(page)).toBe('#/log')
    await page.getByTestId('log-list').waitFor()
    // Forward and back again: as without any sheet.
    await page.goForward()
    await expect.poll(() => at(page)).toBe('#/chores')
    await page.goBack()
    await expect.poll(() => at(page)).toBe('#/log')
    // A screen that is reached from a sheet is left by one Back as well.
    await page.evaluate(() => void (location.hash = '/more'))
    await page.getByTestId('more-find').click()
    await page.getByTestId('find-text').fill('habits')
    await page.keyboard.press('Enter')
    await expect.poll(() => at(page)).toBe('#/habits')
    await page.goBack()
    await expect.poll(() => at(page)).toBe('#/more')
    expect(await dialog(page).count()).toBe(0)
    await page.goBack()
    await expect.poll(() => at(page)).toBe('#/log')
    expect(noise).toEqual([])
  })

  it('what was tapped on the panel is asked about before it is lost, whichever way the sheet is closed', async () => {
    const { page } = await open('demo', '/', { clock: null })
    await page.getByTestId('key-panel').click()
    const panel = page.getByTestId('panel-form')
    const lit = panel.getByTestId('read-gray').getByRole('button').nth(1)
    await lit.click()
    const ask = page.getByTestId('unsaved')
    for (const leave of [
      () => page.goBack(),
      () => page.keyboard.press('Escape'),
      () => dialog(page).getByRole('button', { name: 'Close', exact: true }).click(),
    ]) {
      await leave()
      await ask.getByText('This is not logged yet.').waitFor()
      await ask.getByRole('button', { name: 'Go on with it' }).click()
      await ask.waitFor({ state: 'detached' })
      expect(await lit.getAttribute('aria-pressed')).toBe('true')
    }
    await page.goBack()
    await ask.getByRole('button', { name: 'Discard it' }).click()
    await panel.waitFor({ state: 'detached' })
    // Nothing was touched: nothing is asked.
    await page.getByTestId('key-panel').click()
    await panel.waitFor()
    await page.goBack()
    await panel.waitFor({ state: 'detached' })
    expect(await at(page)).toBe('#/')
  })

  it('what was typed in a sheet that saves as it goes is there after Back', async () => {
    const { page } = await open('demo', '/runs')
    await page.getByRole('button', { name: 'Add a run' }).click()
    await page.getByTestId('usual-move-dump-fill').click()
    const change = page.getByRole('button', { name: /^Change Move to dump/ }).first()
    await change.click()
    await dialog(page).getByLabel('What it is called').fill('To the spring')
    await page.goBack()
    await title(page).waitFor({ state: 'detached' })
    await page
      .getByRole('button', { name: /^Change To the spring/ })
      .first()
      .waitFor()
  })
})

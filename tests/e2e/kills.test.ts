import type { Page } from 'playwright-core'
import { expect, it } from 'vitest'
import { often } from '../support/thorough'
import { saved, useBrowser } from './support/app'

const open = useBrowser({ isAlone: true })
const gray = (page: Page) => page.getByTestId('tank-gray').getByLabel('Holds')
const KILLS = often(2, 200)

/** In the page: types 1 L more again and again, and tells what the page itself calls saved; the crash comes in between. */
function typeOnAndOn(from: number): void {
  const field = document.querySelector<HTMLInputElement>('[data-testid=tank-gray] input[inputmode=decimal]')!
  const state = document.querySelector('[data-testid=saved]')!
  new MutationObserver(() => {
    if (state.textContent === 'saved')
      (window as unknown as { confirm: (litres: number) => void }).confirm(Number(field.value))
  }).observe(state, { childList: true, characterData: true, subtree: true })
  let next = from
  const type = () => {
    field.value = String((next += 1))
    field.dispatchEvent(new Event('input', { bubbles: true }))
    // Five in a row, then long enough for a breath of 'saved'.
    if (next % 5 === 0) field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }))
    setTimeout(type, next % 5 === 0 ? 400 : 9)
  }
  type()
}

it(`loses nothing that was shown as saved in ${KILLS} kills at random moments`, async () => {
  const { page: first, context } = await open('demo', '/rig')
  await saved(first)
  const url = first.url()
  const begin = Number(await gray(first).inputValue())
  await first.close()
  let confirmed = begin
  for (let kill = 0; kill < KILLS; kill++) {
    const page = await context.newPage()
    await page.exposeFunction('confirm', (litres: number) => (confirmed = Math.max(confirmed, litres)))
    await page.goto(url)
    await gray(page).waitFor()
    const kept = Number(await gray(page).inputValue())
    expect(kept).toBeGreaterThanOrEqual(confirmed)
    await page.evaluate(typeOnAndOn, kept)
    const before = confirmed
    await expect
      .poll(() => confirmed, { message: `kill ${kill}`, timeout: 30_000, interval: 10 })
      .toBeGreaterThan(before)
    await page.waitForTimeout((kill * 37) % 300)
    const session = await context.newCDPSession(page)
    await Promise.race([session.send('Page.crash').catch(() => undefined), page.waitForEvent('crash')])
    await page.close()
  }
  const last = await context.newPage()
  await last.goto(url)
  await gray(last).waitFor()
  expect(Number(await gray(last).inputValue())).toBeGreaterThanOrEqual(confirmed)
  await context.close()
  const edits = confirmed - begin
  console.log(`${KILLS} kills, ${edits} edits confirmed, none lost`)
  expect(edits).toBeGreaterThan(KILLS)
}, 1_200_000)

it('a walk and a shower that were under way are so after a kill: the step that was shown, the clock that ran', async () => {
  const { page: first, context } = await open('demo', '/cards/dump', { clock: null })
  const url = first.url().split('#')[0]!
  const at = (page: Page, hash: string) => page.evaluate((to) => void (location.hash = to), hash)
  await first.getByTestId('start-card').click()
  await first.getByTestId('walk').waitFor()
  let page = first
  for (let kill = 0; kill < often(2, 8); kill++) {
    await page.getByTestId('walk').waitFor()
    const next = page.getByTestId('walk-next')
    const before = await page.getByTestId('walk').getAttribute('data-step')
    const box = (await next.boundingBox())!
    await page.mouse.move(box.x + 60, box.y + 30)
    await page.mouse.down()
    await page.waitForTimeout(900)
    await page.mouse.up()
    const step = () => page.getByTestId('walk').getAttribute('data-step')
    await expect.poll(step).not.toBe(before)
    const shown = await step()
    if (kill === 0) {
      await at(page, '/shower')
      await page.getByTestId('timer-start').click()
      await page.getByTestId('timer').waitFor()
    }
    // What is kept is on the disk a breath after it is shown.
    await page.waitForTimeout(200)
    const session = await context.newCDPSession(page)
    await Promise.race([session.send('Page.crash').catch(() => undefined), page.waitForEvent('crash')])
    await page.close()
    page = await context.newPage()
    await page.goto(`${url}#/walk`)
    await page.getByTestId('walk').waitFor()
    expect(await page.getByTestId('walk').getAttribute('data-step')).toBe(shown)
  }
  await at(page, '/shower')
  await page.getByTestId('timer').waitFor()
  await context.close()
}, 300_000)

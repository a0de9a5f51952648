import type { Page } from 'playwright-core'
import { expect, it } from 'vitest'
import { often } from '../support/thorough'
import { saved, useBrowser } from './support/app'

const open = useBrowser({ isAlone: true })
const gray = (page: Page) => page.getByTestId('tank-gray').getByLabel('Holds')
const KILLS = often(3, 200)

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

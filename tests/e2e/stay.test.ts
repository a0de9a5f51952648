import type { Page } from 'playwright-core'
import { describe, expect, it } from 'vitest'
import { inProof } from '../support/thorough'
import { fold, useBrowser } from './support/app'

const open = useBrowser({ isStanding: true })
const strip = (page: Page) => page.getByTestId('count-strip').innerText()
const days = async (page: Page) => Number.parseFloat(/average ([\d.]+)/.exec(await strip(page))?.[1] ?? '')

describe('the board', () => {
  it('shows the stop inside its day, and walks by keyboard to a level whose sum it explains', async () => {
    const { page, noise } = await open('demo', '/stay')
    const cell = page.getByTestId('cell-gray-6')
    await cell.waitFor()
    const [stop, box] = [(await page.getByTestId('board-stop').boundingBox())!, (await cell.boundingBox())!]
    expect(stop.x).toBeGreaterThan(box.x)
    expect(stop.x).toBeLessThan(box.x + box.width)
    expect(await cell.getAttribute('aria-label')).toMatch(
      /Gray, end of Fri 17 Sept: 204\sL\. 14\.9\sL past what is safe/,
    )

    await page.getByTestId('cell-fresh-0').focus()
    for (const key of ['ArrowDown', 'ArrowRight', 'ArrowRight', 'Enter']) await page.keyboard.press(key)
    const why = page.getByTestId('why')
    await why.waitFor()
    await page.getByRole('heading', { name: 'Gray at the end of Mon 13 Sept' }).waitFor()
    const terms = await why.getByTestId('why-term').allInnerTexts()
    const litres = (text: string) => Number(/([+−])\s([\d.]+)/.exec(text)![2]) * (text.includes('−') ? -1 : 1)
    const total = Number.parseFloat((await why.getByTestId('why-total').innerText()).replace(/[^\d.]/g, ''))
    const sum = 3 + terms.map((text) => litres(text.slice(text.lastIndexOf('\n')))).reduce((a, b) => a + b, 0)
    expect(Math.abs(sum - total)).toBeLessThan(1.5)
    await page.keyboard.press('Escape')
    await expect
      .poll(() => page.evaluate(() => (document.activeElement as HTMLElement).dataset.testid))
      .toBe('cell-gray-2')
    expect(noise).toEqual([])
  })

  it('takes somebody out of a part of a day, and puts them back', async () => {
    const { page } = await open('demo', '/stay')
    const stroke = page.getByRole('checkbox', { name: 'Wren there, Sun 12 Sept, evening' })
    await stroke.waitFor()
    const before = await page.getByTestId('cell-gray-1').getAttribute('aria-label')
    await stroke.click()
    await expect.poll(() => page.getByTestId('cell-gray-1').getAttribute('aria-label')).not.toBe(before)
    expect(await stroke.getAttribute('aria-checked')).toBe('false')
    await stroke.press('Space')
    await expect.poll(() => page.getByTestId('cell-gray-1').getAttribute('aria-label')).toBe(before)
  })

  it('edits the days of a habit by drag and by keyboard, adds one and takes it off', async () => {
    const { page } = await open('demo', '/stay')
    await page.getByTestId('board').waitFor()
    const bare = await days(page)
    await page.getByRole('combobox', { name: 'Add a habit…' }).selectOption({ label: 'Half the showers' })
    await expect.poll(() => days(page)).toBeGreaterThan(bare)
    const whole = await days(page)
    const first = page.getByRole('slider', { name: 'Half the showers: first day' })
    for (let n = 0; n < 4; n++) await first.press('ArrowRight')
    expect(await first.getAttribute('aria-valuetext')).toBe('Wed 15 Sept')
    await expect.poll(() => days(page)).toBeLessThan(whole)
    const later = await days(page)
    await first.scrollIntoViewIfNeeded()
    const [grip, day] = [(await first.boundingBox())!, (await page.getByTestId('cell-gray-1').boundingBox())!]
    await page.mouse.move(grip.x + 8, grip.y + 20)
    await page.mouse.down()
    await page.mouse.move(day.x + 4, grip.y + 20, { steps: 6 })
    await page.mouse.up()
    expect(await first.getAttribute('aria-valuetext')).toBe('Sun 12 Sept')
    await expect.poll(() => days(page)).toBeGreaterThan(later)
    await page.getByRole('button', { name: 'Half the showers: off' }).click()
    await expect.poll(() => days(page)).toBe(bare)
  })

  inProof('holds fifty-nine nights on a phone, with touch', async () => {
    const { page } = await open('demo', '/stay', { viewport: { width: 390, height: 844 }, hasTouch: true })
    await page.getByTestId('board').waitFor()
    await page.getByLabel('Leave', { exact: true }).fill('2027-11-09T11:00')
    await expect.poll(() => page.getByTestId(/^cell-gray-/).count()).toBe(60)
    await page.getByTestId('cell-gray-59').scrollIntoViewIfNeeded()
    await page.getByTestId('cell-gray-59').tap()
    await page.getByRole('heading', { name: 'Gray at the end of Tue 9 Nov' }).waitFor()
  })
})

describe('why', () => {
  it('is answered for the count, a tank, a habit and a use, and leads to the number behind it', async () => {
    const { page } = await open('demo')
    await page.getByRole('button', { name: 'Why?', exact: true }).click()
    const total = page.getByTestId('why-total')
    expect(await total.innerText()).toMatch(/safe fill\s*189/)
    await page.getByTestId('why-term').first().click()
    await page.getByRole('link', { name: 'Change Water per use' }).first().click()
    await page.waitForURL(/#\/stay\?show=use-shower/)
    const field = page.getByTestId('use-shower').getByLabel('Water per use')
    await expect.poll(() => field.isVisible()).toBe(true)
    await expect
      .poll(() =>
        page.evaluate(() => document.activeElement?.closest('[data-testid]')?.getAttribute('data-testid')),
      )
      .toBe('use-shower')
    await page.getByRole('button', { name: /Shower: water in a day/ }).click()
    await total.waitFor()
    expect(await page.getByTestId('why').innerText()).toContain('Wren a day')
    await page.keyboard.press('Escape')
    await page.goto(`${page.url().split('#')[0]!}#/`)
    await page.getByRole('button', { name: /What “Wet, soap, rinse” buys/ }).click()
    expect(await total.innerText()).toMatch(/Bought\s*\+\d\.\d days/)
  })

  it('names the hot days and what they add, leads to each, and takes what this crew does in heat', async () => {
    const { page } = await open('demo', '/stay')
    const warmest = page.getByLabel('Warmest, Mon 13')
    const average = () => page.getByTestId('count-strip').innerText()
    const mild = await average()
    await warmest.fill('41')
    await warmest.blur()
    await expect.poll(average).not.toBe(mild)
    await page.getByTestId('cell-gray-3').click()
    const why = page.getByTestId('why')
    const shower = why.getByTestId('why-term').filter({ hasText: 'Shower' })
    await shower.click()
    expect(await shower.innerText()).toMatch(
      /Warmest, Mon 13\s*41\s°C[\s\S]*Heat counts from\s*25\s°C[\s\S]*Showers more in heat\s*10 %/,
    )
    expect(await why.getByTestId('why-term').filter({ hasText: 'Dishes' }).innerText()).not.toContain('Heat')
    await page.getByRole('link', { name: 'Change Warmest, Mon 13' }).click()
    await expect
      .poll(() =>
        page.evaluate(() => document.activeElement?.closest('[data-anchor]')?.getAttribute('data-anchor')),
      )
      .toBe('board-weather')
    // A crew that minds no heat: the hot day changes nothing any more.
    const from = page.getByLabel('Heat counts from')
    await from.fill('45')
    await from.blur()
    await expect.poll(average).toBe(mild)
    await page.getByRole('button', { name: 'Undo' }).first().click()
    await expect.poll(average).not.toBe(mild)
    expect(await from.inputValue()).toBe('25')
  })
})

describe('levels over the stay', () => {
  it('are drawn only when asked for, with a sentence and a table beside them', async () => {
    const { page } = await open('demo', '/stay', { isStanding: false })
    await page.getByTestId('board').waitFor()
    const loaded = () =>
      page.evaluate(() =>
        performance.getEntriesByType('resource').some(({ name }) => name.includes('plotly')),
      )
    expect(await loaded()).toBe(false)
    await fold(page, 'chart').click()
    await page.locator('[data-testid=plot] svg').first().waitFor()
    expect(await loaded()).toBe(true)
    expect(await page.getByTestId('chart-sentence').innerText()).toMatch(
      /^On average Gray reaches its limit first, Friday 17 September, evening; then Fresh after 6\.5 days, Black after 8\.1 days\. /,
    )
    await page.getByText('The same as a table').click()
    expect(await page.getByRole('region', { name: 'The same as a table' }).locator('tbody tr').count()).toBe(
      12,
    )
  })
})

describe('several stays, crews and rigs', () => {
  it('are copied, switched and removed', async () => {
    const { page } = await open('demo', '/stay')
    await page.getByTestId('board').waitFor()
    const before = await strip(page)
    await page.getByRole('button', { name: 'Copy Stay' }).click()
    await expect
      .poll(() => page.getByLabel('Name of the stay').inputValue())
      .toBe('Harrow Ridge raptor count, copy')
    await page.getByRole('button', { name: 'Copy Rig of this stay' }).click()
    await page.getByRole('link', { name: 'Rig', exact: true }).first().click()
    await page.getByTestId('tank-gray').getByLabel('Holds').fill('60')
    await expect.poll(() => strip(page)).not.toBe(before)
    const small = await strip(page)
    await page.getByRole('link', { name: 'Stay', exact: true }).first().click()
    const stays = page.getByLabel('Stay', { exact: true })
    await stays.selectOption({ label: 'Harrow Ridge raptor count' })
    await expect.poll(() => strip(page)).toBe(before)
    await stays.selectOption({ label: 'Harrow Ridge raptor count, copy' })
    await expect.poll(() => strip(page)).toBe(small)
    await page.getByRole('button', { name: 'Remove Stay' }).click()
    await expect.poll(() => strip(page)).toBe(before)
    await page.getByRole('button', { name: 'Undo: removal' }).click()
    await expect.poll(() => strip(page)).toBe(small)
  })

  it('says beside the field what is impossible in a stay, and keeps the last good count', async () => {
    const { page } = await open('demo', '/stay')
    await page.getByTestId('board').waitFor()
    // Typed at once: the rules may still be on their way.
    const before = await strip(page)
    await page.getByLabel('Leave', { exact: true }).fill('2027-09-01T11:00')
    await expect.poll(() => page.getByRole('alert').innerText()).toContain('You leave before you arrive')
    expect(await page.getByLabel('Leave', { exact: true }).inputValue()).toBe('2027-09-01T11:00')
    await page.getByLabel('Leave', { exact: true }).fill('2027-09-23T11:00')
    await expect.poll(() => page.getByRole('alert').count()).toBe(0)
    for (const name of ['Maren', 'Tobin']) await page.getByRole('button', { name: `Remove ${name}` }).click()
    expect(await page.getByRole('button', { name: 'Remove Wren' }).isDisabled()).toBe(true)
    await page.getByLabel('Name of the stay').fill('<b>bold</b>')
    expect(await page.getByRole('alert').innerText()).toContain('plain text')
    await page.getByTestId('use-dishes').getByLabel('Water per use').fill('1e9')
    expect(await page.getByTestId('use-dishes').getByRole('alert').innerText()).toContain(
      'Still counting with 4.5',
    )
    expect(await strip(page)).not.toBe(before)
  })
})

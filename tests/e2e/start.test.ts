import { describe, expect, it } from 'vitest'
import type { Page } from 'playwright-core'
import { dryDays, saved, useBrowser, goTo } from './support/app'

const open = useBrowser()

/** Tab until the focused control has this name. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  for (let presses = 0; presses < 60; presses++) {
    await page.keyboard.press('Tab')
    const focused = await page.evaluate(() => {
      const element = document.activeElement as HTMLElement | null
      const label = element?.id ? document.querySelector(`label[for="${element.id}"]`)?.textContent : null
      return element?.getAttribute('aria-label') ?? label ?? element?.textContent ?? ''
    })
    if (name.test(focused.trim())) return
  }
  throw new Error(`no control ${String(name)} within sixty tabs`)
}

describe('the guided start', () => {
  it('builds a rig, a crew and a stay from nothing by keyboard alone, with a live count from the first step', async () => {
    const { page, noise } = await open('mine')
    await page.getByRole('heading', { name: 'No stay yet' }).waitFor()
    await tabTo(page, /^Set up my rig$/)
    await page.keyboard.press('Enter')
    await page.getByRole('heading', { name: 'Your rig' }).waitFor()
    const live = await dryDays(page)
    await tabTo(page, /^Van: /)
    await page.keyboard.press('ArrowRight')
    await page.keyboard.press('ArrowRight')
    await expect.poll(() => dryDays(page)).toBeGreaterThan(live)
    await tabTo(page, /^Gray,/)
    await page.keyboard.press('Control+A')
    await page.keyboard.type('55 gal')
    await page.keyboard.press('Enter')
    await page.getByRole('heading', { name: 'Who comes' }).waitFor()
    const two = await dryDays(page)
    await tabTo(page, /^One person more$/)
    await page.keyboard.press('Enter')
    await expect.poll(() => dryDays(page)).toBeLessThan(two)
    await tabTo(page, /^Next$/)
    await page.keyboard.press('Enter')
    await page.getByRole('heading', { name: 'When' }).waitFor()
    await tabTo(page, /^One night more$/)
    await page.keyboard.press('Enter')
    await page.keyboard.press('Enter')
    const last = await dryDays(page)
    await tabTo(page, /^Show me the count$/)
    await page.keyboard.press('Enter')
    await page.getByRole('heading', { name: 'Levels at the start' }).waitFor()
    expect(await dryDays(page)).toBe(last)
    const setup = page.getByRole('region', { name: 'This stay' })
    expect(await setup.innerText()).toMatch(/3 people[\s\S]*7 nights/)
    await saved(page)
    await page.reload()
    await expect.poll(() => dryDays(page)).toBe(last)
    expect(noise).toEqual([])
  })

  it('goes back without losing what was typed, skips, and can be left', async () => {
    const { page } = await open('mine', '/start')
    await page.getByTestId('example').getByText('An example, until you put in your own.').waitFor()
    // Typed, and at once another unit chosen: it was meant in the unit it was typed in.
    await page.getByRole('radio', { name: 'US gallons' }).click()
    await page.getByLabel(/^Fresh, gal/).fill('30')
    await page.getByRole('radio', { name: 'liters and meters' }).click()
    await expect.poll(() => page.getByLabel(/^Fresh, L/).inputValue()).toMatch(/^113[.]/)
    await page.getByLabel(/^Fresh,/).fill('5000000')
    await page.getByText('At most 20000 L, please.').waitFor()
    await page.getByLabel(/^Fresh,/).fill('123')
    await expect.poll(() => page.getByTestId('example').count()).toBe(0)
    await page.getByRole('button', { name: 'Next' }).click()
    // A reload loses nothing of it.
    await page.reload()
    await page.getByRole('heading', { name: 'Who comes' }).waitFor()
    await page.getByRole('button', { name: 'Back' }).click()
    expect(await page.getByLabel(/^Fresh,/).inputValue()).toBe('123')
    await page.getByLabel(/^Fresh,/).fill('a lot')
    expect(await page.getByRole('alert').innerText()).toContain('Still counting with 123')
    await page.getByRole('button', { name: 'Leave without it' }).click()
    await page.getByRole('heading', { name: 'No stay yet' }).waitFor()
    await page.goBack()
    await page.getByRole('button', { name: 'Skip the rest' }).click()
    await page.getByTestId('count-sentence').waitFor()
    await page.getByRole('link', { name: 'Rig', exact: true }).first().click()
    expect(await page.getByLabel('Holds').first().inputValue()).toBe('90')
  })

  it('keeps what is typed: each tank by its name, a cassette with a spare; what is not understood holds it back', async () => {
    const { page } = await open('mine', '/start', {
      viewport: { width: 390, height: 844 },
      hasTouch: true,
      isMobile: true,
    })
    await page.getByLabel('Toilet', { exact: true }).selectOption('cassette')
    const typed = { Fresh: '60', Gray: '40', 'Flush water': '12', Cassette: '19' }
    for (const [name, litres] of Object.entries(typed))
      await page.getByLabel(new RegExp(`^${name},`)).fill(litres)
    await page.getByRole('button', { name: 'One spare more' }).click()
    await page.getByLabel(/^Fresh,/).fill('a lot')
    await page.getByRole('button', { name: 'Next' }).click()
    await page.getByRole('heading', { name: 'Your rig' }).waitFor()
    expect(await page.getByLabel(/^Fresh,/).evaluate((field) => field === document.activeElement)).toBe(true)
    await page.getByLabel(/^Fresh,/).fill('60')
    await page.getByRole('button', { name: 'Next' }).click()
    await page.getByRole('radio', { name: 'As at home' }).click()
    const home = await dryDays(page)
    await page.getByRole('radio', { name: 'Careful' }).click()
    await expect.poll(() => dryDays(page)).toBeGreaterThan(Math.max(1, home))
    expect(await page.getByTestId('use-style').innerText()).toMatch(/About \d+\sL per person and day/)
    await page.getByRole('button', { name: 'Next' }).click()
    await page.getByLabel('Arrive', { exact: true }).fill('')
    await page.getByRole('button', { name: 'Show me the count' }).click()
    await page.getByRole('heading', { name: 'When' }).waitFor()
    await page.getByLabel('Arrive', { exact: true }).fill('2027-09-11T15:00')
    await page.getByRole('button', { name: 'Show me the count' }).click()
    await page.getByTestId('plan-on').waitFor()
    await goTo(page, 'Rig')
    for (const litres of Object.values(typed))
      await page.waitForFunction(
        (value) => [...document.querySelectorAll('input')].some((field) => field.value === value),
        litres,
      )
    await saved(page)
  })
})

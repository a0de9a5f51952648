import type { Page } from 'playwright-core'
import { describe, expect, it } from 'vitest'
import { trailerDemo } from '../../scripts/demo/trailer'
import { inProof } from '../support/thorough'
import { dryDays, fold, saved, useBrowser } from './support/app'

const open = useBrowser({ isStanding: true })
const PATIENT = { timeout: 30_000 }

const planOn = async (page: Page) => Number(await page.getByTestId('plan-on').innerText())
const planStrip = async (page: Page) => Number.parseFloat(await page.getByTestId('plan-strip').innerText())
/** All ten thousand trips have been played. */
const final = (page: Page) =>
  expect.poll(() => page.getByTestId('risk-progress').innerText(), PATIENT).toBe('10,000 of 10,000 trips')

/** The upper edge of a tank's fan as it is drawn; panels stand in the order of the tanks, four lines to each. */
function fanOf(page: Page, panel: number): Promise<number[]> {
  return page.getByTestId('plot').evaluate((element, k) => {
    const { data } = element as unknown as { data: { y: number[] }[] }
    return [...data[4 * k + 1]!.y]
  }, panel)
}

describe('the picture of risk', () => {
  it('says on Camp what can be planned on, what stops the trips, and tells the worst one in ten; stopped, and played again', async () => {
    const { page, noise } = await open('demo')
    await final(page)
    const [plan, average] = [await planOn(page), await dryDays(page)]
    expect(plan).toBeGreaterThan(4)
    expect(plan).toBeLessThan(average - 0.5)
    expect(await page.getByTestId('count-range').innerText()).toContain('All 12 nights: less than 1 in 100.')
    const shares = await page.getByTestId('stopper-share').allInnerTexts()
    expect(shares[0]).toMatch(/^Gray/)
    expect(shares.reduce((sum, text) => sum + Number(/(\d+) of 100/.exec(text)![1]), 0)).toBeGreaterThan(98)
    const story = page.getByTestId('risk-story')
    await expect.poll(() => story.innerText(), PATIENT).toContain(`after ${plan.toFixed(1)} days`)
    expect(await story.getByRole('listitem').count()).toBeGreaterThan(0)
    await page.getByText('The chances as a table').click()
    expect(await page.getByRole('row', { name: /^1 day/ }).innerText()).toContain('more than 99 in 100')
    await fold(page, 'chart').click()
    await page.locator('[data-testid=plot] svg').first().waitFor()
    expect(Math.max(...(await fanOf(page, 1)))).toBeGreaterThan(100)
    // A run is cancelled and started again.
    await page.evaluate(() => {
      const timer = setInterval(() => {
        const stop = document.querySelector<HTMLElement>('[data-testid=risk-progress] button')
        if (stop?.innerText !== 'Stop') return
        stop.click()
        clearInterval(timer)
      }, 2)
    })
    await page.getByTestId('habit-wet-soap-rinse').getByRole('switch').click()
    await page.getByText('Stopped: this is what the trips so far say.').waitFor()
    await page.waitForTimeout(1500)
    expect(await page.getByTestId('risk-progress').innerText()).toContain('Stopped')
    await page.getByRole('button', { name: 'Count them again' }).click()
    await final(page)
    expect(noise).toEqual([])
  })

  it('moves with a habit and with the weather: more to plan on, the fan of gray lower, days still dry', async () => {
    const { page } = await open('demo', '/stay')
    await final(page)
    await fold(page, 'chart').click()
    await page.locator('[data-testid=plot] svg').first().waitFor()
    const [plan, before] = [await planStrip(page), await fanOf(page, 1)]
    await page.getByRole('combobox', { name: 'Add a habit…' }).selectOption({ label: 'Half the showers' })
    await expect.poll(() => planStrip(page), PATIENT).toBeGreaterThan(plan + 0.8)
    await final(page)
    const after = await fanOf(page, 1)
    expect(after.length).toBe(before.length)
    expect(after.at(-1)!).toBeLessThan(before.at(-1)! - 10)
    const dry = async (day: number) =>
      Number(/(\d+)$/.exec(await page.getByTestId(`still-dry-${day}`).innerText())![1])
    expect(await dry(0)).toBe(100)
    const cool = [await dry(4), await dry(5)]
    expect(cool[0]).toBeGreaterThan(cool[1]!)
    for (const day of ['Mon 13', 'Tue 14', 'Wed 15', 'Thu 16']) {
      const field = page.getByLabel(`Warmest, ${day}`)
      await field.fill('41')
      await field.blur()
    }
    await expect.poll(() => dry(5), PATIENT).toBeLessThan(cool[1]!)
    await saved(page)
    await page.reload()
    expect(await page.getByLabel('Warmest, Thu 16').inputValue()).toBe('41')
  })

  it('a metered tank is no longer worth measuring, and a number leads to where it is put in', async () => {
    const { page } = await open('demo', '/stay')
    const row = page.getByRole('link', { name: 'Gray: what it holds' })
    await row.waitFor(PATIENT)
    expect(await page.getByTestId('assumptions').innerText()).toContain(
      'Measure “Shower: water per use” first.',
    )
    await row.click()
    await page.getByTestId('tank-gray').getByText('More about Gray').click()
    await page.getByTestId('tank-gray').getByRole('button', { name: 'It was metered' }).click()
    await saved(page)
    await page.goBack()
    await page.getByRole('link', { name: 'Gray: level at the start' }).waitFor(PATIENT)
    await expect.poll(() => page.getByRole('link', { name: 'Gray: what it holds' }).count(), PATIENT).toBe(0)
    await page.getByRole('link', { name: 'Gray: level at the start' }).click()
    await page.getByRole('button', { name: /Gray: how its level was read/ }).waitFor()
  })
})

describe('habits by what can be planned on', () => {
  it('shows each one’s days, its company, and limits it to days', async () => {
    const { page } = await open('demo', '/habits')
    const row = page.getByTestId('habit-shower-every-other')
    await expect.poll(() => row.innerText(), PATIENT).toMatch(/\+1\.\d\s+d\s+average \+1\.5/)
    await row.getByText('What it does').click()
    await expect
      .poll(() => row.getByTestId('company').innerText(), PATIENT)
      .toMatch(/alone \+1\.\d, now \+1\.\d, added last \+[12]\.\d/)
    const before = await planStrip(page)
    await row.getByRole('switch').click()
    await expect.poll(() => planStrip(page), PATIENT).toBeGreaterThan(before + 0.8)
    // What it buys in company is counted again while it stays open, now against the stay with it.
    await expect
      .poll(() => row.getByRole('button', { name: /buys/ }).getAttribute('aria-busy'), PATIENT)
      .toBe('false')
    await expect
      .poll(() => row.getByTestId('company').innerText(), PATIENT)
      .toMatch(/alone \+\d\.\d, now \+\d\.\d, added last \+\d\.\d/)
    const whole = await planStrip(page)
    await row.getByLabel('Half the showers: from').selectOption({ label: 'Wed 15' })
    await expect.poll(() => planStrip(page), PATIENT).toBeLessThan(whole - 0.3)
    await row.getByLabel('Half the showers: from').selectOption({ label: 'Sat 11' })
    await expect.poll(() => planStrip(page), PATIENT).toBe(whole)
    await page.getByRole('switch', { name: 'Small flush for liquids' }).click()
    expect(await page.getByTestId('habit-no-liquid-flush').innerText()).toContain(
      'In place of “Small flush for liquids”.',
    )
  })

  it('reaches nine nights with the least bother, takes the habits, and can go back', async () => {
    const { page, noise } = await open('demo', '/habits')
    const reach = page.getByTestId('reach')
    for (let n = 12; n > 9; n--) await reach.getByRole('button', { name: 'One night less' }).click()
    await reach.getByRole('button', { name: 'Find the least bother' }).click()
    await expect
      .poll(() => page.getByTestId('reach-answer').innerText(), { timeout: 60_000 })
      .toMatch(/^9 nights for a bother of \d+(\.\d)? a day\. On ten thousand trips it holds in 9\d in 100\.$/)
    await expect
      .poll(() => reach.getByRole('button', { name: 'Find the least bother' }).count(), { timeout: 60_000 })
      .toBe(1)
    await reach.getByRole('button', { name: 'Take these habits' }).click()
    // Nine nights end at eleven in the morning, 8.8 days after a start in the afternoon.
    await expect.poll(() => planStrip(page), PATIENT).toBeGreaterThanOrEqual(8.7)
    expect(await reach.getByRole('button', { name: 'These are on' }).isDisabled()).toBe(true)
    const slider = reach.getByRole('slider')
    await slider.press('Home')
    expect(await slider.getAttribute('aria-valuetext')).toMatch(/^Bother 0: 4\.\d days$/)
    await slider.press('End')
    expect(await reach.getByTestId('reach-set').innerText()).not.toContain('Bother 0,')
    await page.keyboard.press('Control+z')
    await expect.poll(() => planStrip(page), PATIENT).toBeLessThan(5)
    expect(noise).toEqual([])
  })

  it('a search is stopped and leaves what it found; without a habit it finds another way', async () => {
    const { page } = await open('demo', '/habits')
    const reach = page.getByTestId('reach')
    for (let n = 12; n > 7; n--) await reach.getByRole('button', { name: 'One night less' }).click()
    await reach.getByRole('button', { name: 'Find the least bother' }).click()
    await reach.getByText(/: ([2-9]|\d\d) kept so far/).waitFor(PATIENT)
    await reach.getByRole('button', { name: 'Stop the search' }).click()
    await reach.getByText('Stopped.').waitFor()
    const before = await reach.getByTestId('reach-set').innerText()
    await page.waitForTimeout(1200)
    expect(await reach.getByTestId('reach-set').innerText()).toBe(before)
    const refuse = reach.getByRole('button', { name: /not us/ }).first()
    const name = (await refuse.getAttribute('aria-label'))!.split(':')[0]!
    await refuse.click()
    await reach.getByRole('button', { name: `${name} after all` }).waitFor(PATIENT)
    await reach.getByText(/: ([2-9]|\d\d) kept so far/).waitFor(PATIENT)
    expect(await reach.getByTestId('reach-set').getByRole('list').innerText()).not.toContain(name)
  })

  inProof(
    'says what the school holds back, and one tap allows it; an answer older than the habits goes',
    async () => {
      const { page } = await open('mine', '/settings')
      const document = trailerDemo()
      document.habits = document.habits.filter(({ id }) =>
        [
          'wet-soap-rinse',
          'one-hair-rinse',
          'shower-every-other',
          'basin-dishes',
          'paper-plates',
          'no-liquid-flush',
          'toilets-away',
        ].includes(id),
      )
      document.stays[0]!.habits = []
      await page.locator('input[type=file]').setInputFiles({
        name: 'few.drycount.json',
        mimeType: 'application/json',
        buffer: Buffer.from(JSON.stringify({ ...document, log: [] })),
      })
      await page.getByTestId('count-strip').waitFor()
      await page.getByRole('link', { name: 'Habits' }).first().click()
      const reach = page.getByTestId('reach')
      await reach.getByRole('button', { name: 'Find the least bother' }).click()
      const held = reach.getByTestId('held-back')
      await held.getByText(/while you flush plenty; .* if you save there too\./).waitFor({ timeout: 60_000 })
      await held.getByRole('button', { name: 'Save there too' }).click()
      await expect
        .poll(() =>
          page.getByTestId('flush-sides').getByRole('radio', { name: 'little, and rinse hard' }).isChecked(),
        )
        .toBe(true)
      await expect
        .poll(() => reach.getByRole('button', { name: 'Find the least bother' }).count(), { timeout: 60_000 })
        .toBe(1)
      expect(await held.getByText('while you flush plenty').count()).toBe(0)
      await page.getByRole('switch', { name: 'Rinse hair once' }).click()
      await reach.getByText('the last answer is out of date').waitFor()
      expect(await reach.getByTestId('reach-set').count()).toBe(0)
    },
  )

  it('the school of flushing changes what is kept, and what is advised', async () => {
    const { page } = await open('demo', '/habits')
    const flush = page.getByTestId('flush-sides')
    await expect.poll(() => page.getByTestId('flush-floor').innerText(), PATIENT).toMatch(/you keep 4\sL/)
    const row = flush.getByRole('row', { name: /^No flush for liquids/ })
    expect(await row.innerText()).toContain('▲')
    await flush.getByRole('radio', { name: 'little, and rinse hard' }).click()
    await expect.poll(() => page.getByTestId('flush-floor').innerText(), PATIENT).toMatch(/you keep 2\sL/)
    await expect.poll(() => row.innerText(), PATIENT).not.toContain('▲')
    expect(await row.innerText()).toMatch(/[23]\.\d rinses/)
  })
})

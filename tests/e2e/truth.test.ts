import type { Page } from 'playwright-core'
import { describe, expect, it } from 'vitest'
import { saved, staysOffered, useBrowser } from './support/app'
import { SCREENS } from './support/shown'
import { isTurn } from '../support/thorough'

const open = useBrowser({ isStanding: true })
const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true }
const runs = (page: Page) => page.locator('[data-testid^=run-run]')
const strip = (page: Page) => page.getByTestId('count-strip').innerText()
const sentence = (page: Page) => page.getByTestId('count-sentence').innerText()
const go = (page: Page, hash: string) => page.evaluate((to) => void (location.hash = to), `#${hash}`)

async function add(page: Page, usual: string): Promise<void> {
  await page.getByRole('button', { name: 'Add a run' }).click()
  const row = page.getByTestId(`usual-${usual}`)
  await row.click()
  await row.waitFor({ state: 'detached' })
}

const SPELLED = [
  'none',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
]

describe('one truth on every screen', () => {
  it('a run to a place that is shut counts for nothing; it is named first of all, and one tap mends it', async () => {
    const { page, noise } = await open('demo', '/runs')
    await page.getByTestId('count-strip').waitFor()
    const dry = await strip(page)
    await add(page, 'move-dump-fill')
    await expect.poll(() => strip(page)).not.toBe(dry)
    const holds = await strip(page)
    // To the Sunday, on which the station is shut.
    await runs(page)
      .first()
      .getByRole('button', { name: /^Change Move/ })
      .click()
    const dialog = page.getByTestId('run-dialog')
    await dialog.getByLabel('Where').selectOption({ label: 'Sallow Mill station' })
    await dialog.getByLabel('Day', { exact: true }).selectOption({ index: 1 })
    await dialog.getByRole('button', { name: 'Close' }).first().click()
    await expect.poll(() => strip(page)).toBe(dry)
    await page.getByTestId('not-counted').first().waitFor()
    expect(await runs(page).first().getByTestId('run-takes').innerText()).toBe('does not count yet')
    await go(page, '/')
    const said = page.getByTestId('not-counted')
    await said.waitFor()
    expect(await said.innerText()).toContain('cannot be done as it is set and does not count yet')
    await page.getByTestId('runs-headline').getByTestId('nearest').click()
    await expect.poll(() => said.count()).toBe(0)
    await go(page, '/runs')
    await expect.poll(() => runs(page).first().getByTestId('run-takes').innerText()).toMatch(/\d h|\d min/)
    expect(holds).not.toBe(dry)
    await saved(page)
    expect(noise).toEqual([])
  })

  it('the nights of three stays are those counted by hand, in the sentence and on the tally', async () => {
    const { page } = await open('demo', '/stay?show=which')
    const stays = await staysOffered(page)
    for (const label of stays) {
      await go(page, '/stay?show=which')
      await page.getByLabel('Stay', { exact: true }).selectOption({ label })
      await go(page, '/')
      await page.getByTestId('plan-on').waitFor()
      const words = await sentence(page)
      // "Gray may stop you from Thursday 16 September, evening: seven nights short of 12 nights."
      const found =
        /may stop you from \w+ (\d+) (\w+), (\w+)(?:: (\w+) nights? short of (\d+) nights|, and that)/.exec(
          words,
        )
      expect(found, words).not.toBeNull()
      if (!found![4]) continue
      const leaves = Number(found![5])
      const tally = await page.locator('svg[aria-label*="nights planned"]').getAttribute('aria-label')
      const [, planned, made] = /(\d+) nights planned; (\d+) of them made/.exec(tally!)!
      const short = SPELLED.includes(found![4]) ? SPELLED.indexOf(found![4]) : Number(found![4])
      expect([Number(planned), Number(planned) - Number(made)]).toEqual([leaves, short])
      // By the calendar: nights slept before the day on which it stops.
      const begins = (await page.getByTestId('phase').innerText()).match(/begins \w+ (\d+) (\w+)/)!
      const nights = Number(found![1]) - Number(begins[1])
      const isSameMonth = found![2]!.startsWith(begins[2]!.slice(0, 3))
      // The last night is made when the stay is left, not before.
      if (isSameMonth) expect(Number(made)).toBe(nights === Number(planned) ? nights - 1 : nights)
    }
    expect(stays).toHaveLength(3)
  })

  it('a run is added to a stay that has one; every offer has its place and bother, and a second tap sets no second', async () => {
    const { page } = await open('demo', '/runs')
    await add(page, 'move-dump-fill')
    await expect.poll(() => runs(page).count()).toBe(1)
    await page.getByRole('button', { name: 'Add a run' }).click()
    const row = page.getByTestId('usual-move-dump-fill')
    await expect.poll(() => row.innerText(), { timeout: 30_000 }).toMatch(/bother \d/)
    const offered = await row.innerText()
    expect(offered).toMatch(/\+\d+\.\d d/)
    await row.dblclick()
    await expect.poll(() => runs(page).count()).toBe(2)
    const [day] = /\w{3} \d+, \w+/.exec(offered)!
    expect((await page.locator('[data-testid^=run-run]').allInnerTexts()).join('\n')).toContain(day)
    // Nothing that was placed is said to come too late.
    expect(await page.locator('body').innerText()).not.toContain('only after that')
    await page.getByRole('button', { name: 'Undo: run' }).click()
    await expect.poll(() => runs(page).count()).toBe(1)
  })

  it('the next best thing is done once: it says what, when and where, its button goes, undo brings it back', async () => {
    const { page } = await open('demo', '/', { ...PHONE })
    const best = page.getByTestId('next-best')
    const button = best.getByRole('button', { name: /^(Set this run|Switch it on)$/ }).first()
    await button.waitFor({ timeout: 60_000 })
    const name = await best.getByRole('heading', { level: 3 }).first().innerText()
    await button.dblclick()
    const said = page.getByTestId('next-said')
    await said.waitFor()
    expect(await said.innerText()).toMatch(/\w{3,9} \d+/)
    await expect
      .poll(async () => (await best.getByRole('heading', { level: 3 }).allInnerTexts()).includes(name))
      .toBe(false)
    await go(page, '/runs')
    await expect.poll(() => runs(page).count()).toBe(1)
    await go(page, '/')
    await page.getByRole('button', { name: 'Undo: run' }).click()
    await go(page, '/runs')
    await expect.poll(() => runs(page).count()).toBe(0)
  })

  it('the second of two stays, under way by the clock alone, begins as the first was left', async () => {
    const { page } = await open('demo', '/season')
    await page.getByRole('button', { name: 'Plan the next stay after this one' }).click()
    await saved(page)
    await go(page, '/')
    await page
      .getByTestId('phase')
      .getByText(/^Planned/)
      .waitFor()
    const level = (of: Page) => of.getByTestId('gauge-fresh').innerText()
    const begins = (await page.getByTestId('phase').innerText()).match(/begins \w+ (\d+) (\w+), (\d\d:\d\d)/)!
    const planned = await level(page)
    const month = { Sept: '09', Oct: '10' }[begins[2] as 'Sept']
    const at = `2027-${month}-${begins[1]!.padStart(2, '0')}T${begins[3]}`
    await page.evaluate((newValue) => {
      const key = 'dry-count:demo-clock'
      localStorage.setItem(key, newValue)
      window.dispatchEvent(new StorageEvent('storage', { key, newValue, storageArea: localStorage }))
    }, at)
    await page
      .getByTestId('phase')
      .getByText(/^Day 1/)
      .waitFor()
    const litres = (text: string) => Number(/([\d.]+)\s*L/.exec(text)![1])
    await expect.poll(async () => Math.abs(litres(await level(page)) - litres(planned))).toBeLessThan(2)
  })

  it('an ordinary family day, logged by touch as it happens, hardly moves the chance to make all nights', async () => {
    const { page, noise } = await open('demo', '/', { ...PHONE, clock: '2027-09-12T12:30' })
    await page.getByTestId('plan-on').waitFor()
    const expectedKey = page.locator('[data-testid^=key-]').filter({ hasText: 'as usual' }).first()
    await expectedKey.waitFor()
    const key = (await expectedKey.getAttribute('data-testid'))!
    const days = async () => Number(await page.getByTestId('plan-on').innerText())
    // Of all trips, and of the stay as it stands.
    const known = async () => {
      const progress = page.getByTestId('risk-progress')
      await expect.poll(() => progress.innerText(), { timeout: 60_000 }).toContain('10,000 of 10,000')
      return days()
    }
    const before = await known()
    for (let n = 0; n < 2; n++) {
      await page.getByTestId(key).tap()
      await page.getByTestId('log-undo').waitFor()
    }
    await expect.poll(() => page.getByTestId(key).innerText()).toMatch(/today/)
    // The trips of the stay as it is now are asked for a turn after it is shown.
    await page.evaluate(() => new Promise((then) => setTimeout(then, 50)))
    expect(Math.abs((await known()) - before)).toBeLessThan(0.5)
    // On top of the usual, in one tap; and taken back.
    await page.getByTestId('log-extra').tap()
    await page.getByText('kept as one more than usual').waitFor()
    await page.getByRole('button', { name: /^Undo/ }).first().tap()
    expect(noise).toEqual([])
  })
})

const UNIT_LOOKS: [string, string, RegExp][] = [
  ['us', 'US gallons', /(?<!US )\b(?:litres?|liters?)\b|\d\u00a0?\s?L\b|\d\s?km\b|\d\s?kg\b/i],
  ['imperial', 'imperial gallons', /\b(?:litres?|liters?)\b|\d\u00a0?\s?L\b|\d\s?km\b|\d\s?kg\b/i],
  ['metric', 'liters', /\d\s?(?:gal|lb|mi|qt|ft)\b/],
]
it.each(UNIT_LOOKS.filter((_, n) => isTurn(n, UNIT_LOOKS.length)))(
  'no screen in %s speaks of other units',
  async (system, _, foreign) => {
    const { page } = await open('demo', '/settings', { clock: null })
    await page.evaluate(
      ([key, newValue]) => {
        localStorage.setItem(key!, newValue!)
        window.dispatchEvent(
          new StorageEvent('storage', { key: key!, newValue: newValue!, storageArea: localStorage }),
        )
      },
      ['dry-count:units', JSON.stringify(UNITS[system as keyof typeof UNITS])],
    )
    const wrong: string[] = []
    for (const hash of SCREENS) {
      await go(page, hash)
      await page.waitForTimeout(700)
      // What the owner wrote is the owner's; what units are chosen by has to name them all.
      const text = await page.evaluate(() => {
        const all = document.querySelector('main')!.cloneNode(true) as HTMLElement
        all.querySelectorAll('select, fieldset, [data-testid^=units]').forEach((one) => one.remove())
        return all.textContent ?? ''
      })
      const found = foreign.exec(text)
      if (found) wrong.push(`${hash}: …${text.slice(Math.max(0, found.index - 50), found.index + 30)}…`)
    }
    expect(wrong).toEqual([])
  },
)

const UNITS = {
  metric: { volume: 'L', mass: 'kg', distance: 'km', temperature: 'C', length: 'cm' },
  us: { volume: 'gal-us', mass: 'lb', distance: 'mi', temperature: 'F', length: 'in' },
  imperial: { volume: 'gal-imp', mass: 'lb', distance: 'mi', temperature: 'C', length: 'in' },
}

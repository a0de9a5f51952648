import type { Page } from 'playwright-core'
import { describe, expect, it } from 'vitest'
import { atRest, dryDays, saved, useBrowser } from './support/app'

const open = useBrowser({ isStanding: true })
/** Where the demo begins: the trailer's fourth day, its budget to the next morning but one. */
const NOW = { clock: null }
const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true }
/** All of Camp at once. */
const TABLET = { viewport: { width: 1024, height: 1366 }, hasTouch: true }
const row = (page: Page, activity: string) => page.getByTestId(`budget-${activity}`)
/** Whole uses that are left; what the strokes say to a reader of the screen. */
const left = async (page: Page, activity: string) =>
  Number(await row(page, activity).locator('span.figure').last().innerText())
const since = (page: Page) => page.getByTestId('since').innerText()
/** The budget, what helps, and yesterday are there. */
async function known(page: Page) {
  await row(page, 'dishes').waitFor()
  await page.getByTestId('next-best').getByRole('heading', { level: 3 }).first().waitFor()
  await page.getByTestId('since').waitFor()
}

describe('a day lived by touch', () => {
  it('panel, uses, a timed shower across a reload, a chore, and tomorrow: budget and sentence follow', async () => {
    const { page, noise } = await open('demo', '/', { ...TABLET, ...NOW })
    await known(page)
    expect(await left(page, 'dishes')).toBe(1)
    expect(await page.getByTestId('budget-head').innerText()).toContain('Thu 16 Sept')
    const before = { since: await since(page), days: await dryDays(page) }
    expect(before.since).toMatch(/than yesterday said|As yesterday said/)

    // One dishes: the stroke is gone at once, and what is left says when the next is.
    await page.getByTestId('key-dishes').tap()
    await expect.poll(() => left(page, 'dishes')).toBe(0)
    await row(page, 'dishes')
      .getByText(/left, a whole one tomorrow|none left today, the next tomorrow/)
      .waitFor()
    await page.getByTestId('key-dishes').tap()
    await page.getByTestId('key-shower').tap()
    await expect.poll(() => dryDays(page)).toBeLessThan(before.days - 0.2)
    await expect.poll(() => since(page)).not.toBe(before.since)
    await page
      .getByTestId('since')
      .getByText(/shower .* more than expected/)
      .waitFor()

    // The panel, in one gesture.
    await page.getByTestId('key-panel').tap()
    await page.getByTestId('read-gray').getByRole('button').nth(1).tap()
    await page.getByRole('button', { name: /^Log 1 reading/ }).tap()
    await page.getByTestId('phase').getByText('Panel read Tue 14 Sept, 15:20.').waitFor()

    // What is due is done with one tap, and undone.
    const due = page.getByTestId('due-chore-sanitize')
    await due.getByRole('button', { name: 'Done' }).tap()
    await expect.poll(() => due.count()).toBe(0)
    await page.getByRole('button', { name: 'Undo: chore' }).tap()
    await due.getByRole('button', { name: 'Done' }).tap()
    await expect.poll(() => due.count()).toBe(0)

    await page.evaluate(() => void (location.hash = '#/shower'))
    await page.getByLabel('Who').selectOption({ label: 'Tobin' })
    await page.getByTestId('timer-start').tap()
    const litres = async () => Number.parseFloat(await page.getByTestId('timer-litres').innerText())
    await expect.poll(litres).toBeGreaterThan(0.1)
    await page.reload()
    await page.getByTestId('timer').getByText('Water on').waitFor()
    await expect.poll(litres).toBeGreaterThan(0.2)
    await page.getByTestId('timer-turn').tap()
    await page.getByTestId('timer').getByText('Paused', { exact: true }).waitFor()
    const held = await litres()
    // Anywhere on the screen will do for a wet hand.
    const surface = (await page.getByTestId('timer-surface').boundingBox())!
    await page.touchscreen.tap(surface.x + 40, surface.y + 30)
    await page.getByTestId('timer').getByText('Water on').waitFor()
    expect(await litres()).toBeGreaterThanOrEqual(held)
    const end = await atRest(page.getByTestId('timer-end'))
    await page.mouse.move(end.x + end.width / 2, end.y + end.height / 2)
    await page.mouse.down()
    await page.getByTestId('timer-said').waitFor()
    await page.mouse.up()
    expect(await page.getByTestId('timer-said').innerText()).toMatch(
      /^Shower logged: [\d.]+\sL\. That was so short that a usual shower is still expected\.$/,
    )

    await page.getByTestId('timer-start').waitFor()
    await page.evaluate(() => void (location.hash = '#/log'))
    await page
      .getByTestId('log-list')
      .getByText(/Shower, [\d.]+\sL, [\d.]+ min, Tobin/)
      .first()
      .waitFor()
    await page.getByTestId('log-list').getByText('Sanitize the fresh system').first().waitFor()
    await page.getByRole('link', { name: 'Camp', exact: true }).tap()
    await known(page)
    await page.getByRole('button', { name: /A day on/ }).tap()
    await page.getByTestId('phase').getByText('Day 5.').waitFor()
    await expect.poll(() => left(page, 'dishes')).toBeGreaterThanOrEqual(1)
    expect(noise).toEqual([])
  })
})

describe('the budget', () => {
  it('goal and sureness, a swap dragged and by choice, somebody set apart, and what is kept', async () => {
    const { page, noise } = await open('demo', '/budget', NOW)
    await row(page, 'dishes').waitFor()
    const sure = page.getByTestId('budget-sure')
    await sure.getByText('Gray sets this budget.').waitFor()
    expect(await page.getByTestId('budget-kept').innerText()).toContain('Drinking')
    const share = async () => Number.parseInt(await page.getByTestId('budget-factor').innerText())
    const usual = await share()
    await page.getByLabel('How sure').selectOption({ label: '70 of 100 trips' })
    await expect.poll(share).toBeGreaterThan(usual)
    await page.getByRole('button', { name: 'Undo: budget' }).click()
    await expect.poll(share).toBe(usual)

    // Farther than saving reaches: said, with the night that it does reach.
    await page.getByLabel('To last through the night of').selectOption({ label: 'Wed 22 Sept (the last)' })
    await page
      .getByTestId('budget-instead')
      .getByText('Saving on showers and dishes alone does not reach')
      .waitFor()
    await page.getByRole('button', { name: /^Budget to / }).click()
    await row(page, 'dishes').waitFor()
    await page.getByLabel('To last through the night of').selectOption({ label: 'Wed 15 Sept' })
    await expect.poll(share).toBe(usual)

    // One dishes dragged onto wiping buys some of it; taken, and given back.
    const grab = (await page.getByTestId('grab-dishes').boundingBox())!
    const onto = (await row(page, 'cleaning').boundingBox())!
    await page.mouse.move(grab.x + 20, grab.y + 20)
    await page.mouse.down()
    await page.mouse.move(onto.x + 40, onto.y + 25, { steps: 5 })
    await page.mouse.up()
    const says = page.getByTestId('swap-says')
    await says.getByText(/^Dishes, one less: that buys .* more of wiping and cleaning today\./).waitFor()
    await page.getByTestId('swap').getByRole('button', { name: 'Swap', exact: true }).click()
    await page.getByTestId('swap-taken').waitFor()
    await expect.poll(() => left(page, 'dishes')).toBe(0)
    expect(await left(page, 'cleaning')).toBeGreaterThan(3)
    await expect.poll(share).toBeGreaterThan(usual - 4)
    await page.getByRole('button', { name: 'Undo today’s swaps' }).click()
    await expect.poll(() => left(page, 'dishes')).toBe(1)
    // By keyboard: what does not go says why.
    await page.getByLabel('One less of', { exact: true }).selectOption({ label: 'Wiping and cleaning' })
    await page.getByLabel('More of', { exact: true }).selectOption({ label: 'Dishes' })
    await page.getByRole('button', { name: 'What does it buy?' }).press('Enter')
    await says.getByText(/^One more of dishes takes \d of wiping and cleaning/).waitFor()

    await page.getByRole('switch', { name: 'Wren: Shower' }).click()
    await page.getByLabel('Wren, shower a day').fill('1')
    await page.getByLabel('Wren, shower a day').press('Enter')
    await page.getByTestId('answer-apart').getByText('One share is set apart').waitFor()
    await expect.poll(share).toBeLessThan(usual)
    await saved(page)
    await page.reload()
    await expect.poll(() => page.getByLabel('Wren, shower a day').inputValue()).toBe('1')
    expect(noise).toEqual([])
  })

  it('the next best thing does what it says, is declined and heard again', async () => {
    const { page } = await open('demo', '/', NOW)
    await known(page)
    const first = page.getByTestId('next-best').locator('article').first()
    const name = await first.getByRole('heading', { level: 3 }).innerText()
    const strip = () => page.getByTestId('count-range').innerText()
    const before = await strip()
    await first.getByRole('button', { name: /^(Set this run|Switch it on|Leave it off)$/ }).click()
    await page.getByTestId('next-said').waitFor()
    await expect.poll(strip).not.toBe(before)
    await expect
      .poll(() => first.getByRole('heading', { level: 3 }).innerText(), { timeout: 30_000 })
      .not.toBe(name)
    await page.getByRole('button', { name: /^Undo: / }).click()
    await expect
      .poll(() => first.getByRole('heading', { level: 3 }).innerText(), { timeout: 30_000 })
      .toBe(name)
    await first.getByRole('button', { name: 'Not this' }).click()
    await expect.poll(() => first.getByRole('heading', { level: 3 }).innerText()).not.toBe(name)
    await page.getByRole('button', { name: 'Show them again' }).click()
    await expect
      .poll(() => first.getByRole('heading', { level: 3 }).innerText(), { timeout: 30_000 })
      .toBe(name)
    await page.getByTestId('since').getByRole('button', { name: 'Why?' }).click()
    await page.getByTestId('since-parts').getByText('Together').waitFor()
  })
})

describe('review, chores and preparation', () => {
  it('a stay that is over: what it came to, where the water went, its table, and what is taken over', async () => {
    const { page, noise } = await open('demo', '/review?stay=low-meadow', NOW)
    await page.getByTestId('review-lived').getByText('4 nights').waitFor()
    expect(await page.getByTestId('per-drawn').innerText()).toMatch(/^\d+(\.\d)?\sL$/)
    await page.getByTestId('plot').locator('svg').first().waitFor()
    expect(await page.locator('tbody tr').count()).toBeGreaterThan(6)
    const download = page.waitForEvent('download')
    await page.getByRole('button', { name: 'As a table (CSV)' }).click()
    expect((await download).suggestedFilename()).toBe('dry-count-season.csv')
    await page.getByText(/What \d uses take becomes/).waitFor()
    // The stay under way so far: what was learned becomes the crew's own in one tap.
    await page.getByLabel('Stay', { exact: true }).selectOption({ value: 'harrow-ridge' })
    await page.getByText('So far').waitFor()
    await page.getByText(/did not agree/).waitFor()
    await page.getByRole('button', { name: 'Use this for the next plan' }).click()
    await page.getByTestId('review-taken').getByText('Taken over').waitFor()
    await page.getByRole('button', { name: 'Undo: numbers taken over' }).click()
    // On one sheet of paper nothing is wider than the page.
    await page.getByRole('button', { name: 'Print on one page' }).click()
    await page.getByRole('button', { name: 'Print', exact: true }).waitFor()
    await page.evaluate(() => void (location.hash = '#/'))
    await page.getByTestId('phase').waitFor()
    for (let k = 0; k < 10; k++) await page.getByRole('button', { name: /A day on/ }).click()
    await page.getByTestId('came').getByText('12 nights, as planned').waitFor()
    expect(noise).toEqual([])
  })

  it('chores: one of your own with bad input, put off, out to a calendar; before a stay what to prepare', async () => {
    const { page, noise } = await open('demo', '/chores', NOW)
    await page.getByTestId('chore-chore-sanitize').getByText('due now').waitFor()
    await page
      .getByTestId('chore-chore-sanitize')
      .getByRole('button', { name: 'Remind me in a week' })
      .click()
    await page.getByTestId('chore-chore-sanitize').getByText('put off until Tue 21 Sept').waitFor()
    await page.getByRole('button', { name: 'A chore of your own' }).click()
    const editor = page.getByTestId('chore-editor')
    await editor.getByLabel('What is to be done').fill('Oil the hinges <b>')
    await editor.getByRole('button', { name: 'Keep' }).click()
    await editor.getByText('Choose what makes it due.').waitFor()
    await editor.getByLabel('days', { exact: true }).fill('a few')
    await editor.getByRole('button', { name: 'Keep' }).click()
    await editor.getByText('“a few” is not a number Dry Count can read.').waitFor()
    expect(await editor.getByLabel('What is to be done').inputValue()).toBe('Oil the hinges <b>')
    await editor.getByLabel('days', { exact: true }).fill('30')
    await editor.getByLabel('Last done').fill('2027-09-01T10:00')
    await editor.getByLabel('What is to be done').fill('Oil the hinges')
    await editor.getByRole('button', { name: 'Keep' }).click()
    await page.getByRole('heading', { name: 'Oil the hinges' }).waitFor()
    await page.getByText('due Fri 1 Oct').waitFor()
    const download = page.waitForEvent('download')
    await page.getByRole('button', { name: 'Into your calendar (.ics)' }).click()
    expect((await download).suggestedFilename()).toMatch(/-chores\.ics$/)
    await page.getByRole('link', { name: 'Camp', exact: true }).first().click()
    for (let k = 0; k < 4; k++) await page.getByRole('button', { name: /A day back/ }).click()
    await page.getByTestId('prepare').getByText('Seal 27 L of drinking water apart').waitFor()
    await page.getByTestId('prepare').getByText('Fill Fresh to').waitFor()
    expect(noise).toEqual([])
  })
})

describe('ways in', () => {
  it('the search by keyboard: a screen, a tank, a use, a look; and the keys of the screen', async () => {
    const { page, noise } = await open('demo', '/', NOW)
    await known(page)
    const find = async (text: string) => {
      await page.keyboard.press('Control+k')
      await page.getByTestId('find-text').fill(text)
      await page.keyboard.press('Enter')
    }
    const before = await dryDays(page)
    await find('log one shower')
    await expect.poll(() => dryDays(page)).toBeLessThan(before)
    await find('gray')
    await page.getByTestId('tank-gray').waitFor()
    await find('chor')
    await page.getByRole('heading', { name: 'Chores', level: 1 }).waitFor()
    await find('bright sun')
    await page.locator('html[data-theme=sun]').waitFor()
    await find('look day')
    // The field has the focus: what is typed is looked for.
    await page.keyboard.press('Control+k')
    await page.locator('[data-testid=find-text]:focus').waitFor()
    await page.keyboard.type('zebra')
    await page.getByText('Nothing here is called “zebra”.').waitFor()
    await page.keyboard.press('Escape')
    await expect.poll(() => page.getByTestId('find-text').count()).toBe(0)
    await page.getByRole('link', { name: 'Log', exact: true }).first().click()
    await page.getByTestId('log-list').waitFor()
    await page.keyboard.press('?')
    await page.getByTestId('keys-list').getByText('Log: Shower').waitFor()
    await page.keyboard.press('Escape')
    // What is typed into a field is text and no key.
    await find('read the panel')
    await page.getByTestId('read-gray').waitFor()
    expect(noise).toEqual([])
  })

  it('by touch, from More', async () => {
    const { page } = await open('demo', '/more', { ...PHONE, ...NOW })
    await page.getByTestId('more-find').tap()
    await page.getByTestId('find-text').fill('wren')
    await page.getByTestId('found-person wren').tap()
    await page.getByRole('heading', { name: /Who/ }).first().waitFor()
    await page.getByRole('link', { name: 'More', exact: true }).tap()
    await page.getByTestId('more-keys').tap()
    await page.getByText('On every screen').waitFor()
  })
})

import { readFile } from 'node:fs/promises'
import type { Page } from 'playwright-core'
import { describe, expect, it } from 'vitest'
import { isThorough } from '../support/thorough'
import { goTo, saved, staysOffered, useBrowser } from './support/app'

const open = useBrowser({ isStanding: true })
const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true }
const stepOf = (page: Page) => page.getByTestId('walk').getAttribute('data-step')
const next = (page: Page) => page.getByTestId('walk-next')

/** The step that is shown, or that there is none any more. */
const placeOf = async (page: Page) =>
  (await page.getByTestId('finish').count()) > 0 ? '' : page.getByTestId('walk-place').innerText()

/**
 * Held by the key for as long as it wants to be where a valve or a caution is. A dialog that has just closed takes the focus
 * back to what opened it: then it is held once more, as by a hand.
 */
async function byKey(page: Page): Promise<void> {
  const before = await placeOf(page)
  const goes = (ms: number) =>
    expect
      .poll(() => placeOf(page), { timeout: ms })
      .not.toBe(before)
      .then(() => true)
      .catch(() => false)
  for (let k = 0; k < 3; k++) {
    await next(page).focus()
    await page.keyboard.down('Enter')
    const isNext = await goes(3000)
    await page.keyboard.up('Enter')
    if (isNext || (await goes(500))) return
  }
  expect(await placeOf(page)).not.toBe(before)
}
/** @param pace how fast the time passes of what is held: the first holds of a walk are as long as they are */
async function walkTo(page: Page, id: string, go: (page: Page) => Promise<void> = byKey, pace = 8) {
  await page.evaluate(passTime, pace)
  for (let k = 0; k < 60; k++) {
    if ((await page.getByTestId('finish').count()) > 0 || (await stepOf(page)) === id) break
    await go(page)
  }
  await page.evaluate(passTime, 1)
}
/** In the page: from now on its time passes so much faster; it never goes back. */
function passTime(pace: number): void {
  const clock = performance as Performance & { real?: () => number }
  const real = (clock.real ??= performance.now.bind(performance))
  const [shown, at] = [performance.now(), real()]
  performance.now = () => shown + (real() - at) * pace
}
/** A knuckle held anywhere on the screen. */
async function byKnuckle(page: Page): Promise<void> {
  const before = await placeOf(page)
  const isHold = (await next(page).innerText()).startsWith('Hold')
  const goesOn = () => expect.poll(() => placeOf(page)).not.toBe(before)
  const session = await page.context().newCDPSession(page)
  // Beside words and numbers: a number that is touched says what it is made of.
  const at = { x: 60, y: 92 }
  await session.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [at] })
  if (isHold) await goesOn()
  await session.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
  await session.detach()
  await goesOn()
}

describe('run cards', () => {
  it('a dump with a rinse by keyboard, from the start to the log; a clock through a reload; undo takes all of it back', async () => {
    const { page, noise } = await open('demo', '/runs', { clock: null })
    await page.getByRole('link', { name: 'Run cards', exact: true }).press('Enter')
    await page.getByTestId('offer-dump').getByRole('link').press('Enter')
    await page.getByLabel('Where').selectOption({ label: 'Sallow Mill station' })
    // A number is asked where it comes from.
    await page.getByTestId('number-rinse-litres').first().press('Enter')
    await expect.poll(() => page.getByTestId('number-why').innerText()).toMatch(/holds, your rig\s+130.L/)
    await page.keyboard.press('Escape')
    await page.getByRole('dialog').waitFor({ state: 'detached' })
    // What was closed gives the focus back a moment later: a key pressed before would open it again.
    await page.locator('[data-testid=number-rinse-litres]:focus').waitFor()
    await page.getByTestId('start-card').press('Enter')
    await walkTo(page, 'dump.read', byKey, 1)
    await page.getByTestId('panel-black').getByRole('radio', { name: '⅔' }).click()
    await walkTo(page, 'rinse.open')
    await page.getByRole('button', { name: /^Start the clock: \d+:\d\d$/ }).press('Enter')
    const left = async () => {
      const [minutes, seconds] = (await page.getByTestId('timer-left').innerText()).split(':').map(Number)
      return minutes! * 60 + seconds!
    }
    const atFirst = await left()
    const begun = Date.now()
    // Hidden, gone, and back: it is as much less as the clock on the wall says.
    await page.evaluate(() => {
      Object.defineProperty(document, 'visibilityState', { value: 'hidden', configurable: true })
      document.dispatchEvent(new Event('visibilitychange'))
    })
    await page.waitForTimeout(1500)
    await page.reload()
    await page.getByTestId('timer').waitFor()
    const passed = (Date.now() - begun) / 1000
    expect(Math.abs(atFirst - (await left()) - passed)).toBeLessThan(3)
    expect(passed).toBeGreaterThan(1.5)
    await page.getByText('Stay here.').first().waitFor()
    await walkTo(page, 'rinse.open-off')
    for (let k = 0; k < 4; k++) await page.getByRole('button', { name: 'One more' }).press('Enter')
    await expect.poll(() => page.getByTestId('tally').innerText()).toContain('4 done')
    await walkTo(page, '')
    await expect.poll(() => page.getByTestId('finish').innerText()).toContain('Black emptied')
    await page.getByTestId('panel-after').getByTestId('panel-black').getByRole('radio', { name: '⅓' }).click()
    await page.getByTestId('suspect').waitFor()
    await page.getByTestId('finish-save').press('Enter')
    await page.getByRole('button', { name: 'Done' }).press('Enter')
    await saved(page)
    await goTo(page, 'Log')
    const list = page.getByTestId('log-list')
    for (const words of [
      /Black emptied, Gray emptied/,
      /4 rounds of rinsing/,
      /50.mL of Mire-Ease/,
      /Black: panel shows ⅔/,
      /Black: panel shows ⅓/,
    ])
      await expect.poll(() => list.innerText()).toMatch(words)
    await page.getByRole('button', { name: /^Undo/ }).first().click()
    await expect.poll(() => list.innerText()).not.toContain('Mire-Ease')
    expect(await list.innerText()).not.toContain('Black emptied')
    expect(noise).toEqual([])
  })

  it('a cassette by touch: held anywhere on the screen, carried under the lift limit, into the log with its sachet', async () => {
    const { page, noise } = await open('demo', '/stay?show=which', {
      ...PHONE,
      clock: '2027-09-06T12:00',
    })
    const label = (await staysOffered(page))[1]!
    await page.getByLabel('Stay', { exact: true }).selectOption({ label })
    await page.evaluate(() => void (location.hash = '#/cards'))
    await page.getByTestId('offer-cassette').getByRole('link').tap()
    await page.getByTestId('start-card').tap()
    await page.getByTestId('walk').waitFor()
    await walkTo(page, 'cassette.aside', byKnuckle, 1)
    await walkTo(page, 'cassette.down', byKnuckle)
    expect(await page.getByTestId('step-words').innerText()).toContain('Point the spout down')
    // A tap is not enough here.
    await page.touchscreen.tap(200, 340)
    expect(await stepOf(page)).toBe('cassette.down')
    await page.getByTestId('stop-safely').tap()
    await expect
      .poll(() => page.getByTestId('stopped').innerText())
      .toMatch(/spout up, cap on[\s\S]*hands washed/)
    await page.getByRole('button', { name: 'Go on' }).tap()
    // To the end of the card in the proof; in every run from what was poured to the log.
    if (isThorough) await walkTo(page, '', byKnuckle)
    else {
      for (let k = 0; k < 2; k++) await byKnuckle(page)
      await page.getByTestId('stop-safely').tap()
      await page.getByRole('button', { name: 'Finish here, log what was done' }).tap()
    }
    await page.getByTestId('finish-save').tap()
    await saved(page)
    await page.getByRole('navigation').last().getByRole('link', { name: 'Log' }).tap()
    await page.getByTestId('log-list').getByText('Show', { exact: true }).first().tap()
    await page.getByTestId('log-list').getByLabel('Show').selectOption({ label: 'Emptied and filled' })
    if (isThorough)
      await expect
        .poll(() => page.getByTestId('log-list').innerText())
        .toMatch(/1 sachet of Brookleaf sachets/)
    expect(noise).toEqual([])
  })

  it('a run’s own cards: what goes wrong at a step, stopped midway, only what was done is logged', async () => {
    const { page } = await open('demo', '/runs', { clock: null })
    await page.getByRole('button', { name: 'Add a run' }).click()
    await page.getByTestId('usual-move-dump-fill').click()
    await page
      .getByRole('link', { name: /^Do it by the card/ })
      .first()
      .click()
    await page.getByTestId('part-0').waitFor()
    const names = await page.locator('[data-testid^=part-] h2').allInnerTexts()
    expect(names[0]).toContain('Top up')
    expect(names.findIndex((name) => name.includes('Fresh'))).toBeLessThan(
      names.findIndex((name) => name.includes('Dump')),
    )
    await page
      .getByRole('checkbox', { name: 'Others wait' })
      .or(page.getByRole('switch', { name: 'Others wait' }))
      .click()
    await expect.poll(() => page.getByText('A full rinse is owed, and noted').count()).toBe(1)
    await page.getByTestId('start-card').click()
    await walkTo(page, 'dump.black')
    // The outlet of this rig beside the step, as its valves stand.
    const picture = page.getByTestId('outlet-picture').locator('svg')
    expect(await picture.getAttribute('aria-label')).toMatch(/Gray: shut\. Black: open\..*Black runs out\./)
    // Read aloud by the browser, once somebody asks for it, and each step after it.
    await page.evaluate(() => {
      const said: string[] = []
      Object.assign(window, { said })
      speechSynthesis.speak = ({ text }) => void said.push(text)
    })
    await page.getByTestId('read-aloud').click()
    const said = () => page.evaluate(() => (window as unknown as { said: string[] }).said)
    expect(await said()).toEqual([expect.stringMatching(/^Open Black fully/)])
    await page.getByTestId('read-aloud').click()
    // Left for a moment it stands in a line on Camp and on Runs.
    for (const away of ['/', '/runs']) {
      await page.evaluate((to) => void (location.hash = to), away)
      await page.getByTestId('walk-line').getByRole('link', { name: 'Go on' }).waitFor()
    }
    await page.getByTestId('walk-line').getByRole('link', { name: 'Go on' }).click()
    await page.getByRole('button', { name: 'It will not drain' }).click()
    await expect.poll(() => page.getByTestId('mishap-steps').innerText()).toContain('Never poke')
    await page.keyboard.press('Escape')
    await page.getByRole('dialog').waitFor({ state: 'detached' })
    await walkTo(page, 'dump.gray')
    await page.getByTestId('stop-safely').click()
    await expect.poll(() => page.getByTestId('stopped').innerText()).toMatch(/Then shut the end valve/)
    await page.getByRole('button', { name: 'Finish here, log what was done' }).click()
    await expect.poll(() => page.getByTestId('finish').innerText()).toContain('A rinse of Black is owed')
    expect(await page.getByTestId('finish').innerText()).not.toContain('Gray emptied')
    await page.getByTestId('finish-save').click()
    // Camp, with what was logged and the new count.
    await expect
      .poll(() => page.getByTestId('notice').allInnerTexts())
      .toEqual([expect.stringContaining('Black emptied')])
    await page.getByTestId('count-days').waitFor()
    expect(await page.getByTestId('walk-line').count()).toBe(0)
    await page.evaluate(() => void (location.hash = '#/cards'))
    await expect.poll(() => page.getByTestId('owed').innerText()).toBe('A rinse is owed: Black.')
    await goTo(page, 'Runs')
    await expect.poll(() => page.locator('[data-testid^=run-run]').count()).toBe(0)
  })

  it('a card that the owner made: reordered within the laws, words added, shared as a file and taken in as one from elsewhere', async () => {
    const { page } = await open('demo', '/cards/dump/outlet')
    await page.getByRole('button', { name: 'Make it your own' }).click()
    const card = page.locator('[data-testid^=own-card]')
    await card.getByRole('button', { name: 'Change its order' }).click()
    await card.getByRole('button', { name: /^Drop: Gloves on/ }).click()
    await expect
      .poll(() => page.getByTestId('own-refused').innerText())
      .toContain('Gloves come before waste.')
    await card.getByLabel('A step in your own words').fill('Fetch the blue bucket.')
    await card.getByRole('button', { name: 'Add it' }).click()
    await card.getByText('Fetch the blue bucket.').waitFor()
    await card.getByRole('button', { name: /^Drop: Get out/ }).click()
    await expect.poll(() => page.getByTestId('own-refused').count()).toBe(0)
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      card.getByRole('button', { name: 'Share as a file' }).click(),
    ])
    const file = await download.path()
    expect(JSON.parse(await readFile(file, 'utf8'))).toMatchObject({
      format: 'dry-count/card@1',
      card: { kind: 'dump' },
    })
    await page.getByTestId('take-card').setInputFiles(file)
    await expect.poll(() => card.count()).toBe(2)
    await expect.poll(() => card.nth(1).innerText()).toContain('Written elsewhere')
    await page.getByTestId('take-card').setInputFiles('package.json')
    await page.getByText('That file is no run card of Dry Count.').waitFor()
    // One that goes backwards is not taken in, and says what it would break.
    const shared = JSON.parse(await readFile(file, 'utf8')) as { card: { steps: unknown[] } }
    shared.card.steps.reverse()
    await page.getByTestId('take-card').setInputFiles({
      name: 'backwards.drycount-card.json',
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify(shared)),
    })
    await expect
      .poll(() => page.getByTestId('taken-refused').innerText())
      .toMatch(/was not imported[\s\S]*before a cap is opened/)
    expect(await card.count()).toBe(2)
    await card.nth(1).getByRole('link').click()
    await expect.poll(() => page.getByTestId('part-2').innerText()).toContain('Fetch the blue bucket.')
    await saved(page)
  })

  it('a bucket test makes the minutes this tap’s; a metered tank is sure of its size', async () => {
    const { page } = await open('demo', '/cards/bucket-test')
    await page.getByLabel('Where').selectOption({ label: 'Sallow Mill station' })
    await page.getByTestId('start-card').click()
    await walkTo(page, '')
    await page.getByLabel(/^Seconds for a bucket of 10.L/).fill('25')
    await page.getByText(/Sallow Mill station: 24.L a minute/).waitFor()
    await page.getByTestId('measure-save').click()
    await page.evaluate(() => void (location.hash = '#/cards/dump/outlet'))
    await page.getByLabel('Where').selectOption({ label: 'Sallow Mill station' })
    await expect.poll(() => page.getByTestId('number-rinse-minutes').first().innerText()).toMatch(/^4.min$/)
    await page.evaluate(() => void (location.hash = '#/cards/metered-fill/gray'))
    await page.getByTestId('start-card').click()
    await walkTo(page, '')
    await page.getByLabel('Gray holds').fill('201')
    await page.getByTestId('measure-save').click()
    await saved(page)
    await page.evaluate(() => void (location.hash = '#/rig'))
    await expect.poll(() => page.getByTestId('tank-gray').getByLabel('Holds').inputValue()).toBe('201')
  })

  it('every card of every demo rig stands on one page, A4 and letter, with nothing cut', async () => {
    const { page } = await open('demo', '/stay?show=which')
    const options = await staysOffered(page)
    expect(options).toHaveLength(3)
    for (const label of options) {
      await page.evaluate(() => void (location.hash = '#/stay?show=which'))
      await page.getByLabel('Stay', { exact: true }).selectOption({ label })
      await page.evaluate(() => void (location.hash = '#/cards/print?of=/cards/all'))
      await page.getByTestId('sheet').first().waitFor()
      for (const paper of ['A4', 'Letter']) {
        await page.getByRole('radio', { name: paper }).click()
        // Letters are made smaller until the page holds them.
        const cut = () =>
          page.getByTestId('sheet').evaluateAll((sheets) =>
            sheets.flatMap((sheet) => {
              const [list, foot] = [sheet.querySelector('ol')!, sheet.querySelector('footer')!]
              const isCut =
                sheet.scrollHeight > sheet.clientHeight + 1 || sheet.scrollWidth > sheet.clientWidth + 1
              const isUnder = list.getBoundingClientRect().bottom > foot.getBoundingClientRect().top + 1
              return isCut || isUnder || sheet.textContent.includes('{')
                ? [sheet.querySelector('h1')!.textContent]
                : []
            }),
          )
        await expect.poll(async () => [label, paper, await cut()]).toEqual([label, paper, []])
      }
      expect(await page.getByTestId('sheet').count()).toBeGreaterThan(15)
    }
  })
})

describe('the guide', () => {
  it('is looked up in by keyboard, forgives a slip, and the words of a screen lead to it', async () => {
    const { page } = await open('demo')
    await page.getByTestId('screen-words').getByRole('link', { name: 'Plan on' }).click()
    await expect.poll(() => page.getByTestId('guide-found').innerText()).toContain('nine trips of ten')
    await page.getByTestId('guide-search').fill('vacum breakr')
    await expect
      .poll(() => page.getByTestId('guide-found').innerText())
      .toContain('Never rinse without a vacuum breaker')
    // A part of the handbook is found, and shown where it begins.
    await page.getByTestId('guide-search').fill('a run that cannot be done')
    await page.getByRole('link', { name: 'A run that cannot be done' }).first().click()
    await page.getByRole('heading', { name: 'A run that cannot be done' }).waitFor()
    await expect.poll(() => page.evaluate(() => scrollY)).toBeGreaterThan(0)
    await page.goBack()
    await page.getByTestId('guide-search').fill('xyzzyq')
    await expect.poll(() => page.getByTestId('guide-found').innerText()).toContain('Nothing on “xyzzyq”')
    await page.getByTestId('guide-search').fill('')
    await expect
      .poll(() => page.locator('[data-fold=guide-ask]').innerText())
      .toContain('May gray water go on the ground here?')
  })
})

import { readFile } from 'node:fs/promises'
import type { Page } from 'playwright-core'
import { describe, expect, it } from 'vitest'
import type { Document } from '@/core/domain'
import { owned } from '@/core/quantities'
import { writeDocument } from '@/document'
import { newPlace } from '@/document/starters'
import { trailerDemo } from '../../scripts/demo/trailer'
import { truckDemo } from '../../scripts/demo/truck'
import { useBrowser } from './support/app'

const open = useBrowser()
const axe = await readFile('node_modules/axe-core/axe.min.js', 'utf8')
interface AxeWindow {
  axe: { run: (part: string) => Promise<{ violations: { id: string }[] }> }
}

/** Opens a document that was made for it, in an empty browser. */
async function openWith(document: Document, own: Parameters<typeof open>[2] = {}) {
  const visit = await open('mine', '/settings', own)
  await visit.page.locator('input[type=file]').setInputFiles({
    name: 'own.drycount.json',
    mimeType: 'application/json',
    buffer: Buffer.from(writeDocument(document)),
  })
  await visit.page.getByTestId('count-strip').waitFor()
  return visit
}
const at = (page: Page, hash: string) => page.evaluate((to) => void (location.hash = to), hash)
const part = (page: Page) => page.locator('[data-testid^=part-]')
/** The card as it stands on the screen. */
const words = async (page: Page) => (await part(page).allInnerTexts()).join('\n')
/** From here on every hold is done at once. */
async function step(page: Page): Promise<void> {
  const before = await page.getByTestId('walk-place').innerText()
  const next = page.getByTestId('walk-next')
  await next.focus()
  await page.keyboard.down('Enter')
  await expect.poll(() => page.getByTestId('walk-place').innerText()).not.toBe(before)
  await page.keyboard.up('Enter')
}
const stepOf = (page: Page) => page.getByTestId('walk').getAttribute('data-step')
async function stepTo(page: Page, id: string): Promise<void> {
  for (let k = 0; k < 60 && (await stepOf(page)) !== id; k++) await step(page)
  expect(await stepOf(page)).toBe(id)
}
const picture = (page: Page) => page.getByTestId('outlet-picture').locator('svg').getAttribute('aria-label')

/** Light, with room, and a place that takes gray and has water that is not for drinking. */
function trailer(): Document {
  const document = trailerDemo()
  const [stay] = document.stays
  document.rigs[0]!.payload = null
  document.rigs[0]!.outlets[0]!.rinses = null
  const level = (id: string, litres: number) =>
    Object.assign(
      stay!.levels.find(({ container }) => container === id)!,
      {
        level: owned(litres),
        error: { shape: 'even', size: owned(0) },
      },
    )
  level('gray', 130)
  level('black', 40)
  stay!.places = [{ ...newPlace('sump', 'Gray sump'), accepts: ['gray'], water: 'not-potable' }]
  return document
}

describe('the outlet, in the browser', () => {
  it('a gray-only place: nothing of black, no drinking water; with no place named it is asked', async () => {
    const { page, noise } = await openWith(trailer())
    await at(page, '/cards/dump/outlet')
    await expect.poll(() => words(page)).toMatch(/Does this drain take toilet waste\?/)
    await page.getByLabel('Where').selectOption({ label: 'Gray sump' })
    await expect.poll(() => page.getByRole('heading', { level: 1 }).innerText()).toBe('Gray only')
    const card = await words(page)
    expect(card).toContain('Black stays shut')
    expect(card).not.toMatch(/Open Black|into Black|drinking water/)
    await page.getByTestId('start-card').click()
    await stepTo(page, 'gray-only.open')
    expect(await picture(page)).toMatch(/Gray: open\. Black: shut\..*Gray runs out\./)
    expect(noise).toEqual([])
  }, 120_000)

  it('a tote in three loads: each is filled to its mark, towed and poured before the next', async () => {
    const { page } = await openWith(trailer())
    await at(page, '/cards/tote/tote')
    await expect.poll(() => words(page)).toMatch(/load 1 of 3/)
    const order = [...(await words(page)).matchAll(/load (\d of \d)|Hitch it low|open the tote slowly/g)]
    expect(order.slice(0, 9).map(([text, load]) => load ?? text)).toEqual(
      ['1 of 3', '2 of 3', '3 of 3'].flatMap((load) => [load, 'Hitch it low', 'open the tote slowly']),
    )
    await page.getByTestId('start-card').click()
    await stepTo(page, 'tote.fill')
    expect(await picture(page)).toMatch(/The hose leads into the tote/)
    // Called away with the valve open: nothing of a drain that is not there.
    await page.getByTestId('stop-safely').click()
    const stopped = await page.getByTestId('stopped').innerText()
    expect(stopped).toMatch(/Shut Gray[\s\S]*into the tote[\s\S]*Cap on/)
    expect(stopped).not.toMatch(/into the drain/)
  }, 120_000)

  it('tanks that stand joined are opened to each other again at the end, in words and in the picture', async () => {
    const { page } = await openWith(truckDemo())
    await at(page, '/cards/gray-only/truck-outlet')
    await expect.poll(() => words(page)).toMatch(/Open Gray and Old black tank to each other again/)
    await page.getByTestId('start-card').click()
    await stepTo(page, 'dump.all-home')
    expect(await picture(page)).toMatch(/Gray: shut\. Old black tank: shut\./)
    await stepTo(page, 'dump.joined')
    expect(await picture(page)).toMatch(
      /Gray: open\. Old black tank: open\. End valve: shut\. The cap is on\./,
    )
  }, 120_000)

  it('two people: each step says whose it is, two columns on paper; alone it is one way in', async () => {
    const { page, noise } = await openWith(trailer())
    await at(page, '/cards/dump/outlet')
    await expect.poll(() => words(page)).toMatch(/Inside\s+Pour a bucket/)
    await page.getByRole('link', { name: 'Print' }).click()
    await page.getByTestId('two-columns').first().waitFor()
    expect(await page.getByTestId('two-columns').first().innerText()).toMatch(/At the hose\s+Inside/)
    const columns = async (by: string) =>
      page
        .locator(`[data-by=${by}] > span:has(b), [data-by=${by}] > span`)
        .evaluateAll((all) =>
          all
            .filter((one) => (one.textContent ?? '').length > 20)
            .map((one) => Math.round(one.getBoundingClientRect().left)),
        )
    expect(Math.max(...(await columns('hose')))).toBeLessThan(Math.min(...(await columns('inside'))))
    for (const paper of ['A4', 'Letter']) {
      await page.getByRole('radio', { name: paper }).click()
      const cut = () =>
        page
          .getByTestId('sheet')
          .evaluateAll((sheets) =>
            sheets.flatMap((one) =>
              one.scrollHeight > one.clientHeight + 1
                ? [
                    `${one.scrollHeight}/${one.clientHeight} ${getComputedStyle(one.querySelector('ol')!).fontSize} ${one.textContent.slice(0, 900)}`,
                  ]
                : [],
            ),
          )
      await expect.poll(cut).toEqual([])
    }
    await page.goBack()
    await page.getByRole('switch', { name: /^Two people/ }).click()
    await expect.poll(() => words(page)).toMatch(/You go in once/)
    expect(await words(page)).not.toMatch(/At the hose/)
    expect(noise).toEqual([])
  }, 120_000)

  it('“Aboard” is one page in large print, for the crew and for guests, without a box to tick', async () => {
    const { page } = await openWith(trailer())
    await at(page, '/cards/arrival')
    await expect.poll(() => words(page)).toMatch(/Hang up the card “Aboard”/)
    await at(page, '/cards/aboard')
    await page.getByRole('switch', { name: 'For guests' }).click()
    await expect.poll(() => words(page)).toMatch(/Welcome/)
    await page.getByRole('link', { name: 'Print' }).click()
    const sheet = page.getByTestId('sheet')
    await sheet.waitFor()
    expect(await sheet.count()).toBe(1)
    const seen = await sheet.evaluate((one) => ({
      isCut: one.scrollHeight > one.clientHeight + 1,
      points: parseFloat(getComputedStyle(one.querySelector('ol')!).fontSize) * 0.75,
      boxes: one.querySelectorAll('ol [aria-hidden]').length,
    }))
    expect(seen).toMatchObject({ isCut: false, boxes: 0 })
    expect(seen.points).toBeGreaterThanOrEqual(14)
  }, 120_000)

  it('at 200 % text on 360 px, by a knuckle in the sun look: nothing runs out of the screen, the act is seen whole', async () => {
    const { page } = await openWith(trailer(), { viewport: { width: 360, height: 740 }, hasTouch: true })
    await at(page, '/cards/dump/outlet')
    await page.getByTestId('start-card').click()
    await page.addStyleTag({ content: 'html { font-size: 200% !important }' })
    await page.evaluate(() => void (document.documentElement.dataset.theme = 'sun'))
    for (const id of ['dump.all-home', 'dump.black', 'rinse.buckets', 'rinse.call']) {
      await stepTo(page, id)
      const seen = await page.evaluate(() => {
        const box = (test: string) => document.querySelector(`[data-testid=${test}]`)!.getBoundingClientRect()
        return {
          wide: document.documentElement.scrollWidth,
          act: box('step-words').bottom,
          next: box('walk-next').top,
          height: box('walk-next').height,
        }
      })
      expect([id, seen.wide]).toEqual([id, 360])
      expect([id, seen.act <= seen.next + 1]).toEqual([id, true])
      expect(seen.height).toBeGreaterThanOrEqual(96)
    }
    await page.evaluate(axe)
    const found = await page.evaluate(async () => {
      const { violations } = await (window as unknown as AxeWindow).axe.run('[data-testid=walk]')
      return violations.map(({ id }) => id)
    })
    expect(found).toEqual([])
  }, 120_000)

  it.each([
    ['Yes, it has one', /rinse hose onto the rinse inlet/],
    ['None, or I do not know', /bucket of (10\sL|2\.5\sgal)/],
  ])(
    'the start asks for a rinse inlet: “%s”',
    async (answer, said) => {
      const { page } = await open('mine', '/start')
      await page.getByLabel(/^Rinse inlet for the toilet tank/).selectOption({ label: answer })
      for (const name of ['Next', 'Next']) await page.getByRole('button', { name }).click()
      await page.getByRole('button', { name: 'Show me the count' }).click()
      await page.getByTestId('count-strip').or(page.getByTestId('count-days')).first().waitFor()
      await at(page, '/cards')
      await page.getByTestId('offer-dump').getByRole('link').click()
      await expect.poll(() => words(page)).toMatch(said)
    },
    120_000,
  )
})

import { readFileSync } from 'node:fs'
import type { Page } from 'playwright-core'
import { describe, expect, it } from 'vitest'
import { atRest, fold, saved, useBrowser } from './support/app'

const open = useBrowser({ isStanding: true })
const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true }
const waits = (page: Page) => page.getByTestId('decide-first').innerText()

async function opened(page: Page, section: string): Promise<void> {
  const button = fold(page, section)
  if ((await button.getAttribute('aria-expanded')) === 'false') await button.click()
}
async function pick(page: Page, name: string, text: string): Promise<void> {
  await page.locator('[data-fold=places-in] input[type=file]').setInputFiles({
    name,
    mimeType: 'application/octet-stream',
    buffer: Buffer.from(text),
  })
}
async function downloaded(page: Page, act: () => Promise<unknown>): Promise<string> {
  const [file] = await Promise.all([page.waitForEvent('download'), act()])
  return readFileSync(await file.path(), 'utf8')
}

const OSM = JSON.stringify({
  type: 'FeatureCollection',
  features: [
    {
      type: 'Feature',
      geometry: { type: 'Point', coordinates: [-38.05, 45.04] },
      properties: {
        name: 'Larch <b>Flats</b>',
        amenity: 'sanitary_dump_station',
        'sanitary_dump_station:grey_water': 'yes',
        'sanitary_dump_station:black_water': 'yes',
        drinking_water: 'yes',
        opening_hours: 'Mo-Su 06:00-22:00',
        fee: 'no',
        capacity: '4',
      },
    },
    {
      type: 'Feature',
      geometry: {
        type: 'LineString',
        coordinates: [
          [1, 2],
          [3, 4],
        ],
      },
      properties: { name: 'A trail' },
    },
    { type: 'Feature', geometry: { type: 'Point', coordinates: [-38, 99] }, properties: { name: 'Beyond' } },
  ],
})

describe('places', () => {
  it('by a name alone; open tags and way points come in with a report; bad files say why; all goes out and comes back', async () => {
    const { page, noise } = await open('demo', '/places')
    const list = page.getByTestId('places-list').getByRole('listitem')
    await expect.poll(() => list.count()).toBe(6)
    await expect
      .poll(() => page.getByTestId('places-headline').innerText())
      .toContain('Open when you arrive: Tern Hollow')
    // By its name alone; what is not known is said, and nothing without a name is added.
    await page.getByRole('button', { name: 'Add', exact: true }).click()
    await page.getByText('Give the place a name.').waitFor()
    await page.getByLabel('Name of a place').fill('Old quarry')
    await page.keyboard.press('Enter')
    await page.getByText('Old quarry is added').waitFor()
    const quarry = list.filter({ hasText: 'Old quarry' })
    expect(await quarry.innerText()).toMatch(/road not known[\s\S]*hours not known[\s\S]*takes not known/)
    // Markup is refused with what was typed still there.
    await page.getByLabel('Name of a place').fill('<i>Mill</i>')
    await page.keyboard.press('Enter')
    await page.getByText('Names are plain text').waitFor()
    expect(await page.getByLabel('Name of a place').inputValue()).toBe('<i>Mill</i>')
    // Its hours in the plain form, and as a text that cannot be read.
    await page.getByRole('button', { name: 'Change Old quarry' }).click()
    const dialog = page.getByTestId('place-dialog')
    await dialog.getByTestId('place-when').locator('summary').click()
    await dialog.getByRole('checkbox', { name: 'Sat' }).click()
    await expect
      .poll(() => dialog.getByTestId('next-days').innerText())
      .toContain('Sat 18 Sept 08:00 – 18:00')
    const text = dialog.getByLabel('Or as text')
    expect(await text.inputValue()).toBe('Sa 08:00-18:00')
    await text.fill('Mo-Fr 26:00-99:00')
    await text.press('Enter')
    await dialog.getByText('These hours cannot be read').waitFor()
    expect(await text.inputValue()).toBe('Mo-Fr 26:00-99:00')
    await dialog.getByTestId('place-where').locator('summary').click()
    const position = dialog.getByLabel('Position')
    await position.fill('145, 10')
    await position.press('Enter')
    await dialog.getByText('145, 10 is not on the globe').waitFor()
    await position.fill('45.02, -38.03')
    await position.press('Enter')
    await expect.poll(() => dialog.getByTestId('place-where').innerText()).toMatch(/4\.2\skm, 5\smin/)
    await page.keyboard.press('Escape')
    // Open tags of OpenStreetMap: what was taken, what was left out, what was not understood.
    await opened(page, 'places-in')
    await pick(page, 'area.geojson', OSM)
    const found = page.getByTestId('places-found')
    await found.getByText('One place found.').waitFor()
    expect(await found.getByTestId('left-out').innerText()).toMatch(
      /1 left out: lines and other shapes are not places, such as A trail[\s\S]*not on the globe, such as Beyond/,
    )
    expect(await found.getByTestId('not-understood').innerText()).toContain('capacity=4')
    await found.getByRole('button', { name: 'Add the one chosen' }).click()
    await expect
      .poll(() => list.filter({ hasText: 'Larch Flats' }).innerText())
      .toMatch(/open to 22:00[\s\S]*takes gray, black/)
    const gpx =
      '<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1">' +
      '<wpt lat="45.05" lon="-38.1"><name>Spring &amp; trough</name></wpt></gpx>'
    await pick(page, 'way.gpx', gpx)
    await found.getByRole('button', { name: 'Add the one chosen' }).click()
    await list.filter({ hasText: 'Spring & trough' }).waitFor()
    await expect.poll(() => list.count()).toBe(9)
    for (const [name, body, words] of [
      ['a.gpx', `<!DOCTYPE gpx [<!ENTITY x "y">]>${gpx}`, 'declares entities'],
      ['a.gpx', '<gpx><wpt', 'cannot be read as XML'],
      ['a.geojson', '{"type":"Fea', 'cannot be read as JSON'],
      ['a.geojson', '{"a":1}', 'not GeoJSON of places'],
      ['a.csv', 'name,lat', 'Files of places are GeoJSON'],
      ['a.geojson', 'x'.repeat(21 * 1024 * 1024), 'read up to 20 MB'],
    ] as const) {
      await pick(page, name, body)
      await expect.poll(() => page.getByTestId('places-refused').innerText()).toContain(words)
    }
    expect(await list.count()).toBe(9)
    // Ten thousand of them: the screen goes on, and what there is room for is chosen by the road.
    const many = Array.from({ length: 10_000 }, (_, i) => ({
      type: 'Feature',
      geometry: { type: 'Point', coordinates: [-38 + i / 1e4, 45.2] },
      properties: { name: `Point ${i}` },
    }))
    await pick(page, 'many.geojson', JSON.stringify({ type: 'FeatureCollection', features: many }))
    await found.getByText('10000 places found.').waitFor()
    await found.getByText('There is room for 491: the nearest are chosen.').waitFor()
    expect(await found.getByRole('checkbox').count()).toBeLessThan(40)
    await found.getByRole('button', { name: 'Cancel' }).click()
    // Out, and in again: all of them are known already.
    await opened(page, 'places-out')
    const geojson = await downloaded(page, () => page.getByRole('button', { name: 'As GeoJSON' }).click())
    const written = await downloaded(page, () => page.getByRole('button', { name: 'As GPX' }).click())
    for (const [name, body] of [
      ['out.geojson', geojson],
      ['out.gpx', written],
    ] as const) {
      await pick(page, name, body)
      await found.getByText('9 places found. 9 of them you have already.').waitFor()
    }
    await found.getByRole('button', { name: 'Cancel' }).click()
    // The directory of the server; one that never answers is given up.
    await page.getByRole('button', { name: 'From the directory' }).click()
    await found.getByText(/of them you have already/).waitFor()
    expect(await found.innerText()).toContain('Gorse Bank camp')
    await found.getByRole('button', { name: 'Cancel' }).click()
    await page.route('**/api/places**', () => undefined)
    await page.getByRole('button', { name: 'From the directory' }).click()
    await page.getByText('Asking the directory').waitFor()
    await page.getByRole('button', { name: 'Stop' }).click()
    await page.getByText('Given up. Nothing was changed.').waitFor()
    await page.unroute('**/api/places**')
    await page.route('**/api/places**', (route) => route.fulfill({ body: '<html>Log in</html>' }))
    await page.evaluate(() => localStorage.removeItem('dry-count:directory'))
    await page.getByRole('button', { name: 'From the directory' }).click()
    await page.getByText('something that is not a list of places').waitFor()
    await saved(page)
    expect(noise).toEqual([])
  })

  it('the map by keyboard: arrow keys go from mark to mark, plus and minus change the scale, Enter opens', async () => {
    const { page, noise } = await open('demo', '/places')
    const map = page.getByTestId('places-map')
    await map.locator('[data-mark]').first().waitFor()
    await expect
      .poll(() => map.locator('[data-mark=sallow-mill]').getAttribute('aria-label'))
      .toMatch(/Sallow Mill station, 18\skm, shut until Mon 13 Sept 08:00, gray, black, cassettes/)
    // One mark is in the order of the page.
    expect(await map.locator('[data-mark][tabindex="0"]').count()).toBe(1)
    await map.locator('[data-mark=pass-tap]').focus()
    const focused = () => page.evaluate(() => document.activeElement?.getAttribute('data-mark'))
    await page.keyboard.press('ArrowUp')
    await expect.poll(focused).toBe('sallow-mill')
    await page.keyboard.press('ArrowLeft')
    await expect.poll(focused).toBe('tern-hollow')
    await page.keyboard.press('ArrowDown')
    await expect.poll(focused).toBe('pass-tap')
    await page.keyboard.press('ArrowDown')
    await expect.poll(focused).toBe('cold-spring')
    const x = () => map.locator('[data-mark=sallow-mill] circle').first().getAttribute('cx')
    const before = Number(await x())
    await page.keyboard.press('+')
    await expect.poll(async () => Number(await x())).toBeGreaterThan(before + 10)
    await page.keyboard.press('-')
    await expect.poll(async () => Number(await x())).toBe(before)
    await page.keyboard.press('Enter')
    await expect
      .poll(() => page.getByTestId('place-dialog').getByLabel('Name').inputValue())
      .toBe('Cold Spring, free station')
    await page.keyboard.press('Escape')
    expect(noise).toEqual([])
  })

  it('decide by moves with what is known; a run dragged to a closed day says why; the plan goes along', async () => {
    const { page, noise } = await open('demo', '/runs')
    // The free drain takes gray alone, at any hour: with the tote it serves as late as anything.
    await expect.poll(() => waits(page)).toMatch(/Gray can wait until Thu 16 Sept 06:\d\d\./)
    expect(await page.getByTestId('decide-then').innerText()).toMatch(/Tern Hollow, free drain, 2\d\skm away/)
    const then = () => page.getByTestId('decide-then').innerText()
    const first = await then()
    // A place that is open longer lets you wait longer, at once; undone, it does not.
    await page.locator('[data-mark=sallow-mill]').click()
    const dialog = page.getByTestId('place-dialog')
    await dialog.getByTestId('place-when').locator('summary').click()
    await dialog.getByRole('button', { name: 'Always open' }).click()
    await page.keyboard.press('Escape')
    await expect.poll(then).not.toBe(first)
    await page.getByRole('button', { name: 'Undo: place' }).click()
    await expect.poll(then).toBe(first)
    // A run is put where its place is open; groceries go along on the same road.
    for (const usual of ['tote-loads', 'groceries']) {
      await page.getByRole('button', { name: 'Add a run' }).click()
      await page.getByTestId(`usual-${usual}`).click()
      await page.getByTestId(`usual-${usual}`).waitFor({ state: 'detached' })
    }
    const cards = page.locator('[data-testid^=run-run]')
    await expect.poll(() => cards.count()).toBe(2)
    await expect
      .poll(() => cards.filter({ hasText: 'Groceries' }).innerText())
      .toContain('on one road with Tote behind the tow vehicle')
    // A run that is set is counted on, and what remains is said of every tank.
    await page.getByText('Every tank').click()
    await expect
      .poll(() => page.locator('main').innerText())
      .toMatch(/(Counted on|Planned): tote behind the tow vehicle/)
    // Dragged on the board to the Sunday, on which the station is shut.
    await page.getByRole('navigation').first().getByRole('link', { name: 'Stay', exact: true }).click()
    // On the board too: in words at its tank, and as a mark on the day.
    await page.getByTestId('decide-mark-gray').waitFor()
    expect(await page.getByTestId('board').getByTestId('wait-gray').innerText()).toMatch(
      /^by \w{3} \d+ \d\d:\d\d$/,
    )
    const post = page.locator('[data-testid^=post-]').filter({ hasText: 'Tote' }).first()
    await post.scrollIntoViewIfNeeded()
    const label = await post.getAttribute('aria-label')
    const box = await atRest(post)
    const sunday = (await page.locator('[data-testid=cell-gray-1]').boundingBox())!
    await page.mouse.move(box.x + 20, box.y + 20)
    await page.mouse.down()
    for (let at = box.x + 20; at > sunday.x + 0.4 * sunday.width + 20; at -= 30)
      await page.mouse.move(at, box.y + 20)
    await page.mouse.move(sunday.x + 0.3 * sunday.width + 20, box.y + 20)
    await page.mouse.up()
    await page
      .getByText(/Sallow Mill station is shut then; it opens Mon 13 Sept, 08:00\./)
      .first()
      .waitFor()
    await page.getByRole('button', { name: 'Go to Cold Spring, free station instead' }).first().waitFor()
    await page.getByTestId('nearest').first().waitFor()
    await page.getByRole('button', { name: 'Undo: run' }).click()
    await expect
      .poll(() =>
        page.locator('[data-testid^=post-]').filter({ hasText: 'Tote' }).first().getAttribute('aria-label'),
      )
      .toBe(label)
    await expect.poll(() => page.getByText('is shut then').count()).toBe(0)
    // And on Camp, under each gauge.
    await page.getByRole('navigation').first().getByRole('link', { name: 'Camp', exact: true }).click()
    await expect
      .poll(() => page.getByTestId('wait-gray').innerText())
      .toMatch(/^wait no longer than \w{3} \d+ Sept/)
    // Along: a calendar, a table, way points, the text, one page.
    await page.getByRole('navigation').first().getByRole('link', { name: 'Runs', exact: true }).click()
    await opened(page, 'take-along')
    await page.getByTestId('decide-first').waitFor()
    await expect.poll(() => waits(page)).toContain('can wait until')
    const along = page.getByTestId('take-along')
    const ics = await downloaded(page, () => along.getByRole('button', { name: 'Calendar' }).click())
    expect(ics.match(/BEGIN:VEVENT/g)!.length).toBeGreaterThanOrEqual(3)
    expect(ics).toContain('SUMMARY:Decide by: Gray')
    const csv = await downloaded(page, () => along.getByRole('button', { name: 'Table' }).click())
    expect(csv.split('\r\n')).toHaveLength(4)
    const points = await downloaded(page, () => along.getByRole('button', { name: 'Waypoints' }).click())
    expect(points).toContain('<name>Sallow Mill station</name>')
    await page.context().grantPermissions(['clipboard-read', 'clipboard-write'])
    await along.getByRole('button', { name: 'Copy as text' }).click()
    await along.getByText('Copied.').waitFor()
    expect(await page.evaluate(() => navigator.clipboard.readText())).toContain(
      'Tote behind the tow vehicle, Sallow Mill station',
    )
    await along.getByRole('link', { name: 'One page to print' }).click()
    await page.getByTestId('plan-decide').getByText('can wait until').first().waitFor()
    expect(await page.getByTestId('plan').innerText()).toMatch(/Leave by \d\d:\d\d/)
    // On paper it is one page.
    await page.emulateMedia({ media: 'print' })
    const height = await page.getByTestId('plan').evaluate((plan) => plan.scrollHeight)
    expect(height).toBeLessThan(1000)
    expect(noise).toEqual([])
  })

  it('on a phone: a stay follows another over its road; its levels pass on; the strip has its dumps; undo', async () => {
    const { page, noise } = await open('demo', '/season', PHONE)
    await page.getByText('It starts by itself').waitFor()
    await page.getByRole('button', { name: 'Plan the next stay after this one' }).tap()
    await page.getByText('After Harrow Ridge raptor count is planned, and shown.').waitFor()
    const passed = page.getByTestId('season-passed')
    await expect
      .poll(() => passed.innerText())
      .toMatch(/^It takes over: Fresh \d+\sL, Gray \d{3}\sL, Black \d+\sL\.$/)
    await page.getByRole('button', { name: 'A last dump on the way' }).tap()
    await expect.poll(() => passed.innerText()).toMatch(/Gray 0\sL, Black \d\sL/)
    expect(await page.getByTestId('season-road').innerText()).toContain('Last dump')
    await page.getByRole('button', { name: 'Arrive empty and full' }).tap()
    await expect
      .poll(() => page.getByTestId('season-headline').innerText())
      .toContain('2 stays in a row; Harrow Ridge raptor count does not last')
    await expect
      .poll(() => page.getByTestId('season-stays').innerText())
      .toMatch(/3 nights, lasts[\s\S]*1 dump/)
    // The dry days of the second stay are its own, counted from what passed on.
    await page.getByLabel('At the end, waste tanks may hold').selectOption({ label: 'nothing: empty' })
    await expect
      .poll(() => page.getByTestId('season-stays').innerText())
      .toMatch(/Gray still holds \d+ % then: it should be empty/)
    await page.getByRole('button', { name: 'A paid hookup night between' }).tap()
    await expect.poll(() => page.getByTestId('season-headline').innerText()).toContain('3 stays in a row')
    await page.getByRole('button', { name: /^Undo/ }).first().tap()
    await expect.poll(() => page.getByTestId('season-headline').innerText()).toContain('2 stays in a row')
    await page.getByLabel('Starts as this stay ends').selectOption({ label: 'none: from its own levels' })
    await expect.poll(() => page.getByTestId('season-headline').innerText()).toContain('It starts by itself')
    await saved(page)
    expect(noise).toEqual([])
  })
})

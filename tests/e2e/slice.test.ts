import { readFile } from 'node:fs/promises'
import { gzipSync } from 'node:zlib'
import { describe, expect, it } from 'vitest'
import { isTurn } from '../support/thorough'
import { atRest, dryDays, saved, useBrowser } from './support/app'

const open = useBrowser({ isStanding: true })

describe('the thinnest slice', () => {
  it('opens the demo, names the stopper, and a habit moves the days', async () => {
    const { page, noise } = await open('demo')
    await page.getByTestId('plan-on').waitFor()
    expect(await page.getByTestId('count-sentence').innerText()).toContain('Gray may stop you from')
    const before = await dryDays(page)
    await page.getByRole('switch', { name: 'Wet, soap, rinse' }).click()
    await expect.poll(() => dryDays(page)).toBeGreaterThan(before + 0.5)
    await page.getByRole('switch', { name: 'Wet, soap, rinse' }).click()
    await expect.poll(() => dryDays(page)).toBe(before)
    expect(noise).toEqual([])
  })

  it('follows a level dragged on its post, by pointer and by keyboard', async () => {
    const { page } = await open('demo')
    const post = page.getByRole('slider', { name: 'Gray, starting level' })
    await post.waitFor()
    // The chances move the page a little when they come.
    await page.getByTestId('plan-on').waitFor()
    await page.getByTestId('stopper-share').first().waitFor()
    await post.scrollIntoViewIfNeeded()
    const before = await dryDays(page)
    const box = await atRest(post)
    const handle = (await post.getByTestId('gauge-handle').boundingBox())!
    await page.mouse.move(handle.x + 8, handle.y + handle.height / 2)
    await page.mouse.down()
    await page.mouse.move(handle.x + 8, box.y + box.height / 2, { steps: 8 })
    await page.mouse.up()
    await expect.poll(() => dryDays(page)).toBeLessThan(before - 2)
    await post.press('Home')
    await expect.poll(() => dryDays(page)).toBeGreaterThanOrEqual(before)
  })

  it('keeps an edited tank across a reload', async () => {
    const { page } = await open('demo', '/rig')
    const field = page.getByTestId('tank-gray').getByLabel('Holds')
    await field.fill('100 l')
    await field.blur()
    await saved(page)
    const strip = await page.getByTestId('count-strip').innerText()
    await page.reload()
    await page.getByTestId('tank-gray').waitFor()
    expect(await field.inputValue()).toBe('100')
    expect(await page.getByTestId('count-strip').innerText()).toBe(strip)
  })

  it('says beside the field what cannot be read, keeps what was typed and the last good count', async () => {
    const { page } = await open('demo', '/rig')
    const tank = page.getByTestId('tank-gray')
    const strip = page.getByTestId('count-strip')
    await tank.waitFor()
    const before = await strip.innerText()
    for (const [typed, words] of [
      ['a bathtub', 'is not a number'],
      ['-5', 'At least'],
      ['', 'Put in a number'],
      ['30 kg', 'is not a unit that fits here'],
    ] as const) {
      await tank.getByLabel('Holds').fill(typed)
      await tank.getByLabel('Holds').blur()
      expect(await tank.getByRole('alert').innerText()).toContain(words)
      expect(await tank.getByLabel('Holds').inputValue()).toBe(typed)
      expect(await strip.innerText()).toBe(before)
    }
    await page.getByTestId('tank-fresh').getByLabel('Keep back').fill('400')
    expect(await page.getByTestId('tank-fresh').getByRole('alert').innerText()).toContain(
      'smaller than the tank',
    )
  })

  it('exports, clears and imports to the same count; a broken file changes nothing', async () => {
    const { page } = await open('demo', '/settings')
    await saved(page)
    const strip = () => page.getByTestId('count-strip').innerText()
    const before = await strip()
    const download = page.waitForEvent('download')
    await page.getByRole('button', { name: 'Export to a file' }).click()
    const file = await (await download).path()
    expect((await download).suggestedFilename()).toBe('harrow-ridge-raptor-count.drycount.json')
    await page.getByRole('button', { name: 'Clear everything' }).click()
    await page.getByRole('dialog').getByRole('button', { name: 'Clear everything' }).click()
    await expect.poll(() => page.getByTestId('count-strip').count()).toBe(0)

    const text = await readFile(file, 'utf8')
    const parsed = JSON.parse(text) as { rigs: { containers: { capacity: { value: number } }[] }[] }
    parsed.rigs[0]!.containers[1]!.capacity.value = -1
    const broken = JSON.stringify(parsed)
    const input = page.locator('input[type=file]')
    const offer = (name: string, body: string) =>
      input.setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(body) })
    await offer('broken.json', broken)
    await expect.poll(() => page.getByTestId('file-message').innerText()).toContain('nothing has changed')
    expect(await page.getByTestId('file-message').innerText()).toContain(
      'rigs[0].containers[1].capacity.value',
    )
    expect(await page.getByTestId('count-strip').count()).toBe(0)
    await offer('torn.json', text.slice(0, 900))
    await expect.poll(() => page.getByTestId('file-message').innerText()).toContain('its end is missing')

    await offer('whole.drycount.json', text)
    await expect.poll(strip).toBe(before)
  })

  // Room for what comes: 170 is the limit of it all.
  it('shows the count with less than 140 kB of JavaScript, compressed', async () => {
    const { page } = await open('demo', '/', { isFolded: true, isAlone: true })
    await saved(page)
    await page.addInitScript(() => {
      new MutationObserver((_, observer) => {
        if (!document.querySelector('[data-testid=count-sentence]')) return
        observer.disconnect()
        Object.assign(window, { countAt: performance.now() })
      }).observe(document, { childList: true, subtree: true })
    })
    await page.reload()
    await page.getByTestId('plan-on').waitFor()
    const bodies = await page.evaluate(async () => {
      const { countAt } = window as unknown as { countAt: number }
      const entries = performance.getEntriesByType('resource') as PerformanceResourceTiming[]
      // What begins once the count is there (workers, the picture of risk) it did not wait for.
      const scripts = entries.filter(({ name, startTime }) => name.endsWith('.js') && startTime <= countAt)
      return Promise.all(scripts.map(async ({ name }) => ({ name, text: await (await fetch(name)).text() })))
    })
    const bytes = bodies.reduce((sum, { text }) => sum + gzipSync(text).length, 0)
    console.log(`JavaScript before the count: ${(bytes / 1000).toFixed(0)} kB gzip in ${bodies.length} files`)
    expect(bodies.length).toBeGreaterThan(0)
    expect(bytes).toBeLessThan(140_000)
  })

  const LAPTOP = { viewport: { width: 1280, height: 800 } }
  const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true }
  const PLANNED = { clock: '2027-09-01T12:00' }
  const FILLED = [
    { what: 'planned, at 1280×800', options: { ...LAPTOP, ...PLANNED } },
    { what: 'under way, at 390×844', options: { ...PHONE, clock: null } },
    { what: 'planned, at 390×844', options: { ...PHONE, ...PLANNED } },
    { what: 'under way, at 1280×800', options: { ...LAPTOP, clock: null } },
  ]
  const looked = FILLED.filter((_, n) => isTurn(n, FILLED.length))
  it.each(looked)(
    'keeps the room of what comes later: nothing moves while Camp fills, $what',
    async ({ what, options }) => {
      const { page } = await open('demo', '/', { isFolded: true, isAlone: true, ...options })
      await saved(page)
      await page.addInitScript(() => {
        const seen = { shift: 0, long: 0 }
        Object.assign(window, { seen })
        new PerformanceObserver((list) => {
          for (const entry of list.getEntries() as (PerformanceEntry & { value: number })[])
            seen.shift += entry.value
        }).observe({ type: 'layout-shift', buffered: true })
        new PerformanceObserver((list) => void (seen.long += list.getEntries().length)).observe({
          type: 'longtask',
          buffered: true,
        })
      })
      await page.reload()
      await page.getByTestId('plan-on').waitFor()
      // What the habits buy of it, or under way what to do first: the last to come.
      const last =
        options.clock === null
          ? page.getByTestId('next-best').locator('article').first()
          : page.getByText(/^average [+−0]/).first()
      await last.waitFor()
      const { shift, long } = await page.evaluate(
        () => (window as unknown as { seen: { shift: number; long: number } }).seen,
      )
      console.log(`${what}: layout shift ${shift.toFixed(3)}, tasks over 50 ms: ${long}`)
      // At most the order of the habits, once, when it is known what each buys to plan on.
      expect(shift).toBeLessThan(0.05)
    },
  )
})

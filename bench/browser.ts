import { existsSync } from 'node:fs'
import { resolve } from 'node:path'
import { CHROMIUM, launch } from '../tests/e2e/support/browser'
import { createServer } from '../server/app'
import { COUNT_MEASURE } from '@/data/forecastStore'
import { BUDGET_MARK } from '@/data/todayStore'
import { median } from './timing'

const DRAG_MS = 10_000

interface Watch {
  counts: number[]
  longTasks: number[]
  frames: number[]
}

/** Where there is no browser nothing of it is measured, and that is said in a line. */
export function hasBrowser(): boolean {
  if (existsSync(CHROMIUM)) return true
  console.log(`browser: not measured, there is no ${CHROMIUM} here`)
  return false
}

/** Drags the gray level on Camp up and down for ten seconds and prints what the browser measured meanwhile. */
export async function benchBrowser(): Promise<void> {
  const server = await createServer({ root: resolve('dist'), demo: true })
  const url = await server.listen({ port: 0, host: '127.0.0.1' })
  const browser = await launch()
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
  })
  // Before the demo's stays begin: levels are dragged of a stay that is planned.
  await context.addInitScript(() => localStorage.setItem('dry-count:demo-clock', '2027-09-01T12:00'))
  const page = await context.newPage()
  await page.goto(url)
  const post = page.getByRole('slider', { name: 'Gray, starting level' })
  await post.waitFor()
  await post.scrollIntoViewIfNeeded()
  await page.waitForTimeout(1500)
  await page.evaluate((name) => {
    const watch: Watch = { counts: [], longTasks: [], frames: [] }
    Object.assign(window, { watch })
    new PerformanceObserver((list) => {
      for (const { name: of, duration } of list.getEntries()) if (of === name) watch.counts.push(duration)
    }).observe({ type: 'measure' })
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) watch.longTasks.push(duration)
    }).observe({ type: 'longtask' })
    let last = performance.now()
    const frame = (now: number) => {
      watch.frames.push(now - last)
      last = now
      requestAnimationFrame(frame)
    }
    requestAnimationFrame(frame)
  }, COUNT_MEASURE)
  const { y, height } = (await post.boundingBox())!
  const handle = (await post.locator('.handle').boundingBox())!
  const x = handle.x + handle.width / 2
  const from = handle.y + handle.height / 2
  await page.mouse.move(x, from)
  await page.mouse.down()
  const end = Date.now() + DRAG_MS
  for (let step = 0; Date.now() < end; step++) {
    await page.mouse.move(x, y + height * (0.5 + 0.45 * Math.sin(step / 12)))
    await page.waitForTimeout(8)
  }
  await page.mouse.up()
  const { counts, longTasks, frames } = await page.evaluate(
    () => (window as unknown as { watch: Watch }).watch,
  )
  console.log(
    `browser: ${counts.length} counts in ten seconds of dragging, ${median(counts).toFixed(2)} ms median (limit 4)`,
  )
  const longest = longTasks.length > 0 ? `, longest ${Math.max(...longTasks).toFixed(0)} ms` : ''
  console.log(`browser: ${longTasks.length} tasks over 50 ms${longest} (limit 0)`)
  console.log(
    `browser: frame ${median(frames).toFixed(1)} ms median, ${frames.filter((ms) => ms > 34).length} of ${frames.length} over two frames`,
  )
  await browser.close()
  await server.close()
}

const USES = 12

interface Followed {
  count: number[]
  budget: number[]
  longTasks: number[]
}

/** Logs uses on Camp under way, one at a time, and prints how soon the count and the budget follow. */
export async function benchToday(): Promise<void> {
  const server = await createServer({ root: resolve('dist'), demo: true })
  const url = await server.listen({ port: 0, host: '127.0.0.1' })
  const browser = await launch()
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
  })
  const page = await context.newPage()
  await page.goto(url)
  await page.getByTestId('budget-dishes').waitFor()
  await page.getByTestId('since').waitFor()
  await page.waitForTimeout(6000)
  await page.evaluate(
    ([count, budget]) => {
      const followed: Followed = { count: [], budget: [], longTasks: [] }
      const asked = { at: Infinity, counted: true }
      Object.assign(window, { followed, asked })
      new PerformanceObserver((list) => {
        for (const { name, startTime, duration } of list.getEntries()) {
          const since = startTime + duration - asked.at
          if (since < 0 || asked.at === Infinity) continue
          if (name === count && !asked.counted) {
            followed.count.push(since)
            asked.counted = true
          }
          if (name === budget) {
            followed.budget.push(since)
            asked.at = Infinity
          }
        }
      }).observe({ entryTypes: ['measure', 'mark'] })
      new PerformanceObserver((list) => {
        for (const { duration } of list.getEntries()) followed.longTasks.push(duration)
      }).observe({ type: 'longtask' })
      window.addEventListener(
        'keydown',
        () => Object.assign(asked, { at: performance.now(), counted: false }),
        true,
      )
    },
    [COUNT_MEASURE, BUDGET_MARK] as const,
  )
  for (let k = 0; k < USES; k++) {
    await page.keyboard.press(k % 2 === 0 ? 'w' : 't')
    // What is learned and compared behind it has its time, as between two uses of a camp.
    await page.waitForTimeout(5000)
  }
  const { count, budget, longTasks } = await page.evaluate(
    () => (window as unknown as { followed: Followed }).followed,
  )
  const of = (all: number[]) => `${median(all).toFixed(0)} ms median, ${Math.max(...all).toFixed(0)} at most`
  console.log(`today: the count follows a logged use in ${of(count)} (limit 50)`)
  console.log(`today: the budget follows it in ${of(budget)} (limit 300)`)
  const longest = longTasks.length > 0 ? `, longest ${Math.max(...longTasks).toFixed(0)} ms` : ''
  console.log(`today: ${longTasks.length} tasks over 50 ms while logging${longest} (limit 0)`)
  await browser.close()
  await server.close()
}

import { readFile } from 'node:fs/promises'
import type { Page } from 'playwright-core'
import { describe, expect, it } from 'vitest'
import { isThorough, isTurn } from '../support/thorough'
import { fold, useBrowser } from './support/app'
import { cutTexts, SCREENS as LISTED } from './support/shown'

const open = useBrowser()
const axe = await readFile('node_modules/axe-core/axe.min.js', 'utf8')

interface Screen {
  name: string
  which: 'demo' | 'mine'
  hash: string
  ready: string
  /** What is new of it: the rest of the screen was looked at before. */
  within?: string
  prepare?: (page: Page) => Promise<unknown>
}

const SCREENS: Screen[] = [
  { name: 'Camp, empty', which: 'mine', hash: '/', ready: 'h1' },
  { name: 'Runs, one set and one that cannot be', which: 'demo', hash: '/runs', ready: '[data-testid=add-run]', prepare: async (page) => {
    for (const usual of ['move-dump-fill', 'gray-to-black']) {
      await page.getByRole('button', { name: 'Add a run' }).click()
      await page.getByTestId(`usual-${usual}`).click()
    }
    await page.getByRole('button', { name: /^Change Let gray/ }).click()
    await page.getByTestId('run-dialog').getByLabel('Day', { exact: true }).selectOption({ index: 0 })
    await page.getByTestId('run-dialog').getByLabel('Part of the day').selectOption('evening')
    await page.keyboard.press('Escape')
    await page.getByTestId('nearest').first().waitFor()
    await page.getByRole('button', { name: 'Add a run' }).click()
  } },
  { name: 'A run', which: 'demo', hash: '/runs?run', ready: '[data-testid=add-run]', within: '[role=dialog]', prepare: (page) => page.getByRole('button', { name: /^Change / }).first().click() },
  { name: 'Runs, how long every tank can wait', which: 'demo', hash: '/runs?wait', ready: '[data-testid=decide-first]', prepare: (page) => page.getByText('Every tank').click() },
  { name: 'The plan on paper', which: 'demo', hash: '/runs/print', ready: '[data-testid=plan-decide] li' },
  { name: 'Places, and what a file holds', which: 'demo', hash: '/places', ready: '[data-mark]', prepare: async (page) => {
    await fold(page, 'places-in').click()
    const features = [{ type: 'Feature', geometry: { type: 'Point', coordinates: [-38, 45.1] }, properties: { name: 'Mill', boat: 'yes' } }]
    const buffer = Buffer.from(JSON.stringify({ type: 'FeatureCollection', features }))
    await page.locator('[data-fold=places-in] input[type=file]').setInputFiles({ name: 'a.geojson', mimeType: 'application/json', buffer })
    await page.getByTestId('places-found').waitFor()
  } },
  { name: 'A place, all of it open', which: 'demo', hash: '/places?one', ready: '[data-mark]', within: '[role=dialog]', prepare: async (page) => {
    await page.getByRole('button', { name: 'Change Merrow market' }).click()
    const dialog = page.getByTestId('place-dialog')
    for (const part of await dialog.locator('details > summary').all()) await part.click()
    await dialog.getByRole('button', { name: 'Another point here' }).click()
    await dialog.getByTestId('next-days').waitFor()
  } },
  { name: 'Run cards', which: 'demo', hash: '/cards', ready: '[data-testid=offer-dump]' },
  { name: 'A card, and where a number comes from', which: 'demo', hash: '/cards/dump/outlet', ready: '[data-testid=part-0]', within: '[role=dialog]', prepare: (page) => page.getByTestId('number-pipe').click() },
  { name: 'A step of a card', which: 'demo', hash: '/cards/bucket-test', ready: '[data-testid=start-card]', prepare: (page) => page.getByTestId('start-card').click() },
  { name: 'Stopped', which: 'demo', hash: '/walk?stopped', ready: '[data-testid=walk]', prepare: (page) => page.getByTestId('stop-safely').click() },
  { name: 'A card done', which: 'demo', hash: '/walk?done', ready: '[data-testid=stopped]', prepare: (page) => page.getByRole('button', { name: 'Finish here, log what was done' }).click() },
  { name: 'Guide, looked up', which: 'demo', hash: '/guide?q=rinse', ready: '[data-testid=guide-found]' },
  { name: 'Guide', which: 'demo', hash: '/guide', ready: '[data-testid=guide-search]', prepare: (page) => page.getByTestId('guide-search').fill('') },
  { name: 'Your first dump', which: 'demo', hash: '/guide/first-dump', ready: 'main h1' },
  { name: 'Your first night without hookups', which: 'demo', hash: '/guide/first-night', ready: 'main h1' },
  { name: 'A page of the handbook', which: 'demo', hash: '/guide/handbook/runs', ready: '[data-testid=handbook] h2' },
  { name: 'Your way of doing it', which: 'demo', hash: '/guide/questions', ready: '[data-testid=question-charge]' },
  { name: 'Stay, with runs, the chart and what to measure', which: 'demo', hash: '/stay', ready: '[data-testid=swing]', prepare: async (page) => {
    await fold(page, 'chart').click()
    await page.locator('[data-testid=plot] svg').first().waitFor()
    await page.getByText('The same as a table').click()
  } },
  { name: 'Stay, empty', which: 'mine', hash: '/stay', ready: 'h1' },
  { name: 'Rig, with a fault', which: 'demo', hash: '/rig', ready: '[data-testid=tank-gray]', prepare: (page) => page.getByTestId('tank-gray').getByLabel('Holds').fill('x') },
  { name: 'Habits', which: 'demo', hash: '/habits', ready: '[data-testid=reach]', prepare: async (page) => {
    await page.locator('[data-testid=flush-sides] tbody tr').first().waitFor()
    await page.getByRole('button', { name: 'Find the least bother' }).click()
    await page.getByTestId('reach-set').waitFor()
    await page.getByRole('button', { name: 'Stop the search' }).click()
    await page.getByText('What it does').first().click()
  } },
  { name: 'Gray to black', which: 'demo', hash: '/rig/gray-to-black', ready: 'h1' },
  { name: 'Camp, how sure', which: 'demo', hash: '/?show=level-errors', ready: '[data-testid=plan-on]', prepare: (page) => page.getByTestId('stopper-share').first().waitFor() },
  { name: 'Settings', which: 'demo', hash: '/settings', ready: '[data-testid=count-strip]' },
  { name: 'More', which: 'demo', hash: '/more', ready: 'main li' },
  { name: 'Camp, a level read', which: 'demo', hash: '/', ready: '[data-testid=gauge-gray]', within: '[data-testid=gauge-gray]', prepare: async (page) => {
    await page.getByTestId('gauge-gray').getByRole('button', { name: /how its level was read/ }).click()
    await page.getByRole('radio', { name: 'From the panel' }).click()
  } },
  { name: 'Start, rig', which: 'mine', hash: '/start', ready: '[data-testid=count-days]' },
  { name: 'Start, crew', which: 'mine', hash: '/start?step=2', ready: '[data-testid=count-days]' },
  { name: 'Start, stay', which: 'mine', hash: '/start?step=3', ready: '[data-testid=count-days]' },
  { name: 'Why?', which: 'demo', hash: '/', ready: '[data-testid=count-days]', within: '[role=dialog]', prepare: async (page) => {
    await page.getByRole('button', { name: 'Why?', exact: true }).click()
    await page.getByTestId('why-term').first().click()
  } },
  { name: 'Camp, before you go', which: 'demo', hash: '/?show=prepare', ready: '[data-testid=prepare]', within: '[data-testid=prepare]' },
  // From here on the clock stands where the demo begins: on the fourth day.
  { name: 'Camp, under way', which: 'demo', hash: '/?under-way', ready: '[data-testid=phase]', prepare: async (page) => {
    await page.getByRole('button', { name: 'Back to where the demo begins' }).click()
    await page.getByTestId('gauge-band').first().waitFor()
    await page.getByTestId('key-shower').waitFor()
  } },
  { name: 'Camp, what moved since yesterday', which: 'demo', hash: '/?since', ready: '[data-testid=since]', within: '[role=dialog]', prepare: (page) => page.getByTestId('since').getByRole('button', { name: 'Why?' }).click() },
  { name: 'Budget, with a swap and somebody set apart', which: 'demo', hash: '/budget', ready: '[data-testid=budget-dishes]', prepare: async (page) => {
    await page.getByRole('switch', { name: 'Wren: Shower' }).click()
    await page.getByRole('button', { name: 'What does it buy?' }).click()
    await page.getByTestId('swap-says').waitFor()
  } },
  { name: 'Budget, out of reach', which: 'demo', hash: '/budget?far', ready: '[data-testid=budget-head]', prepare: async (page) => {
    await page.getByLabel('To last through the night of').selectOption({ index: 0 })
    await page.getByRole('button', { name: /^Budget to / }).waitFor()
  } },
  { name: 'Shower timer', which: 'demo', hash: '/shower', ready: '[data-testid=timer-start]' },
  { name: 'Shower timer, paused', which: 'demo', hash: '/shower?on', ready: 'h1', prepare: async (page) => {
    await page.getByTestId('timer-start').click()
    await page.getByTestId('timer-turn').click()
  } },
  { name: 'Chores', which: 'demo', hash: '/chores', ready: '[data-testid=chores] li' },
  { name: 'A chore', which: 'demo', hash: '/chores?one', ready: '[data-testid=chores] li', within: '[role=dialog]', prepare: (page) => page.getByRole('button', { name: 'A chore of your own' }).click() },
  { name: 'Review', which: 'demo', hash: '/review?stay=low-meadow', ready: '[data-testid=review-lived]' },
  { name: 'Review on paper', which: 'demo', hash: '/review/print?stay=harrow-ridge', ready: '[data-testid=review-lived]' },
  { name: 'Find', which: 'demo', hash: '/more?find', ready: '[data-testid=more-find]', within: '[role=dialog]', prepare: async (page) => {
    await page.getByTestId('more-find').click()
    await page.getByTestId('find-text').fill('gra')
  } },
  { name: 'Keys', which: 'demo', hash: '/log?keys', ready: '[data-testid=log-list]', within: '[role=dialog]', prepare: async (page) => {
    await page.keyboard.press('?')
    await page.getByText('On every screen').waitFor()
  } },
  { name: 'Stay, under way', which: 'demo', hash: '/stay', ready: '[data-testid=lived]', within: '[data-testid=board]' },
  { name: 'Log', which: 'demo', hash: '/log', ready: '[data-testid=log-list]', prepare: (page) => page.getByTestId('learned-shower').waitFor() },
  { name: 'The panel', which: 'demo', hash: '/log?panel', ready: '[data-testid=log-list]', within: '[role=dialog]', prepare: (page) => page.getByTestId('key-panel').click() },
  { name: 'A use', which: 'demo', hash: '/log?use', ready: '[data-testid=log-list]', within: '[role=dialog]', prepare: (page) => page.getByTestId('key-shower').click({ button: 'right' }) },
  { name: 'Before and after this stay', which: 'demo', hash: '/season', ready: '[data-testid=season-stays] li', prepare: async (page) => {
    await page.getByRole('button', { name: 'Plan the next stay after this one' }).click()
    await page.getByRole('button', { name: 'A last dump on the way' }).click()
    await page.getByTestId('season-road').waitFor()
    await page.getByRole('button', { name: 'Show Harrow Ridge' }).click()
  } },
  { name: 'Something else', which: 'demo', hash: '/log?else', ready: '[data-testid=log-list]', within: '[role=dialog]', prepare: (page) => page.getByTestId('key-other').click() },
] // prettier-ignore

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']
/** Only colours change with the look: everything is looked for in one, contrast in the others. */
const LOOKS = {
  light: { type: 'tag', values: TAGS },
  dark: { type: 'rule', values: ['color-contrast'] },
  sun: { type: 'rule', values: ['color-contrast'] },
}

interface AxeWindow {
  axe: {
    run: (
      within: string,
      options: object,
    ) => Promise<{ violations: { id: string; nodes: { html: string; failureSummary: string }[] }[] }>
  }
}

/** Another tab chose this look: the screen follows without being loaded again. */
async function look(page: Page, theme: string): Promise<void> {
  if ((await page.locator('html').getAttribute('data-theme')) === theme) return
  await page.evaluate((newValue) => {
    localStorage.setItem('dry-count:theme', newValue)
    const storageArea = localStorage
    window.dispatchEvent(new StorageEvent('storage', { key: 'dry-count:theme', newValue, storageArea }))
  }, theme)
  await page.locator(`html[data-theme=${theme}]`).waitFor()
  const inkOf = (where: string) => getComputedStyle(document.querySelector(where)!).color
  await page.waitForFunction(`(${String(inkOf)})('main') === (${String(inkOf)})('html')`)
  // Every element has been drawn in it, and none is on its way there.
  await page.evaluate(async () => {
    for (let k = 0; k < 2; k++) await new Promise((drawn) => requestAnimationFrame(drawn))
    await Promise.allSettled(document.getAnimations().map(({ finished }) => finished))
  })
}

async function violations(page: Page, runOnly: object, within: string): Promise<string[]> {
  return page.evaluate(
    async ([rules, part]) => {
      // What the bar at the top happens to cover is no fault of its size.
      window.scrollTo(0, 0)
      const found = await (window as unknown as AxeWindow).axe.run(part, {
        runOnly: rules,
        // Only what is wrong is told, and how to find it only by its text.
        resultTypes: ['violations'],
        selectors: false,
        preload: false,
      })
      return found.violations.flatMap(({ id, nodes }) =>
        nodes.map(({ html, failureSummary }) => `${id}: ${html.slice(0, 160)} ${failureSummary}`),
      )
    },
    [runOnly, within] as const,
  )
}

/**
 * In every run the light look, and on every twelfth screen another one too (what the colours of a look make of each other is held
 * by their own test); in the proof all of them on every screen.
 */
function looksOf(n: number): (keyof typeof LOOKS)[] {
  if (isThorough) return n % 2 === 0 ? ['light', 'dark', 'sun'] : ['sun', 'dark', 'light']
  return n % 12 === 0 ? ['light', n % 24 === 0 ? 'dark' : 'sun'] : ['light']
}

/** All of them in one visit: a screen is reached as an owner reaches it, from another one. */
describe.each(['demo', 'mine'] as const)('every screen of %s', (which) => {
  it('has nothing for axe to find in the look of its turn, and fits 360, 390 and 1280 px', async () => {
    const { page } = await open(which)
    await page.evaluate(axe)
    const screens = SCREENS.filter((screen) => screen.which === which)
    for (const [n, { name, hash, ready, within, prepare }] of screens.entries()) {
      await page.evaluate((to) => void (location.hash = to), hash)
      await page.locator(ready).first().waitFor()
      await prepare?.(page)
      // One screen makes the next: all are gone through, and today's third of them is looked at.
      if (!isTurn(n, 3)) {
        await page.keyboard.press('Escape')
        continue
      }
      for (const theme of looksOf(n)) {
        await look(page, theme)
        // A colour that was still on its way is looked at once more; a fault stays one.
        const found = () => violations(page, LOOKS[theme], within ?? 'html')
        await expect.poll(found, { message: `${name}, ${theme}`, timeout: 3000, interval: 500 }).toEqual([])
      }
      for (const width of isThorough ? [360, 390, 1280] : [360, 1280]) {
        await page.setViewportSize({ width, height: 844 })
        const overflow = () =>
          page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)
        await expect.poll(overflow, { message: `${name} at ${width} px` }).toBe(0)
      }
      await page.keyboard.press('Escape')
    }
  }, 240_000)
})

/** Of any characters, and as long as a name may be: nothing is pushed off the screen. */
it('every screen keeps its width with the longest names, also at 320 px', async () => {
  const name = 'W'.repeat(80)
  const renamed = (await readFile('demo/harrow-ridge-trailer.drycount.json', 'utf8')).replaceAll(
    /"name": "[^"]*"/g,
    `"name": "${name}"`,
  )
  const { page } = await open('demo', '/settings', { clock: null })
  const file = { name: 'long.json', mimeType: 'application/json', buffer: Buffer.from(renamed) }
  await page.locator('input[type=file]').setInputFiles(file)
  await page.getByRole('button', { name: 'Replace what is here' }).click()
  await page.getByText('long.json').first().waitFor()
  const paths = [
    ...[
      '/',
      '/stay',
      '/runs',
      '/places',
      '/season',
      '/guide',
      '/guide/questions',
      '/cards',
      '/cards/dump',
      '/budget',
    ],
    ...[
      '/shower',
      '/chores',
      '/review',
      '/log',
      '/rig',
      '/habits',
      '/rig/gray-to-black',
      '/more',
      '/settings',
    ],
  ]
  for (const path of paths) {
    await page.evaluate((to) => void (location.hash = to), path)
    await page.locator('main h1').first().waitFor()
    for (const width of [320, 390, 1280]) {
      await page.setViewportSize({ width, height: 844 })
      const overflow = () =>
        page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)
      await expect.poll(overflow, { message: `${path} at ${width} px` }).toBe(0)
    }
  }
}, 120_000)

it('text at twice its size stays on a screen of 360 px, bars and header included', async () => {
  const { page } = await open('demo', '/', { viewport: { width: 360, height: 780 }, clock: null })
  await page.addStyleTag({ content: 'html { font-size: 200% !important }' })
  const wrong: string[] = []
  for (const hash of LISTED) {
    await page.evaluate((to) => void (location.hash = to), hash)
    await page.locator('main h1').first().waitFor()
    await page.waitForTimeout(400)
    wrong.push(...(await cutTexts(page)).map((one) => `${hash}: ${one}`))
  }
  expect(wrong).toEqual([])
}, 120_000)

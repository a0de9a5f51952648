import { readFile, readdir } from 'node:fs/promises'
import type { Page } from 'playwright-core'
import { expect, it } from 'vitest'
import { useBrowser } from './support/app'
import { cutTexts, SCREENS } from './support/shown'

const open = useBrowser({ locale: 'de-DE' })

/** Names that are the same in every language. */
const NAMES =
  'Dry Count GPX GeoJSON CSV ics gpx csv json OpenStreetMap JSON XML cut imp gal min max Ctrl Enter ISO EPA'

/** Words of the owner: what the demo's files say. */
async function ownWords(): Promise<Set<string>> {
  const files = await readdir('demo')
  const texts = await Promise.all(files.map((file) => readFile(`demo/${file}`, 'utf8')))
  const own = texts.flatMap((text) => [...text.matchAll(OWN_TEXT)].map(([, said]) => said!))
  return wordsOf([...own, NAMES, ...dateWords()].join(' '))
}
const OWN_TEXT = /"(?:name|note|source|text|opening)": "([^"]*)"/g
/** What the browser itself says of days, as the locale has them. */
function dateWords(): string[] {
  const days = Array.from({ length: 12 }, (_, n) => new Date(Date.UTC(2027, n, 1 + n)))
  return (['short', 'long'] as const).flatMap((style) =>
    days.map((day) =>
      day.toLocaleDateString('de', { weekday: style, day: 'numeric', month: style, timeZone: 'UTC' }),
    ),
  )
}
const wordsOf = (text: string) => new Set(text.match(/\p{L}{3,}/gu) ?? [])

/** Every text that can be seen, and the names that are read aloud. */
const shownTexts = (page: Page) =>
  page.evaluate(() => {
    const seen: string[] = []
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_ELEMENT)
    while (walker.nextNode()) {
      const element = walker.currentNode as HTMLElement
      if (element.closest('svg.main-svg, [data-owner], textarea, script, style, noscript')) continue
      for (const name of ['aria-label', 'title', 'placeholder', 'alt'])
        if (element.hasAttribute(name)) seen.push(element.getAttribute(name)!)
      for (const node of element.childNodes)
        if (node.nodeType === Node.TEXT_NODE && node.textContent!.trim() !== '')
          seen.push(node.textContent!.trim())
    }
    return seen
  })

it.each([
  ['laptop', { width: 1280, height: 800 }],
  ['phone', { width: 390, height: 844 }],
])(
  'on a %s every screen speaks a longer language, from the catalogue alone, and nothing is cut',
  async (_, viewport) => {
    const { page, noise } = await open('demo', '/', { viewport, clock: null, isAlone: true })
    await page.evaluate(() => localStorage.setItem('dry-count:language', 'pseudo'))
    await page.reload()
    await page.locator('html[lang=de]').waitFor()
    const known = await ownWords()
    const wrong: string[] = []
    for (const hash of SCREENS) {
      await page.evaluate((to) => void (location.hash = to), hash)
      await page.locator('main h1').first().waitFor()
      await page.waitForTimeout(500)
      const texts = await shownTexts(page)
      for (const text of texts) {
        const plain = [...wordsOf(text)].filter(
          (word) => /^[a-z]+$/i.test(word) && !known.has(word) && !known.has(word.toLowerCase()),
        )
        if (plain.length > 0) wrong.push(`${hash}: ${plain.join(' ')} — “${text.slice(0, 120)}”`)
      }
      // A long name of the owner's may end in dots.
      const cut = (await cutTexts(page)).filter((one) => [...wordsOf(one)].some((word) => !known.has(word)))
      wrong.push(...cut.map((one) => `${hash}: ${one}`))
    }
    expect([...new Set(wrong)]).toEqual([])
    expect(noise).toEqual([])
  },
  180_000,
)

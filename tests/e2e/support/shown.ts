import type { Page } from 'playwright-core'

/** Every screen of the demo, by its address. */
export const SCREENS = [
  '/', '/stay', '/runs', '/runs/print', '/places', '/season', '/habits', '/rig', '/rig?show=map', '/rig/gray-to-black', '/budget',
  '/shower', '/chores', '/log', '/review?stay=low-meadow', '/cards', '/cards/dump/outlet', '/cards/bucket-test', '/guide',
  '/guide?q=rinse', '/guide/questions', '/guide/first-dump', '/guide/first-night', '/guide/handbook/runs', '/more', '/settings', '/start', '/start?step=2',
  '/start?step=3',
] // prettier-ignore

/** What is wider than its box, or cut by it, though it may not be. */
export const cutTexts = (page: Page) =>
  page.evaluate(() => {
    const root = document.documentElement
    const found: string[] = []
    if (root.scrollWidth > root.clientWidth) {
      const isWide = (one: Element) =>
        one.getBoundingClientRect().right > root.clientWidth + 1 || one.scrollWidth > root.clientWidth
      const wide = [...document.body.querySelectorAll('*')].filter(isWide)
      found.push(
        `page ${root.scrollWidth}: ${wide
          .slice(-4)
          .map((one) => one.outerHTML.slice(0, 140))
          .join(' … ')}`,
      )
    }
    for (const element of document.body.querySelectorAll<HTMLElement>('*')) {
      // What is read aloud only is a pixel wide.
      if (element.childElementCount > 0 || element.clientWidth <= 1 || element.closest('svg')) continue
      const { overflowX, overflowY, webkitLineClamp } = getComputedStyle(element)
      // A summary in a line, which leads to the whole, ends in dots.
      if (webkitLineClamp === '1') continue
      const isCut =
        (overflowX !== 'visible' && element.scrollWidth > element.clientWidth + 1) ||
        (overflowY !== 'visible' && element.scrollHeight > element.clientHeight + 2)
      const isField = /^(input|select|textarea)$/i.test(element.tagName)
      if (isCut && !isField) found.push(`cut: ${element.textContent}`)
    }
    return found
  })

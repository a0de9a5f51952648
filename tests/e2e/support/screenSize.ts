import type { Page } from 'playwright-core'

/** How high a screen is once it has grown no more for half a second, px. */
export async function restingHeight(page: Page): Promise<number> {
  const height = () => page.evaluate(() => document.documentElement.scrollHeight)
  let [last, rests] = [await height(), 0]
  while (rests < 5) {
    await page.waitForTimeout(100)
    const now = await height()
    rests = now === last ? rests + 1 : 0
    last = now
  }
  return last
}

/** Every word that can be read before anybody scrolls, bars and keys included. */
export function wordsAboveFold(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const bars = 'header, nav, [data-testid=log-keys]'
    const covered = [...document.querySelectorAll(bars)]
      .map((bar) => bar.getBoundingClientRect())
      .filter(({ top, height }) => height > 0 && top > innerHeight / 2)
    const fold = Math.min(innerHeight, ...covered.map(({ top }) => top))
    const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    const words: string[] = []
    for (let node = texts.nextNode(); node; node = texts.nextNode()) {
      const element = node.parentElement!
      const { top, bottom, width, height } = element.getBoundingClientRect()
      const isRead =
        width > 1 && height > 1 && element.checkVisibility({ visibilityProperty: true }) && bottom > 0
      // What is only for those who hear the screen is clipped to a pixel.
      const isClipped = (element.closest<HTMLElement>('.sr-only, .max-lg\\:sr-only')?.offsetWidth ?? 2) <= 1
      const isInBar = element.closest(bars) !== null
      if (isRead && !isClipped && (isInBar ? top < innerHeight : bottom <= fold))
        words.push(...node.nodeValue!.split(/\s+/).filter((word) => /[\p{L}\p{N}]/u.test(word)))
    }
    return words
  })
}

import { readFile } from 'node:fs/promises'
import type { Page } from 'playwright-core'
import { describe, expect, inject, it } from 'vitest'
import { isThorough } from '../support/thorough'
import { atRest, saved, useBrowser } from './support/app'

const open = useBrowser({ isStanding: true })
const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true }
const DEMO = 'demo/harrow-ridge-trailer.drycount.json'

describe('by hand', () => {
  it('a finger that scrolls over a gauge moves no level; its handle, a tap and keys do', async () => {
    const { page, context } = await open('demo', '/', PHONE)
    const post = page.getByRole('slider', { name: 'Gray, starting level' })
    await page.getByTestId('plan-on').waitFor()
    await page.getByTestId('stopper-share').first().waitFor()
    await post.scrollIntoViewIfNeeded()
    const level = () => post.getAttribute('aria-valuenow')
    const before = await level()
    const box = await atRest(post)
    const scrolled = await page.evaluate(() => window.scrollY)
    const session = await context.newCDPSession(page)
    const touch = (type: string, x: number, y: number) =>
      session.send('Input.dispatchTouchEvent', {
        type: type as 'touchStart',
        touchPoints: type === 'touchEnd' ? [] : [{ x, y }],
      })
    const swipe = async (x: number, from: number, to: number) => {
      await touch('touchStart', x, from)
      for (let k = 1; k <= 8; k++) await touch('touchMove', x, from + ((to - from) * k) / 8)
      await touch('touchEnd', x, to)
    }
    await swipe(box.x + box.width / 2, box.y + box.height * 0.6, box.y + box.height * 0.1)
    await expect.poll(() => page.evaluate(() => window.scrollY)).not.toBe(scrolled)
    expect(await level()).toBe(before)
    // The handle.
    const handle = await atRest(post.getByTestId('gauge-handle'))
    expect(Math.min(handle.width, handle.height)).toBeGreaterThanOrEqual(44)
    await swipe(handle.x + 8, handle.y + handle.height / 2, handle.y + handle.height / 2 - 60)
    await expect.poll(async () => Number(await level())).toBeGreaterThan(40)
    const dragged = await level()
    await post.press('ArrowUp')
    await expect.poll(level).not.toBe(dragged)
    // A tap.
    const now = await atRest(post)
    await page.touchscreen.tap(now.x + now.width / 2, now.y + now.height / 2)
    await expect.poll(level).toBe('105')
  })

  it('a value is kept when it is whole and understood: what is half typed goes back to what stood there', async () => {
    const { page } = await open('demo', '/rig')
    await saved(page)
    const dialog = page.getByRole('dialog')
    const field = dialog.getByLabel('In it')
    const opened = async () => {
      await page
        .getByTestId('tank-gray')
        .getByRole('button', { name: /how its level was read/ })
        .click()
      return field.inputValue()
    }
    const kept = async () => {
      await saved(page)
      await page.reload()
      return opened()
    }
    const before = await opened()
    // So slowly that each part might be the whole.
    await field.fill('')
    for (const key of '33 gallops') await field.press(key, { delay: key === '3' ? 600 : 10 })
    await dialog.getByText(`Still counting with ${before} L`).waitFor()
    await field.blur()
    expect(await kept()).toBe(before)
    for (const [typed, litres] of [
      ['1/3', '70'],
      ['two thirds', '140'],
      ['50 %', '105'],
      ['12', '12'],
    ] as const) {
      await field.fill('')
      await field.pressSequentially(typed, { delay: 30 })
      await field.blur()
      await expect.poll(() => field.inputValue()).toBe(litres)
    }
    // By its panel: a lit third is anything up to the next mark.
    await dialog.getByRole('radio', { name: 'From the panel' }).click()
    await dialog.getByRole('radio', { name: 'thirds' }).click()
    await dialog.getByRole('radio', { name: /^⅓: 70 L to 140 L$/ }).click()
    await dialog.getByRole('button', { name: 'Done' }).last().click()
    await page.getByTestId('tank-gray').getByText('by its panel, 70 L to 140 L').waitFor()
    await saved(page)
    await page.reload()
    await page.getByTestId('tank-gray').getByText('by its panel, 70 L to 140 L').waitFor()
  })

  it('Ctrl+Z in a field is the field’s; elsewhere it is the document’s, and says when it takes back another tab’s step', async () => {
    const { page, context } = await open('demo', '/rig')
    await saved(page)
    const other = await context.newPage()
    await other.goto(page.url())
    await other.getByLabel('Name of the rig').fill('Theirs')
    await saved(other)
    const name = page.getByLabel('Name of the rig')
    await expect.poll(() => name.inputValue()).toBe('Theirs')
    await name.press('End')
    await name.pressSequentially(' and mine')
    await name.press('Control+Z')
    await expect.poll(() => name.inputValue()).not.toBe('Theirs and mine')
    expect(await page.getByTestId('notice').count()).toBe(0)
    await name.fill('Theirs')
    await name.blur()
    await saved(page)
    while ((await page.getByTestId('notice').count()) === 0) {
      await page.getByRole('heading', { level: 1 }).click()
      await page.keyboard.press('Control+Z')
      await page.waitForTimeout(150)
    }
    await page.getByTestId('notice').getByText('took back another tab’s change: rig').waitFor()
  })

  it('what could not be kept is said with what it was: a tank removed in one tab while the other types into it', async () => {
    const { page, context } = await open('demo', '/rig')
    await page
      .getByRole('button', { name: 'Add a tote' })
      .or(page.getByRole('button', { name: /^Add.*tote/ }))
      .first()
      .click()
    await saved(page)
    const other = await context.newPage()
    await other.goto(page.url())
    const totes = (of: Page) =>
      of.locator('[data-testid^=tank-]').filter({ has: of.getByText('Tote', { exact: true }) })
    const mine = totes(page).last().getByLabel('Tote', { exact: true })
    await totes(other).last().waitFor()
    // One tab goes on typing while the other removes the tank.
    await mine.evaluate((field: HTMLInputElement) => {
      let n = 0
      const typing = setInterval(() => {
        if (!field.isConnected) {
          clearInterval(typing)
          return
        }
        field.value = `Blue tote ${(n += 1)}`
        field.dispatchEvent(new Event('input', { bubbles: true }))
      }, 60)
    })
    await other
      .getByRole('button', { name: /^Remove .*[Tt]ote/ })
      .last()
      .click()
    await saved(other)
    await page.getByTestId('notice').getByText('Not kept: rig. What it changed is gone').waitFor()
    await saved(page)
    await expect.poll(() => totes(page).count()).toBe(await totes(other).count())
    // And it goes on: the next edit is kept.
    await page.getByLabel('Name of the rig').fill('Goes on')
    await saved(page)
    await expect.poll(() => other.getByLabel('Name of the rig').inputValue()).toBe('Goes on')
  })

  it('the focus is never lost: after the guide, after a search; nor hidden under the bars', async () => {
    const { page } = await open('mine', '/start', PHONE)
    for (let step = 0; step < 2; step++) await page.getByRole('button', { name: 'Next' }).click()
    await page.getByRole('button', { name: 'Show me the count' }).click()
    await page.getByTestId('plan-on').waitFor()
    const focused = () => page.evaluate(() => document.activeElement?.tagName ?? '')
    await expect.poll(focused).not.toBe('BODY')
    await page.getByRole('link', { name: 'Habits' }).last().click()
    const go = page.getByRole('button', { name: 'Find the least bother' })
    await go.press('Enter')
    await page.getByTestId('reach-answer').waitFor({ timeout: 60_000 })
    await go.waitFor({ timeout: 60_000 })
    expect(await go.evaluate((element) => element === document.activeElement)).toBe(true)
    // Through a whole screen by Tab: what has the focus can be seen.
    await page.getByRole('link', { name: 'Stay', exact: true }).last().click()
    await page.getByTestId('board').waitFor()
    for (let n = 0; n < 40; n++) {
      await page.keyboard.press('Tab')
      const hidden = () =>
        page.evaluate(() => {
          const element = document.activeElement as HTMLElement
          const { top, bottom, left, right, height } = element.getBoundingClientRect()
          if (height === 0 || element === document.body || element.closest('nav, header, a[href="#content"]'))
            return null
          const x = Math.min(innerWidth - 2, Math.max(2, (left + right) / 2))
          const y = Math.min(innerHeight - 2, Math.max(2, (top + bottom) / 2))
          return document.elementFromPoint(x, y)?.closest('nav, header')
            ? element.outerHTML.slice(0, 80)
            : null
        })
      // It may still be scrolling there.
      await expect.poll(hidden).toBeNull()
    }
  }, 180_000)

  it('an import’s error and the question before clearing stand where they are seen', async () => {
    const { page } = await open('demo', '/settings', PHONE)
    await saved(page)
    await page.locator('input[type=file]').setInputFiles({
      name: 'torn.json',
      mimeType: 'application/json',
      buffer: Buffer.from((await readFile(DEMO, 'utf8')).slice(0, 900)),
    })
    const message = page.getByTestId('file-message')
    await message.getByText('its end is missing').waitFor()
    const box = (await message.boundingBox())!
    expect([box.y > 60, box.y + box.height < 844 - 60]).toEqual([true, true])
    await page.getByRole('button', { name: 'Clear everything' }).click()
    await page.getByRole('dialog').getByRole('button', { name: 'Leave it' }).last().click()
    expect(await page.getByTestId('count-strip').count()).toBe(1)
  })

  it('the browser is asked to keep the data, and after many changes a copy is spoken of, once', async () => {
    const { page } = await open('mine', '/start')
    await page.evaluate(() => localStorage.setItem('dry-count:changes', '149'))
    await page.reload()
    await page.getByRole('button', { name: 'Skip the rest' }).click()
    await page.getByTestId('plan-on').waitFor()
    const reminder = page.getByTestId('reminder')
    await reminder.getByText('150 changes since your last copy').waitFor()
    await reminder.getByRole('button', { name: 'Not now' }).click()
    expect(await reminder.count()).toBe(0)
    await page.getByRole('link', { name: 'Settings' }).first().click()
    await page
      .getByTestId('keeping')
      .getByText(/has promised to keep|may clear your data/)
      .waitFor()
  })
})

describe('names of forty letters without a space', () => {
  const LONG = 'Grauwassertankunterderkuechenzeilelinksab'
  it('widen nothing at 390 px, in any look', async () => {
    const file = (await readFile(DEMO, 'utf8'))
      .replace(
        /"name": "(Fresh|Gray|Black|Family trailer|Maren|Shower|Wet, soap, rinse|Kitchen sink|Harrow Ridge raptor count|Outlet|Toilet)"/g,
        (_, name: string) => `"name": "${name.slice(0, 3)}${LONG}"`,
      )
      .replace(/"note": "Water off/, `"note": "https://${LONG}.example/${LONG}${LONG} Water off`)
    const { page } = await open('mine', '/settings', { ...PHONE, isAlone: true })
    await page
      .locator('input[type=file]')
      .setInputFiles({ name: 'long.drycount.json', mimeType: 'application/json', buffer: Buffer.from(file) })
    await page.getByTestId('count-strip').waitFor()
    await saved(page)
    // In every frame, while the screen is still put together too.
    await page.addInitScript(() => {
      const seen = { widest: 0 }
      Object.assign(window, { seen })
      const look = () => {
        seen.widest = Math.max(seen.widest, document.documentElement?.scrollWidth ?? 0)
        requestAnimationFrame(look)
      }
      requestAnimationFrame(look)
    })
    await page.goto(`${inject('mineUrl')}/?long#/`)
    const others = ['/habits', '/rig/gray-to-black', '/budget', '/chores', '/settings']
    for (const hash of ['/', '/stay', '/rig', ...(isThorough ? others : [])]) {
      await page.goto(`${inject('mineUrl')}/?long#${hash}`)
      await page.locator('h1, [data-testid=count-days], [data-testid=board]').first().waitFor()
      if (hash === '/') await page.getByTestId('stopper-share').first().waitFor()
      await page.waitForTimeout(250)
      for (const theme of ['light', 'dark', 'sun']) {
        const widest = await page.evaluate((look) => {
          document.documentElement.dataset.theme = look
          const { seen } = window as unknown as { seen: { widest: number } }
          return Math.max(seen.widest, document.documentElement.scrollWidth)
        }, theme)
        expect([theme, hash, widest]).toEqual([theme, hash, 390])
      }
    }
  }, 180_000)
})

import { describe, expect, it } from 'vitest'
import { useBrowser } from '../e2e/support/app'

const open = useBrowser()
/** Points of a page, from what the file says of it. */
const SIZES = { A4: [595, 842], Letter: [612, 792] } as const

describe('run cards on paper', () => {
  it('every card of every demo rig is printed to PDF, a page each, A4 and letter', async () => {
    const { page } = await open('demo', '/stay?show=which')
    const options = await page.getByLabel('Stay', { exact: true }).locator('option').allInnerTexts()
    for (const label of options) {
      await page.evaluate(() => void (location.hash = '#/stay?show=which'))
      await page.getByLabel('Stay', { exact: true }).selectOption({ label })
      await page.evaluate(() => void (location.hash = '#/cards/print?of=/cards/all'))
      await page.getByTestId('sheet').first().waitFor()
      const sheets = await page.getByTestId('sheet').count()
      for (const [paper, [width, height]] of Object.entries(SIZES)) {
        await page.getByRole('radio', { name: paper }).click()
        const pdf = (await page.pdf({ preferCSSPageSize: true, printBackground: true })).toString('latin1')
        const pages = pdf.match(/\/Type\s*\/Page(?![a-z])/g) ?? []
        expect([label, paper, pages.length]).toEqual([label, paper, sheets])
        const boxes = [...pdf.matchAll(/\/MediaBox\s*\[\s*0 0 ([\d.]+) ([\d.]+)/g)].map(([, w, h]) => [
          Math.round(Number(w)),
          Math.round(Number(h)),
        ])
        expect(boxes.length).toBeGreaterThan(0)
        for (const [w, h] of boxes) {
          expect(Math.abs(w! - width)).toBeLessThanOrEqual(1)
          expect(Math.abs(h! - height)).toBeLessThanOrEqual(1)
        }
      }
    }
  })
})

import { expect, it } from 'vitest'
import { useBrowser } from '../e2e/support/app'

const open = useBrowser()

it('the review of each stay of the demo that has begun is printed on one page, A4 and letter', async () => {
  const { page } = await open('demo', '/review', { clock: '2027-10-20T12:00' })
  await page.getByTestId('review-lived').waitFor()
  const stays = await page
    .getByLabel('Stay', { exact: true })
    .locator('option')
    .evaluateAll((all) => all.map((option) => (option as HTMLOptionElement).value))
  expect(stays.length).toBe(3)
  for (const stay of stays) {
    await page.evaluate((id) => void (location.hash = `#/review/print?stay=${id}`), stay)
    await page.getByRole('button', { name: 'Print', exact: true }).waitFor()
    await page.getByTestId('review-cost').waitFor()
    for (const format of ['A4', 'Letter'] as const) {
      const pdf = (await page.pdf({ format, printBackground: true })).toString('latin1')
      expect([stay, format, (pdf.match(/\/Type\s*\/Page(?![a-z])/g) ?? []).length]).toEqual([stay, format, 1])
    }
  }
})

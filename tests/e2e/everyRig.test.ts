import type { Page } from 'playwright-core'
import { describe, expect, it } from 'vitest'
import { saved, useBrowser } from './support/app'

const open = useBrowser({ isStanding: true })
const strip = (page: Page) => page.getByTestId('count-strip').innerText()

describe('every rig', () => {
  it('builds each plumbing preset, and every toilet that fits one gray tank', async () => {
    const { page, noise } = await open('demo', '/rig')
    await page.getByTestId('map').waitFor()
    const add = async (plumbing: string, toilet?: string) => {
      await page.getByLabel('Drains', { exact: true }).selectOption({ label: plumbing })
      if (toilet !== undefined)
        await page.getByLabel('Toilet', { exact: true }).selectOption({ label: toilet })
      await page.getByRole('button', { name: 'Add this rig' }).click()
      await expect.poll(() => page.getByLabel('Name of the rig').inputValue()).toContain(plumbing)
    }
    const tanks = () => page.getByTestId(/^tank-/).count()
    await add('One gray tank', 'Black tank')
    expect(await tanks()).toBe(3)
    await add('Kitchen and bath gray apart')
    expect(await tanks()).toBe(4)
    await add('Bath drains into the black tank')
    expect(await page.getByRole('button', { name: /^Shower drains to Black/ }).count()).toBe(1)
    await add('Two bathrooms, one black alone')
    expect(await page.getByTestId(/^outlet-/).count()).toBe(2)
    expect(await page.getByText('Black, rear is alone here').count()).toBe(1)
    await add('Black tank as a second gray', 'Diverting, with a urine jug')
    await expect.poll(() => strip(page)).toMatch(/Urine jug|Gray \+ Old black tank|Fresh|Solids/)
    await add('Gray and toilet unconnected', 'Cassette with its own flush water')
    expect(await page.getByRole('button', { name: /^Toilet draws from Flush water/ }).count()).toBe(1)
    for (const toilet of [
      'Cassette flushed from fresh',
      'Diverting, urine to the gray tank',
      'Portable toilet',
      'No toilet aboard',
    ])
      await add('One gray tank', toilet)
    expect(await page.getByRole('button', { name: /^Toilet/ }).count()).toBe(0)
    expect(noise).toEqual([])
  })

  it('leads a drain to another tank by keyboard and by pointer, and the count follows', async () => {
    const { page } = await open('demo', '/rig')
    const pipe = page.getByTestId('pipe-bath-shower-drains')
    await pipe.waitFor()
    const before = await strip(page)
    await pipe.focus()
    await page.keyboard.press('ArrowDown')
    await expect.poll(() => strip(page)).toContain('Black')
    expect(await pipe.getAttribute('aria-label')).toMatch(/^Shower drains to Black, 14\.4.L a day/)
    await page.keyboard.press('ArrowUp')
    await expect.poll(() => strip(page)).toBe(before)

    const grip = (await pipe.boundingBox())!
    const black = (await page.locator('[data-tank=black]').boundingBox())!
    await page.mouse.move(grip.x + 8, grip.y + grip.height / 2)
    await page.mouse.down()
    await page.mouse.move(black.x - 40, black.y, { steps: 5 })
    await page.mouse.move(black.x + black.width / 2, black.y + black.height / 2, { steps: 5 })
    await page.mouse.up()
    await expect.poll(() => strip(page)).toContain('Black')
    await saved(page)
    await page.reload()
    await expect.poll(() => strip(page)).toContain('Black')
  })

  it('says how much gray may go to black on the demo trailer, and refuses without an end valve', async () => {
    const { page } = await open('demo', '/rig')
    await page.getByRole('button', { name: 'Let gray into black' }).click()
    const answer = page.getByTestId('transfer-answer')
    await expect.poll(() => answer.innerText()).toMatch(/Up to \d+.L may go/)
    expect(await answer.innerText()).toMatch(/Hold the valve open .* to .*That buys \+\d\.\d days/s)
    await page.getByLabel(/^When/).fill('0')
    await expect.poll(() => answer.innerText()).toContain('Refused')
    await page.getByRole('link', { name: 'Rig', exact: true }).first().click()
    await page.getByRole('switch', { name: 'An end valve behind them all' }).click()
    await page.getByRole('button', { name: 'Let gray into black' }).click()
    await expect.poll(() => answer.innerText()).toContain('no end valve')
  })

  it('keeps a habit off until the land allows it, and takes one of the owner’s own', async () => {
    const { page, noise } = await open('demo', '/habits')
    const outdoors = page.getByTestId('habit-dish-water-outdoors')
    await outdoors.waitFor()
    expect(await outdoors.getByRole('switch').count()).toBe(0)
    expect(await outdoors.innerText()).toContain('Needs a rule of the land')
    await outdoors.getByRole('link', { name: 'Record the rule' }).click()
    const rule = page.getByTestId('rule-washing-water')
    await rule.getByRole('radio', { name: 'allowed', exact: true }).click()
    await rule.getByLabel('Who says so').fill('Ridge warden')
    await page.getByRole('link', { name: 'Habits', exact: true }).first().click()
    const before = await strip(page)
    await outdoors.getByRole('switch').click()
    await expect.poll(() => strip(page)).not.toBe(before)
    await expect.poll(() => outdoors.innerText()).toContain('Packing it out is always right')
    // The rule names an amount: what goes out is held against it, where it is recorded and where it is done.
    await page.getByRole('link', { name: 'Stay', exact: true }).first().click()
    const use = page.getByTestId('land-use-washing-water')
    await rule.getByLabel('Up to, a day').fill('50 L')
    await rule.getByLabel('Up to, a day').blur()
    await expect.poll(() => use.innerText()).toContain('on the ground in one day')
    await rule.getByLabel('Up to, a day').fill('1 L')
    await rule.getByLabel('Up to, a day').blur()
    await expect.poll(() => use.innerText()).toContain('the land allows')
    await page.getByRole('link', { name: 'Habits', exact: true }).first().click()
    await expect.poll(() => outdoors.innerText()).toContain('the land allows')

    await page.getByRole('button', { name: 'Add a habit of our own' }).click()
    const own = page.getByTestId(/^habit-habit-/)
    await own.getByLabel('Habit', { exact: true }).fill('Sunday without showers')
    await own.getByRole('button', { name: 'Add an effect' }).click()
    await own.getByLabel('Amount').fill('0.8')
    const with1 = await strip(page)
    await own.getByRole('switch').click()
    await expect.poll(() => strip(page)).not.toBe(with1)
    expect(noise).toEqual([])
  })
})

import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { count } from '@/core/count'
import { compile } from '@/core/model'
import { daysBought, switchHabit } from '@/core/habits'
import { trailerDemo } from '../../scripts/demo/trailer'
import { useForecastStore } from './forecastStore'
import { useWorkspaceStore } from './workspaceStore'

const STAY = 'harrow-ridge'
const HABIT = 'wet-soap-rinse'

beforeEach(() => setActivePinia(createPinia()))

/** A store with the demo open, and its habits counted. */
async function open() {
  const workspace = useWorkspaceStore()
  workspace.replace('habit', () => trailerDemo())
  const forecast = useForecastStore()
  await nextTick()
  return { workspace, forecast, row: () => forecast.bought.find(({ habit }) => habit === HABIT) }
}

describe('the forecast', () => {
  it('counts the current stay and what its habits buy, as the core does', async () => {
    const { forecast, workspace } = await open()
    expect(forecast.result!.days).toBe(count(compile(workspace.document, STAY)).days)
    expect(forecast.bought).toEqual(daysBought(workspace.document, STAY))
  })

  it('a switch shows at once what it was set to; the days follow, of the newest edit only', async () => {
    const { workspace, forecast, row } = await open()
    const before = forecast.bought
    expect(row()!.on).toBe(false)
    workspace.replace('habit', (document) => switchHabit(document, STAY, HABIT, true))
    expect(row()!.on).toBe(true)
    workspace.replace('habit', (document) => switchHabit(document, STAY, HABIT, false))
    expect(row()!.on).toBe(false)
    workspace.replace('habit', (document) => switchHabit(document, STAY, 'paper-plates', true))
    expect(forecast.bought.map(({ days }) => days)).toEqual(before.map(({ days }) => days))
    await vi.waitFor(() => expect(forecast.bought).toEqual(daysBought(workspace.document, STAY)), { timeout: 10_000 })
  }) // prettier-ignore

  it('a habit that was removed is gone at once', async () => {
    const { workspace, row } = await open()
    workspace.replace('habit', (document) => {
      const without = switchHabit(document, STAY, HABIT, false)
      return { ...without, habits: without.habits.filter(({ id }) => id !== HABIT) }
    })
    expect(row()).toBeUndefined()
  })
})

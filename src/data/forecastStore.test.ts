import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { count } from '@/core/count'
import { caseOf, compile } from '@/core/model'
import { daysBought } from '@/core/habits'
import { heavyDocument } from '../../tests/support/heavy'
import { runOf, runStep } from '../../tests/support/generateRuns'
import { trailerDemo } from '../../scripts/demo/trailer'
import { useForecastStore } from './forecastStore'
import { useWorkspaceStore } from './workspaceStore'
import { switchHabitIn } from '../../tests/support/inDocument'

const STAY = 'harrow-ridge'
const HABIT = 'wet-soap-rinse'

beforeEach(() => setActivePinia(createPinia()))

/** A store with the demo open, and its habits counted. */
async function open() {
  const workspace = useWorkspaceStore()
  workspace.replace('habit', () => trailerDemo())
  const forecast = useForecastStore()
  await vi.waitFor(() => expect(forecast.bought.length).toBeGreaterThan(0))
  return { workspace, forecast, row: () => forecast.bought.find(({ habit }) => habit === HABIT) }
}

describe('the forecast', () => {
  it('counts the current stay and what its habits buy, as the core does', async () => {
    const { forecast, workspace } = await open()
    expect(forecast.result!.days).toBe(count(compile(caseOf(workspace.document, STAY))).days)
    expect(forecast.bought).toEqual(daysBought(caseOf(workspace.document, STAY)))
  })

  it('a switch shows at once what it was set to; the days follow, of the newest edit only', async () => {
    const { workspace, forecast, row } = await open()
    const before = forecast.bought
    expect(row()!.on).toBe(false)
    workspace.replace('habit', (document) => switchHabitIn(document, STAY, HABIT, true))
    expect(row()!.on).toBe(true)
    workspace.replace('habit', (document) => switchHabitIn(document, STAY, HABIT, false))
    expect(row()!.on).toBe(false)
    workspace.replace('habit', (document) => switchHabitIn(document, STAY, 'paper-plates', true))
    expect(forecast.bought.map(({ days }) => days)).toEqual(before.map(({ days }) => days))
    await vi.waitFor(() => expect(forecast.bought).toEqual(daysBought(caseOf(workspace.document, STAY))), {
      timeout: 10_000,
    })
  })

  it('counts what is too large for one frame in slices, says how far it is, and shows nothing of another stay', async () => {
    const { workspace, forecast } = await open()
    workspace.replace('import', heavyDocument)
    expect([forecast.result, forecast.model, forecast.isCounting]).toEqual([null, null, true])
    const shares = new Set<number>()
    while (forecast.isCounting) {
      shares.add(forecast.share)
      await new Promise((resolve) => setTimeout(resolve))
    }
    expect(forecast.result!.days).toBeGreaterThan(0)
    expect(forecast.bought).toEqual([])
    // It let go of the thread again and again on the way.
    expect(shares.size).toBeGreaterThan(20)
    expect([...shares]).toEqual([...shares].sort((a, b) => a - b))
    workspace.replace('clear', trailerDemo)
    expect(forecast.result!.days).toBe(count(compile(caseOf(workspace.document, STAY))).days)
  }, 60_000)

  it('the dry count stays what it is beside what holds with the runs that are set', async () => {
    const { workspace, forecast } = await open()
    expect(forecast.dry).toBe(forecast.result)
    const dry = forecast.dry!.days
    const tote = runOf('tote', 5, 'midday', [runStep('loads', 'gray', 'tote', { as: 'all' }, 4)])
    workspace.replace('run', (document) => {
      const copy = structuredClone(document)
      copy.stays[0]!.runs = [tote]
      return copy
    })
    expect(forecast.dry!.days).toBe(dry)
    expect(forecast.result!.days!).toBeGreaterThan(dry!)
    await vi.waitFor(() => expect(forecast.bought).toEqual(daysBought(caseOf(workspace.document, STAY))), {
      timeout: 10_000,
    })
  })

  it('a habit that was removed is gone at once', async () => {
    const { workspace, row } = await open()
    workspace.replace('habit', (document) => {
      const without = switchHabitIn(document, STAY, HABIT, false)
      return { ...without, habits: without.habits.filter(({ id }) => id !== HABIT) }
    })
    expect(row()).toBeUndefined()
  })
})

import { beforeEach, describe, expect, it } from 'vitest'
import { count } from '@/core/count'
import { compile } from '@/core/compile'
import { caseOf } from '@/core/domain'
import { heavyDocument } from '../../tests/support/heavy'
import { runOf, runStep } from '../../tests/support/generateRuns'
import { trailerDemo } from '../../scripts/demo/trailer'
import { useForecastStore } from './forecastStore'
import { useWorkspaceStore } from './workspaceStore'
import { freshStores } from '../../tests/support/freshStores'

const STAY = 'harrow-ridge'

beforeEach(() => freshStores())

/** A store with the demo open. */
function open() {
  const workspace = useWorkspaceStore()
  workspace.replace('habit', () => trailerDemo())
  const forecast = useForecastStore()
  return { workspace, forecast }
}

describe('the forecast', () => {
  it('counts the current stay, as the core does', () => {
    const { forecast, workspace } = open()
    expect(forecast.result!.days).toBe(count(compile(caseOf(workspace.document, STAY))).days)
  })

  it('counts what is too large for one frame in slices, says how far it is, and shows nothing of another stay', async () => {
    const { workspace, forecast } = open()
    workspace.replace('import', heavyDocument)
    expect([forecast.result, forecast.model, forecast.isCounting]).toEqual([null, null, true])
    const shares = new Set<number>()
    while (forecast.isCounting) {
      shares.add(forecast.share)
      await new Promise((resolve) => setTimeout(resolve))
    }
    expect(forecast.result!.days).toBeGreaterThan(0)
    // It let go of the thread again and again on the way.
    expect(shares.size).toBeGreaterThan(20)
    expect([...shares]).toEqual([...shares].sort((a, b) => a - b))
    workspace.replace('clear', trailerDemo)
    expect(forecast.result!.days).toBe(count(compile(caseOf(workspace.document, STAY))).days)
  }, 60_000)

  it('the dry count stays what it is beside what holds with the runs that are set', () => {
    const { workspace, forecast } = open()
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
  })
})

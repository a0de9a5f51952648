import { describe, expect, it } from 'vitest'
import { count } from '../count'
import { compile } from '../compile'
import { caseOf, type Container } from '../domain'
import { owned } from '../quantities'
import { aboardByDay, aboardKg, fillOnlyTo, lifts } from './index'
import { newContainer } from '@/document/starters'
import { runOf, runStep } from '../../../tests/support/generateRuns'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { example, use } from '../../../tests/support/build'

describe('what it weighs', () => {
  it('by hand: only what is consumed leaves the rig, at 0.998 kg a litre', () => {
    const document = example({
      fresh: [100, 0, 100],
      gray: [80, 1, 10],
      black: [50, 1, 0],
      uses: [use('cooking', { rate: 4, volume: 2, drainShare: 0.25 })],
    })
    const model = compile(caseOf(document, 'stay'))
    const { ledger } = count(model)
    expect(aboardKg(model, ledger, -1)).toBeCloseTo(110 * 0.998, 9)
    expect(aboardKg(model, ledger, 7)).toBeCloseTo((110 - 12) * 0.998, 9)
    const days = aboardByDay(model, ledger, 8)
    expect(days.map(({ day }) => day)).toEqual([0, 1])
    expect(days[0]!.most).toBeCloseTo(110 * 0.998, 9)
    expect(days[1]!.most).toBeCloseTo((110 - 7.5) * 0.998, 9)
  })

  it('follows the runs: by hand, filled at midday of day 1 it is heaviest right after', () => {
    const document = example({
      fresh: [100, 0, 100],
      gray: [80, 1, 0],
      black: [50, 1, 0],
      uses: [use('cooking', { rate: 4, volume: 5, drainShare: 0 })],
    })
    document.stays[0]!.runs = [runOf('fill', 1, 'midday', [runStep('fill', null, 'fresh')])]
    const model = compile(caseOf(document, 'stay'))
    const days = aboardByDay(model, count(model).ledger, 8)
    // 75 L at the start of day 1's midday, full again, and 5 L a part from there.
    expect(days.map(({ most }) => most / 0.998)).toEqual([expect.closeTo(100, 9), expect.closeTo(100, 9)])
  })

  it('says how far to fill for the road, and keeps the payload exactly', () => {
    const document = trailerDemo()
    const rig = document.rigs[0]!
    const model = compile(caseOf(document, 'harrow-ridge'))
    const litres = fillOnlyTo(rig, model, 'fresh')!
    document.stays[0]!.levels[0]!.level = owned(litres)
    const road = compile(caseOf(document, 'harrow-ridge'))
    expect(aboardKg(road, count(road).ledger, -1)).toBeCloseTo(780 - 455, 9)
    expect(fillOnlyTo({ ...rig, payload: null }, model, 'fresh')).toBeNull()
    const roomy = { limit: owned(5000), other: owned(0) }
    expect(fillOnlyTo({ ...rig, payload: roomy }, model, 'fresh')).toBe(340)
    const none = { limit: owned(100), other: owned(100) }
    expect(fillOnlyTo({ ...rig, payload: none }, model, 'fresh')).toBe(0)
  })

  it('weighs what is lifted with its shell, against the lift limit', () => {
    const cassette = { ...newContainer('cassette', 'c', 'C', 20), shell: owned(4) } as Container
    const bin = { ...newContainer('solids', 'b', 'B', 60), shell: owned(3), perUse: owned(0.15) } as Container
    const rig = { ...trailerDemo().rigs[0]!, containers: [cassette, bin] }
    const [full, dry] = lifts(rig, { liftLimit: owned(15) })
    expect(full!.full).toBeCloseTo(4 + 17 * 0.998, 9)
    expect(full!.carryAt).toBeCloseTo(11 / 0.998, 9)
    expect(dry).toEqual({ container: 'b', full: 12, carryAt: null })
    expect(lifts(rig, { liftLimit: owned(3) })[0]!.carryAt).toBe(0)
  })
})

import { expect, it } from 'vitest'
import { example, use } from '../../../tests/support/build'
import { compile } from '../compile'
import { caseOf } from '../domain'
import { owned } from '../quantities'
import { wholeOf } from './filter'
import type { Ground } from './ground'
import { learn, type Evidence } from './index'

/** A sink of 8 L a use from 200 L of fresh into 300 L of gray; black is touched by nothing. */
function sink() {
  const document = example({
    fresh: [200, 0, 200],
    gray: [300, 1, 0],
    black: [50, 1, 10],
    uses: [
      { ...use('sink', { rate: 6, volume: 8 }), spread: owned(0.35), levelSpread: owned(0.2), dispersion: 1 },
    ],
  })
  document.stays[0]!.start = '2027-06-01T05:00'
  for (const container of document.rigs[0]!.containers) if ('spread' in container) container.spread = owned(0)
  const stayCase = caseOf(document, 'stay')
  const model = compile(stayCase)
  return (evidence: Evidence[]) => learn(stayCase, model, evidence, { counted: new Set(['sink']), until: 1 })
}
const [FRESH, GRAY, BLACK] = [0, 1, 2]
const tenUses: Evidence = { kind: 'used', at: 0.5, activity: 0, n: 10, litres: null, isExtra: false }
/** Ten uses of 8 L: own factor 80² × 0.2², single uses 10 × 8² × 0.35². */
const [OWN, SINGLE] = [256, 78.4]

it('litres moved by hand leave a level as unsure as they are, squares added', () => {
  const { levels } = sink()([
    { kind: 'moved', at: 0.2, container: BLACK, by: 8, deviation: 3 },
    { kind: 'moved', at: 0.4, container: BLACK, by: 7, deviation: 2 },
  ])
  const { mean, low80, high80 } = levels[BLACK]!
  expect(mean).toBeCloseTo(25, 6)
  expect((high80 - low80) / 2).toBeCloseTo(1.281552 * Math.hypot(3, 2), 2)
})

it('by hand: a metered filling says what was missing, within the square of what the meter is off', () => {
  const litres = 60
  const { activities } = sink()([
    tenUses,
    { kind: 'known', at: 0.9, container: FRESH, level: 'full', moved: { litres, deviation: 5 } },
  ])
  const gain = (OWN / (OWN + SINGLE + 25)) * ((litres - 80) / 80)
  expect(activities[0]!.factor).toBeCloseTo(1 + gain, 9)
})

it('by hand: metered litres of an emptying say what stood there, in the same way', () => {
  const { activities } = sink()([
    tenUses,
    { kind: 'known', at: 0.9, container: GRAY, level: 0, moved: { litres: 100, deviation: 5 } },
  ])
  expect(activities[0]!.factor).toBeCloseTo(1 + (OWN / (OWN + SINGLE + 25)) * (20 / 80), 9)
})

it('of several pieces one was measured: the others are as unsure as their size', () => {
  const ground = { activities: [], containers: [{ capacitySpread: 0.03 }] } as unknown as Ground
  const state = { size: 2, mean: Float64Array.of(1, 45), covariance: new Float64Array(4) }
  const measured = { kind: 'measured' as const, at: 1, container: 0, level: 5, deviation: 2 }
  expect(wholeOf(ground, state, measured)).toEqual({ level: 5, variance: 4 })
  const aside = { each: 20, most: 3 }
  const whole = wholeOf(ground, state, { ...measured, aside })
  expect(whole.level).toBe(45)
  expect(whole.variance).toBeCloseTo(2 ** 2 + (0.03 * 40) ** 2, 12)
  // No more stand aside than there are, and none where less is believed to be there than was measured.
  expect(wholeOf(ground, state, { ...measured, aside: { each: 20, most: 1 } }).level).toBe(25)
  expect(wholeOf(ground, { ...state, mean: Float64Array.of(1, 2) }, { ...measured, aside }).level).toBe(5)
})

import { describe, expect, it } from 'vitest'
import { count } from '../count'
import { compile } from '../compile'
import { caseOf, type Document } from '../domain'
import { playTrips, quantileSorted, riskTables, tripLuck } from '../risk'
import { samplerFor, withoutSpread } from '../../../tests/support/spreads'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { habitsCompany, habitsWorth, sensitivity } from './index'
import { switchHabitIn, withHabitsIn } from '../../../tests/support/inDocument'

const STAY = 'harrow-ridge'
const TRIALS = 400
const options = { seed: 4, trials: TRIALS, tables: riskTables() }
const average = (document: Document) => count(compile(caseOf(document, STAY))).days!
const planOn = (document: Document) =>
  quantileSorted(playTrips(samplerFor(document, STAY, 28), tripLuck(4, 0, TRIALS)).days.sort(), 0.1)

describe('what habits buy, on the same trips', () => {
  const document = trailerDemo()

  it('is the count with it less the count without it, on average and to plan on', () => {
    for (const habit of ['wet-soap-rinse', 'shower-basin', 'tooth-cup']) {
      const [worth] = [...habitsWorth(caseOf(document, STAY), [habit], options)]
      const withIt = switchHabitIn(document, STAY, habit, true)
      const without = switchHabitIn(document, STAY, habit, false)
      expect(worth!.days).toBeCloseTo(average(withIt) - average(without), 9)
      expect(worth!.planOn).toBeCloseTo(planOn(withIt) - planOn(without), 9)
      expect(worth!.on).toBe(habit === 'tooth-cup')
    }
  })

  it('alone and last: to none at all, and to every other free habit', () => {
    const [company] = [...habitsCompany(caseOf(document, STAY), ['paper-plates'], options)]
    const bare = withHabitsIn(document, STAY, [])
    expect(company!.alone).toBeCloseTo(
      planOn(switchHabitIn(bare, STAY, 'paper-plates', true)) - planOn(bare),
      9,
    )
    // Liquids only spares the black tank, which is no limit until the showers no longer fill gray.
    const few = ['wet-soap-rinse', 'shower-every-other', 'basin-dishes', 'paper-plates', 'liquids-only']
    const small = { ...document, habits: document.habits.filter(({ id }) => few.includes(id)) }
    small.stays = small.stays.map((stay) => ({ ...stay, habits: [] }))
    const [only] = [...habitsCompany(caseOf(small, STAY), ['liquids-only'], options)]
    expect(only!.last).toBeGreaterThan(only!.alone + 0.3)
  })

  it('a habit of no effect buys exactly nothing, whatever the luck', () => {
    const idle = structuredClone(document)
    idle.habits.push({ ...idle.habits[0]!, id: 'idle', group: null, effects: [] })
    expect([...habitsWorth(caseOf(idle, STAY), ['idle'], options)][0]).toMatchObject({
      days: 0,
      planOn: 0,
      blockedBy: null,
    })
    expect([...habitsCompany(caseOf(idle, STAY), ['idle'], options)][0]).toEqual({
      habit: 'idle',
      alone: 0,
      last: 0,
    })
  })
})

describe('what each assumption is worth', () => {
  it('counts the stay with one number at the ends of its 80 % interval', () => {
    const document = trailerDemo()
    const swings = sensitivity(caseOf(document, STAY))
    const shower = swings.find(
      ({ assumption }) => assumption.kind === 'activity' && assumption.activity === 'shower',
    )!
    const high = Math.exp(1.2815515655 * Math.sqrt(Math.log(1 + 0.2 ** 2)))
    expect([shower.atLow, shower.atHigh].map((litres) => litres.toFixed(3))).toEqual(
      [10.5 * high, 10.5 / high].map((litres) => litres.toFixed(3)),
    )
    const changed = structuredClone(document)
    changed.crews[0]!.activities.find(({ id }) => id === 'shower')!.volume.value = 10.5 * high
    expect(shower.low).toBeCloseTo(average(changed), 6)
    const gray = swings.find(
      ({ assumption }) => assumption.kind === 'level' && assumption.container === 'gray',
    )!
    // Read to within 6 L: a tenth of trips lies more than 0.4 × 6 L to either side of 3 L.
    expect(gray.atLow).toBeCloseTo(5.4, 9)
    expect(gray.atHigh).toBeCloseTo(0.6, 9)
  })

  it('most first, the smaller count first, and nothing where everything is certain', () => {
    const swings = sensitivity(caseOf(trailerDemo(), STAY))
    expect(swings.length).toBeGreaterThan(5)
    swings.forEach(({ low, high }, k) => {
      expect(low).toBeLessThan(high)
      if (k > 0) expect(high - low).toBeLessThanOrEqual(swings[k - 1]!.high - swings[k - 1]!.low)
    })
    expect(sensitivity(caseOf(withoutSpread(trailerDemo()), STAY))).toEqual([])
  })
})

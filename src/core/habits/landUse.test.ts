import { expect, it } from 'vitest'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { caseOf, type LandRule, type StayCase } from '../domain'
import { landUses, overLand } from './landUse'

const STAY = 'harrow-ridge'

/** The trailer's stay with one habit on, under a rule that allows so many litres a day. */
function under(rule: LandRule, habit: string | null, litres: number | null): StayCase {
  const document = trailerDemo()
  const stay = document.stays[0]!
  document.rigs[0]!.gear.push('lidded-pail')
  stay.rules = [{ rule, allowed: true, litres, source: 'a board', date: '2027-09-01' }]
  stay.habits = habit === null ? [] : [{ habit, days: null, persons: null }]
  stay.absences = []
  stay.guests = []
  stay.weather = { ...stay.weather, sunrise: '05:00', sunset: '23:00', days: [] }
  return caseOf(document, STAY)
}

it('by hand: four fifths of the dish water outdoors, and the urine of three people, a day', () => {
  const washing = under('washing-water', 'dish-water-outdoors', 5)
  const dishes = washing.crew.activities.find(({ id }) => id === 'dishes')!
  const litres = dishes.volume as { value: number }
  const daily = dishes.rate.value * litres.value * dishes.drainShare.value * 0.8
  const lit = dishes.weights.values.slice(0, 3).reduce((sum, weight) => sum + weight, 0)
  const [use] = landUses(washing)
  expect(use!.most).toBeCloseTo(daily * lit, 9)
  expect(overLand([use!])).toHaveLength(daily * lit > 5 ? 1 : 0)
  expect(overLand(landUses(under('washing-water', 'dish-water-outdoors', daily)))).toEqual([])
  expect(overLand(landUses(under('washing-water', 'dish-water-outdoors', daily * 0.5)))).toHaveLength(1)

  const urine = under('urine', 'urine-outdoors', 1)
  const use1 = urine.crew.activities.find(({ id }) => id === 'liquid-use')!
  const perUse = use1.adds.find(({ from }) => from === 'body')!.volume.value
  const persons = urine.crew.persons.length
  const day = use1.weights.values.slice(0, 3).reduce((sum, weight) => sum + weight, 0)
  expect(landUses(urine)[0]!.most).toBeCloseTo(use1.rate.value * persons * perUse * day, 9)
})

it('says nothing of rules without a limit, and zero where no habit rests on them', () => {
  expect(landUses(under('washing-water', 'dish-water-outdoors', null))).toEqual([])
  expect(landUses(under('washing-water', null, 10))).toEqual([
    { rule: 'washing-water', most: 0, allowed: 10 },
  ])
})

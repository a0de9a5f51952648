import { expect, it } from 'vitest'
import { caseOf } from '../domain'
import { owned } from '../quantities'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { compile } from '../compile'
import { preparationOf } from './index'

it('fills as the payload allows, charges black, and keeps a drinking reserve apart from fresh', () => {
  const stayCase = caseOf(trailerDemo(), 'harrow-ridge')
  const found = preparationOf(stayCase)
  // 780 − 455 = 325 kg, less 3 L of gray and 8 of black at 0.998 kg.
  expect(found.fill).toEqual([
    { container: 'fresh', litres: expect.closeTo(325 / 0.998 - 11, 6) as number, byWeight: true },
  ])
  expect(found.charge).toEqual([{ container: 'black', litres: 6 }])
  expect(found.empty).toEqual(['gray', 'black'])
  expect(found.roadReserve).toBe(15)
  // Three people for three days at 3 L; the warmest day is 25 °C, no more than the threshold.
  expect(found.reserve).toEqual({ litres: 27, persons: 3, days: 3, perPerson: 3, heat: 0 })
  const fresh = compile(stayCase).containers.find(({ id }) => id === 'fresh')!
  expect(fresh.start).toBe(340)
})

it('keeps more of it in heat, and no more days than the stay has', () => {
  const stayCase = caseOf(trailerDemo(), 'harrow-ridge')
  const hot = {
    ...stayCase,
    stay: { ...stayCase.stay, weather: { ...stayCase.stay.weather, usual: owned(35) } },
  }
  // Ten degrees above: two steps of 0.4 L.
  expect(preparationOf(hot).reserve).toMatchObject({
    heat: 0.8,
    litres: expect.closeTo(3 * 3 * 3.8, 9) as number,
  })
  const short = { ...hot, stay: { ...hot.stay, leaveAt: '2027-09-12T11:00' } }
  expect(preparationOf(short).reserve.days).toBe(2)
})

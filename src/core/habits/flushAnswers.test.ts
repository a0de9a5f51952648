import { caseOf } from '../domain'
import { describe, expect, it } from 'vitest'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { vanDemo } from '../../../scripts/demo/van'
import { example, use } from '../../../tests/support/build'
import { daysBought, flushKept, flushAnswers, rinsesFor } from './index'

describe('the two sides of the flush', () => {
  it('by hand: the liquid per solid use is a line in the flush water, and the tank fills the sooner', () => {
    // A day: 4 liquid uses of 0.5 L and 0.25 L from the body each, 1 solid use of 2 L; black holds 40 L, safe to 36 L.
    const uses = [
      use('liquid', { kind: 'liquid-use', role: 'toilet', rate: 4, volume: 0.5, adds: [['body', 0.25]] }),
      use('solid', { kind: 'solid-use', role: 'toilet', rate: 1, volume: 2, adds: [['body', 0.2]] }),
    ]
    const document = example({ fresh: [500, 0, 500], gray: [500, 0.9, 0], black: [40, 0.9, 0], uses })
    const sides = flushAnswers(caseOf(document, 'stay'), 40)
    for (const { factor, liquid, days } of sides) {
      // 4 × (0.5 f + 0.25) + 2 f of liquid a day, and 0.2 L of solids besides.
      expect(liquid).toBeCloseTo(4 * factor + 1, 9)
      expect(days).toBeCloseTo(36 / (4 * factor + 1.2), 6)
    }
    expect(sides.find(({ factor }) => factor === 1)!.toiletDays).toBeCloseTo(36 / 5.2, 6)
  })

  it('more flush water never leaves less liquid nor makes the toilet last longer, in the demo rigs', () => {
    // A cassette is tipped out: nothing mounds there, and no school holds anything back.
    expect(flushAnswers(caseOf(vanDemo(), vanDemo().stays[0]!.id), 40)).toEqual([])
    const single = trailerDemo()
    single.rigs[0]!.outlets[0]!.joined = ['gray', 'black']
    for (const document of [trailerDemo(), single]) {
      const sides = flushAnswers(caseOf(document, document.stays[0]!.id), 40)
      expect(sides.length).toBeGreaterThan(5)
      sides.slice(1).forEach((point, k) => {
        expect(point.liquid).toBeGreaterThanOrEqual(sides[k]!.liquid)
        expect(point.toiletDays).toBeLessThanOrEqual(sides[k]!.toiletDays)
      })
    }
  })

  it('the school decides what is kept; rinses run on a line between floor and plenty, and on beyond the floor', () => {
    const crew = trailerDemo().crews[0]!
    expect(flushKept({ ...crew, flush: { ...crew.flush, school: 'plenty' } })).toBe(4)
    expect(flushKept({ ...crew, flush: { ...crew.flush, school: 'little' } })).toBe(2)
    // Two rounds at 4 L and more, four at the floor of 2 L: one more for each litre less.
    expect([6, 4, 3, 2, 1].map((litres) => rinsesFor(crew, litres))).toEqual([2, 2, 3, 4, 5])
  })

  it('a habit that leads liquids into a jug says that it pushes the jug', () => {
    const document = vanDemo()
    const jug = document.habits.find(({ id }) => id === 'urine-apart')!
    jug.effects = [{ kind: 'redirect', activity: 'liquid-use', share: { value: 1, by: 'owner' }, to: 'gray' }]
    const { pushes } = daysBought(caseOf(document, document.stays[0]!.id)).find(
      ({ habit }) => habit === 'urine-apart',
    )!
    expect(pushes[0]!.container).toBe('van-gray')
    expect(pushes[0]!.days).toBeGreaterThan(0.1)
  })
})

import fc from 'fast-check'
import { expect, it } from 'vitest'
import { UNIT_SYSTEMS } from '@/core/quantities'
import { starterNames, starters } from '@/texts/en/starters'
import { areStartChoices } from './startChoices'
import { firstChoices, startDocument } from './starterStay'

const first = firstChoices('2027-09-10T09:00', UNIT_SYSTEMS.us)
const startedWith = (choices: typeof first) => {
  let n = 0
  return startDocument(choices, starters, starterNames, (kind) => `${kind}-${(n += 1)}`, UNIT_SYSTEMS.us)
}

it('takes what was kept as it was', () => {
  const kept = JSON.parse(
    JSON.stringify({ ...first, probes: [0.33, 0.67, 1], steps: { fresh: 2 } }),
  ) as unknown
  expect(areStartChoices(kept)).toBe(true)
  expect(areStartChoices(first)).toBe(true)
})

it('law: what is taken makes a stay, whatever became of a part of it', () => {
  const broken = fc.record({
    key: fc.constantFrom(...(Object.keys(first) as (keyof typeof first)[])),
    value: fc.oneof(
      fc.jsonValue(),
      fc.constant(undefined),
      fc.double(),
      fc.constantFrom('van', 'black', 'usual'),
    ),
  })
  let refused = 0
  fc.assert(
    fc.property(fc.array(broken, { minLength: 1, maxLength: 3 }), (parts) => {
      const value: Record<string, unknown> = { ...first }
      for (const part of parts) value[part.key] = part.value
      if (!areStartChoices(value)) {
        refused += 1
        return
      }
      expect(startedWith(value).stays).toHaveLength(1)
    }),
  )
  expect(refused).toBeGreaterThan(20)
})

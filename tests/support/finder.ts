import fc from 'fast-check'
import { expect } from 'vitest'
import type { Activity, Document, Effect, Habit } from '@/core/domain'
import { owned } from '@/core/quantities'
import { newHabit } from '@/document/edits'
import { documentArb } from './generate'
import { everySet, searchWhole } from './everySet'

const share = fc.double({ min: 0, max: 1, noNaN: true }).map(owned)
const UNTIL = 6
const TRIPS = 40

function effectArb(activities: readonly Activity[]): fc.Arbitrary<Effect> {
  const activity = fc.constantFrom(...activities.map(({ id }) => id))
  return fc.oneof(
    fc.record({ kind: fc.constant('rate' as const), activity, factor: share }),
    fc.record({ kind: fc.constant('volume' as const), activity, factor: share }),
    fc.record({ kind: fc.constant('replace' as const), activity, volume: share, trickle: fc.constant(null) }),
    fc.record({
      kind: fc.constant('redirect' as const),
      activity,
      share,
      to: fc.constantFrom('ground' as const, 'black' as const, 'gray' as const, 'urine' as const),
    }),
  )
}

/** Rigs of all kinds with a toilet in use, ten habits, a school, a ban. */
export const finderArb: fc.Arbitrary<{ document: Document; banned: string[] }> = documentArb.chain(
  (document) =>
    fc
      .record({
        effects: fc.array(
          fc.array(effectArb(document.crews[0]!.activities), { minLength: 1, maxLength: 2 }),
          { minLength: 10, maxLength: 10 },
        ),
        school: fc.constantFrom('plenty' as const, 'little' as const),
        floor: fc.double({ min: 0.5, max: 5, noNaN: true }),
        ban: fc.boolean(),
        solid: fc.boolean(),
      })
      .map(({ effects, school, floor, ban, solid }) => {
        const copy = structuredClone(document)
        const crew = copy.crews[0]!
        crew.flush.school = school
        crew.flushFloor = owned(floor)
        crew.flush.plenty = owned(floor + 2)
        if (solid)
          Object.assign(crew.activities[0]!, {
            kind: 'solid-use',
            role: 'toilet',
            rate: owned(1),
            volume: owned(1.5),
            adds: [{ from: 'body', volume: owned(0.2) }],
          })
        copy.habits = effects.map((all, i): Habit => ({
          ...newHabit(`habit-${i}`, `Habit ${i}`),
          effects: all,
          group: i < 4 ? `rivals-${i % 2}` : null,
          bother: owned(((i * 7) % 5) + i / 16),
        }))
        copy.stays[0]!.habits = []
        copy.stays[0]!.horizonDays = owned(14)
        return { document: copy, banned: ban ? ['habit-1', 'habit-5'] : [] }
      }),
)

/**
 * The search against every set by hand: its longest set is the longest there is, no set of the curve is beaten by a
 * tenth of a day, and what it says is held back is what is found by hand with that allowed.
 */
export function expectFinderIsBest({ document, banned }: { document: Document; banned: string[] }): void {
  const options = { untilDays: UNTIL, trips: TRIPS }
  const crew = document.crews[0]!
  const all = everySet(document, { ...options, without: banned })
  const found = searchWhole(document, 'stay', { ...options, seed: 1, without: banned })
  const longest = (sets: readonly { days: number }[]) => Math.max(...sets.map(({ days }) => days))
  expect(found.left).toEqual([])
  expect(found.most.days).toBeCloseTo(longest(all), 6)
  for (const { bother, days } of all) {
    const reached = longest(found.curve.filter((set) => set.bother <= bother + 1e-9))
    expect(days).toBeLessThan(reached + 0.1)
  }
  const school = crew.flush.school === 'plenty' ? undefined : crew.flushFloor.value
  const allowed = {
    school: { without: banned, kept: crew.flushFloor.value },
    floor: { without: banned, kept: 0 },
    refused: { without: [], ...(school === undefined ? {} : { kept: school }) },
  }
  for (const hold of ['school', 'floor', 'refused'] as const) {
    const most = longest(everySet(document, { ...options, ...allowed[hold] }))
    const said = found.heldBack.find(({ by }) => by === hold)
    // What would last longer is said, and how long; said is nothing that is not so.
    if (said) expect(said.most.days).toBeCloseTo(most, 6)
    else expect(most - found.most.days).toBeLessThan(0.05 + 1e-6)
  }
}

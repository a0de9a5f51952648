import { describe, expect, it } from 'vitest'
import { blockedBy, daysBought, flushRatios, touchesFlush } from '@/core/habits'
import { count } from '@/core/count'
import { compile } from '@/core/compile'
import { caseOf, ACTIVITY_KINDS, CAUTIONS, GEAR, LAND_RULES, NEVER_REDUCED } from '@/core/domain'
import { checked } from '../index'
import * as edits from '../edits'
import { PLUMBING_IDS, TOILET_IDS, layoutRig, starterHabits, toiletsFor } from './index'
import { starterNames, starters } from '@/texts/en/starters'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { switchHabitIn } from '../../../tests/support/inDocument'

const catalogue = starterHabits(starters)

describe('the catalogue of habits', () => {
  it.each(catalogue.map((habit) => [habit.id, habit] as const))(
    '%s: its effects name things that exist, it rations nothing, and it goes on only with what it needs',
    (id, habit) => {
      for (const { activity } of habit.effects) expect(ACTIVITY_KINDS).toContain(activity)
      const reducing = habit.effects.filter(
        ({ kind }) => kind === 'rate' || kind === 'volume' || kind === 'replace',
      )
      for (const { activity } of reducing) expect(NEVER_REDUCED).not.toContain(activity)
      expect(habit.effects.length).toBeGreaterThan(0)
      const document = trailerDemo()
      document.rigs[0]!.gear = []
      document.stays[0]!.rules = []
      document.stays[0]!.habits = []
      const isFree = habit.gear.length === 0 && habit.permission === null
      expect(blockedBy(habit, document.rigs[0]!, document.stays[0]!) === null).toBe(isFree)
      expect(checked(switchHabitIn(document, 'harrow-ridge', id, true)).ok).toBe(isFree)
      document.rigs[0]!.gear = [...GEAR]
      document.stays[0]!.rules = LAND_RULES.map((rule) => ({
        rule,
        allowed: true,
        litres: null,
        source: 'test',
        date: '2027-01-01',
      }))
      const on = switchHabitIn(document, 'harrow-ridge', id, true)
      expect(checked(on).ok).toBe(true)
      const bought = daysBought(caseOf(on, 'harrow-ridge')).find((entry) => entry.habit === id)!
      expect(bought.days).toBeGreaterThanOrEqual(-1e-9)
    },
  )

  it('uses every caution, and every piece of gear', () => {
    expect(new Set(catalogue.flatMap(({ cautions }) => cautions))).toEqual(new Set(CAUTIONS))
    // Paper to line the bowl is no gear any more, a rig of before may list it; a macerator is for runs, a meter and a
    // wand are for run cards.
    const others = ['bowl-liners', 'macerator', 'flow-meter', 'rinse-wand']
    expect(new Set([...catalogue.flatMap(({ gear }) => gear), ...others])).toEqual(new Set(GEAR))
  })

  it('goes off with its gear or its rule, in every stay', () => {
    const document = switchHabitIn(trailerDemo(), 'harrow-ridge', 'shower-basin', true)
    const isOn = () => document.stays[0]!.habits.some(({ habit }) => habit === 'shower-basin')
    expect(isOn()).toBe(true)
    edits.setGear(document, 'trailer', 'lidded-pail', false)
    expect(isOn()).toBe(false)
    const away = switchHabitIn(trailerDemo(), 'harrow-ridge', 'toilets-away', true)
    edits.setRule(away, 'harrow-ridge', 'site-toilets', null, '', '2027-01-01')
    expect(away.stays[0]!.habits.map(({ habit }) => habit)).toEqual(['tooth-cup'])
  })

  it('says what less flush water does to the liquid on the solids, by hand', () => {
    const document = trailerDemo()
    document.stays[0]!.absences = []
    const model = compile(caseOf(document, 'harrow-ridge'))
    const [black] = flushRatios(model, count(model).ledger, 40)
    // Three people: 5 × (0.4 + 0.218) L of liquid uses and 1 × 1.6 L of flush each a day, over one solid use each.
    const days = model.grid.edges[model.grid.count]!
    expect(black!.ratios.at(-1)).toBeCloseTo(5 * 0.618 + 1.6 + 8 / (3 * days), 1)
    const dry = compile(
      caseOf(switchHabitIn(document, 'harrow-ridge', 'no-liquid-flush', true), 'harrow-ridge'),
    )
    expect(flushRatios(dry, count(dry).ledger, 40)[0]!.least!).toBeLessThan(black!.least! - 1)
    const touching = catalogue.filter((habit) => touchesFlush(habit, document.crews[0]!)).map(({ id }) => id)
    expect(touching).toContain('bowl-liners')
    expect(touching).not.toContain('shower-basin')
  })
})

describe('rigs from a plan', () => {
  const all = PLUMBING_IDS.flatMap((plumbing) =>
    toiletsFor(plumbing).map((toilet) => [plumbing, toilet] as const),
  )
  it.each(all)('%s with %s is a valid rig on the demo stay', (plumbing, toilet) => {
    let n = 0
    const litres = { fresh: 200, gray: 150, black: 100 }
    const rig = layoutRig(
      plumbing,
      toilet,
      litres,
      'Plan',
      starterNames.layout,
      (kind) => `${kind}-${(n += 1)}`,
    )
    const document = trailerDemo()
    document.rigs.push(rig)
    edits.useRig(document, 'harrow-ridge', rig.id)
    expect(checked(document)).toMatchObject({ ok: true })
    expect(count(compile(caseOf(document, 'harrow-ridge'))).days).toBeGreaterThan(0)
  })

  it('has every toilet on some plumbing', () => {
    expect(new Set(all.map(([, toilet]) => toilet))).toEqual(new Set(TOILET_IDS))
  })
})

// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import fc from 'fast-check'
import { beforeEach, expect, it, vi } from 'vitest'
import { defineComponent, h, ref } from 'vue'
import type { Budget, BudgetLine } from '@/core/budget'
import { UNIT_SYSTEMS } from '@/core/quantities'
import type { Cause, SinceYesterday } from '@/core/underway'
import { useSettingsStore } from '@/data/settingsStore'
import { useTodayStore } from '@/data/todayStore'
import { freshStores } from '../../../tests/support/freshStores'
import { heldClient } from '../../../tests/support/heldClient'
import { openedDemo } from '../../../tests/support/openedDemo'
import { nightOf, shown, useBudgetWords } from './useBudgetWords'
import { useSinceWords } from './useSinceWords'

let held = heldClient()
vi.mock('@/workers', async (original) => ({
  ...(await original<typeof import('@/workers')>()),
  jobClient: () => held.client,
}))
beforeEach(() => {
  localStorage.clear()
  held = heldClient()
  freshStores()
})

const since = (parts: SinceYesterday['parts'], more: Partial<SinceYesterday> = {}): SinceYesterday => ({
  from: '2027-09-13T15:20',
  at: '2027-09-14T15:20',
  elapsed: 1,
  then: 4.1,
  now: 2.6,
  change: parts.reduce((sum, { days }) => sum + days, 0),
  parts,
  ahead: 0,
  ...more,
})
const showers = (n: number, expected: number): Cause => ({ kind: 'use', activity: 'shower', n, expected })

/** The words of the trailer’s fourth day; what was worked out is given. */
async function opened(at?: string) {
  await openedDemo(held, at)
  useSettingsStore().units = { ...UNIT_SYSTEMS.metric }
  const today = useTodayStore()
  vi.spyOn(today, 'follow').mockReturnValue(undefined)
  const [budget, moved] = [ref<Budget | null>(null), ref<SinceYesterday | null>(null)]
  vi.spyOn(today, 'budget', 'get').mockImplementation(() => budget.value)
  vi.spyOn(today, 'since', 'get').mockImplementation(() => moved.value)
  let words!: { budget: ReturnType<typeof useBudgetWords>; since: ReturnType<typeof useSinceWords> }
  mount(
    defineComponent({
      setup() {
        words = { budget: useBudgetWords(), since: useSinceWords() }
        return () => h('p')
      },
    }),
  )
  return { words, budget, moved }
}
const plain = (text: string | undefined) => text?.replaceAll('\u00a0', ' ')

it('says what moved the count most, the way it moved, and whether that is ahead of the plan', async () => {
  const { words, moved } = await opened()
  expect(words.since.value).toBeNull()
  moved.value = since(
    [
      { cause: showers(3, 1), days: -0.5 },
      { cause: { kind: 'day', warmest: 31, usual: 22 }, days: -0.3 },
      { cause: { kind: 'levels', isRead: true }, days: 0.2 },
      { cause: { kind: 'learned' }, days: -0.1 },
      { cause: { kind: 'plan' }, days: 0.01 },
    ],
    { ahead: -0.4 },
  )
  const { change, why, plan, parts, total } = words.since.value!
  expect(change).toBe('0.7 less than yesterday said')
  expect(plain(why)).toBe('shower 2 more than expected, a warm day, 31 °C')
  expect(plan).toBe('0.4 behind the plan')
  // What is less than a twentieth of a day is not spoken of; the rest is there with its sign.
  expect(parts.map(({ text }) => text.replace('−', '-'))).toEqual(['-0.5', '-0.3', '+0.2', '-0.1'])
  expect(total.replace('−', '-')).toBe('-0.7')
  moved.value = since([{ cause: showers(0, 12.3), days: 0.6 }], { ahead: 0.5 })
  expect(words.since.value).toMatchObject({
    change: '0.6 more than yesterday said',
    why: 'shower 12 fewer than expected',
    plan: '0.5 ahead of the plan',
  })
  moved.value = since([{ cause: { kind: 'runs' }, days: 0.03 }])
  expect(words.since.value).toMatchObject({ change: 'As yesterday said', why: '', plan: 'as planned' })
  moved.value = since([{ cause: { kind: 'runs' }, days: 0.4 }], { elapsed: 0.5 })
  expect(words.since.value!.change).toBe('0.4 more than at the start')
})

const line = (more: Partial<BudgetLine>): BudgetLine => ({
  activity: 'shower',
  today: 1,
  left: 1.4,
  allowed: 2.3,
  spent: 0.9,
  later: 3,
  next: 5,
  cost: 12,
  persons: [],
  ...more,
})
const budgetOf = (lines: BudgetLine[], more: Partial<Budget> = {}): Budget => ({
  state: 'held',
  night: 6,
  until: '2027-09-16T11:00',
  confidence: 0.9,
  factor: 0.7,
  isFree: false,
  chance: 0.91,
  asUsual: 0.4,
  reaches: null,
  binds: 'gray',
  lines,
  kept: [],
  trials: 2000,
  ...more,
})

it('says what is left today: how many of how many, who has them, or when the next one is', async () => {
  const { words, budget } = await opened()
  expect([words.budget.rows.value, words.budget.instead.value]).toEqual([[], null])
  const rows = (lines: BudgetLine[]) => {
    budget.value = budgetOf(lines)
    return words.budget.rows.value.map(({ name, n, side }) => `${name}: ${n}, ${plain(side)}`)
  }
  expect(words.budget.headline.value).toMatch(/working/i)
  expect(rows([line({})])).toEqual(['Shower: 1, 0.9 of 2.3 used'])
  expect(rows([line({ spent: 0.2 })])).toEqual(['Shower: 1, none used yet'])
  expect(rows([line({ today: 0, next: 5 })])[0]).toMatch(
    /^Shower: 0, (none left today, the next tomorrow|not before .+)$/,
  )
  expect(rows([line({ today: 0, next: null })])[0]).toBe('Shower: 0, none before Thu 16 Sept')
  // Next to nothing of it, now or later: not worth a line.
  expect(rows([line({ left: 0.01, later: 0.01, spent: 0 })])).toEqual([])
  expect(words.budget.headline.value).toBe('Left today, to last to Thu 16 Sept')
})

it('says instead where saving does not do it, how far it does, and where nothing needs saving', async () => {
  const { words, budget } = await opened()
  const instead = (more: Partial<Budget>) => {
    budget.value = budgetOf([line({})], more)
    return words.budget.instead.value
  }
  expect(instead({})).toBeNull()
  expect(instead({ isFree: true })).toBe('Nothing needs saving to Thu 16 Sept.')
  expect(instead({ state: 'nothing' })).toMatch(/nothing/)
  expect(instead({ state: 'past' })).toMatch(/is over/)
  expect(words.budget.rows.value).toEqual([])
  expect(instead({ state: 'short', reaches: 4 })).toMatch(/^Saving .* Thu 16 Sept: Gray is full/)
  expect(words.budget.reachable.value).toEqual({ night: 4, words: 'Wed 15 Sept' })
  expect(words.budget.rows.value).toEqual([])
  expect(instead({ state: 'short', reaches: null })).toMatch(/^Saving/)
  expect(words.budget.reachable.value).toBeNull()
})

it('while it is planned a budget is a share of each day', async () => {
  const { words, budget } = await opened('2027-09-01T12:00')
  budget.value = budgetOf([line({ left: 2, later: 10 })], { until: '2027-09-16T15:00' })
  expect(words.budget.isUnderWay.value).toBe(false)
  const [row] = words.budget.rows.value
  expect(row!.n).toBe(0)
  expect(row!.side).toMatch(/^\d\.\d a day, 12 in all$/)
  expect(words.budget.headline.value).toMatch(/^For one day/)
})

it('uses are rounded to what is known; a night is the morning after it', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 300, noNaN: true }), (uses) => {
      expect(Math.abs(Number(shown(uses)) - uses)).toBeLessThanOrEqual(uses >= 9.95 ? 0.5 : 0.0501)
    }),
  )
  expect(nightOf({ start: '2027-09-10T15:00' }, 1)).toBe('Sat 11 Sept')
})

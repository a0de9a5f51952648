import { expect, it } from 'vitest'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { wallDaysBetween } from '@/core/calendar'
import { compile, compileChances } from '@/core/compile'
import { nightsMade } from '@/core/count'
import { caseOf } from '@/core/domain'
import { ownCounts, PLAN_ON, riskOf, riskTables, samplerOf, sampleTrips, type Risk } from '@/core/risk'
import { SEED } from '@/data/seed'
import { riskWords } from './useRiskWords'

const stayCase = caseOf(trailerDemo(), 'harrow-ridge')
const { stay } = stayCase
const model = compile(stayCase)
const TRIALS = 10_000
const tables = riskTables()
const until = wallDaysBetween(model.start, stay.leaveAt)
const sampler = samplerOf(model, compileChances(stayCase, model), { tables })
const risk = riskOf(model, sampleTrips(sampler, { seed: SEED, from: 0, to: TRIALS, bandParts: 0 }), until)
const said = (one: Risk) => riskWords(one, stay, model, stay.start)

it('the sentence speaks of the days that the figure says: who, when, and how many nights are missing', () => {
  const { figure, plannedStop } = said(risk)
  // 4.6 days from Saturday 11 September 16:00: Thursday 16, in the morning; seven of twelve nights are missing.
  expect(figure).toBe('4.6')
  expect(plannedStop).toMatchObject({
    stopper: 'Gray',
    when: { day: 'Thursday 16 September', part: 'morning' },
    mark: 'Thu 16 Sept',
    lasts: false,
    short: nightsMade(risk.planOn.days, stay.start, stay.leaveAt).short,
  })
  expect(plannedStop!.short).toBe(7)
})

it('the tank that stops the stay has the same days to plan on as the stay, to the last digit', () => {
  const asked = { seed: SEED, trials: TRIALS, q: PLAN_ON, horizonDays: until + 1, withRuns: true, tables }
  const steps = ownCounts(stayCase, asked)
  let step = steps.next()
  while (!step.done) step = steps.next()
  const { joint, containers } = step.value
  expect(joint).toBe(risk.planOn.days)
  const own = containers.find(({ id }) => id === 'gray')!.days
  expect(own).toBeGreaterThanOrEqual(joint)
  expect(Math.min(...containers.map(({ days }) => days))).toBe(own)
})

it('says nothing of a stop that is beyond what was counted, and that one after the stay is after it', () => {
  expect(said({ ...risk, planOn: { days: 60, isBeyond: true } }).plannedStop).toBeNull()
  expect(said({ ...risk, planOn: { days: until + 0.5, isBeyond: false } }).plannedStop).toMatchObject({
    ...{ lasts: true, mark: null, short: 0 },
  })
  expect(said({ ...risk, stoppers: [] }).plannedStop).toBeNull()
})

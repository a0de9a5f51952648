import { expect, it } from 'vitest'
import type { Reason } from '@/core/risk'
import { storyReasons } from './storyWords'

const activity = (closer: number, uses: number, usual: number, perUse: number, id = 'shower'): Reason => ({
  kind: 'activity',
  activity: id,
  closer,
  uses,
  usual,
  perUse,
})
const told = (reasons: Reason[]) =>
  storyReasons(
    { days: 4, stopper: 'gray', hotDays: 0, hotDaysGiven: 0, since: null, reasons },
    (id) => ({ shower: 'Shower', dishes: 'Dishes' })[id] ?? '',
  )

it('says of each heavy reason what was more: the times, the water each, or both', () => {
  expect(told([activity(40, 9, 6.6, 1.02)])).toEqual(['Shower 9 times where 6.6 are usual'])
  expect(told([activity(40, 6, 6.6, 1.31)])).toEqual(['Shower takes 31 % more each time'])
  expect(told([activity(40, 14, 9.7, 1.17, 'dishes')])).toEqual([
    'Dishes 14 times where 9.7 are usual, 17 % more each',
  ])
})

it('leaves out what weighs less than a tenth and what held the stop off, and tells three at most', () => {
  const reasons: Reason[] = [
    activity(30, 9, 6, 1),
    { kind: 'start', closer: 20 },
    { kind: 'capacity', closer: 15 },
    activity(14, 12, 9, 1, 'dishes'),
    activity(3, 2, 1, 1, 'dishes'),
    activity(-25, 1, 4, 1, 'dishes'),
  ]
  expect(told(reasons)).toEqual([
    'Shower 9 times where 6 are usual',
    'The tanks began worse than they were read',
    'The tank holds less than its label says',
  ])
  expect(told([activity(-5, 1, 4, 1)])).toEqual([])
})

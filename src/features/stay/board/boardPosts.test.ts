import fc from 'fast-check'
import { expect, it } from 'vitest'
import { PARTS, PARTS_PER_DAY, slotNumber } from '@/core/calendar'
import type { RunAnswer } from '@/core/schedule'
import { runOf } from '../../../../tests/support/generateRuns'
import { boardPosts } from './boardPosts'

const answer = (day: number, part: number, isBlocked = false): RunAnswer => ({
  run: runOf(`${day} ${part}`, day, PARTS[part]!, []),
  steps: [],
  troubles: isBlocked ? [{ kind: 'outside' }] : [{ kind: 'quiet' }],
  liftedKg: 0,
  visit: { kind: 'unknown' },
  road: { kilometres: 0, minutes: 0, sharesWith: [], leg: null },
  hindrances: [],
  isPossible: !isBlocked,
})

it('no post covers another, none leaves the board, and no lane is wasted', () => {
  const slots = fc.array(fc.tuple(fc.nat(9), fc.nat(3)), { maxLength: 20 })
  fc.assert(
    fc.property(slots, (all) => {
      const days = 8
      const answers = all
        .map(([day, part]) => answer(day, part))
        .sort((a, b) => slotNumber(a.run) - slotNumber(b.run))
      const posts = boardPosts(answers, days)
      expect(posts.length).toBe(answers.filter(({ run }) => run.day < days).length)
      const begins = (at: number) => Math.min(at, (days - 1) * PARTS_PER_DAY)
      for (const [k, one] of posts.entries())
        for (const other of posts.slice(k + 1))
          if (one.lane === other.lane)
            expect(Math.abs(begins(one.at) - begins(other.at))).toBeGreaterThanOrEqual(PARTS_PER_DAY)
      const lanes = new Set(posts.map(({ lane }) => lane))
      expect([...lanes].sort((a, b) => a - b)).toEqual([...lanes].map((_, k) => k))
    }),
  )
})

it('one that cannot be done is marked, one that only warns is not', () => {
  expect(boardPosts([answer(1, 0, true), answer(3, 0)], 5).map(({ isBlocked }) => isBlocked)).toEqual([
    true,
    false,
  ])
})

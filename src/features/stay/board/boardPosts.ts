import { PARTS_PER_DAY, slotNumber } from '@/core/calendar'
import type { RunAnswer } from '@/core/schedule'

/** A run on the board: the part it stands at, counted from the morning of day 0, and the lane that keeps it free of others. */
export interface BoardPost {
  answer: RunAnswer
  at: number
  lane: number
  isBlocked: boolean
}

/** A post is a day wide: those that would cover each other stand under each other. @param answers in order of time @param days columns */
export function boardPosts(answers: readonly RunAnswer[], days: number): BoardPost[] {
  const free: number[] = []
  return answers
    .map((answer) => ({ answer, at: slotNumber(answer.run) }))
    .filter(({ at }) => at < days * PARTS_PER_DAY)
    .map(({ answer, at }) => {
      // At the right edge a post is drawn inside the board, over its last day.
      const begins = Math.min(at, (days - 1) * PARTS_PER_DAY)
      const known = free.findIndex((until) => until <= begins)
      const lane = known < 0 ? free.length : known
      free[lane] = begins + PARTS_PER_DAY
      return { answer, at, lane, isBlocked: !answer.isPossible }
    })
}

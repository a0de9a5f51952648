import { defineStore } from 'pinia'
import { startTimer, timed, type ShowerTimer, type TimerAction } from '@/core/log'
import type { Id } from '@/core/domain'
import { useBegun } from './begun'

/** A shower that was begun: it goes on through a locked screen, a reload and a kill, and belongs to no document. */
export interface KeptTimer {
  activity: Id
  person: Id | null
  timer: ShowerTimer
}

export const useTimerStore = defineStore('timer', () => {
  const { current, begin, goOn, discard, ending, ended } = useBegun<KeptTimer>(
    'shower',
    ({ timer }) => Number.isFinite(timer.since) && Number.isFinite(timer.flow),
  )

  return {
    current,
    ending,
    ended,
    begin: (
      activity: Id,
      person: Id | null,
      flows: Pick<ShowerTimer, 'flow' | 'trickle' | 'runUp'>,
      at: number,
    ) => {
      begin({ activity, person, timer: startTimer(flows, at) })
    },
    act: (action: TimerAction) => {
      if (current.value) goOn({ ...current.value, timer: timed(current.value.timer, action) })
    },
    isFor: (person: Id | null) => {
      if (current.value) goOn({ ...current.value, person })
    },
    discard,
  }
})

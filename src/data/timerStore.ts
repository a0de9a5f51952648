import { defineStore } from 'pinia'
import { startTimer, timed, type ShowerTimer, type TimerAction } from '@/core/timer'
import type { Id } from '@/core/model'
import { useBegun } from './begun'

/** A shower that was begun in this browser: it goes on through a locked screen and a reload, and belongs to no document. */
export interface KeptTimer {
  activity: Id
  person: Id | null
  timer: ShowerTimer
}

export const useTimerStore = defineStore('timer', () => {
  const { current, keep } = useBegun<KeptTimer>(
    'shower',
    ({ timer }) => Number.isFinite(timer.since) && Number.isFinite(timer.flow),
  )

  return {
    current,
    begin: (
      activity: Id,
      person: Id | null,
      flows: Pick<ShowerTimer, 'flow' | 'trickle' | 'runUp'>,
      at: number,
    ) => {
      keep({ activity, person, timer: startTimer(flows, at) })
    },
    act: (action: TimerAction) => {
      if (current.value) keep({ ...current.value, timer: timed(current.value.timer, action) })
    },
    isFor: (person: Id | null) => {
      if (current.value) keep({ ...current.value, person })
    },
    discard: () => {
      keep(null)
    },
  }
})

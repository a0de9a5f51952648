import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { startTimer, timed, type ShowerTimer, type TimerAction } from '@/core/timer'
import type { Id } from '@/core/model'
import { safeStorage } from './safeStorage'
import { useWorkspaceStore } from './workspaceStore'

/** A shower that was begun in this browser: it goes on through a locked screen and a reload, and belongs to no document. */
export interface KeptTimer {
  activity: Id
  person: Id | null
  timer: ShowerTimer
}

export const useTimerStore = defineStore('timer', () => {
  const workspace = useWorkspaceStore()
  const storage = safeStorage()
  const key = () => `dry-count:shower:${workspace.space}`
  const kept = shallowRef<KeptTimer | null>(null)
  let of = ''

  function read(): KeptTimer | null {
    try {
      const text = storage.getItem(key())
      const value = text === null ? null : (JSON.parse(text) as KeptTimer)
      return value && Number.isFinite(value.timer.since) && Number.isFinite(value.timer.flow) ? value : null
    } catch {
      return null
    }
  }
  function keep(next: KeptTimer | null): void {
    kept.value = next
    of = key()
    if (next) storage.setItem(key(), JSON.stringify(next))
    else storage.removeItem(key())
  }
  const current = computed(() => {
    if (of !== key()) {
      of = key()
      kept.value = read()
    }
    return kept.value
  })

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

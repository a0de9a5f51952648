import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import {
  FIRST_ASKS,
  startWalk,
  walked,
  type Card,
  type CardAsks,
  type Walk,
  type WalkAction,
} from '@/core/cards'
import type { Id } from '@/core/model'
import { safeStorage } from './safeStorage'
import { useWorkspaceStore } from './workspaceStore'

/** A walk that was begun in this browser: it outlives a locked screen and a reload, and belongs to no document. */
export interface KeptWalk {
  stay: Id
  /** The run it carries out; null: a card by itself. */
  run: Id | null
  place: Id | null
  /** What the panel showed before, by tank: the step that was lit. */
  before: Record<Id, number>
  walk: Walk
}

export const useWalkStore = defineStore('walk', () => {
  const workspace = useWorkspaceStore()
  const storage = safeStorage()
  const key = () => `dry-count:walk:${workspace.space}`
  const kept = shallowRef<KeptWalk | null>(null)
  /** Which space it was read for. */
  let of = ''
  /** What only those who stand there know; as it was said last, until the page is left. */
  const asks = ref<CardAsks>({ ...FIRST_ASKS })

  function read(): KeptWalk | null {
    try {
      const text = storage.getItem(key())
      const value = text === null ? null : (JSON.parse(text) as KeptWalk)
      return value && Array.isArray(value.walk.cards) && value.walk.cards.length > 0 ? value : null
    } catch {
      return null
    }
  }
  function keep(next: KeptWalk | null): void {
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
    asks,
    current,
    begin: (cards: readonly Card[], stay: Id, run: Id | null, place: Id | null, at: number) => {
      keep({ stay, run, place, before: {}, walk: startWalk(cards, at) })
    },
    act: (action: WalkAction) => {
      if (current.value) keep({ ...current.value, walk: walked(current.value.walk, action) })
    },
    /** What the panel shows before anything is opened. */
    readBefore: (tank: Id, step: number) => {
      if (current.value) keep({ ...current.value, before: { ...current.value.before, [tank]: step } })
    },
    discard: () => {
      keep(null)
    },
  }
})

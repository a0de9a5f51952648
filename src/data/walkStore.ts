import { defineStore } from 'pinia'
import { ref } from 'vue'
import {
  FIRST_ASKS,
  startWalk,
  walked,
  type Card,
  type CardAsks,
  type Walk,
  type WalkAction,
} from '@/core/cards'
import type { Id } from '@/core/domain'
import { useBegun } from './begun'

/** A walk that was begun: it outlives a locked screen, a reload and a kill, and belongs to no document. */
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
  const { current, isRead, begin, goOn, discard, ending, ended } = useBegun<KeptWalk>(
    'walk',
    ({ walk }) => Array.isArray(walk.cards) && walk.cards.length > 0,
  )
  /** What only those who stand there know: as it was said last, until the walk is over; the bottle stays the same. */
  const asks = ref<CardAsks>({ ...FIRST_ASKS })

  return {
    asks,
    current,
    isRead,
    ending,
    begin: (cards: readonly Card[], stay: Id, run: Id | null, place: Id | null, at: number) => {
      begin({ stay, run, place, before: {}, walk: startWalk(cards, at) })
    },
    act: (action: WalkAction) => {
      if (current.value) goOn({ ...current.value, walk: walked(current.value.walk, action) })
    },
    /** What the panel shows before anything is opened. */
    readBefore: (tank: Id, step: number) => {
      if (current.value) goOn({ ...current.value, before: { ...current.value.before, [tank]: step } })
    },
    /** It is over, or was never to be: the next station is another, with nobody waiting there yet. */
    discard: () => {
      discard()
      asks.value = { ...FIRST_ASKS, bleachPercent: asks.value.bleachPercent }
    },
    /** It was logged, in the step that ends it. */
    ended: () => {
      ended()
      asks.value = { ...FIRST_ASKS, bleachPercent: asks.value.bleachPercent }
    },
  }
})

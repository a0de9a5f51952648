import { inject, type InjectionKey } from 'vue'
import type { Space } from '@/data/storage/database'

/** Whose data this page shows, and the way to the other. */
export interface SpaceChoice {
  space: Space
  switchTo: (space: Space) => void
}

export const SPACE: InjectionKey<SpaceChoice> = Symbol('space')

export function useSpace(): SpaceChoice {
  const choice = inject(SPACE)
  if (!choice) throw new Error('no space provided')
  return choice
}

import { usePreferredDark } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { UNITS, unitsForLocale, type Dimension, type UnitChoice } from '@/core/quantities'
import { isRecord, keptRef } from './keptValue'
import { useTypingStore } from './typingStore'

export const THEMES = ['auto', 'light', 'dark', 'sun'] as const
export type Theme = (typeof THEMES)[number]

/** Preferences of this browser; no part of any document. */
export const useSettingsStore = defineStore('settings', () => {
  const units = keptRef<UnitChoice>({
    ...{ key: 'dry-count:units', version: 1, first: unitsForLocale(navigator.language) },
    isWhole: areUnits,
  })
  const theme = keptRef<Theme>({
    ...{ key: 'dry-count:theme', version: 1, first: 'auto' },
    isWhole: (value) => THEMES.some((theme) => theme === value),
  })
  const prefersDark = usePreferredDark()
  const shownTheme = computed(() =>
    theme.value === 'auto' ? (prefersDark.value ? 'dark' : 'light') : theme.value,
  )
  /** What was typed a moment ago was meant in the units of then. */
  function measureIn(next: UnitChoice): void {
    useTypingStore().commitAll()
    units.value = next
  }
  return { units, measureIn, theme, shownTheme }
})

/** Of some dimensions at least; the others are as at first. */
const areUnits = (value: unknown) =>
  isRecord(value) &&
  Object.entries(value).every(([dimension, unit]) =>
    (UNITS[dimension as Dimension] as readonly unknown[] | undefined)?.includes(unit),
  )

import { usePreferredDark, useStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { unitsForLocale, type UnitChoice } from '@/core/quantities'
import { safeStorage } from './safeStorage'

export const THEMES = ['auto', 'light', 'dark', 'sun'] as const
export type Theme = (typeof THEMES)[number]

/** Preferences of this browser; no part of any document. */
export const useSettingsStore = defineStore('settings', () => {
  const storage = safeStorage()
  const units = useStorage<UnitChoice>('dry-count:units', unitsForLocale(navigator.language), storage, {
    mergeDefaults: true,
  })
  const theme = useStorage<Theme>('dry-count:theme', 'auto', storage)
  const prefersDark = usePreferredDark()
  const shownTheme = computed(() =>
    theme.value === 'auto' ? (prefersDark.value ? 'dark' : 'light') : theme.value,
  )
  return { units, theme, shownTheme, decimal: decimalSign(navigator.language) }
})

function decimalSign(locale: string): '.' | ',' {
  return new Intl.NumberFormat(locale).format(1.5).includes(',') ? ',' : '.'
}

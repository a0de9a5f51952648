import { useLocalStorage, usePreferredDark } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import { unitsForLocale, type UnitChoice } from '@/core/quantities'

export const THEMES = ['auto', 'light', 'dark', 'sun'] as const
export type Theme = (typeof THEMES)[number]

/** Preferences of this browser; no part of any document. */
export const useSettingsStore = defineStore('settings', () => {
  const units = useLocalStorage<UnitChoice>('dry-count:units', unitsForLocale(navigator.language), {
    mergeDefaults: true,
  })
  const theme = useLocalStorage<Theme>('dry-count:theme', 'auto')
  const prefersDark = usePreferredDark()
  const shownTheme = computed(() =>
    theme.value === 'auto' ? (prefersDark.value ? 'dark' : 'light') : theme.value,
  )
  return { units, theme, shownTheme, decimal: decimalSign(navigator.language) }
})

function decimalSign(locale: string): '.' | ',' {
  return new Intl.NumberFormat(locale).format(1.5).includes(',') ? ',' : '.'
}

import { useSettingsStore } from '@/data/settingsStore'
import { formatQuantity, formatVolume } from '@/texts'

/** Amounts in the owner's units. */
export function useAmounts() {
  const settings = useSettingsStore()
  return {
    volume: (litres: number) => formatVolume(litres, settings.units),
    mass: (kilograms: number) => formatQuantity(kilograms, 'mass', settings.units),
  }
}

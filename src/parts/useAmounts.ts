import { useSettingsStore } from '@/data/settingsStore'
import type { LevelUnit } from '@/core/domain'
import {
  formatFactor,
  formatFigures,
  formatGauge,
  formatLevel,
  formatNumber,
  formatQuantity,
  formatVolume,
} from '@/texts'
import * as t from '@/texts/t'

/** Amounts in the owner's units. */
export function useAmounts() {
  const settings = useSettingsStore()
  return {
    volume: (litres: number) => formatVolume(litres, settings.units),
    /** A level, or an amount of what a container holds: litres in the owner's unit, or uses. */
    level: (amount: number, unit: LevelUnit) =>
      unit === 'L'
        ? formatVolume(amount, settings.units)
        : t.gauge.uses(formatNumber(amount, amount < 20 ? 1 : 0)),
    /** The same as it stands on a gauge. */
    gauge: (amount: number, unit: LevelUnit) =>
      unit === 'L' ? formatLevel(amount, settings.units) : t.gauge.uses(formatGauge(amount)),
    /** One of the factors of an amount. */
    factor: (amount: number, unit: LevelUnit = 'L') =>
      unit === 'L' ? formatFactor(amount, 'volume', settings.units) : t.gauge.uses(formatFigures(amount)),
    temperature: (celsius: number) => formatQuantity(celsius, 'temperature', settings.units),
    mass: (kilograms: number) => formatQuantity(kilograms, 'mass', settings.units),
  }
}

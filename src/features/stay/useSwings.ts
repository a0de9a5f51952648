import { computed } from 'vue'
import type { Assumption, Swing } from '@/core/advice'
import { useAdviceStore } from '@/data/adviceStore'
import { useForecastStore } from '@/data/forecastStore'
import { useSettingsStore } from '@/data/settingsStore'
import { useAmounts } from '@/parts/useAmounts'
import { formatDays, formatQuantity } from '@/texts'
import * as t from '@/texts/t'

/** What each assumption is worth in days, most first, in words; null while it is being counted. */
export function useSwings() {
  const advice = useAdviceStore()
  const forecast = useForecastStore()
  const settings = useSettingsStore()
  const { level, volume } = useAmounts()
  advice.follow('sensitivity')

  const nameOf = (list: { id: string; name: string }[] | undefined, id: string) =>
    list?.find((entry) => entry.id === id)?.name ?? ''

  function nameFor(assumption: Assumption): string {
    if (assumption.kind === 'activity')
      return t.sure.activity(nameOf(forecast.crew?.activities, assumption.activity))
    if (assumption.kind === 'weather') return t.sure.weather
    return t.sure[assumption.kind](nameOf(forecast.rig?.containers, assumption.container))
  }

  function amount({ assumption }: Swing, value: number): string {
    if (assumption.kind === 'weather') return formatQuantity(value, 'temperature', settings.units)
    if (assumption.kind === 'activity') return volume(value)
    const kind = forecast.rig?.containers.find(({ id }) => id === assumption.container)?.kind
    return level(Math.max(0, value), kind === 'solids' ? 'uses' : 'L')
  }

  /** Where the number is put in. */
  function placeOf(assumption: Assumption): { path: string; query: { show: string } } {
    if (assumption.kind === 'activity')
      return { path: '/stay', query: { show: `use-${assumption.activity}` } }
    if (assumption.kind === 'weather') return { path: '/stay', query: { show: 'weather' } }
    if (assumption.kind === 'capacity')
      return { path: '/rig', query: { show: `tank-${assumption.container}` } }
    return { path: '/', query: { show: 'level-errors' } }
  }

  const rows = computed(() => {
    const swings = advice.swings ?? []
    const base = forecast.result?.days ?? forecast.model?.horizonDays ?? 0
    const reach = Math.max(1e-6, ...swings.map(({ low, high }) => Math.max(base - low, high - base)))
    const share = (days: number) => 50 + (50 * (days - base)) / reach
    return swings.map((swing) => ({
      key: JSON.stringify(swing.assumption),
      name: nameFor(swing.assumption),
      text: t.sure.swing(
        formatDays(swing.low),
        swing.isBeyond ? t.risk.beyond(formatDays(swing.high)) : formatDays(swing.high),
      ),
      ends: t.sure.ends(amount(swing, swing.atLow), amount(swing, swing.atHigh)),
      left: share(swing.low),
      width: Math.max(0.8, share(swing.high) - share(swing.low)),
      middle: 50,
      how: t.sure.how[swing.assumption.kind],
      to: placeOf(swing.assumption),
      origin: t.origins[swing.origin],
    }))
  })
  return computed(() => (advice.swings === null ? null : rows.value))
}

import { REDIRECT_ENDS, isOneOf, type Effect, type Habit } from '@/core/domain'
import type { Quantity } from '@/core/quantities'
import { useForecastStore } from '@/data/forecastStore'
import { formatNumber } from '@/texts'
import * as t from '@/texts/t'
import { useAmounts } from './useAmounts'

/** What an effect does, in words and the owner's units. */
export function useEffectWords() {
  const forecast = useForecastStore()
  const { volume } = useAmounts()
  const nameOf = (id: string) =>
    forecast.crew?.activities.find((activity) => activity.id === id)?.name ??
    (t.starters.activities as Record<string, string>)[id] ??
    id
  const percent = ({ value }: Quantity) => `${formatNumber(value * 100, 0)} %`

  return (effect: Effect): string => {
    const name = nameOf(effect.activity)
    switch (effect.kind) {
      case 'replace':
        return t.why.effects.replace(name, volume(effect.volume.value))
      case 'rate':
      case 'volume':
      case 'trickle':
        return t.why.effects[effect.kind](name, formatNumber(effect.factor.value))
      case 'adds':
        return t.why.effects[effect.from === 'body' ? 'urine' : 'paper'](
          name,
          formatNumber(effect.factor.value),
        )
      case 'redirect': {
        const to = isOneOf(REDIRECT_ENDS, effect.to) ? t.ends[effect.to] : t.kinds[effect.to].toLowerCase()
        return t.why.effects.redirect(name, percent(effect.share), to)
      }
      case 'catch':
      case 'reuse':
      case 'bring':
        return t.why.effects[effect.kind](name, percent(effect.share))
    }
  }
}

/** The number an effect stands on. */
export function quantityOf(effect: Habit['effects'][number]): Quantity {
  if (effect.kind === 'replace') return effect.volume
  return 'factor' in effect ? effect.factor : effect.share
}

import { computed } from 'vue'
import { LEARNED } from '@/core/learn'
import { shakedownOf } from '@/core/underway'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import { useUnderWayStore } from '@/data/underWayStore'
import { useAgreements } from '@/parts/log/useAgreements'
import { useAmounts } from '@/parts/useAmounts'
import { formatNumber, listed } from '@/texts'
import * as t from '@/texts/t'

/** What each section of the log says while it is closed. */
export function useLogAnswers() {
  const forecast = useForecastStore()
  const underWay = useUnderWayStore()
  const log = useLogStore()
  const { rows, suspects } = useAgreements()
  const { volume } = useAmounts()

  function learned(): string {
    const { learned: known, phase } = underWay
    if (phase === 'planned') return t.log.answer.planned
    const activities = forecast.crew?.activities ?? []
    const best = [...(known?.activities ?? [])]
      .map((one, a) => ({ ...one, name: activities[a]?.name ?? '', taken: activities[a]?.learned ?? null }))
      .filter(({ cut }) => cut >= LEARNED)
      .sort((a, b) => b.cut - a.cut)[0]
    if (!best) return t.log.answer.nothing
    const taken = activities.filter((one) => one.learned !== null).length
    return t.log.answer.learned(best.name, volume(best.posterior.median), taken)
  }
  function agreement(): string {
    const suspect = suspects.value[0]
    if (suspect) return t.log.answer.suspect(suspect.name)
    const all = rows.value.length
    if (all === 0) return t.log.answer.noReading
    const wrong = rows.value.filter(({ fits }) => !fits).length
    return wrong === 0 ? t.log.answer.agree(all) : t.log.answer.disagree(wrong, all)
  }
  function counted(): string {
    const names = (forecast.stay?.counted ?? []).flatMap(({ activity, until }) => {
      const one = forecast.crew?.activities.find(({ id }) => id === activity)
      return until === null && one ? [one.name] : []
    })
    return names.length === 0 ? t.log.answer.noneCounted : t.log.answer.counted(listed(names))
  }
  function shakedown(): string {
    const { state } = shakedownOf(forecast.stay?.id ?? '', log.entries)
    const spread = underWay.learned?.daySpread ?? 1
    if (state === 'counting') return t.shakedown.answer.counting(formatNumber(100 * spread, 0))
    return t.shakedown.answer[state]
  }
  return computed(() => ({
    learned: learned(),
    agreement: agreement(),
    counted: counted(),
    shakedown: shakedown(),
  }))
}

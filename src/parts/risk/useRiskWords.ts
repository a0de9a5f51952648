import { computed } from 'vue'
import { addWallDays, dayZero, nightsBetween, type WallTime } from '@/core/calendar'
import type { Model } from '@/core/compile'
import { nightsMade } from '@/core/count'
import type { Stay } from '@/core/domain'
import type { CountQuantile, Risk } from '@/core/risk'
import { useClockStore } from '@/data/clockStore'
import { useForecastStore } from '@/data/forecastStore'
import { useRiskStore } from '@/data/riskStore'
import { formatDate, formatDays, formatNumber, formatPartOfDay } from '@/texts'
import * as t from '@/texts/t'
import { chanceWords } from './chanceWords'

export type RiskWords = ReturnType<typeof riskWords>

/** What the trips of the current stay say, in words. Null before the first answer. */
export function useRiskWords() {
  const chances = useRiskStore()
  const forecast = useForecastStore()
  const clock = useClockStore()
  return computed(() => {
    const { risk } = chances
    const { stay, model } = forecast
    return risk && stay && model ? riskWords(risk, stay, model, clock.now) : null
  })
}

/** Trips in words. @param now wall time: other years are said */
export function riskWords(risk: Risk, stay: Pick<Stay, 'start' | 'leaveAt'>, model: Model, now: WallTime) {
  const nights = nightsBetween(model.start, stay.leaveAt)
  const { planOn, likely, atBest } = risk
  return {
    planOn,
    plannedStop: plannedStop(risk, stay, model, now),
    figure: planOn.isBeyond ? formatNumber(planOn.days, 0) : formatDays(planOn.days),
    plan: text(planOn),
    /** Of a hundred trips: those that make all nights. */
    of100: of100(risk.nights),
    chance: chanceWords(risk.nights),
    likely: text(likely),
    best: text(atBest),
    nights: t.risk.nights(nights, chanceWords(risk.nights)),
    short: t.risk.short(text(planOn), topStopper(risk, model)),
    sentence: t.risk.sentence(text(planOn), text(likely), text(atBest)),
  }
}

/** What may stop the stay once the days to plan on are over, when, and how many nights are missing then; null: nothing does. */
function plannedStop(
  { planOn, stoppers }: Risk,
  { leaveAt }: Pick<Stay, 'leaveAt'>,
  { start, containers }: Model,
  now: WallTime,
) {
  const [first] = stoppers
  if (planOn.isBeyond || planOn.days === 0 || !first) return null
  const at = addWallDays(start, planOn.days)
  return {
    stopper: containers.find(({ id }) => id === first.container)?.name ?? '',
    when: formatPartOfDay(at, now),
    lasts: at >= leaveAt,
    /** Under the tally; null: after the stay. */
    mark: at >= leaveAt ? null : formatDate(dayZero(at)),
    short: nightsMade(planOn.days, start, leaveAt).short,
  }
}

/** The figure of a chance. */
function of100(share: number): string {
  if (share > 0 && share < 0.005) return '<1'
  if (share > 0.995 && share < 1) return '>99'
  return formatNumber(share * 100, 0)
}

function text({ days, isBeyond }: CountQuantile): string {
  return isBeyond ? t.risk.beyond(formatNumber(days, 0)) : formatDays(days)
}

/** What stops most trips, and how many of a hundred. */
function topStopper({ stoppers }: Risk, { containers }: Model): string | null {
  const [top] = stoppers
  if (!top || top.share < 0.005) return null
  const name = containers.find(({ id }) => id === top.container)?.name ?? ''
  return t.risk.stopsIn(name, formatNumber(100 * top.share, 0))
}

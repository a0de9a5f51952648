import { computed } from 'vue'
import { levelAt, usesLeft } from '@/core/count'
import { wallDaysBetween } from '@/core/calendar'
import type { LogEntry, ReadingEntry } from '@/core/log'
import { useDecideStore } from '@/data/decideStore'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import { useUnderWayStore } from '@/data/underWayStore'
import type { ModelContainer } from '@/core/compile'
import type { Id } from '@/core/domain'
import { useAmounts } from '@/parts/useAmounts'
import { dayAndTime, formatDays, formatNumber } from '@/texts'
import * as t from '@/texts/t'

export type CampGauge = ReturnType<typeof useCampGauges>['gauges']['value'][0]

/** Every tank with what is known of its level, and how long it lasts. */
export function useCampGauges() {
  const forecast = useForecastStore()
  const underWay = useUnderWayStore()
  const log = useLogStore()
  const { gauge: read } = useAmounts()
  const decide = useDecideStore()
  decide.follow()

  /** What a cassette's warning light leaves, or has left, this crew; null without a light. */
  function lightWords({ id, start }: ModelContainer): string | null {
    const cassette = forecast.rig?.containers.find((container) => container.id === id)
    const { model, result } = forecast
    if (cassette?.kind !== 'cassette' || !cassette.light || !model || !result) return null
    const isOn = start >= cassette.light.value
    const uses = usesLeft(model, result.ledger, cassette, isOn ? start : cassette.light.value)
    if (uses === null) return null
    return isOn ? t.gauge.lightOn(uses) : t.gauge.light(uses)
  }

  /** While a stay is under way: how sure the level is, and what moved it last. */
  function nowOf({ members, start, unit, capacity }: ModelContainer, c: number) {
    const level = underWay.phase === 'under-way' ? underWay.learned?.levels[c] : undefined
    if (!level) return null
    // Between two lessons the level has moved on by what was logged: the band goes with it.
    const [low, high] = [level.low80 + start - level.mean, level.high80 + start - level.mean]
    const last = log.entries.findLast(
      (entry) =>
        (entry.kind === 'reading' && members.includes(entry.container) && isBelieved(entry, c)) ||
        (entry.kind === 'run' && entry.did.some(({ container }) => members.includes(container))),
    )
    return {
      band: { low: Math.max(0, low), high: Math.min(capacity, high) },
      give: t.agreement.give(read((high - low) / 2, unit)),
      by: byWords(last),
    }
  }
  /** A reading of a rig off level, or of a probe that is held for stuck, moved nothing. */
  function isBelieved({ isOffLevel, at }: ReadingEntry & LogEntry, c: number): boolean {
    const { learned, planCase } = underWay
    const moment = planCase ? wallDaysBetween(planCase.stay.start, at) : NaN
    const isLeftOut = learned?.agreements.some(
      (one) => one.container === c && one.at === moment && one.isLeftOut,
    )
    return !isOffLevel && isLeftOut !== true
  }
  function byWords(entry: LogEntry | undefined): string {
    if (!entry) return t.agreement.by.count
    const at = dayAndTime(entry.at)
    if (entry.kind === 'run') return t.agreement.by.run(at)
    if (entry.kind !== 'reading') return t.agreement.by.count
    if (entry.saw.as === 'light') return t.agreement.by.light(at)
    return entry.saw.as === 'panel' ? t.agreement.by.panel(at) : t.agreement.by.measured(at)
  }
  /** What the stay before leaves is no level to be set. */
  const isPassed = computed(() => forecast.stayCase?.passed !== undefined)
  const isUnderWay = computed(() => underWay.phase === 'under-way')

  /** Days to plan on, as the figure of Camp is; the average where they cannot be had. */
  function daysText(id: Id, average: number | null): string {
    const { result, model } = forecast
    if (decide.hasFailed || underWay.phase === 'over' || !result || !model)
      return average === null
        ? t.gauge.never(formatNumber(model?.horizonDays ?? 0, 0))
        : t.gauge.days(formatDays(average))
    const planOn = decide.planOn?.get(id)
    if (planOn === undefined) return t.gauge.coming
    return Number.isFinite(planOn) ? t.gauge.days(formatDays(planOn)) : t.gauge.toTheEnd
  }
  const gauges = computed(() => {
    const stop = forecast.result?.days ?? null
    return (forecast.model?.containers ?? []).flatMap((container, c) => {
      if (container.side === 'carrier') return []
      const days = forecast.result?.containers[c] ?? null
      return [
        {
          ...container,
          // The count may go on past the brim where nobody logged what ran over or was emptied: a tank shows no more than it holds.
          start: Math.min(container.start, container.capacity),
          light: lightWords(container),
          now: nowOf(container, c),
          atStop: stop === null ? null : levelAt(forecast.model!, forecast.result!.ledger, c, stop),
          isStopper: container.id === decide.stops,
          daysText: daysText(container.id, days),
          /** They follow what was changed a moment ago. */
          isBehind: !decide.isCurrent && !decide.hasFailed,
        },
      ]
    })
  })
  return { gauges, isPassed, isUnderWay }
}

import { computed } from 'vue'
import { addWallDays } from '@/core/calendar'
import { CONTRADICTS } from '@/core/learn'
import type { LogEntry, ReadingEntry } from '@/core/log'
import type { ModelContainer } from '@/core/compile'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import { useUnderWayStore } from '@/data/underWayStore'
import { useAmounts } from '@/parts/useAmounts'
import { dayAndTime } from '@/texts'
import * as t from '@/texts/t'

/** A reading beside the count. */
export interface Agreed {
  key: string
  container: ModelContainer
  entry: ReadingEntry & LogEntry
  when: string
  text: string
  fits: boolean
  isLeftOut: boolean
}

/** Every reading of the stay beside what the count said then, newest first; and which probe is suspect. */
export function useAgreements() {
  const forecast = useForecastStore()
  const underWay = useUnderWayStore()
  const log = useLogStore()
  const { level, gauge } = useAmounts()

  const rows = computed((): Agreed[] => {
    const { learned } = underWay
    const { model, stay } = forecast
    if (!learned || !model || !stay) return []
    return learned.agreements
      .flatMap((one): Agreed[] => {
        const container = model.containers[one.container]
        const at = addWallDays(stay.start, one.at)
        const entry = log.entries.find(
          (entry): entry is ReadingEntry & LogEntry =>
            entry.kind === 'reading' &&
            entry.at === at &&
            (container?.members.includes(entry.container) ?? false),
        )
        if (!container || !entry) return []
        const { unit } = container
        const half = (one.counted.high80 - one.counted.low80) / 2
        const counted = `${gauge(one.counted.mean, unit)} ± ${gauge(half, unit)}`
        const fits = one.likely >= CONTRADICTS
        const isMeasured = entry.saw.as === 'amount' || entry.saw.as === 'weight'
        const said = isMeasured
          ? level(one.read.from, unit)
          : `${gauge(one.read.from, unit)} – ${gauge(one.read.to, unit)}`
        const words = isMeasured
          ? [t.agreement.agreeMeasured, t.agreement.contradictMeasured]
          : [t.agreement.agree, t.agreement.contradict]
        return [
          {
            key: entry.id,
            container,
            entry,
            when: dayAndTime(at),
            text: words[fits ? 0 : 1]!(said, counted),
            fits,
            isLeftOut: one.isLeftOut,
          },
        ]
      })
      .reverse()
  })
  const suspects = computed(() =>
    (underWay.learned?.isSuspect ?? []).flatMap((isSuspect, c) => {
      const container = forecast.model?.containers[c]
      return isSuspect && container ? [container] : []
    }),
  )
  /** The newest reading of a tank contradicts, and is not explained yet. */
  const open = computed(() =>
    rows.value.filter(
      (row) =>
        !row.fits &&
        !row.isLeftOut &&
        !suspects.value.includes(row.container) &&
        rows.value.find(({ container }) => container.id === row.container.id) === row,
    ),
  )
  return { rows, suspects, open }
}

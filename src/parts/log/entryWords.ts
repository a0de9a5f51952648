import { panelMarks } from '@/core/domain'
import type { LogEntry, RunTook, Saw } from '@/core/log'
import { unitOf, type Id } from '@/core/domain'
import { useForecastStore } from '@/data/forecastStore'
import { useAmounts } from '@/parts/useAmounts'
import { markNames } from '@/parts/levels/markNames'
import { dayAndTime, formatFigures, roundedDose } from '@/texts'
import { choreName } from '@/parts/today/choreName'
import * as t from '@/texts/t'

/** What an entry says, in a line. */
export function useEntryWords() {
  const forecast = useForecastStore()
  const { level, mass, volume } = useAmounts()
  const tankOf = (id: Id | null) => forecast.rig?.containers.find((tank) => tank.id === id) ?? null
  const tankName = (id: Id | null) => tankOf(id)?.name ?? ''
  const activityName = (id: Id) => forecast.crew?.activities.find((one) => one.id === id)?.name ?? id
  const personName = (id: Id | null) => forecast.crew?.persons.find((one) => one.id === id)?.name ?? null

  function sawWords(saw: Saw, container: Id): string {
    const unit = tankOf(container) ? unitOf(tankOf(container)!.kind) : 'L'
    if (saw.as === 'panel')
      return t.log.reading.panel(markNames(panelMarks({ probes: saw.edges.slice(1) }))[saw.step] ?? '')
    if (saw.as === 'light') return t.log.reading.light1
    if (saw.as === 'weight') return t.log.reading.kg(mass(saw.kg))
    if (saw.as === 'full') return t.log.reading.full
    return saw.as === 'dry' ? t.log.reading.dry : t.log.reading.amount(level(saw.amount, unit))
  }

  /** Rounds that were done or put off, and how long it took. */
  function tookWords(took: RunTook | undefined): string[] {
    if (!took) return []
    const rinses = took.rinses.flatMap(({ rounds, owed }) =>
      owed > 0 ? [t.log.owed] : rounds > 0 ? [t.log.rounds(rounds)] : [],
    )
    return took.minutes !== null && took.minutes > 0
      ? [...rinses, t.runs.minutes(formatFigures(took.minutes))]
      : rinses
  }

  /** 52 mL of Mire-Ease; a product that is gone keeps its number. */
  function doseOf(id: Id, amount: number): string {
    const product = forecast.crew?.products.find((one) => one.id === id)
    return product
      ? t.doses[product.form](formatFigures(roundedDose(amount)), product.name)
      : formatFigures(amount)
  }

  function words(entry: LogEntry): string {
    switch (entry.kind) {
      case 'use': {
        const name = activityName(entry.activity)
        const who = personName(entry.person)
        const more = [
          ...(entry.litres === null ? [] : [volume(entry.litres)]),
          ...(entry.minutes === null ? [] : [`${formatFigures(entry.minutes)} min`]),
          ...(who === null ? [] : [who]),
          ...(entry.isExtra === true ? [t.log.use.extra] : []),
        ]
        return [t.log.made(name, entry.n), ...more].join(', ')
      }
      case 'reading':
        return `${tankName(entry.container)}: ${sawWords(entry.saw, entry.container)}`
      case 'run':
        return entry.did
          .map(({ container, what, litres }) =>
            t.log.done.words[what](tankName(container), litres === null ? '' : volume(litres)),
          )
          .concat(tookWords(entry.took))
          .join(', ')
      case 'dose':
        return t.log.dose(tankName(entry.container), doseOf(entry.product, entry.amount))
      case 'odd':
        return t.log.odd.words(t.log.odd.reasons[entry.why], dayAndTime(entry.from))
      case 'shakedown':
        return `${t.shakedown.title}: ${t.shakedown.steps[entry.did]}`
      case 'start':
        return t.phase.started
      case 'end':
        return t.phase.ended
      default: {
        const chore = forecast.rig?.chores.find(({ id }) => entry.chore !== undefined && id === entry.chore)
        const what = chore ? choreName(chore) : tankName(entry.container)
        return [t.log.text.kinds[entry.kind], what].filter((one) => one !== '').join(', ')
      }
    }
  }
  return { words, sawWords, tankName, activityName, personName }
}

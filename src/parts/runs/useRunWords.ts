import type { Id } from '@/core/domain'
import type { Refusal } from '@/core/places'
import type { RunAnswer, RunCost, Trouble } from '@/core/schedule'
import { useForecastStore } from '@/data/forecastStore'
import { usePlacesStore } from '@/data/placesStore'
import { useSettingsStore } from '@/data/settingsStore'
import { useAmounts } from '@/parts/useAmounts'
import { dayAndTime, formatClock, formatNumber, formatQuantity, formatRoad, listed } from '@/texts'
import * as t from '@/texts/t'

const NOTHING = 0.05
const HOUR_MIN = 60

/** What a run does, takes and lacks, in the owner's words and units. */
export function useRunWords() {
  const forecast = useForecastStore()
  const settings = useSettingsStore()
  const places = usePlacesStore()
  const { gauge, level, mass, volume } = useAmounts()
  const container = (id: Id | null) => forecast.rig?.containers.find((one) => one.id === id) ?? null
  const nameOf = (id: Id | null) => container(id)?.name ?? ''
  const unitOf = (id: Id | null) => (container(id)?.kind === 'solids' ? 'uses' : 'L')
  const isSupply = (id: Id | null) => 'reserve' in (container(id) ?? {})
  const percent = (share: number) => `${formatNumber(share * 100, 0)} %`

  /** Past dry a tank is dry. */
  const amountOf = (id: Id, level: number) => gauge(Math.max(0, level), unitOf(id))

  /** Each container once: what it held before the run and what it holds after it. */
  function changes({ steps }: RunAnswer): string[] {
    const spans = new Map<Id, { before: number; after: number }>()
    for (const { step, from, to } of steps)
      for (const [id, end] of [
        [step.from, from],
        [step.to, to],
      ] as const) {
        if (id === null || !end) continue
        spans.set(id, { before: spans.get(id)?.before ?? end.before, after: end.after })
      }
    return [...spans].flatMap(([id, { before, after }]) =>
      Math.abs(after - before) < NOTHING
        ? []
        : [t.runs.change(nameOf(id), amountOf(id, before), amountOf(id, after))],
    )
  }

  function minutes(n: number): string {
    const rounded = Math.round(n / 5) * 5
    return rounded < 2 * HOUR_MIN
      ? t.runs.minutes(formatNumber(rounded, 0))
      : t.runs.hours(formatNumber(n / HOUR_MIN, 1))
  }
  const way = (km: number) => formatRoad(km, settings.units)

  /** What it takes of the crew: only what it takes at all. */
  function takes({ liftedKg, isPossible }: RunAnswer, cost: RunCost): string {
    if (!isPossible) return t.runs.countsNothing
    return [
      cost.minutes > 0 ? minutes(cost.minutes) : null,
      cost.kilometres > 0 ? way(cost.kilometres) : null,
      cost.money > 0 ? t.runs.fee(formatNumber(cost.money, 2)) : cost.isFeeKnown ? null : t.runs.feeUnknown,
      liftedKg > 0 ? t.runs.lifted(mass(liftedKg)) : null,
      cost.rinseL > 0
        ? t.runs.rinse(volume(cost.rinseL), formatNumber(Math.round(cost.rinseMinutes), 0))
        : null,
    ]
      .filter((words) => words !== null)
      .join(' · ')
  }

  function trouble(one: Trouble, { run }: RunAnswer): string {
    const place = forecast.stay?.places.find(({ id }) => id === run.place)?.name ?? ''
    const words = t.runs.trouble
    switch (one.kind) {
      case 'blocked':
        switch (one.why.why) {
          case 'not-accepted':
            return words['not-accepted'](place, t.runs.accepted[one.why.what])
          case 'no-water':
          case 'not-potable':
            return words[one.why.why](place)
          default:
            return words[one.why.why]
        }
      case 'short-of':
      case 'room-for':
      case 'less-by-payload':
        return words[one.kind](nameOf(one.container), level(one.undone, unitOf(one.container)))
      case 'heavy':
      case 'too-heavy':
        return words['too-heavy'](nameOf(one.container), mass(one.kg), mass(one.limit))
      case 'over-payload':
        return words['over-payload'](mass(one.kg))
      case 'under-threshold':
        return words['under-threshold'](nameOf(one.container), percent(one.share), percent(one.threshold))
      case 'closed':
        return words.closed(place, one.next && dayAndTime(one.next.from))
      case 'perhaps-open':
        return words['perhaps-open'](place, one.note)
      case 'refused':
        return refusal(one.why, place)
      case 'payload':
      case 'nothing-to-take':
      case 'no-room':
      case 'too-late':
        return words[one.kind](nameOf(one.container))
      default:
        return words[one.kind]
    }
  }

  function refusal(why: Refusal, place: string): string {
    const words = t.runs.trouble
    switch (why.kind) {
      case 'too-high':
      case 'too-long':
        return words[why.kind](place, size(why.by))
      case 'product':
        return words[why.isSure ? 'product' : 'product-ask'](why.point)
      case 'wrong-side':
        return words['wrong-side'](t.rigSides[why.side])
      case 'home-code':
        return words['home-code']
      default:
        return words[why.kind](place)
    }
  }
  /** When it is at its place, when to leave for it, and with which errands it shares the road. */
  function there({ visit, road }: RunAnswer): string | null {
    const runs = places.stayCase?.stay.runs ?? []
    const shared = road.sharesWith.flatMap((id) => runs.find((one) => one.id === id)?.name ?? [])
    // Errands on one road leave the site once: the later ones go on from the stop before.
    const at = visit.kind === 'fits' ? formatClock(visit.fit.at) : null
    const words = [
      visit.kind !== 'fits' || at === null
        ? null
        : shared.length > 0
          ? t.runs.thereOn(at)
          : t.runs.there(at, formatClock(visit.leaveAt)),
      shared.length > 0 ? t.runs.sharedRoad(listed(shared)) : null,
    ].filter((one) => one !== null)
    return words.length > 0 ? words.join(' · ') : null
  }
  const size = (metres: number) => formatQuantity(metres, 'length', settings.units)

  return { changes, there, takes, trouble, minutes, way, nameOf, unitOf, isSupply }
}

import { computed } from 'vue'
import {
  cardCase,
  cardOf,
  cardsFor,
  ownFaults,
  recordsOf,
  runFor,
  split,
  subjectsOf,
  withOwn,
  type Card,
  type CardGround,
  type Law,
  type Subject,
} from '@/core/cards'
import { CARD_KINDS, type CardKind, type Id, type OwnCard, type Run } from '@/core/domain'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import { useWalkStore } from '@/data/walkStore'
import * as t from '@/texts/t'

/** One card that this rig can have, by itself. */
export interface Offer {
  kind: CardKind
  about: Id | null
  name: string
  /** Of which tank or outlet, where there are several; empty: the rig. */
  of: string
  card: Card
}

export const GROUPS = {
  now: ['dump', 'gray-only', 'rinse', 'charge', 'top-up', 'gray-to-black', 'macerator'],
  carried: ['cassette', 'urine', 'solids', 'tote'],
  water: ['fresh', 'sanitize'],
  road: ['road-day', 'arrival', 'aboard', 'frost', 'lay-up'],
  care: ['probes', 'seals', 'shakedown'],
  measure: ['bucket-test', 'metered-fill'],
} as const satisfies Record<string, readonly CardKind[]>

/** The cards of this rig, of its runs, and those that the owner made; all of them follow every edit. */
export function useCards() {
  const forecast = useForecastStore()
  const log = useLogStore()
  const walk = useWalkStore()
  const ground = computed((): CardGround | null => {
    const { stayCase, model, result } = forecast
    return stayCase && model && result ? { stayCase, model, counted: result, log: log.all() } : null
  })

  const idOf = ({ container, outlet }: Subject): Id | null => container?.id ?? outlet?.id ?? null
  function nameOf(subject: Subject, kind: CardKind): string {
    if (!ground.value) return ''
    const all = subjectsOf(ground.value.stayCase, kind)
    return all.length > 1 ? (subject.container?.name ?? subject.outlet?.name ?? '') : ''
  }

  /** A card by itself, whole. @param place where it is done; null: it is not said */
  function single(kind: CardKind, about: Id | null, place: Id | null = null) {
    const on = ground.value
    if (!on) return null
    // An address without its tank is that of the first.
    const all = subjectsOf(on.stayCase, kind)
    const subject = all.find((one) => idOf(one) === about) ?? (about === null ? all[0] : undefined)
    if (!subject) return null
    return cardOf(cardCase(on, runFor(on.stayCase, kind, subject), walk.asks, place), kind, subject)
  }

  const offers = computed((): Offer[] => {
    const on = ground.value
    if (!on) return []
    return CARD_KINDS.flatMap((kind) =>
      subjectsOf(on.stayCase, kind).map((subject) => ({
        kind,
        about: idOf(subject),
        name: t.cardNames[kind],
        of: nameOf(subject, kind),
        card: single(kind, idOf(subject))!,
      })),
    )
  })

  /** The cards of a run in the order of the work, in parts of at most fourteen steps. @param isNow on the levels of now */
  function ofRun(run: Run, place: Id | null, isNow: boolean): Card[] {
    const on = ground.value
    return on ? cardsFor(cardCase(on, run, walk.asks, place, isNow)).flatMap(split) : []
  }

  function own(card: OwnCard): Card[] {
    const whole = single(card.kind, null)
    return whole ? split(withOwn(whole, card)) : []
  }

  /** Laws that a card that the owner made breaks on this rig; null: it has nothing that such a card is about. */
  function brokenBy(card: OwnCard): Law[] | null {
    const whole = single(card.kind, null)
    const { rig } = forecast
    return whole && rig ? [...new Set(ownFaults(whole, card, rig).map(({ law }) => law))] : null
  }

  /** Tanks with a rinse owed. */
  const owed = computed(() => {
    const records = recordsOf(log.all())
    return (forecast.rig?.containers ?? []).filter(({ id }) => (records.get(id)?.owed ?? 0) > 0)
  })

  return {
    ground,
    offers,
    single,
    ofRun,
    own,
    brokenBy,
    owed,
    parts: (card: Card & { stages: number[] }) => split(card),
  }
}

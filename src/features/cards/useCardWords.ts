import type { Card, CardQuantity, CardStep, WhyTerm } from '@/core/cards'
import { outletsOf, subjectsOf } from '@/core/cards'
import type { Id } from '@/core/domain'
import { fromSi } from '@/core/quantities'
import { useForecastStore } from '@/data/forecastStore'
import { useSettingsStore } from '@/data/settingsStore'
import { useAmounts } from '@/parts/useAmounts'
import { formatFigures, formatNumber, formatQuantity, listed, roundedDose } from '@/texts'
import * as t from '@/texts/t'

/** A piece of a step's words: plain, or a number that can be asked for. */
export type Piece = { text: string; quantity: CardQuantity | null }

const FEET_PER_METRE = 3.28084
/** Numbers that people remember, of every power of ten. */
const ROUND = [1, 1.5, 2, 2.5, 3, 4, 5, 6, 7, 8, 9, 10]
const SHORT_MINUTES = 1.5
const LONG_MINUTES = 120

/** What a card says, in the owner's words and units. */
export function useCardWords() {
  const forecast = useForecastStore()
  const settings = useSettingsStore()
  const { gauge, mass, volume } = useAmounts()
  const tank = (id: Id | null) => forecast.rig?.containers.find((one) => one.id === id) ?? null
  const outlet = (id: Id | null) =>
    (forecast.stayCase ? outletsOf(forecast.stayCase) : []).find((one) => one.id === id) ?? null
  const product = (id: Id | null) => forecast.crew?.products.find((one) => one.id === id) ?? null

  function dose(amount: number, id: Id | null): string {
    const known = product(id)
    return known ? t.doses[known.form](formatFigures(roundedDose(amount)), known.name) : formatFigures(amount)
  }

  /** Of the owner's unit in a litre. */
  const perLitre = () => fromSi(1, settings.units.volume)
  function length(metres: number): string {
    return settings.units.distance === 'mi'
      ? `${formatNumber(metres * FEET_PER_METRE, 0)}\u00a0ft`
      : `${formatNumber(metres, metres < 1 ? 2 : 0)}\u00a0m`
  }

  /** Minutes as somebody has them on a watch. */
  function minutes(n: number): string {
    return n < SHORT_MINUTES
      ? t.cardUnits.seconds(formatNumber(Math.max(5, Math.round((n * 60) / 5) * 5), 0))
      : n < LONG_MINUTES
        ? t.cardUnits.minutes(formatNumber(Math.round(n), 0))
        : t.cardUnits.hours(formatNumber(Math.round(n / 30) / 2))
  }

  const counted = (id: string, n: string) => t.cardCounts[id as keyof typeof t.cardCounts]?.(n) ?? n

  /** A rule of thumb in a round number of the owner's unit, not one that was converted. @param per of the unit in one of SI */
  function roundIn(value: number, per: number): number {
    const own = value * per
    const ten = 10 ** Math.floor(Math.log10(own))
    const nearest = ROUND.reduce((best, one) =>
      Math.abs(one * ten - own) < Math.abs(best * ten - own) ? one : best,
    )
    return (nearest * ten) / per
  }

  function quantity({ id, unit, value, why }: CardQuantity, step: CardStep | null): string {
    const isThumb = value > 0 && why.length > 0 && why.every(({ term: of }) => of === 'of-thumb')
    switch (unit) {
      case 'volume':
      case 'level':
        return isThumb ? volume(roundIn(value, perLitre())) : gauge(value, 'L')
      case 'uses':
        return gauge(value, 'uses')
      case 'mass':
        return mass(isThumb ? roundIn(value, fromSi(1, settings.units.mass)) : Math.round(value * 2) / 2)
      case 'share':
        return `${formatNumber(value * 100, 0)}\u00a0%`
      case 'seconds':
        // A short time is cut, never rounded up: it lets through less.
        return t.cardUnits.seconds(
          formatNumber(id === 'head-seconds' ? Math.max(1, Math.floor(value)) : Math.round(value), 0),
        )
      case 'minutes':
        // When a rush is over nobody knows to the second.
        return id === 'drain'
          ? t.cardUnits.minutes(formatNumber(Math.max(1, Math.round(value)), 0))
          : minutes(value)
      case 'hours':
        return t.cardUnits.hours(formatNumber(Math.ceil(value), 0))
      case 'days':
        return t.cardUnits.days(formatNumber(Math.max(1, Math.floor(value)), 0))
      case 'count':
        return counted(id, formatNumber(Math.round(value), 0))
      case 'percent':
        return t.cardUnits.percent(formatFigures(value))
      case 'millilitres':
        return t.cardUnits.millilitres(formatNumber(Number(value.toPrecision(2)), 0))
      case 'dose':
        return dose(value, step?.product ?? null)
      case 'length':
        return length(isThumb && settings.units.distance === 'mi' ? roundIn(value, FEET_PER_METRE) : value)
    }
  }

  /** A number behind a quantity, with its unit. */
  function term({ value, unit }: WhyTerm, step: CardStep | null): string {
    if (unit === 'flow') return t.cardUnits.flow(volume(value))
    if (unit === 'grams-per-litre')
      return t.cardUnits['grams-per-litre'](formatFigures(value / perLitre()), t.units[settings.units.volume])
    if (unit === 'length') return formatQuantity(value, 'length', settings.units)
    return quantity({ id: 'content', unit, value, why: [] }, step)
  }

  const hasSeveralOutlets = () => forecast.stayCase !== null && outletsOf(forecast.stayCase).length > 1

  function name(word: string, step: CardStep, card: Card): string | null {
    const valves = outlet(card.outlet)
    switch (word) {
      case 'tank':
        return tank(step.tank)?.name ?? ''
      case 'from':
        return tank(step.from)?.name ?? ''
      case 'outlet':
        return hasSeveralOutlets() ? (valves?.name ?? t.cards.names.outlet) : t.cards.names.outlet
      case 'side':
        return t.rigSides[valves?.side ?? 'left']
      case 'handle':
        return t.cards.names.handle[valves?.handle ?? 'pull']
      case 'valves':
        return valvesOf(card)
      case 'gray':
        return tank(card.pair.gray)?.name ?? ''
      case 'black':
        return tank(card.pair.black)?.name ?? ''
      case 'place':
        return forecast.stay?.places.find(({ id }) => id === card.place)?.name ?? t.cards.names.somewhere
      case 'habits':
        return listed(habitsOn())
      case 'joined':
        return named(joinedOf(card))
      case 'load':
        return step.load
          ? t.cards.names.load(formatNumber(step.load.n, 0), formatNumber(step.load.of, 0))
          : ''
      case 'product':
        return product(step.product)?.name ?? ''
      default:
        return null
    }
  }

  const habitsOn = () =>
    (forecast.stay?.habits ?? []).flatMap(
      ({ habit }) => forecast.stayCase?.habits.find(({ id }) => id === habit)?.name ?? [],
    )

  /** Tanks that stand open to each other at the card's outlet, or at any of the rig. */
  function joinedOf(card: Card): string[] {
    const own = outlet(card.outlet)
    const all = own ? [own] : (forecast.stayCase?.rig.outlets ?? [])
    return all.flatMap(({ joined }) => joined.map((id) => tank(id)?.name ?? ''))
  }

  const named = (all: readonly string[]) =>
    all.length < 2 ? (all[0] ?? '') : `${listed(all.slice(0, -1))}${t.cards.names.and}${all.at(-1)!}`

  /** Every valve of the outlet by its tank, the end valve last; of other outlets too, where a valve may stand open unseen. */
  function valvesOf(card: Card): string {
    const ids = outlet(card.outlet)?.containers ?? []
    const names = ids.map((id) => tank(id)?.name ?? '').filter((one) => one !== '')
    const end = outlet(card.outlet)?.endValve ? [t.cards.names.end] : []
    const others = (forecast.stayCase ? outletsOf(forecast.stayCase) : [])
      .filter(({ id }) => id !== card.outlet)
      .flatMap(({ containers }) => containers.map((id) => tank(id)?.name ?? ''))
    const all = [...new Set([...names, ...others]), ...end]
    return named(all)
  }

  /** The words of a step in pieces. */
  function pieces(step: CardStep, card: Card): Piece[] {
    const words = step.words ?? t.cardSteps[step.id] ?? ''
    return words.split(/(\{[a-z-]+\})/).flatMap((part): Piece[] => {
      if (part === '') return []
      const word = /^\{([a-z-]+)\}$/.exec(part)?.[1]
      if (word === undefined) return [{ text: part, quantity: null }]
      const named = name(word, step, card)
      if (named !== null) return [{ text: named, quantity: null }]
      const asked = step.numbers.find(({ id }) => id === word)
      return asked ? [{ text: quantity(asked, step), quantity: asked }] : []
    })
  }
  const sentence = (step: CardStep, card: Card) =>
    pieces(step, card)
      .map(({ text }) => text)
      .join('')

  /** What a card is called: its own name, or what it is for and of which tank. */
  function title(card: Card): string {
    if (card.own) return card.own.name
    const isOneOfMany = forecast.stayCase !== null && subjectsOf(forecast.stayCase, card.kind).length > 1
    const of = isOneOfMany ? (tank(card.about)?.name ?? outlet(card.about)?.name) : undefined
    return of ? `${t.cardNames[card.kind]}: ${of}` : t.cardNames[card.kind]
  }

  return { pieces, sentence, title, quantity, term, tank, minutes, dose }
}

/** The act of a step, and what is said besides: cut after the first full stop or colon-free sentence. */
export function firstSentence(pieces: readonly Piece[]): { act: Piece[]; rest: Piece[] } {
  const act: Piece[] = []
  for (const [k, piece] of pieces.entries()) {
    const end = piece.quantity ? -1 : piece.text.search(/[.?!](?= |$)/)
    if (end < 0) {
      act.push(piece)
      continue
    }
    const rest = piece.text.slice(end + 1).trimStart()
    act.push({ ...piece, text: piece.text.slice(0, end + 1) })
    return { act, rest: [...(rest === '' ? [] : [{ text: rest, quantity: null }]), ...pieces.slice(k + 1)] }
  }
  return { act, rest: [] }
}

/** `9:45`, `1:02:00`: of seconds, with its sign left out. */
export function clockText(seconds: number): string {
  const whole = Math.abs(Math.trunc(seconds))
  const two = (n: number) => String(n).padStart(2, '0')
  const [h, m, s] = [Math.floor(whole / 3600), Math.floor((whole % 3600) / 60), whole % 60]
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`
}

import { until } from '@vueuse/core'
import { computed } from 'vue'
import { setAnyway, usualRuns, runOf, type RunOffer, type UsualRun } from '@/core/errands'
import type { Run, StayCase } from '@/core/domain'
import { useJobStore } from '@/data/jobStore'
import { newId } from '@/data/newId'
import { usePlacesStore } from '@/data/placesStore'
import { SEED } from '@/data/seed'
import { useAnswer } from '@/data/useAnswer'
import { refusalWords } from '@/parts/fields/refusalWords'
import { formatNumber, formatSigned } from '@/texts'
import * as t from '@/texts/t'
import { inSlices } from '@/workers/inSlices'
import { useRuns, whenOf } from './useRuns'
import { useRunWords } from './useRunWords'

/** Trips on which offers are compared: the same for all, so that fewer will do. */
const TRIALS = 1_000

type Offers = ReadonlyMap<UsualRun, RunOffer>

/** What came of setting an offer: what was set, when and where, or why it was not. */
export interface OfferSet {
  ok: boolean
  words: string
}

/** Errands of this rig with where each helps most, what it buys and what it asks for; asked while somebody looks. */
export function useOffers(isLooking: () => boolean) {
  const places = usePlacesStore()
  const jobs = useJobStore()
  const { setRun } = useSetRun()
  places.follow()
  const { value, isCurrent, follow } = useAnswer({
    where: 'offers',
    waitMs: 0,
    question: () => (places.isRead ? places.stayCase : null),
    // Offers of another stay, or of this one before an edit, are none.
    isKept: false,
    // Without figures an errand can still be set: it is put where it can be done.
    isKeptOnFailure: true,
    async ask(_: StayCase, isNewest, tell: (soFar: Offers) => void): Promise<Offers> {
      let found: Offers = new Map()
      await ask(null, (offer) => {
        found = new Map(found).set(offer.usual, offer)
        if (isNewest()) tell(found)
      })
      return found
    },
  })
  follow(isLooking)
  const found = computed((): Offers => value.value ?? new Map())
  /** All of them are known of the stay as it stands. */
  const isWhole = isCurrent

  function ask(usual: readonly UsualRun[] | null, tell: (offer: RunOffer) => void): Promise<RunOffer[]> {
    const subject = jobs.subjectOf(places.stayCase!)
    return jobs.run('advice', 'offers', subject, { seed: SEED, trials: TRIALS, usual }, tell)
  }

  /** In the catalogue's order while they come; then what buys most first. */
  const rows = computed(() => {
    const { stayCase } = places
    if (!stayCase || !isLooking()) return []
    const all = usualRuns(stayCase).map(({ usual }) => ({ usual, offer: found.value.get(usual) ?? null }))
    const score = ({ offer }: (typeof all)[number]) => offer?.gain ?? -1
    return isWhole.value ? [...all].sort((a, b) => score(b) - score(a)) : all
  })

  /** Sets an errand where it helps most: exactly what its offer said, where there is one. */
  async function take(usual: UsualRun): Promise<OfferSet | null> {
    await until(() => places.isRead).toBe(true)
    const { stayCase } = places
    if (!stayCase) return null
    const known = found.value.get(usual) ?? (await ask([usual], () => undefined).catch(() => []))[0]
    if (known) return setRun(usual, known.run)
    const errand = usualRuns(stayCase).find((one) => one.usual === usual)
    if (!errand) return null
    const run = runOf(stayCase, errand, 'anyway', { day: 0, part: 'midday' })
    const slot = await inSlices(setAnyway(stayCase, run), isLooking)
    return slot && setRun(usual, { ...run, ...slot.value })
  }
  return { rows, isWhole, take }
}

/** Sets a run that was offered, once however often it is asked for, and says what was done. */
export function useSetRun() {
  const runs = useRuns()
  const places = usePlacesStore()
  const taken = new WeakSet<Run>()
  function setRun(usual: UsualRun, offered: Run): OfferSet | null {
    const { stayCase } = places
    if (!stayCase || taken.has(offered)) return null
    const name = t.runs.usual[usual]
    const result = runs.add([{ ...offered, id: newId('run'), name }])
    if (!result.ok) return { ok: false, words: refusalWords(result.faults) }
    taken.add(offered)
    const place = stayCase.stay.places.find(({ id }) => id === offered.place)?.name ?? null
    return { ok: true, words: t.runs.put(name, whenOf(stayCase.stay, offered), place) }
  }
  return { setRun }
}

/** An offer in words: where and when, what it buys, what it asks for. */
export function useOfferWords() {
  const places = usePlacesStore()
  const words = useRunWords()
  const of100 = (share: number) => formatNumber(share * 100, 0)
  return {
    where: ({ run }: Pick<RunOffer, 'run'>): string => {
      const { stayCase } = places
      const place = stayCase?.stay.places.find(({ id }) => id === run.place)?.name ?? null
      const when = stayCase ? whenOf(stayCase.stay, run, true) : ''
      return place === null ? when : t.runs.whenAt(when, place)
    },
    buys: ({ gain, chanceBefore, chance }: Pick<RunOffer, 'gain' | 'chanceBefore' | 'chance'>): string =>
      of100(chanceBefore) === of100(chance)
        ? t.runs.buysDays(formatSigned(gain))
        : t.runs.buys(formatSigned(gain), of100(chanceBefore), of100(chance)),
    asks: ({ cost }: Pick<RunOffer, 'cost'>): string =>
      [
        cost.minutes > 0 ? words.minutes(cost.minutes) : null,
        cost.kilometres > 0 ? words.way(cost.kilometres) : null,
        cost.money > 0 ? t.runs.fee(formatNumber(cost.money, 2)) : cost.isFeeKnown ? null : t.runs.feeUnknown,
        t.runs.botherOf(formatNumber(cost.bother, 1)),
      ]
        .filter((one) => one !== null)
        .join(' · '),
  }
}

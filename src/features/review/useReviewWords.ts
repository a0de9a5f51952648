import type { Rig, Crew } from '@/core/domain'
import { unitOf } from '@/core/domain'
import { perPersonDay, type Review, type ReviewedRun } from '@/core/review'
import { useSettingsStore } from '@/data/settingsStore'
import { useAmounts } from '@/parts/useAmounts'
import { dayAndTime, formatDays, formatFigures, formatNumber, formatRoad } from '@/texts'
import * as t from '@/texts/t'

/** A review in the owner's words and units. */
export function useReviewWords() {
  const settings = useSettingsStore()
  const { level, volume, gauge } = useAmounts()

  return function wordsOf(review: Review, rig: Rig, crew: Crew) {
    const tankOf = (id: string) => rig.containers.find((one) => one.id === id)
    const tank = (id: string | null) => (id === null ? null : (tankOf(id)?.name ?? id))
    const unit = (id: string) => (tankOf(id) ? unitOf(tankOf(id)!.kind) : 'L')
    const use = (id: string) => crew.activities.find((one) => one.id === id)?.name ?? id
    const { lived, nearest, readings } = review
    const each = (litres: number) => gauge(perPersonDay(litres, lived.personDays), 'L')
    const { drawn, gray, toilet, byActivity } = lived.litres
    const byUse = byActivity
      .filter((one) => one.drawn > 0.05)
      .sort((a, b) => b.drawn - a.drawn)
      .map((one) => ({
        id: one.activity,
        name: use(one.activity),
        uses: formatNumber(one.uses, one.uses < 9.95 ? 1 : 0),
        drawn: gauge(one.drawn, 'L'),
        litres: one.drawn,
        share: drawn > 0 ? one.drawn / drawn : 0,
      }))
    const percent = (share: number) => `${formatNumber(share * 100, 0)} %`

    function runWords(run: ReviewedRun) {
      const did = run.did.map(({ container, what, amount }) =>
        t.review.amount(
          amount === null ? '' : gauge(amount, unit(container)),
          t.review.what[what],
          tank(container) ?? '',
        ),
      )
      const { took } = run
      const words = took
        ? t.review.took(
            took.minutes === null ? null : t.review.minutes(formatFigures(took.minutes)),
            took.kilometres === null ? null : formatRoad(took.kilometres, settings.units),
            took.fee === null || took.fee === 0 ? null : t.review.fee(formatNumber(took.fee)),
          )
        : ''
      const rinses = (took?.rinses ?? []).flatMap(({ container, rounds, owed }) => [
        ...(rounds > 0 ? [`${tank(container)}: ${t.review.rounds(rounds)}`] : []),
        ...(owed > 0 ? [`${tank(container)}: ${t.review.owed(owed)}`] : []),
      ])
      return {
        id: run.entry,
        title: t.review.run(run.name || t.review.aRun, dayAndTime(run.at)),
        words: [...did, words, ...rinses].filter((one) => one !== '').join('; '),
      }
    }

    const { cost, planned, nights } = review
    return {
      planned: {
        nights: t.review.nights(nights.planned),
        days: t.review.dryDays(
          planned.days === null ? '60+' : formatDays(planned.days),
          tank(planned.stopper),
        ),
      },
      lived: {
        nights: t.review.nights(nights.lived),
        nearest: nearest
          ? nearest.share >= 1
            ? t.review.reached(tank(nearest.container) ?? '')
            : t.review.nearest(tank(nearest.container) ?? '', percent(nearest.share))
          : '',
      },
      per: t.review.perSentence(each(drawn), each(gray), each(toilet)),
      perRows: [
        { id: 'drawn' as const, text: each(drawn) },
        { id: 'gray' as const, text: each(gray) },
        { id: 'toilet' as const, text: each(toilet) },
      ],
      byUse,
      most: byUse[0] ? t.review.most(byUse[0].name, percent(byUse[0].share)) : '',
      readings:
        readings.lied.length === 0
          ? t.review.readingsOk(readings.total)
          : t.review.readingsLied(readings.lied.length, readings.total),
      lied: readings.lied.map((one) => ({
        text: t.review.lied(
          tank(one.container) ?? '',
          dayAndTime(one.at),
          `${level(one.read.from, unit(one.container))} – ${level(one.read.to, unit(one.container))}`,
          level(one.counted, unit(one.container)),
        ),
        isLeftOut: one.isLeftOut,
      })),
      learned: review.learned.map(({ activity, before, after }) =>
        t.review.learned(use(activity), volume(before.median), volume(after.median)),
      ),
      runs: review.runs.map(runWords),
      cost: [
        t.review.dumps(cost.dumps),
        ...(cost.minutes > 0 ? [t.review.minutes(formatNumber(cost.minutes, 0))] : []),
        ...(cost.kilometres > 0 ? [formatRoad(cost.kilometres, settings.units)] : []),
        ...(cost.fee > 0 ? [t.review.fees(formatNumber(cost.fee))] : []),
      ].join(', '),
    }
  }
}

import type { Story } from '@/core/risk'
import { formatNumber } from '@/texts'
import * as t from '@/texts/t'

/** A difference worth a word: in uses, and in how much each takes. */
const NOTICED = 0.06

/** The heaviest reasons of a bad trip as phrases: what brought the stop nearer by at least a tenth of all that did. */
export function storyReasons({ reasons }: Story, nameOf: (activity: string) => string): string[] {
  const heavy = reasons.filter(({ closer }) => closer > 0)
  const all = heavy.reduce((sum, { closer }) => sum + closer, 0)
  return heavy
    .filter(({ closer }) => closer >= all * 0.1)
    .slice(0, 3)
    .map((reason) => {
      if (reason.kind !== 'activity') return t.story.because[reason.kind]
      const { uses, usual, perUse } = reason
      const name = nameOf(reason.activity)
      const [n, normal] = [formatNumber(uses, 0), formatNumber(usual, usual < 10 ? 1 : 0)]
      const percent = formatNumber((perUse - 1) * 100, 0)
      const isMore = uses > usual * (1 + NOTICED)
      if (!isMore) return t.story.because.fewer(name, percent)
      return perUse > 1 + NOTICED
        ? t.story.because.both(name, n, normal, percent)
        : t.story.because.more(name, n, normal)
    })
}

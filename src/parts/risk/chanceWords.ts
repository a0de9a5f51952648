import * as t from '@/texts/t'

/** A chance as people say it; never 'certain', never 'never', unless no trip says otherwise. */
export function chanceWords(share: number): string {
  if (share < 0.005) return t.risk.under1
  if (share > 0.995) return t.risk.over99
  return t.risk.of100(Math.round(share * 100))
}

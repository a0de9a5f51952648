import * as t from '@/texts/t'

const FRACTIONS: [share: number, name: string][] = [
  [1 / 4, '¼'],
  [1 / 3, '⅓'],
  [1 / 2, '½'],
  [2 / 3, '⅔'],
  [3 / 4, '¾'],
]

/** What the steps of a panel are called: by the mark that is lit. */
export function markNames(steps: readonly { from: number; to: number }[]): string[] {
  return steps.map(({ from, to }, step) => {
    if (step === 0) return t.levels.none
    if (from === to && from === 1) return t.levels.full
    return FRACTIONS.find(([share]) => Math.abs(share - from) < 1e-9)?.[1] ?? `${Math.round(from * 100)} %`
  })
}

import { LIMITS } from '@/document'

/** Marks of a panel as they are typed, `25 50 75 100`, as shares; null where they do not rise or are none. */
export function marksOf(text: string): number[] | null {
  const words = text.split(/[\s;%]+/).filter((word) => word !== '')
  const probes = words.map((word) => Number(word.replace(',', '.')) / 100)
  const isRising = probes.every((probe, i) => probe > (probes[i - 1] ?? 0) && probe <= 1)
  return isRising && probes.length > 0 && probes.length <= LIMITS.probes ? probes : null
}

export function marksText(probes: readonly number[]): string {
  return probes.map((probe) => Math.round(probe * 1000) / 10).join(' ')
}

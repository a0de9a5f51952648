import { count } from '../count'
import { compile } from '../compile'
import { TOILET_KINDS, type Crew, type StayCase } from '../domain'
import type { Days, Litres } from '../quantities'
import { flushRatios } from './flushFloor'

/** L of liquid per solid use that a crew keeps: what it holds for plenty, or the floor if it saves flush water. */
export function flushKept({ flush, flushFloor }: Pick<Crew, 'flush' | 'flushFloor'>): Litres {
  return flush.school === 'plenty' ? Math.max(flush.plenty.value, flushFloor.value) : flushFloor.value
}

/**
 * Rounds of rinsing expected at the dump: as many as the crew says where the liquid is plenty and where it is at the
 * floor, on a line between them and beyond the floor on the same line. Assumed; the crew's record will replace it.
 * @param liquid L per solid use
 */
export function rinsesFor({ flush, flushFloor }: Pick<Crew, 'flush' | 'flushFloor'>, liquid: Litres): number {
  const [floor, plenty] = [flushFloor.value, flush.plenty.value]
  const [most, fewest] = [flush.rinsesAtFloor.value, flush.rinsesAtPlenty.value]
  if (plenty <= floor) return liquid < floor ? most : fewest
  return Math.max(fewest, most + ((fewest - most) * (liquid - floor)) / (plenty - floor))
}

/** One way of flushing: what it leaves on the solids, and what it does to the days. */
export interface FlushPoint {
  /** Times the flush water of now. */
  factor: number
  /** L of liquid per solid use, the least up to the end of the stay. */
  liquid: Litres
  /** Dry days, and those of the first container a toilet fills or draws from; the horizon where beyond. */
  days: Days
  toiletDays: Days
}

const FACTORS = [0, 0.25, 0.5, 0.75, 1, 1.25, 1.5, 2, 2.5]

/**
 * The two sides of the flush: little water leaves a mound, much fills the tanks. The stay counted with the flush water of
 * every toilet use times a factor, average use. @param parts up to the end of the stay
 * @returns empty where no solids reach a black tank
 */
export function flushAnswers(stayCase: StayCase, parts: number): FlushPoint[] {
  return FACTORS.flatMap((factor) => {
    const model = compile(stayCase)
    const { count: width } = model.grid
    const ofToilet = new Set<number>()
    stayCase.crew.activities.forEach(({ kind }, a) => {
      if (!TOILET_KINDS.includes(kind)) return
      ofToilet.add(a)
      for (let i = a * width; i < (a + 1) * width; i++) model.volume[i]! *= factor
    })
    const counted = count(model)
    const least = flushRatios(model, counted.ledger, parts).flatMap((ratio) =>
      ratio.least === null ? [] : [ratio.least],
    )
    if (least.length === 0) return []
    const touched = model.containers.map((_, c) =>
      model.streams.some(({ activity, from, to }) => ofToilet.has(activity) && (from === c || to === c)),
    )
    const horizon = model.horizonDays
    const toiletDays = Math.min(
      ...counted.containers.map((days, c) => (touched[c] ? (days ?? horizon) : horizon)),
    )
    return [{ factor, liquid: Math.min(...least), days: counted.days ?? horizon, toiletDays }]
  })
}

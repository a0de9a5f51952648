import type { Ledger } from '../count'
import type { Model } from '../compile'
import { TOILET_KINDS, type Crew, type Habit, type Id } from '../domain'

/** Liquid on the solids of one black tank, or of tanks joined to one. */
export interface FlushRatio {
  container: Id
  /** L of liquid per solid use, at each part's end; null before the first whole solid use. Row = part. */
  ratios: (number | null)[]
  /** The least of them up to `parts`; null where no solid use fell. */
  least: number | null
}

/**
 * Non-solid litres (urine and what stood in it at the start included) since the last emptying ÷ solid uses, from one use
 * on (model.md section 4). Of black tanks that solids reach; a cassette or a bin is carried out and tipped, nothing mounds there.
 * @param parts how many parts count for `least`
 */
export function flushRatios(model: Model, { amounts, runs }: Ledger, parts: number): FlushRatio[] {
  const { count } = model.grid
  return model.containers.flatMap(({ id, isBlack, onSolids }, c) => {
    if (!isBlack) return []
    const into = model.streams.flatMap((stream, s) => (stream.to === c ? [{ ...stream, s }] : []))
    if (!into.some(({ solidUses }) => solidUses > 0)) return []
    let [litres, solids] = [onSolids.liquid, onSolids.uses]
    const ratios = Array.from({ length: count }, (_, i) => {
      for (const { part, from, to, moved, left } of runs) {
        if (part !== i) continue
        if (to === c) litres += moved
        if (from === c && left !== null) [litres, solids] = [left, 0]
      }
      for (const { s, activity, isSolid, solidUses, portion } of into) {
        if (!isSolid) litres += amounts[s * count + i]!
        solids += solidUses * model.uses[activity * count + i]! * (portion?.[i] ?? 1)
      }
      return solids >= 1 ? litres / solids : null
    })
    const counted = ratios.slice(0, parts).filter((ratio) => ratio !== null)
    return [{ container: id, ratios, least: counted.length === 0 ? null : Math.min(...counted) }]
  })
}

/** Whether solids reach a black tank at all: elsewhere there is no floor to keep. */
export function hasFlushFloor({ streams, containers }: Pick<Model, 'streams' | 'containers'>): boolean {
  return streams.some(({ to, solidUses }) => solidUses > 0 && containers[to]?.isBlack === true)
}

/** Whether a habit changes how much liquid falls on the solids. */
export function touchesFlush({ effects }: Habit, { activities }: Crew): boolean {
  return effects.some((effect) => {
    const kind = activities.find(({ id }) => id === effect.activity)?.kind
    const isOfWater = effect.kind !== 'catch' && effect.kind !== 'reuse'
    return isOfWater && kind !== undefined && TOILET_KINDS.includes(kind)
  })
}

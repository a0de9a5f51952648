import { wallDaysBetween, type WallTime } from '../calendar'
import type { Model } from '../compile'
import type { ContainerIndex, Now, OnSolids } from '../domain'
import { whole } from '../slices'
import { partAt } from './levelAt'
import { amountsBeforeReuse, levelBefore, type Ledger, type RunRow } from './ledger'
import { catchAndReuse, playVesselsPart, vesselsAtStart } from './vessels'

/** A hair of the clock's minutes against the edges' days. */
const HAIR_D = 1e-9

/**
 * What a ledger says of a moment: the levels, what vessels hold, and what stands on the solids. A stay compiled from it is
 * the rest of that ledger: to the last litre at the start of a part; inside one, what was caught in it and not drawn yet
 * waits for the rest of the part.
 * @param at within the model's grid @throws RangeError outside it
 */
export function stateAt(model: Model, ledger: Ledger, at: WallTime): Now {
  const days = wallDaysBetween(model.start, at)
  const { count, edges } = model.grid
  if (days < 0 || days > edges[count]!) throw new RangeError(`${at} is not within the days that were counted`)
  // The start of a part is that part with nothing of it gone.
  const part = partAt(model, days + HAIR_D)
  const gone = Math.max(0, (days - edges[part]!) / (edges[part + 1]! - edges[part]!))
  const before = whole(amountsBeforeReuse(model))
  const vessels = vesselsAtStart(model)
  for (let i = 0; i < part; i++) playVesselsPart(model, vessels, i, before, i, count)
  const begun = Float64Array.from(model.streams, (_, s) => gone * before[s * count + part]!)
  catchAndReuse(vessels, part, begun, 0, 1)
  return {
    at,
    draws: null,
    levels: model.containers.map(({ id }, c) => ({
      container: id,
      level: levelBefore(model, ledger, c, part) + netOf(model, begun, c),
    })),
    vessels: vessels.map(({ vessel, content, given }) => ({
      habit: vessel.habit,
      content,
      given: [...given],
    })),
    onSolids: model.containers.flatMap(({ id, isBlack }, c) =>
      isBlack ? [{ container: id, ...onSolidsAt(model, ledger, begun, c, part, gone) }] : [],
    ),
  }
}

function netOf({ streams }: Model, amounts: Float64Array, container: ContainerIndex): number {
  return streams.reduce(
    (sum, { from, to }, s) =>
      sum + (to === container ? amounts[s]! : 0) - (from === container ? amounts[s]! : 0),
    0,
  )
}

function onSolidsAt(
  { streams, containers, uses, grid: { count } }: Model,
  { amounts, runs }: Ledger,
  begun: Float64Array,
  container: ContainerIndex,
  part: number,
  gone: number,
): OnSolids {
  let { liquid, uses: solids } = containers[container]!.onSolids
  const filling = streams.flatMap((stream, s) => (stream.to === container ? [{ ...stream, s }] : []))
  const byRuns = runs.filter(({ from, to }) => from === container || to === container)
  for (let i = 0; i <= part; i++) {
    for (const row of byRuns)
      if (row.part === i) {
        const after = onSolidsAfter(row, container, { liquid, uses: solids })
        liquid = after.liquid
        solids = after.uses
      }
    for (const { activity, isSolid, solidUses, portion, s } of filling) {
      if (!isSolid) liquid += i < part ? amounts[s * count + i]! : begun[s]!
      solids += solidUses * uses[activity * count + i]! * (portion?.[i] ?? 1) * (i < part ? 1 : gone)
    }
  }
  return { liquid, uses: solids }
}

/** What is brought in stands on the solids; an emptying to the residue takes them out, and the residue stands alone. */
export function onSolidsAfter(
  { from, to, moved, left }: RunRow,
  container: ContainerIndex,
  { liquid, uses }: OnSolids,
): OnSolids {
  if (from === container && left !== null) return { liquid: left, uses: 0 }
  return { liquid: to === container ? liquid + moved : liquid, uses }
}

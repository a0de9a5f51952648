import type { Model } from '../compile'
import type { ContainerIndex } from '../domain'
import type { Days, Litres } from '../quantities'
import { levelBefore, type Ledger } from './ledger'

/** The level at any instant: within a part it moves evenly. @param days 0 to the last edge of the grid */
export function levelAt(model: Model, ledger: Ledger, container: ContainerIndex, days: Days): Litres {
  const { count, edges } = model.grid
  const part = partAt(model, days)
  const before = levelBefore(model, ledger, container, part)
  const after = ledger.levels[container * count + part]!
  return before + ((after - before) * (days - edges[part]!)) / (edges[part + 1]! - edges[part]!)
}

/** The part an instant falls in; an edge belongs to the part that ends there. */
export function partAt({ grid: { count, edges } }: Model, days: Days): number {
  let part = 0
  while (part < count - 1 && edges[part + 1]! < days) part++
  return part
}

import { stockLeft } from '../cards'
import { standing, type LogEntry } from '../log'
import { fillOf, type Crew, type Id, type Product, type Rig } from '../domain'

/** What is left of something that is used up; `times`: how often that will do, null: not known. */
export interface StockLeft {
  /** Null: the medium of a solids bin. */
  product: Product | null
  left: number
  times: number | null
}

/** What is left of the products and the medium, as bought and less what the log says was used. */
export function stocks(rig: Rig, crew: Crew, log: readonly LogEntry[]): StockLeft[] {
  const left = stockLeft(crew.products, log)
  const products = crew.products.map((product): StockLeft => {
    const rest = left.get(product.id) ?? 0
    return { product, left: rest, times: timesOf(product, rest, rig) }
  })
  const bins = new Set<Id>(rig.containers.filter(({ kind }) => kind === 'solids').map(({ id }) => id))
  if (bins.size === 0) return products
  const changes = standing(log).filter(
    (entry) =>
      entry.kind === 'run' &&
      entry.did.some(({ container, what }) => what === 'emptied' && bins.has(container)),
  ).length
  const medium = Math.max(0, crew.mediumStock.value - changes)
  return [...products, { product: null, left: medium, times: medium }]
}

/** Whole doses for the largest tank it is for; by what is put in nobody knows beforehand. */
function timesOf(
  { dose, per, perLitres, for: kinds }: Product,
  left: number,
  { containers }: Rig,
): number | null {
  if (per === 'charge') return null
  const tanks = containers.filter(({ kind }) => fillOf(kind) === 'waste' && kinds.some((one) => one === kind))
  if (tanks.length === 0 || dose.value <= 0) return null
  const largest = Math.max(...tanks.map(({ capacity }) => capacity.value))
  const each = per === 'each' ? dose.value : (dose.value * largest) / perLitres.value
  return Math.floor(left / each + 1e-9)
}

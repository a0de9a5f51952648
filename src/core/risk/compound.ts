import jstat from 'jstat'
import { edgesOf, lognormalSlices, type Slices } from './slices'

/** Slices of a part's litres; drawn with ten random bits. */
export const COMPOUND_BITS = 10
export const COMPOUND_SLICES = 2 ** COMPOUND_BITS
/** Cells of the grid to one mean use, and how many uses it spans. */
const CELLS = 32
const SPAN = 80
/** Above so many uses in a part their litres are taken as lognormal with the same mean and variance. */
const MANY = 40

/**
 * The litres of a Poisson number of uses, over those of one mean use, cut into slices of equal probability: no use at all
 * is in it, so a whole part of an activity is one look-up. P(n) mixes the sums of n uses, each lognormal with the mean n and
 * the CV cv/√n of the sum (mean and variance exact), on a grid of 1/32 use; the slices' mean is made exactly λ.
 * @returns by mean, each built once
 */
export function compoundTables(cv: number): (mean: number) => Slices {
  const cells = cellsOf(cv)
  const known = new Map<number, Slices>()
  return (mean) => {
    const built = known.get(mean) ?? tableOf(mean, cv, cells)
    known.set(mean, built)
    return built
  }
}

/** Probabilities of the grid's cells for the sum of n uses, and the first cell that has any. */
type Cells = (n: number) => { first: number; mass: Float64Array }

function cellsOf(cv: number): Cells {
  const known: ReturnType<Cells>[] = []
  return (n) => (known[n] ??= sumCells(n, cv))
}

function sumCells(n: number, cv: number): { first: number; mass: Float64Array } {
  const sigma = Math.sqrt(Math.log1p(cv ** 2 / n))
  if (sigma === 0) return { first: n * CELLS, mass: Float64Array.of(1) }
  const center = Math.log(n) - sigma ** 2 / 2
  const first = Math.floor(Math.exp(center - 5 * sigma) * CELLS)
  const last = Math.min(SPAN * CELLS, Math.ceil(Math.exp(center + 5 * sigma) * CELLS))
  const below = (cell: number) => jstat.normal.cdf((Math.log(cell / CELLS) - center) / sigma, 0, 1)
  const mass = new Float64Array(Math.max(1, last - first))
  let under = 0
  for (let k = 0; k < mass.length; k++) {
    const upTo = k === mass.length - 1 ? 1 : below(first + k + 1)
    mass[k] = upTo - under
    under = upTo
  }
  return { first, mass }
}

function tableOf(mean: number, cv: number, cells: Cells): Slices {
  if (mean === 0) return new Float64Array(COMPOUND_SLICES)
  if (mean > MANY) return lognormalSlices(mean, Math.sqrt((1 + cv ** 2) / mean), edgesOf(COMPOUND_SLICES))
  const density = new Float64Array(SPAN * CELLS + 1)
  const none = Math.exp(-mean)
  let weight = none
  for (let n = 1; n < SPAN && (n < mean || weight > 1e-9); n++) {
    weight *= mean / n
    const { first, mass } = cells(n)
    for (let k = 0; k < mass.length; k++) density[first + k]! += weight * mass[k]!
  }
  return exactMean(sliced(none, density, cv === 0 ? 0 : 1 / CELLS), mean)
}

/** Walks the cumulated distribution, the atom at 0 first; inside a cell it is even. */
function sliced(none: number, density: Float64Array, cellWidth: number): Slices {
  const slices = new Float64Array(COMPOUND_SLICES)
  let [slice, room] = [0, 1 / COMPOUND_SLICES]
  const pour = (mass: number, from: number, width: number) => {
    let poured = 0
    while (mass - poured > 1e-15 && slice < COMPOUND_SLICES) {
      const some = Math.min(room, mass - poured)
      const middle = from + (width * (poured + some / 2)) / mass
      slices[slice]! += some * COMPOUND_SLICES * middle
      poured += some
      room -= some
      if (room <= 1e-15) {
        slice++
        room = 1 / COMPOUND_SLICES
      }
    }
  }
  pour(none, 0, 0)
  density.forEach((mass, cell) => {
    if (mass > 1e-9) pour(mass, cell / CELLS, cellWidth)
  })
  return slices
}

/** What fell off the grid's end and the cells' width leave the mean a little off: scaled, it is exact. */
function exactMean(slices: Slices, mean: number): Slices {
  const is = slices.reduce((sum, x) => sum + x, 0) / slices.length
  return slices.map((x) => (x * mean) / is)
}

import { expect, it } from 'vitest'
import type { Model } from '../compile'
import type { Ledger } from '../count'
import { flushRatios } from './flushFloor'

/** A black tank with 2 L in it; each part brings 1 L of liquid, half a liter of solids and half a solid use. */
const parts = 5
const model = {
  grid: { count: parts },
  containers: [{ id: 'black', isBlack: true, onSolids: { liquid: 2, uses: 0 } }],
  streams: [
    { to: 0, activity: 0, isSolid: false, solidUses: 0, portion: null },
    { to: 0, activity: 0, isSolid: true, solidUses: 0.5, portion: null },
  ],
  uses: new Float64Array(parts).fill(1),
} as unknown as Model
const amounts = Float64Array.of(...Array<number>(parts).fill(1), ...Array<number>(parts).fill(0.5))
const ledger = (runs: unknown[] = []) => ({ amounts, runs }) as unknown as Ledger

it('by hand: liquid over solid uses, from the first whole use on; solids themselves do not count', () => {
  const [black] = flushRatios(model, ledger(), parts)
  // 2 + 1 L on half a use: not said. 2 + 2 on one, 2 + 3 on one and a half …
  expect(black!.ratios).toEqual([null, 4, 5 / 1.5, 3, 7 / 2.5])
  expect(black!.least).toBe(7 / 2.5)
  expect(flushRatios(model, ledger(), 1)[0]!.least).toBeNull()
})

it('by hand: an emptying starts over with what it left, a charge adds, a taking by hand changes nothing', () => {
  const emptied = { part: 2, from: 0, to: -1, moved: 4, left: 3 }
  const charged = { part: 2, from: -1, to: 0, moved: 6, left: null }
  const taken = { part: 4, from: 0, to: -1, moved: 1, left: null }
  const [black] = flushRatios(model, ledger([emptied, charged, taken]), parts)
  // 3 L left, 6 L put in, then 1 L and half a use a part.
  expect(black!.ratios).toEqual([null, 4, null, 11, 12 / 1.5])
})

it('asks nothing of a tank that no solids reach, or that is not black', () => {
  const withoutSolids = { ...model, streams: model.streams.slice(0, 1) }
  expect(flushRatios(withoutSolids, ledger(), parts)).toEqual([])
  const gray = { ...model, containers: [{ ...model.containers[0]!, isBlack: false }] }
  expect(flushRatios(gray, ledger(), parts)).toEqual([])
})

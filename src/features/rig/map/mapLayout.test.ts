import fc from 'fast-check'
import { expect, it } from 'vitest'
import { fillOf, type Rig } from '@/core/domain'
import { documentArb } from '../../../../tests/support/generate'
import { mapLayout, nextOf, nodeHeight, pipePath, pipeWidth } from './mapLayout'

const rigArb = documentArb.map(({ rigs }): Rig => rigs[0]!)
const WIDTHS = { tank: 120, fixture: 96 }

it('everything of a rig stands once, inside, and on nothing else; an outlet’s tanks stand together', () => {
  fc.assert(
    fc.property(rigArb, (rig) => {
      const node = nodeHeight(rig, WIDTHS, 1)
      const { height, supplies, fixtures, wastes, outlets } = mapLayout(rig, node)
      const all = [supplies, fixtures, wastes]
      expect(
        all
          .flat()
          .map(({ id }) => id)
          .sort(),
      ).toEqual(
        [
          ...rig.fixtures.map(({ id }) => id),
          ...rig.containers
            .filter(({ kind }) => ['supply', 'waste'].includes(fillOf(kind)))
            .map(({ id }) => id),
        ].sort(),
      )
      for (const column of all)
        column.forEach(({ y }, k) => {
          expect(y - node / 2).toBeGreaterThanOrEqual(0)
          expect(y + node / 2).toBeLessThanOrEqual(height)
          if (k > 0) expect(y - column[k - 1]!.y).toBeGreaterThanOrEqual(node)
        })
      for (const { id, top, bottom } of outlets) {
        const own = rig.outlets.find((one) => one.id === id)!.containers
        const inside = wastes.filter(({ y }) => y > top && y < bottom).map((one) => one.id)
        expect(inside.sort()).toEqual(
          wastes
            .map((one) => one.id)
            .filter((one) => own.includes(one))
            .sort(),
        )
      }
    }),
  )
})

it('a box is high enough for the longest name, and never smaller than a finger', () => {
  fc.assert(
    fc.property(rigArb, fc.integer({ min: 1, max: 40 }), (rig, letters) => {
      const before = nodeHeight(rig, WIDTHS, 0)
      expect(before).toBeGreaterThanOrEqual(44)
      const longer = structuredClone(rig)
      longer.containers[0]!.name += 'm'.repeat(letters)
      expect(nodeHeight(longer, WIDTHS, 0)).toBeGreaterThanOrEqual(before)
      expect(nodeHeight(rig, WIDTHS, 1)).toBeGreaterThanOrEqual(before)
    }),
  )
})

it('pipes leave and arrive level, are thicker the more they carry, and a list goes round', () => {
  expect(pipePath(10, 20, 110, 80)).toBe('M10 20C60 20 60 80 110 80')
  fc.assert(
    fc.property(
      fc.double({ min: -1, max: 2, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (share, more) => {
        expect(pipeWidth(share + more)).toBeGreaterThanOrEqual(pipeWidth(share))
        expect(pipeWidth(share)).toBeGreaterThanOrEqual(2)
        expect(pipeWidth(share)).toBeLessThanOrEqual(10)
      },
    ),
  )
  expect([nextOf(['a', 'b', 'c'], 'c', 1), nextOf(['a', 'b', 'c'], 'a', -1), nextOf(['a'], 'a', 1)]).toEqual([
    'a',
    'c',
    'a',
  ])
})

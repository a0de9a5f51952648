import fc from 'fast-check'
import { expect, it } from 'vitest'
import { newPlace } from '@/document/starters'
import { ridgePlaces, HARROW_RIDGE } from '../../../scripts/demo/ridge'
import { badgeOf, bearingOf, frameOf, labelsOf, marksOf, neighbourOf, reachOf, ringsOf } from './mapShape'

const frame = frameOf(600)
const straight = (_: unknown, km: number) => km

it('the map reaches the farthest before a gap, each step nearer halves it, and what lies beyond stands on the rim', () => {
  expect(reachOf([4, 14, 20, 46], 0)).toBeCloseTo(46 * 1.12, 9)
  expect(reachOf([4, 14, 20, 90], 0)).toBeCloseTo(20 * 1.12, 9)
  expect(reachOf([4, 14, 20, 46], 1)).toBeCloseTo(23 * 1.12, 9)
  const marks = marksOf(frame, HARROW_RIDGE, [...ridgePlaces(), newPlace('x', 'Nowhere')], 50, straight)
  expect(marks).toHaveLength(6)
  const home = marks.find(({ id }) => id === 'fenmoor')!
  expect(home.isBeyond).toBe(true)
  expect(Math.hypot(home.x - frame.centre.x, home.y - frame.centre.y)).toBeCloseTo(frame.rim, 6)
  // Tern Hollow lies 16.7 km west and 11.1 km north: up and to the left.
  const hollow = marks.find(({ id }) => id === 'tern-hollow')!
  expect((hollow.x - frame.centre.x) / frame.rim).toBeCloseTo(-16.7 / 50, 2)
  expect((frame.centre.y - hollow.y) / frame.rim).toBeCloseTo(11.1 / 50, 2)
  // The market stands beside the station, and not on it: each can be tapped.
  for (const a of marks)
    for (const b of marks) if (a !== b) expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(26)
})

it('rings stand at round distances of road in the owner’s unit, two at least', () => {
  for (const [reach, unit] of [
    [50, 1],
    [50, 1.609344],
    [3, 1],
    [400, 1],
  ] as const) {
    const rings = ringsOf(frame, reach, unit)
    expect(rings.length).toBeGreaterThanOrEqual(2)
    for (const { at, radius } of rings) {
      expect(radius).toBeLessThanOrEqual(frame.rim + 1e-6)
      expect(radius).toBeCloseTo(((at * unit) / reach) * frame.rim, 6)
    }
  }
})

it('a mark is on the ring of its road, whichever way it lies; one beyond is on the rim', () => {
  const road: Record<string, number> = { 'tern-hollow': 26, 'cold-spring': 47 }
  const marks = marksOf(frame, HARROW_RIDGE, ridgePlaces(), 50, ({ id }, km) => road[id] ?? km * 1.3)
  for (const [id, km] of Object.entries(road)) {
    const { x, y } = marks.find((mark) => mark.id === id)!
    const out = Math.hypot(x - frame.centre.x, y - frame.centre.y)
    const ring = ringsOf(frame, 50, 1)[0]!
    expect(out).toBeCloseTo((km / ring.at) * ring.radius, 6)
  }
})

it('law: labels cover neither marks nor each other, and stay on the map', () => {
  const markArb = fc.record({
    x: fc.integer({ min: 20, max: 580 }),
    y: fc.integer({ min: 20, max: 480 }),
    ways: fc.constant([[12, 10], [12], [6]]),
  })
  fc.assert(
    fc.property(fc.array(markArb, { maxLength: 12 }), (made) => {
      const marks = made.map((mark, i) => ({ ...mark, id: String(i) }))
      const labels = labelsOf(frame, marks)
      const boxes = labels.map(({ x, y, anchor, width, height }) => {
        const left = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2
        return { left, right: left + width, top: y, bottom: y + height }
      })
      boxes.forEach((a, i) => {
        expect(a.left >= 0 && a.right <= frame.width && a.top >= 0 && a.bottom <= frame.height).toBe(true)
        for (const b of boxes.slice(i + 1))
          expect(a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom).toBe(false)
      })
      const { x, y } = bearingOf(frame, marks, labels)
      expect(Math.hypot(x, y)).toBeCloseTo(1, 9)
    }),
  )
})

it('arrow keys lead to the nearest mark on that side, and every mark can be reached', () => {
  const marks = marksOf(frame, HARROW_RIDGE, ridgePlaces(), 50, straight)
  const seen = new Set(['pass-tap'])
  for (const id of seen)
    for (const key of ['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight']) {
      const next = neighbourOf(
        marks,
        marks.find((mark) => mark.id === id)!,
        key,
      )
      if (next) seen.add(next.id)
    }
  expect(seen.size).toBe(6)
  expect(neighbourOf(marks, marks[0]!, 'Tab')).toBeNull()
  // The badge of a run covers no other mark.
  const [mill, market] = ['sallow-mill', 'merrow-market'].map((id) => marks.find((mark) => mark.id === id)!)
  const badge = badgeOf(market!, marks)
  expect(Math.hypot(badge.x - mill!.x, badge.y - mill!.y)).toBeGreaterThan(18)
})

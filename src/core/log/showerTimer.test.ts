import fc from 'fast-check'
import { expect, it } from 'vitest'
import { flowsOf, readTimer, startTimer, timed, type ShowerTimer } from './index'

const FLOWS = { flow: 6, trickle: 0.3, runUp: 1.5 }

it('by hand: a minute and a half on, two paused, half a minute on again', () => {
  const start = startTimer(FLOWS, 1000)
  const paused = timed(start, { do: 'pause', at: 91_000 })
  const on = timed(paused, { do: 'on', at: 211_000 })
  const read = readTimer(on, 241_000)
  // 2 min × 6 + 2 min × 0.3 + 1.5
  expect(read).toEqual({ onSeconds: 120, waitedSeconds: 120, litres: expect.closeTo(14.1, 9) as number })
  const ended = timed(on, { do: 'end', at: 241_000 })
  expect(readTimer(ended, 999_000)).toEqual(read)
  expect(timed(ended, { do: 'on', at: 300_000 })).toBe(ended)
})

it('whatever is pressed when, seconds add up, litres never fall, and a reload in between changes nothing', () => {
  const press = fc.tuple(
    fc.constantFrom('on' as const, 'pause' as const),
    fc.integer({ min: 0, max: 90_000 }),
  )
  fc.assert(
    fc.property(fc.array(press, { maxLength: 12 }), fc.integer({ min: 0, max: 60_000 }), (presses, rest) => {
      let timer: ShowerTimer = startTimer(FLOWS, 0)
      let at = 0
      let litres = 0
      for (const [does, after] of presses) {
        at += after
        timer = JSON.parse(JSON.stringify(timed(timer, { do: does, at }))) as ShowerTimer
        const read = readTimer(timer, at)
        expect(read.litres).toBeGreaterThanOrEqual(litres - 1e-9)
        litres = read.litres
      }
      const read = readTimer(timer, at + rest)
      expect((read.onSeconds + read.waitedSeconds) * 1000).toBeCloseTo(at + rest, 6)
    }),
  )
})

it('runs on the shower’s own flows, on assumed ones until it has some, and on no clock that goes back', () => {
  const given = (value: number) => ({ value, by: 'owner' as const })
  const own = { flow: given(4.5), on: given(2), trickle: given(0), paused: given(1), runUp: given(2) }
  expect(flowsOf(own)).toEqual({ flow: 4.5, trickle: 0, runUp: 2, isAssumed: false })
  expect(flowsOf(null).isAssumed).toBe(true)
  expect(readTimer(startTimer(FLOWS, 5000), 1000).onSeconds).toBe(0)
})

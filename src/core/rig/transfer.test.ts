import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { count } from '../count'
import { compile } from '../compile'
import { caseOf } from '../domain'
import { flowSeconds, headTransfer, type TransferCase } from '../runs'
import { countAfterTransfer, transferOf } from './index'
import { trailerDemo } from '../../../scripts/demo/trailer'

const exactly = (value: number) => ({ low: value, high: value })

/** Tanks from tiny to large, low or raised, nearly empty to nearly full, exactly known. */
const tanksArb: fc.Arbitrary<TransferCase> = fc
  .record({
    capacity: fc.tuple(
      fc.double({ min: 5, max: 300, noNaN: true }),
      fc.double({ min: 5, max: 200, noNaN: true }),
    ),
    height: fc.tuple(
      fc.double({ min: 0.1, max: 0.6, noNaN: true }),
      fc.double({ min: 0.1, max: 0.6, noNaN: true }),
    ),
    bottom: fc.tuple(
      fc.double({ min: 0, max: 0.7, noNaN: true }),
      fc.double({ min: 0, max: 0.7, noNaN: true }),
    ),
    fill: fc.tuple(
      fc.double({ min: 0, max: 0.99, noNaN: true }),
      fc.double({ min: 0, max: 0.99, noNaN: true }),
    ),
    bore: fc.double({ min: 0.02, max: 0.1, noNaN: true }),
  })
  .map(({ capacity, height, bottom, fill, bore }) => {
    const inMm = (metres: number) => Math.round(metres * 1000) / 1000
    const tank = (i: 0 | 1) => ({
      capacity: capacity[i],
      height: height[i],
      bottom: exactly(inMm(bottom[i])),
      content: exactly(fill[i] < 0.01 ? 0 : fill[i] * capacity[i]),
    })
    return { gray: { ...tank(0), most: Infinity }, black: { ...tank(1), safeLevel: 0.9 * capacity[1] }, bore }
  })

const surface = ({ capacity, height, bottom, content }: TransferCase['black'] | TransferCase['gray']) =>
  bottom.low + (content.low / capacity) * height

/** Walks the emptying in small steps of volume, taking the speed at each step's middle. */
function steppedSeconds(tanks: TransferCase, volume: number, discharge: number): number {
  const area = (Math.PI * tanks.bore ** 2) / 4
  const steps = 4000
  let seconds = 0
  for (let k = 0; k < steps; k++) {
    const moved = (volume * (k + 0.5)) / steps
    const gray = { ...tanks.gray, content: exactly(tanks.gray.content.low - moved) }
    const black = { ...tanks.black, content: exactly(tanks.black.content.low + moved) }
    const speed = discharge * Math.sqrt(2 * 9.80665 * (surface(gray) - surface(black)))
    seconds += volume / 1000 / steps / (area * speed)
  }
  return seconds
}

describe('gray to black (model.md section 8)', () => {
  it('the formula agrees with a fine-step integration to 0.5 %, and never passes a bound', () => {
    let moved = 0
    fc.assert(
      fc.property(tanksArb, (tanks) => {
        const answer = headTransfer(tanks)
        const head = surface(tanks.gray) - surface(tanks.black)
        if (!answer.ok) {
          const nothing = tanks.gray.content.low <= 0 || tanks.black.safeLevel <= tanks.black.content.high
          expect(head <= 0 || nothing).toBe(true)
          return
        }
        moved++
        const { volume, seconds } = answer.value
        if (head < 1e-6) return
        expect(volume).toBeLessThanOrEqual(tanks.gray.content.low)
        expect(volume + tanks.black.content.low).toBeLessThanOrEqual(tanks.black.safeLevel + 1e-9)
        const gray = { ...tanks.gray, content: exactly(tanks.gray.content.low - volume) }
        const black = { ...tanks.black, content: exactly(tanks.black.content.low + volume) }
        expect(surface(gray) - surface(black)).toBeGreaterThanOrEqual(0.2 * head - 1e-9)
        expect(Math.abs(steppedSeconds(tanks, volume, 0.6) / seconds.low - 1)).toBeLessThan(0.005)
        expect(Math.abs(steppedSeconds(tanks, volume, 0.4) / seconds.high - 1)).toBeLessThan(0.005)
      }),
      { numRuns: 600 },
    )
    expect(moved).toBeGreaterThan(20)
  })

  it('by hand: docs/worked-examples.md 12', () => {
    const tanks: TransferCase = {
      gray: { capacity: 200, height: 0.4, bottom: exactly(0.2), content: exactly(150), most: Infinity },
      black: { capacity: 100, height: 0.4, bottom: exactly(0), content: exactly(20), safeLevel: 90 },
      bore: 0.076,
    }
    const answer = headTransfer(tanks)
    expect(answer).toMatchObject({ ok: true, value: { bound: 'levels' } })
    if (!answer.ok) return
    expect(answer.value.head.low).toBeCloseTo(0.42, 9)
    expect(answer.value.volume).toBeCloseTo(56, 9)
    expect(answer.value.seconds.low).toBeCloseTo(9.906, 3)
    expect(flowSeconds(56, 0.42, 6, 0.076, 0.4)).toBeCloseTo(answer.value.seconds.high, 9)
  })

  it('uncertainty only takes away, and widens the time', () => {
    fc.assert(
      fc.property(tanksArb, fc.double({ min: 0, max: 0.05, noNaN: true }), (tanks, error) => {
        const blurred = structuredClone(tanks)
        for (const tank of [blurred.gray, blurred.black]) {
          tank.bottom = { low: tank.bottom.low - error, high: tank.bottom.high + error }
          const litres = error * tank.capacity
          tank.content = { low: Math.max(0, tank.content.low - litres), high: tank.content.high + litres }
        }
        const [sharp, blunt] = [headTransfer(tanks), headTransfer(blurred)]
        if (!blunt.ok) return
        expect(sharp.ok && sharp.value.volume >= blunt.value.volume - 1e-9).toBe(true)
        expect(blunt.value.seconds.low).toBeLessThanOrEqual(blunt.value.seconds.high)
        expect(blunt.value.head.low).toBeLessThanOrEqual(blunt.value.head.high)
      }),
    )
  })

  it('on the demo trailer: refuses what it must, each with its reason, and buys days where it helps', () => {
    const document = trailerDemo()
    const rig = document.rigs[0]!
    const model = compile(caseOf(document, 'harrow-ridge'))
    const counted = count(model)
    const options = { gray: 'gray', black: 'black', at: 5.5, readingError: 8 }
    const ask = (change: (outlet: (typeof rig.outlets)[0]) => void, at = 5.5) => {
      const copy = structuredClone(rig)
      change(copy.outlets[0]!)
      const answer = transferOf(copy, model, counted.ledger, { ...options, at })
      return answer.ok ? 'ok' : answer.refusal
    }
    expect(ask((outlet) => (outlet.endValve = false))).toBe('no-end-valve')
    expect(ask((outlet) => (outlet.containers = ['gray']))).toBe('no-shared-outlet')
    expect(ask((outlet) => (outlet.joined = ['gray', 'black']))).toBe('joined')
    expect(ask(() => undefined, 0)).toBe('gray-empty')
    const answer = transferOf(rig, model, counted.ledger, options)
    if (!answer.ok) throw new Error(answer.refusal)
    const part = model.grid.edges.findIndex((edge) => edge >= 5.5)
    const move = { from: 'gray', to: 'black', litres: answer.value.volume, part }
    const after = countAfterTransfer(model, move)
    expect(after.days!).toBeGreaterThan(counted.days!)
    expect(countAfterTransfer(model, { ...move, litres: 0 }).days).toBeCloseTo(counted.days!, 12)
    const late = model.grid.edges.findIndex((edge) => edge > counted.days!)
    expect(countAfterTransfer(model, { ...move, part: late }).days).toBe(counted.days)
  })
})

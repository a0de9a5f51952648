import { describe, expect, it } from 'vitest'
import { checked } from '@/document'
import { newContainer, newFixture } from '@/document/starters'
import { newOutlet } from '@/document/edits'
import { compile } from '../compile'
import { caseOf, type Container, type Document, type Fixture } from '../domain'
import { owned } from '../quantities'
import { count, flowsOf, usesLeft } from './index'
import { example, habit, use, withRig } from '../../../tests/support/build'

/** Ten litres a day at the sink, and a toilet used five times for liquids and once for solids. */
const SINK = use('sink', { rate: 10, volume: 1 })
const LIQUID = use('liquid-use', {
  kind: 'liquid-use',
  role: 'toilet',
  rate: 5,
  volume: 0.4,
  adds: [['body', 0.2]],
})
const SOLID = use('solid-use', {
  kind: 'solid-use',
  role: 'toilet',
  rate: 1,
  volume: 1,
  adds: [['body', 0.1]],
})
const base = (uses = [SINK, LIQUID, SOLID]) =>
  example({ fresh: [400, 10, 400], gray: [200, 0.9, 0], black: [60, 0.9, 0], uses })

const fresh = (size = 400) => newContainer('fresh', 'fresh', 'Fresh', size)
const gray = (size = 200) => newContainer('gray', 'gray', 'Gray', size)
const flush: Container = { ...newContainer('flush', 'flush', 'Flush', 14), reserve: owned(1) } as Container
const sink = newFixture('sink', 'Sink', 'fresh', 'gray')
const toilet = (more: Partial<Fixture>): Fixture => ({
  ...newFixture('toilet', 'Toilet', 'fresh', 'black'),
  ...more,
})
const withSpares = (container: Container, spares: number) => ({ ...container, spares }) as Container

const counted = (document: Document) => {
  expect(checked(document)).toMatchObject({ ok: true })
  const model = compile(caseOf(document, 'stay'))
  const result = count(model)
  const own = Object.fromEntries(model.containers.map(({ id }, c) => [id, result.containers[c]]))
  return { ...result, model, own }
}

describe('every rig, by hand: docs/worked-examples.md', () => {
  it('4: a cassette with a spare and its own flush water', () => {
    const cassette = withSpares(
      { ...newContainer('cassette', 'cassette', 'Cassette', 20), light: owned(15) } as Container,
      1,
    )
    const document = withRig(
      base(),
      [fresh(), flush, gray(), cassette],
      { kitchen: [sink], toilet: [toilet({ draws: 'flush', drains: 'cassette' })] },
      { fresh: 400, flush: 14 },
    )
    const { days, stopper, own, model, ledger } = counted(document)
    expect([stopper, days]).toEqual(['flush', expect.closeTo(13 / 3, 9)])
    expect(own.cassette).toBeCloseTo(34 / 4.1, 9)
    if (cassette.kind !== 'cassette') throw new Error('not a cassette')
    expect(usesLeft(model, ledger, cassette, 15)).toBe(2)
  })

  it('a redirect to a tank that is joined to another leads to both', () => {
    const document = example({
      fresh: [900, 0, 900],
      gray: [60, 1, 0],
      black: [60, 1, 0],
      uses: [
        use('shower', { role: 'shower', rate: 1, volume: 10, weights: [0, 0, 1, 0] }),
        use('toilet', { role: 'toilet', rate: 4, volume: 2.1 }),
      ],
      habits: [habit('half', [{ kind: 'redirect', activity: 'shower', share: owned(0.5), to: 'black' }])],
    })
    const rig = document.rigs[0]!
    rig.containers.push({ ...rig.containers[1]!, id: 'bath', name: 'Bath' })
    document.stays[0]!.levels.push({ ...document.stays[0]!.levels[1]!, container: 'bath' })
    rig.outlets = [
      {
        ...newOutlet('outlet', 'Outlet'),
        containers: ['bath', 'black'],
        joined: ['bath', 'black'],
        endValve: true,
      },
    ]
    document.stays[0]!.habits = [{ habit: 'half', days: null, persons: null }]
    // The kitchen has 5 of its 60 L an evening. Bath and black, 120 L: 2.1 L a part and 5 L each evening, 13.4 L a day.
    // After eight days 107.2 L, on the ninth 2.1, 2.1 and 7.1; 1.5 of the night's 2.1 L are left: 8.75 + 0.25 × 1.5 / 2.1.
    const { stopper, days, own } = counted(document)
    expect([stopper, days, own.gray]).toEqual([
      'black',
      expect.closeTo(8.92857142857, 9),
      expect.closeTo(12.5, 9),
    ])
    document.habits[0]!.effects = [{ kind: 'redirect', activity: 'toilet', share: owned(1), to: 'gray' }]
    rig.containers.push(rig.containers.splice(1, 1)[0]!)
    // Now bath is the rig's first gray, and stands open to black: what is led to it stays where it was.
    expect(counted(document).own.black ?? counted(document).own.bath).toBeCloseTo(120 / 8.4, 9)
  })

  it('5: a diverting toilet with a urine jug, in both media', () => {
    const bin = newContainer('solids', 'bin', 'Bin', 30)
    const build = (solids: Container) =>
      withRig(
        base(),
        [fresh(), gray(), withSpares(newContainer('urine', 'urine', 'Jug', 8), 1), solids],
        {
          kitchen: [sink],
          toilet: [toilet({ draws: null, drains: 'urine', solids: 'bin', waterFactor: owned(0) })],
        },
        { fresh: 400 },
      )
    const long = counted(build(bin))
    expect([long.stopper, long.days]).toEqual(['urine', expect.closeTo(14.4, 9)])
    expect(long.own.bin).toBeCloseTo(30, 9)
    const short = counted(build({ ...bin, medium: 'short', capacity: owned(10) } as Container))
    expect([short.stopper, short.days]).toEqual(['bin', expect.closeTo(10, 9)])
    const uses = flowsOf(short.model, short.ledger).filter(({ unit }) => unit === 'uses')
    expect(uses[0]).toMatchObject({ from: 'body', to: 'bin', amount: 0.25 })
  })

  it('6: a diverting toilet whose urine runs into the gray tank', () => {
    const document = withRig(
      base(),
      [fresh(), gray(110), newContainer('solids', 'bin', 'Bin', 30)],
      {
        kitchen: [sink],
        toilet: [toilet({ draws: null, drains: 'gray', solids: 'bin', waterFactor: owned(0) })],
      },
      { fresh: 400 },
    )
    expect(counted(document)).toMatchObject({ stopper: 'gray', days: expect.closeTo(9, 9) as number })
  })

  it('7: a portable toilet for liquids only', () => {
    const document = withRig(
      base(),
      [fresh(), flush, gray(), newContainer('cassette', 'portable', 'Portable', 20)],
      { kitchen: [sink], toilet: [toilet({ draws: 'flush', drains: 'portable', takes: 'liquids' })] },
      { fresh: 400, flush: 14 },
    )
    const { days, stopper, own } = counted(document)
    expect([stopper, days]).toEqual(['portable', expect.closeTo(17 / 3, 9)])
    expect(own.flush).toBeCloseTo(6.5, 9)
  })

  it('8: no toilet aboard', () => {
    const tank = { ...fresh(100), reserve: owned(10) } as Container
    const document = withRig(base(), [tank, gray(60)], { kitchen: [sink] }, { fresh: 100 })
    const { days, stopper, own } = counted(document)
    expect([stopper, days]).toEqual(['gray', expect.closeTo(5.4, 9)])
    expect(own.fresh).toBeCloseTo(9, 9)
  })

  it('9: a bath that drains into the black tank', () => {
    const shower = use('shower', { kind: 'shower', role: 'shower', rate: 1, volume: 5 })
    const document = withRig(
      base([SINK, LIQUID, SOLID, shower]),
      [fresh(), gray(), newContainer('black', 'black', 'Black', 60)],
      { kitchen: [sink], shower: [newFixture('bath', 'Bath', 'fresh', 'black')], toilet: [toilet({})] },
      { fresh: 400 },
    )
    expect(counted(document)).toMatchObject({ stopper: 'black', days: expect.closeTo(54 / 9.1, 9) as number })
  })

  it('10: two bathrooms, the second black alone on its outlet', () => {
    const rear = newContainer('black', 'rear', 'Rear', 10)
    const document = withRig(
      base(),
      [fresh(), gray(), newContainer('black', 'black', 'Black', 60), rear],
      { kitchen: [sink], toilet: [toilet({}), toilet({ id: 'toilet-2', drains: 'rear' })] },
      { fresh: 400, rear: 1 },
      { outlets: [{ ...newOutlet('second', 'Rear'), containers: ['rear'] }] },
    )
    expect(counted(document)).toMatchObject({ stopper: 'rear', days: expect.closeTo(8 / 2.05, 9) as number })
  })

  it('11: the old black tank joined to gray as a second gray', () => {
    const build = (measured: boolean) => {
      const tank = (kind: 'gray' | 'black', size: number, height: number, bottom: number) => {
        const shape = { height: owned(height), bottom: owned(bottom), error: owned(0) }
        return { ...newContainer(kind, kind, kind, size), ...(measured ? { shape } : {}) } as Container
      }
      const both = ['gray', 'black']
      return withRig(
        base([SINK]),
        [fresh(), tank('gray', 100, 0.4, 0.1), tank('black', 60, 0.3, 0)],
        { kitchen: [sink] },
        { fresh: 400 },
        { outlets: [{ ...newOutlet('outlet', 'Outlet'), containers: both, endValve: true, joined: both }] },
      )
    }
    expect(counted(build(true))).toMatchObject({ stopper: 'gray', days: expect.closeTo(9.65, 9) as number })
    expect(counted(build(false)).days).toBeCloseTo(14.4, 9)
  })

  it('13: half of the shower kept in a small vessel for flushing', () => {
    const shower = use('shower', {
      kind: 'shower',
      role: 'shower',
      rate: 1,
      volume: 10,
      weights: [0, 0, 1, 0],
    })
    const flushing = use('liquid-use', { kind: 'liquid-use', role: 'toilet', rate: 4, volume: 1 })
    const keep = habit(
      'keep',
      [
        { kind: 'catch', activity: 'shower', share: owned(0.5) },
        { kind: 'reuse', activity: 'liquid-use', share: owned(1) },
      ],
      { vessel: { capacity: owned(4), clean: false } },
    )
    const document = example({
      fresh: [400, 0, 400],
      gray: [60, 0.9, 0],
      black: [400, 0.9, 0],
      uses: [shower, flushing],
      habits: [keep],
      stay: { habits: [{ habit: 'keep', days: null, persons: null }] },
    })
    const { days, stopper, model, ledger } = counted(document)
    expect([stopper, days]).toEqual(['gray', expect.closeTo(7.5 + 0.25 * (5 / 6), 9)])
    expect([...ledger.levels.subarray(0, 5)]).toEqual([399, 398, 388, 388, 388])
    expect([...ledger.levels.subarray(model.grid.count, model.grid.count + 7)]).toEqual([
      0, 0, 6, 6, 7, 7, 13,
    ])
  })

  it('14: heat, a shower by the clock, and a heater that counts', () => {
    const drinking = use('drinking', {
      kind: 'drinking',
      per: 'person',
      rate: 8,
      volume: 0.25,
      drainShare: 0,
    })
    const shower = {
      ...use('shower', { kind: 'shower', role: 'shower', per: 'person', rate: 1, volume: 99 }),
      timed: { flow: owned(5), on: owned(1.5), trickle: owned(0.25), paused: owned(2), runUp: owned(1) },
    }
    const document = example({
      fresh: [100, 10, 100],
      gray: [400, 0.9, 0],
      black: [60, 0.9, 0],
      uses: [drinking, shower],
    })
    document.stays[0]!.weather.usual = owned(35)
    document.rigs[0]!.heater = { volume: owned(20), supply: 'fresh', counted: true }
    expect(counted(document).own.fresh).toBeCloseTo(110 / (2 + 0.8 + 9 * 1.2), 9)
    document.rigs[0]!.heater.counted = false
    expect(counted(document).own.fresh).toBeCloseTo(90 / 13.6, 9)
  })
})

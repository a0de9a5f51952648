import fc from 'fast-check'
import { PARTS } from '@/core/calendar'
import { fillOf, type Container, type Document, type Run, type RunStep } from '@/core/domain'
import { owned } from '@/core/quantities'
import { documentArb, reuseArb } from './generate'

const DOES: RunStep['do'][] = [
  'empty', 'take', 'fill', 'charge', 'top-up', 'transfer', 'by-head', 'loads', 'jugs',
] // prettier-ignore

interface Pick {
  does: number
  from: number
  to: number
  as: number
  litres: number
}

/** A step of any kind that the rig's containers allow; null where they do not. */
function stepOf(containers: readonly Container[], { does, from, to, as, litres }: Pick): RunStep | null {
  const all = (side: string) =>
    containers.filter(({ kind }) => (side === 'waste' ? kind !== 'solids' : true) && fillOf(kind) === side)
  const one = (list: readonly Container[], n: number) => list[n % list.length]?.id ?? null
  const what = DOES[does % DOES.length]!
  const most = { as: 'most' as const, litres: owned(litres) }
  const level = { as: 'level' as const, litres: owned(litres) }
  const any = [{ as: 'all' as const }, most, level]
  const step = (
    ends: [string | null, string | null],
    amount: RunStep['amount'],
    loads = 1,
  ): RunStep | null => ({ do: what, from: ends[0], to: ends[1], amount, loads })
  switch (what) {
    case 'empty':
      return step([one(containers, from), null], { as: 'all' })
    case 'take':
      return step([one(containers, from), null], as % 2 ? most : { as: 'one' })
    case 'fill':
      return step([null, one(all(as % 3 ? 'supply' : 'waste'), to)], any[as % 3]!)
    case 'charge':
    case 'top-up':
      return step(
        [as % 2 ? null : one(all('supply'), from), one(all('waste'), to)],
        as % 4 < 2 ? { as: 'school' } : what === 'charge' ? most : level,
      )
    case 'transfer': {
      const ends: [string | null, string | null] = [one(all('supply'), from), one(all('waste'), to)]
      const back: [string | null, string | null] = [one(all('waste'), from), one(all('waste'), to)]
      if (as % 4 === 3) return step(ends, { as: 'school' })
      return as % 2 || back[0] === back[1] ? step(ends, any[as % 3]!) : step(back, any[as % 3]!)
    }
    case 'by-head':
      return step(['gray-0', 'black'], { as: 'head', within: owned(litres / 40) })
    case 'loads':
      return step([one(all('waste'), from), one(all('carrier'), to)], { as: 'all' }, 1 + (as % 4))
    case 'jugs':
      return step([one(all('carrier'), from), one(all('supply'), to)], { as: 'all' }, 1 + (as % 4))
  }
}

const pickArb: fc.Arbitrary<Pick> = fc.record({
  does: fc.nat(100),
  from: fc.nat(20),
  to: fc.nat(20),
  as: fc.nat(20),
  litres: fc.double({ min: 0, max: 120, noNaN: true }),
})

const runArb = fc.record({
  day: fc.nat(20),
  part: fc.nat(3),
  picks: fc.array(pickArb, { minLength: 1, maxLength: 4 }),
})

/** Runs of every kind set on a generated stay, some of them in the same part; with or without a payload. */
export const withRunsArb: fc.Arbitrary<Document> = fc
  .tuple(
    fc.oneof(documentArb, reuseArb),
    fc.array(runArb, { minLength: 1, maxLength: 8 }),
    fc.option(fc.double({ min: 50, max: 900, noNaN: true })),
    fc.double({ min: 0, max: 5, noNaN: true }),
  )
  .map(([document, runs, payload, residue]) => {
    const copy = structuredClone(document)
    const [rig] = copy.rigs
    if (payload !== null) rig!.payload = { limit: owned(payload), other: owned(20) }
    for (const container of rig!.containers) if ('residue' in container) container.residue = owned(residue)
    copy.stays[0]!.runs = runs.flatMap(({ day, part, picks }, r): Run[] => {
      const steps = picks.map((pick) => stepOf(rig!.containers, pick)).filter((step) => step !== null)
      return steps.length === 0 ? [] : [runOf(`run-${r}`, day, PARTS[part]!, steps)]
    })
    return copy
  })

export function runOf(
  id: string,
  day: number,
  part: Run['part'],
  steps: RunStep[],
  more: Partial<Run> = {},
): Run {
  return {
    id,
    name: id,
    kind: 'move',
    day,
    part,
    place: null,
    steps,
    minutes: owned(0),
    kilometres: owned(0),
    fee: owned(0),
    bother: owned(0),
    ...more,
  }
}

export function runStep(
  does: RunStep['do'],
  from: string | null,
  to: string | null,
  amount: RunStep['amount'] = { as: 'all' },
  loads = 1,
): RunStep {
  return { do: does, from, to, amount, loads }
}

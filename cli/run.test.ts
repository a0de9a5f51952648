import { execFileSync, spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import type { Run } from '@/core/domain'
import { owned } from '@/core/quantities'
import { runOf, runStep } from '../tests/support/generateRuns'
import { inProof } from '../tests/support/thorough'
import { run } from './run'

const DEMO = 'demo/harrow-ridge-trailer.drycount.json'
const text = readFileSync(DEMO, 'utf8')
const read = () => text
/** The same stay with nothing counted and nothing logged. */
const unlogged = () => {
  const file = JSON.parse(text) as { stays: { counted: unknown[] }[]; log: unknown[] }
  file.stays[0]!.counted = []
  return JSON.stringify({ ...file, log: [] })
}

interface Answer {
  format: string
  count: { days: number; stopper: string; at: string }
  containers: { id: string; side: string; limit: number; start: number; count: number; levels: number[] }[]
  flows: { part: number; activity: string; from: string; to: string; amount: number }[]
}

interface Held {
  holds?: Answer['count']
  runs?: { id: string; steps: { moved: number; undone: number; bound: string }[] }[]
  withRuns?: boolean
  nights: { chance: number }
}

interface Span {
  median: number
  low80: number
  high80: number
}
interface Learnt {
  format: string
  from: string
  activities: { id: string; prior: Span; posterior: Span; logged: number }[]
  levels: { container: string; mean: number; low80: number; high80: number; probe: string }[]
  next: string[]
}
interface Spread {
  count: { p10: number; p90: number }
}

describe('dry-count count', () => {
  it('answers as documented: levels are the start plus the flows, and the first crossing is the count', async () => {
    const { output, exitCode } = await run(['count', DEMO], read)
    const answer = JSON.parse(output!) as Answer
    expect([exitCode, answer.format, answer.count.stopper]).toEqual([0, 'dry-count/count@1', 'gray'])
    for (const { id, start, levels } of answer.containers) {
      let level = start
      levels.forEach((shown, part) => {
        for (const { from, to, amount } of answer.flows.filter((flow) => flow.part === part))
          level += to === id ? amount : from === id ? -amount : 0
        expect(Math.abs(level - shown)).toBeLessThan(1e-9)
      })
    }
    expect(Math.min(...answer.containers.flatMap(({ count }) => count ?? []))).toBe(answer.count.days)
    expect(answer.count.at).toBe('2027-09-17T17:37')
    const keys = answer.flows.map(({ part, activity, from, to }) => `${part} ${activity} ${from} ${to}`)
    expect(new Set(keys).size).toBe(keys.length)
  })

  it('takes a stay and a horizon', async () => {
    const { output } = await run(['count', DEMO, '--stay', 'harrow-ridge', '--horizon', '3'], read)
    const answer = JSON.parse(output!) as Answer
    expect(answer.count).toEqual({ days: null, stopper: null, at: null })
    expect(answer.containers[0]!.levels.length).toBe(13)
  })

  it('plays the runs that are set where it is told to: the dry count stays, what holds stands beside it', async () => {
    const file = JSON.parse(unlogged()) as { stays: { runs: Run[] }[] }
    const tote = runStep('loads', 'gray', 'tote', { as: 'all' }, 4)
    file.stays[0]!.runs = [
      runOf('tote', 5, 'midday', [tote, runStep('fill', null, 'fresh', { as: 'most', litres: owned(500) })]),
    ]
    const from = () => JSON.stringify(file)
    const ask = async (command: string, ...more: string[]) =>
      JSON.parse((await run([command, DEMO, ...more], from)).output!) as Answer & Held
    const [dry, held] = [await ask('count'), await ask('count', '--with-runs')]
    expect(dry.holds).toBeUndefined()
    expect(held.count).toEqual(dry.count)
    expect(held.holds!.days).toBeGreaterThan(dry.count.days)
    const [load, fill] = held.runs![0]!.steps
    expect(load!.moved).toBeGreaterThan(100)
    expect(fill).toMatchObject({ bound: 'payload' })
    const level = (answer: Answer) => answer.containers.find(({ id }) => id === 'gray')!.levels.at(-1)!
    expect(level(dry) - level(held)).toBeCloseTo(load!.moved, 6)
    const trips = ['--trials', '400', '--horizon', '14']
    const [without, withThem] = [await ask('risk', ...trips), await ask('risk', ...trips, '--with-runs')]
    expect(withThem.withRuns).toBe(true)
    expect(withThem.nights.chance).toBeGreaterThanOrEqual(without.nights.chance)
    expect((await run(['habits', DEMO, '--with-runs'], read)).messages.join()).toContain('unknown option')
  })

  it('counts from now: the rest of the ledger, at the same instant', async () => {
    const whole = JSON.parse((await run(['count', DEMO], unlogged)).output!) as Answer
    const now = ['--now', '2027-09-14T11:00']
    const later = JSON.parse((await run(['count', DEMO, ...now], unlogged)).output!) as Answer & {
      from: string
      start: string
    }
    expect([later.start, later.from]).toEqual(['2027-09-11T16:00', '2027-09-14T11:00'])
    // From four in the afternoon: the rest of a midday, and eleven parts to eleven in the morning of the third day after.
    expect(later.count.days).toBeCloseTo(whole.count.days - 67 / 24, 6)
    expect(later.count.at).toBe(whole.count.at)
    whole.containers.forEach(({ levels }, c) => {
      expect(later.containers[c]!.start).toBeCloseTo(levels[11]!, 9)
      expect(later.containers[c]!.levels[3]).toBeCloseTo(levels[15]!, 9)
    })
    for (const bad of ['2027-09-11T15:00', '2027-10-14T11:00', 'noon'])
      expect((await run(['count', DEMO, '--now', bad], read)).messages.join()).toContain(
        'expected a time of the stay',
      )
  })

  it('stands on the log: what was read and counted moves the levels, and learn says what it teaches', async () => {
    const now = ['--now', '2027-09-14T15:20']
    const ask = async (command: string, from: () => string, ...more: string[]) =>
      JSON.parse((await run([command, DEMO, ...now, ...more], from)).output!) as Answer & Learnt & Spread
    const [plan, logged] = [await ask('count', unlogged), await ask('count', read)]
    const learnt = await ask('learn', read)
    expect([learnt.format, learnt.from]).toEqual(['dry-count/learn@1', now[1]])
    logged.containers.forEach(({ id, start }) => {
      const { mean, low80, high80, probe } = learnt.levels.find(({ container }) => container === id)!
      expect(start).toBeCloseTo(mean, 9)
      expect([low80 <= mean, mean <= high80, probe]).toEqual([true, true, 'ok'])
    })
    expect(logged.containers.map(({ start }) => start)).not.toEqual(plan.containers.map(({ start }) => start))
    const shower = learnt.activities.find(({ id }) => id === 'shower')!
    expect(shower.logged).toBe(4)
    expect(shower.posterior.high80 - shower.posterior.low80).toBeLessThan(
      shower.prior.high80 - shower.prior.low80,
    )
    expect(learnt.next.length).toBeGreaterThan(3)
    // What was read makes what to plan on surer than the plan alone.
    const [sure, unsure] = [
      await ask('risk', read, '--trials', '1000'),
      await ask('risk', unlogged, '--trials', '1000'),
    ]
    const width = ({ count: { p10, p90 } }: Spread) => p90 - p10
    expect(width(sure)).toBeLessThan(width(unsure))
    // Without a time: up to the last entry.
    const last = JSON.parse((await run(['learn', DEMO], read)).output!) as Learnt
    expect(last.from).toBe('2027-09-14T13:05')
  })

  it('exits 2 with one line per fault, and never a stack trace', async () => {
    const bad = text.replace('"value": 340', '"value": -1').replace('"drains": "black"', '"drains": "sea"')
    const cases: [string[], string][] = [
      [[], 'Usage'],
      [['levels', DEMO], 'unknown command'],
      [['count'], 'name a file'],
      [['count', DEMO, '--colour', 'red'], 'unknown option'],
      [['count', DEMO, '--stay', 'moon'], 'expected the id of a stay'],
      [['count', DEMO, '--horizon', 'far'], 'expected a number from 1 to 366'],
      [['risk', DEMO, '--trials', '2.5'], 'expected a number from 1'],
      [['habits', DEMO, '--now', '2027-09-14T11:00'], 'unknown option'],
      [['habits', DEMO, '--seed', '-1'], 'expected a number from 0'],
    ]
    for (const [args, words] of cases) {
      const { output, messages, exitCode } = await run(args, read)
      expect([output, exitCode]).toEqual([null, 2])
      expect(messages.join(' ')).toContain(words)
    }
    const { messages } = await run(['count', 'x.json'], () => bad)
    expect(messages).toEqual([
      'x.json: rigs[0].containers[0].capacity.value: found -1, expected 0.1. It cannot be less than 0.1.',
    ])
    const gone = await run(['count', 'gone.json'], () => {
      throw new Error('ENOENT')
    })
    expect(gone.messages).toEqual(['gone.json: cannot be read'])
  })

  it('works as a command, on a file and on standard input', () => {
    const tsx = ['--import', 'tsx', 'cli/main.ts', 'count']
    const file = execFileSync(process.execPath, [...tsx, DEMO], { encoding: 'utf8' })
    const stdin = spawnSync(process.execPath, [...tsx, '-'], { input: text, encoding: 'utf8' })
    expect(stdin.stdout).toBe(file)
    const broken = spawnSync(process.execPath, [...tsx, '-'], { input: '{', encoding: 'utf8' })
    expect([broken.status, broken.stdout]).toEqual([2, ''])
    expect(broken.stderr).not.toContain('at ')
  })
})

interface Chances {
  trials: number
  count: { p10: number; p50: number; p90: number; beyond: number }
  stoppers: Record<string, number>
  nights: { planned: number; chance: number }
  containers: { id: string; p10: number[]; p50: number[]; p90: number[] }[]
}

describe('dry-count risk', () => {
  const risk = async (...args: string[]) =>
    JSON.parse((await run(['risk', DEMO, ...args], read)).output!) as Chances

  it('answers as documented: ordered quantiles, shares that add to 1, a fan for every container and part', async () => {
    const { trials, count, stoppers, nights, containers } = await risk('--trials', '800', '--horizon', '20')
    expect([trials, nights.planned]).toEqual([800, 12])
    expect([count.p10, count.p50, count.p90]).toEqual([count.p90, count.p10, count.p50].sort((a, b) => a - b))
    expect(Object.values(stoppers).reduce((sum, share) => sum + share, count.beyond)).toBeCloseTo(1, 12)
    expect(Object.keys(stoppers)[0]).toBe('gray')
    expect(nights.chance).toBeLessThan(0.1)
    expect(containers.map(({ p10 }) => p10.length)).toEqual([81, 81, 81, 81])
  })

  it('plays trips from now: what is not known by then is drawn together, and the nights are those that are left', async () => {
    const ask = async (...now: string[]) =>
      JSON.parse((await run(['risk', DEMO, '--trials', '2000', ...now], unlogged)).output!) as {
        from?: string
        count: { p10: number; p50: number; p90: number }
        nights: { chance: number }
        containers: { id: string; p10: number[]; p90: number[] }[]
      }
    const [whole, later] = [await ask(), await ask('--now', '2027-09-14T11:00')]
    expect(later.from).toBe('2027-09-14T11:00')
    const gone = 67 / 24
    // Nothing was read on the way: the chances are those of the start, less the days that are gone.
    for (const key of ['p10', 'p50', 'p90'] as const)
      expect(Math.abs(later.count[key] + gone - whole.count[key])).toBeLessThan(0.25)
    expect(Math.abs(later.nights.chance - whole.nights.chance)).toBeLessThan(0.01)
    const width = ({ p10, p90 }: { p10: number[]; p90: number[] }, part: number) => p90[part]! - p10[part]!
    later.containers.forEach((fan, c) => {
      const [was, is] = [width(whole.containers[c]!, 19), width(fan, 7)]
      if (was > 5) expect(is / was).toBeGreaterThan(0.75)
      if (was > 5) expect(is / was).toBeLessThan(1.3)
    })
  })

  it('is the same for the same seed and another for another', async () => {
    const [one, again, other] = await Promise.all(
      ['3', '3', '4'].map((seed) => risk('--trials', '300', '--seed', seed, '--horizon', '20')),
    )
    expect(again).toEqual(one)
    expect(other!.count).not.toEqual(one!.count)
  })
})

describe('dry-count habits', () => {
  it('answers as documented, most days to plan on for the bother first', async () => {
    const { output } = await run(['habits', DEMO, '--trials', '200'], read)
    const answer = JSON.parse(output!) as {
      base: { days: number; planOn: number }
      habits: {
        id: string
        on: boolean
        daysBought: number
        planOnBought: number
        bother: number
        blockedBy: unknown
      }[]
    }
    expect(answer.base.planOn).toBeLessThan(answer.base.days)
    const worth = answer.habits.map(({ planOnBought, bother }) => planOnBought / (0.5 + bother))
    expect(worth).toEqual([...worth].sort((a, b) => b - a))
    expect(answer.habits.find(({ id }) => id === 'tooth-cup')!.on).toBe(true)
    expect(answer.habits.find(({ id }) => id === 'outdoor-shower')!.blockedBy).toEqual({
      gear: ['outdoor-shower'],
      permission: 'washing-water',
    })
  })
})

describe('the command line as a process', () => {
  const command = (shell: string) => spawnSync('bash', ['-o', 'pipefail', '-c', shell], { encoding: 'utf8' })
  const count = `${process.execPath} --import tsx cli/main.ts count`

  // A process that begins and compiles takes seconds each time.
  inProof(
    'ends quietly where the reader has gone, says where there is no room, and takes a byte-order mark',
    () => {
      const piped = command(`${count} ${DEMO} | head -c 20`)
      expect([piped.status, piped.stdout, piped.stderr]).toEqual([0, '{"format":"dry-count', ''])
      const full = command(`${count} ${DEMO} > /dev/full`)
      expect([full.status, full.stderr]).toEqual([1, 'the answer could not be written (no room left)\n'])
      const marked = command(`(printf '\\xef\\xbb\\xbf'; cat ${DEMO}) | ${count} - | head -c 1`)
      expect([marked.status, marked.stdout, marked.stderr]).toEqual([0, '{', ''])
    },
  )
})

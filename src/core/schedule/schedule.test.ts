import { describe, expect, it } from 'vitest'
import { slotAt, slotNumber, slotOfTime } from '../calendar'
import { count } from '../count'
import { compile } from '../compile'
import { QUESTIONS, caseOf, type Document, type Run, type RunStep, type Question } from '../domain'
import { owned } from '../quantities'
import { newContainer, startLevel } from '@/document/starters'
import { runOf, runStep } from '../../../tests/support/generateRuns'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { truckDemo } from '../../../scripts/demo/truck'
import { vanDemo } from '../../../scripts/demo/van'
import {
  groundOf,
  lacks,
  loadsFor,
  placedSteps,
  repeated,
  runOf as errandOf,
  USUAL_RUNS,
  usualRuns,
} from '../errands'
import { riskTables } from '../risk'
import { asDone, blocks, nearestSlot, runAnswers, shutGrayAt, stayCost, tryRun } from './index'

const caseWith = (document: Document, runs: Run[] = []) => {
  document.stays[0]!.runs = runs
  return caseOf(document, document.stays[0]!.id)
}
const answersOf = (document: Document, runs: Run[] = document.stays[0]!.runs) => {
  const stayCase = caseWith(document, runs)
  const model = compile(stayCase)
  return { stayCase, model, answers: runAnswers(stayCase, model, count(model)) }
}
const kinds = (document: Document, run: Run) =>
  tryRun(caseWith(document), run).troubles.map((one) => (one.kind === 'blocked' ? one.why.why : one.kind))
const BY_HEAD = runStep('by-head', 'gray', 'black', { as: 'head', within: owned(5) })
const dump = (steps: RunStep[], more: Partial<Run> = {}) => runOf('run', 5, 'midday', steps, more)

describe('what can be done, and why not', () => {
  it.each<[string, (d: Document) => Run, string]>([
    ['nothing in it', () => runOf('r', 0, 'evening', [runStep('empty', 'tote', null)]), 'nothing-to-take'],
    ['no room', () => runOf('r', 0, 'midday', [runStep('fill', null, 'fresh')]), 'no-room'],
    [
      'a place that takes no black',
      () => dump([runStep('empty', 'black', null)], { place: 'tern-hollow' }),
      'not-accepted',
    ],
    [
      'water not for drinking',
      () => dump([runStep('fill', null, 'fresh')], { place: 'tern-hollow' }),
      'not-potable',
    ],
    [
      'no end valve',
      (d) => {
        d.rigs[0]!.outlets[0]!.endValve = false
        return dump([BY_HEAD])
      },
      'no-end-valve',
    ],
    [
      'no outlet in common',
      (d) => {
        d.rigs[0]!.outlets = []
        return dump([BY_HEAD])
      },
      'no-shared-outlet',
    ],
    [
      'heights that nobody measured',
      (d) => {
        Object.assign(d.rigs[0]!.containers[1]!, { shape: null })
        return dump([BY_HEAD])
      },
      'not-measured',
    ],
    ['gray no higher than black', () => runOf('r', 0, 'evening', [BY_HEAD]), 'not-deeper'],
    ['no pump', () => dump([runStep('loads', 'black', 'tote')], { kind: 'macerate' }), 'no-macerator'],
    ['before the stay', () => runOf('r', 0, 'morning', [runStep('empty', 'gray', null)]), 'outside'],
    ['after the stay', () => runOf('r', 12, 'evening', [runStep('empty', 'gray', null)]), 'outside'],
    ['too late', () => runOf('r', 9, 'midday', [runStep('empty', 'gray', null)]), 'too-late'],
    ['in the quiet hours', () => runOf('r', 4, 'night', [runStep('empty', 'gray', null)]), 'quiet'],
    [
      'black far from full',
      () => runOf('r', 2, 'midday', [runStep('empty', 'black', null)]),
      'under-threshold',
    ],
    [
      'a rig that may carry no more',
      (d) => {
        d.rigs[0]!.payload = { limit: owned(700), other: owned(500) }
        return dump([runStep('fill', null, 'fresh')])
      },
      'payload',
    ],
  ])('%s', (_, make, kind) => {
    const document = trailerDemo()
    const run = make(document)
    expect(kinds(document, run)).toContain(kind)
  })

  it('a run of which the place refuses a step counts for nothing; tanks that do not meet leave that step alone undone', () => {
    const document = trailerDemo()
    const steps = [runStep('empty', 'black', null), runStep('empty', 'gray', null)]
    const { answers, model } = answersOf(document, [dump(steps, { place: 'tern-hollow' })])
    expect(answers[0]!.steps.map(({ moved }) => moved)).toEqual([0, 0])
    expect([answers[0]!.isPossible, model.runs]).toEqual([false, []])
    document.rigs[0]!.outlets[0]!.endValve = false
    const other = answersOf(document, [dump([BY_HEAD, runStep('empty', 'gray', null)])]).answers[0]!
    expect(other.isPossible).toBe(true)
    expect(other.steps.map(({ moved }) => moved > 0)).toEqual([false, true])
    expect(answersOf(document, [dump([BY_HEAD])]).answers[0]!.isPossible).toBe(false)
  })

  it('a heavy cassette warns and counts; the nearest part in which something is moved is found', () => {
    const document = vanDemo()
    const first = slotOfTime(document.stays[0]!.start, document.stays[0]!.start)
    const run = runOf('swap', first.day, first.part, [runStep('take', 'van-cassette', null, { as: 'one' })], {
      kind: 'carry',
    })
    document.stays[0]!.levels.find(({ container }) => container === 'van-cassette')!.level = owned(0)
    const stayCase = caseWith(document)
    const later = tryRun(stayCase, { ...run, day: 3 })
    expect(later.troubles.map(({ kind }) => kind)).toContain('too-heavy')
    expect(later.isPossible).toBe(true)
    expect(tryRun(stayCase, run).troubles.some(blocks)).toBe(true)
    const slot = nearestSlot(stayCase, run)!
    expect(tryRun(stayCase, { ...run, ...slot }).isPossible).toBe(true)
    // None nearer works.
    for (let k = slotNumber(run) + 1; k < slotNumber(slot); k++)
      expect(tryRun(stayCase, { ...run, ...slotAt(k) }).isPossible).toBe(false)
  })
})

describe('the usual errands', () => {
  const of = (document: Document) => usualRuns(caseWith(document)).map(({ usual }) => usual)

  it('are those that the rig has the things for', () => {
    expect(of(trailerDemo())).toEqual([
      'move-dump-fill',
      'tote-loads',
      'gray-to-black',
      'top-up-black',
      'fresh-into-black',
      'arrive-empty',
      'last-dump',
      'go-home',
      'groceries',
    ])
    expect(of(vanDemo())).toEqual([
      'move-dump-fill',
      'cassette-swap',
      'empty-cassette',
      'arrive-empty',
      'last-dump',
      'go-home',
    ])
    expect(of(truckDemo())).toContain('empty-jug')
    const all = trailerDemo()
    const [rig] = all.rigs
    rig!.gear.push('macerator')
    for (const [kind, id] of [
      ['jug', 'jug'],
      ['tote', 'barrel'],
      ['cassette', 'c'],
      ['urine', 'u'],
      ['solids', 's'],
    ] as const) {
      const container = newContainer(kind, id, id)
      rig!.containers.push(
        kind === 'tote'
          ? { ...container, ...{ payload: owned(120) } }
          : 'spares' in container
            ? { ...container, spares: 1 }
            : container,
      )
      all.stays[0]!.levels.push(startLevel(id, owned(0)))
    }
    Object.assign(all.stays[0]!.site, { water: 'tap', sewer: 'all' })
    expect(of(all)).toEqual([...USUAL_RUNS])
    // A tote in the tow vehicle is filled to what that may carry: (120 − 9)/0.998 is more than nine tenths of 60.
    const barrel = rig!.containers.find(({ id }) => id === 'barrel')!
    if (barrel.kind === 'tote') expect([loadsFor(109, barrel), loadsFor(0, barrel)]).toEqual([3, 1])
  })

  it('those that only lack a thing say which; what lacks nothing is offered', () => {
    const of = (document: Document) => lacks(caseWith(document)).map(({ usual, lack }) => `${usual} ${lack}`)
    expect(of(trailerDemo())).toEqual([
      'macerate-tote no-macerator',
      'jugs-of-water no-jug',
      'restock no-hookup',
    ])
    expect(of(vanDemo())).toContain('tote-loads no-tote')
    const document = trailerDemo()
    const [rig] = document.rigs
    rig!.gear.push('macerator')
    rig!.outlets[0]!.endValve = false
    rig!.containers = rig!.containers.filter(({ kind }) => kind !== 'tote')
    const all = of(document)
    expect(all).toContain('macerate-tote no-tote-in-vehicle')
    expect(all).toContain('gray-to-black no-end-valve')
    rig!.outlets[0]!.endValve = true
    Object.assign(rig!.containers[1]!, { shape: null })
    expect(of(document)).toContain('gray-to-black not-measured')
    for (const demo of [trailerDemo(), vanDemo(), truckDemo()]) {
      const stayCase = caseWith(demo)
      const offered = usualRuns(stayCase).map(({ usual }) => usual)
      for (const { usual } of lacks(stayCase)) expect(offered).not.toContain(usual)
    }
  })

  it('each can be done where it is put, and makes what it touches last longer or changes nothing for the worse', () => {
    for (const document of [trailerDemo(), vanDemo(), truckDemo()]) {
      const stayCase = caseWith(document)
      const options = { seed: 3, trials: 100, tables: riskTables() }
      const ground = groundOf(stayCase, options)
      for (const errand of usualRuns(stayCase)) {
        const run = errandOf(stayCase, errand, 'run', { day: 0, part: 'midday' })
        const steps = placedSteps(ground, { ...run, when: errand.when }, options)
        let step = steps.next()
        while (!step.done) step = steps.next()
        // A van that starts empty and full has nothing to do on arrival, and by then no fresh is left over.
        const mayFail = ['arrive-empty', 'fresh-into-black'].includes(errand.usual)
        expect([errand.usual, mayFail || step.value !== null]).toEqual([errand.usual, true])
        if (step.value) expect(tryRun(stayCase, step.value.run).isPossible).toBe(true)
      }
    }
  })

  it('comes again every third day until the stay is left, and says what was done to the log', () => {
    const document = trailerDemo()
    let n = 0
    const run = runOf('tote', 2, 'midday', [
      runStep('loads', 'gray', 'tote', { as: 'all' }, 4),
      runStep('fill', null, 'fresh'),
    ])
    const copies = repeated(run, caseWith(document), () => `copy-${(n += 1)}`)
    expect(copies.map(({ id, day }) => [id, day])).toEqual([
      ['copy-1', 5],
      ['copy-2', 8],
      ['copy-3', 11],
    ])
    document.stays[0]!.levels[1]!.level = owned(120)
    document.stays[0]!.levels[0]!.level = owned(200)
    const saysOfFresh = (fresh: object) => {
      const { stayCase, model } = answersOf(document, [])
      expect(asDone(stayCase, model, run)).toEqual([
        { container: 'gray', what: 'emptied', litres: null },
        { container: 'fresh', ...fresh },
      ])
    }
    // What the payload cut short was not filled.
    saysOfFresh({ what: 'put-in', litres: 117.7 })
    document.rigs[0]!.payload = null
    saysOfFresh({ what: 'filled', litres: null })
  })
})

it('what a stay costs: by run and in sum, with what it is worth to the crew', () => {
  const document = trailerDemo()
  document.stays[0]!.habits = []
  const move = dump([runStep('empty', 'black', null)], {
    minutes: owned(60),
    kilometres: owned(20),
    fee: owned(12),
    bother: owned(3),
  })
  const { stayCase, answers } = answersOf(document, [move])
  const cost = stayCost(stayCase, answers)
  // Three rounds of three quarters of 130 L at 10 L a minute.
  expect(cost.runs[0]!.rinseL).toBeCloseTo(292.5, 9)
  expect(cost.minutes).toBeCloseTo(60 + 29.25, 9)
  expect(cost.total).toBeCloseTo(12 + 89.25 * 0.1 + 20 * 0.3 + 3, 9)
  const van = vanDemo()
  const carry = runOf('c', 1, 'midday', [runStep('empty', 'van-cassette', null)], { kind: 'carry' })
  const carried = answersOf(van, [carry])
  expect(stayCost(carried.stayCase, carried.answers).carriedL).toBeCloseTo(
    carried.answers[0]!.steps[0]!.moved,
    9,
  )
})

describe('schools: which side changes which sum or step', () => {
  /** Everything that may follow a side: the steps of the usual errands, what they move, their troubles and cost, the count. */
  function follows(school: Question, side: string): string {
    const document = trailerDemo()
    Object.assign(document.crews[0]!.schools.sides, { [school]: side })
    Object.assign(document.stays[0]!.site, { sewer: 'gray', hookupNights: 3 })
    const stayCase = caseWith(document)
    const runs = usualRuns(stayCase).map(({ usual, kind, steps, minutes, kilometres, fee, bother }): Run => ({
      ...{ kind, steps, minutes, kilometres, fee, bother },
      id: usual,
      name: usual,
      place: null,
      day: usual === 'last-dump' ? 12 : 5,
      part: usual === 'last-dump' ? 'midday' : 'evening',
    }))
    const all = runs.map((run) => answersOf(document, [run]))
    const van = vanDemo()
    Object.assign(van.crews[0]!.schools.sides, { [school]: side })
    const heavy = kinds(
      van,
      runOf('swap', 3, 'midday', [runStep('empty', 'van-cassette', null)], { kind: 'carry' }),
    )
    return JSON.stringify([
      all.map(({ stayCase: of, answers, model }) => [
        answers.map(({ run, steps, troubles }) => [run.steps, steps.map(({ moved }) => moved), troubles]),
        stayCost(of, answers),
        count(model).days,
      ]),
      tryRun(
        van.stays[0] ? caseWith(van) : stayCase,
        runOf('swap', 3, 'midday', [runStep('empty', 'van-cassette', null)], { kind: 'carry' }),
      ).troubles.some(blocks),
      heavy,
    ])
  }

  it('these do today; the others change cards, chores or what the land allows', () => {
    const changing = (Object.keys(QUESTIONS) as Question[]).filter(
      (school) => new Set(QUESTIONS[school].map((side) => follows(school, side))).size > 1,
    )
    expect(changing.sort()).toEqual(
      [
        'cassette-when',
        'charge',
        'dump-black',
        'fresh-driving',
        'fresh-left',
        'gray-at-hookup',
        'on-the-road',
        'rinse-when',
        'valve-first',
      ].sort(),
    )
  })

  it('by hand: a charge of none, 6, 15 L or a fifth of 130', () => {
    const chargeOf = (side: string) => {
      const document = trailerDemo()
      Object.assign(document.crews[0]!.schools.sides, { charge: side })
      const { answers } = answersOf(document, [
        dump([runStep('empty', 'black', null), runStep('charge', null, 'black', { as: 'school' })]),
      ])
      return answers[0]!.steps[1]!.moved
    }
    expect(QUESTIONS.charge.map(chargeOf)).toEqual([6, 0, 15, 26])
  })

  it('gray stands open at a hookup until there is enough to wash the hose with, shut it fills from the start', () => {
    const at = (side: string) => {
      const document = trailerDemo()
      Object.assign(document.crews[0]!.schools.sides, { 'gray-at-hookup': side })
      Object.assign(document.stays[0]!.site, { sewer: 'gray', hookupNights: 3 })
      const stayCase = caseWith(document)
      const model = compile(stayCase)
      const { ledger, containers } = count(model)
      const gray = model.containers.findIndex(({ id }) => id === 'gray')
      const end = model.grid.day.findIndex((day, i) => day === 3 && model.grid.part[i] === 1)
      return {
        shut: shutGrayAt(model),
        level: ledger.levels[gray * model.grid.count + end - 1]!,
        days: containers[gray]!,
      }
    }
    const [shut, open] = [at('shut'), at('open')]
    expect(shut.shut).toBeNull()
    expect(open.shut! > '2027-09-13' && open.shut! < '2027-09-14T11:00').toBe(true)
    // At least the 20 L wanted, and no more than a part's use above.
    expect(open.level).toBeGreaterThanOrEqual(20)
    expect(open.level).toBeLessThan(40)
    expect(open.days).toBeGreaterThan(shut.days)
  })
})

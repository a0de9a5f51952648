import { describe, expect, it } from 'vitest'
import { checked } from '@/document'
import { newContainer, startLevel, newFixture } from '@/document/starters'
import { count, dryCount } from '../count'
import { explainCount } from '../explain'
import { compile } from '../compile'
import { caseOf, type Document, type Run } from '../domain'
import { owned } from '../quantities'
import { runAnswers } from './index'
import { example, use, withRig } from '../../../tests/support/build'
import { runOf, runStep } from '../../../tests/support/generateRuns'

function withRuns(document: Document, runs: Run[]) {
  const copy = structuredClone(document)
  copy.stays[0]!.runs = runs
  expect(checked(copy)).toMatchObject({ ok: true })
  const stayCase = caseOf(copy, 'stay')
  const model = compile(stayCase)
  const result = count(model)
  return { model, result, dry: dryCount(model), answers: runAnswers(stayCase, model, result) }
}

describe('docs/worked-examples.md, runs', () => {
  it('15: a move half-way', () => {
    const document = example({
      fresh: [100, 4, 100],
      gray: [80, 0.9, 0],
      black: [40, 0.9, 0],
      uses: [use('sink', { rate: 24, volume: 1 })],
    })
    const move = runOf('move', 2, 'midday', [runStep('empty', 'gray', null), runStep('fill', null, 'fresh')])
    const { model, result, dry, answers } = withRuns(document, [move])
    expect(dry.days).toBeCloseTo(3, 9)
    expect(result.days).toBeCloseTo(5.25, 9)
    expect(result.stopper).toBe('gray')
    expect(result.containers[0]).toBeCloseTo(6.25, 9)
    expect(answers[0]!.steps.map(({ moved }) => moved)).toEqual([
      expect.closeTo(54, 9),
      expect.closeTo(54, 9),
    ])
    const sum = explainCount(model, result, 1)!
    expect(sum.runs).toEqual([{ run: 'move', part: 9, amount: expect.closeTo(-54, 9) as number, undone: [] }])
    const terms = sum.terms.reduce((all, { amount }) => all + amount, 0)
    expect(sum.start + terms + sum.runs[0]!.amount).toBeCloseTo(sum.level, 9)
    expect(sum.level).toBeCloseTo(72, 9)
  })

  it('16: two cassettes carried away, one after the other', () => {
    const cassette = newContainer('cassette', 'cassette', 'Cassette', 20)
    const document = withRig(
      example({
        fresh: [500, 0, 500],
        gray: [80, 0.9, 0],
        black: [40, 0.9, 0],
        uses: [use('toilet', { role: 'toilet', rate: 6, volume: 1 })],
      }),
      [
        newContainer('fresh', 'fresh', 'Fresh', 500),
        { ...cassette, ...('spares' in cassette ? { spares: 1 } : {}) },
      ],
      { toilet: [newFixture('toilet', 'Toilet', 'fresh', 'cassette')] },
      { fresh: 500, cassette: 0 },
    )
    const carry = (id: string, day: number) =>
      runOf(id, day, 'midday', [runStep('take', 'cassette', null, { as: 'one' })], { kind: 'carry' })
    const { result, dry, answers } = withRuns(document, [carry('first', 2), carry('second', 5)])
    expect(dry.days).toBeCloseTo(34 / 6, 9)
    expect(answers.map(({ steps }) => steps[0]!.moved)).toEqual([
      expect.closeTo(13.5, 9),
      expect.closeTo(17, 9),
    ])
    expect(answers[0]!.steps[0]).toMatchObject({ undone: expect.closeTo(3.5, 9) as number, bound: 'giver' })
    expect(answers[0]!.liftedKg).toBeCloseTo(4 + 13.5 * 0.998, 9)
    expect(answers[1]!.liftedKg).toBeCloseTo(4 + 17 * 0.998, 9)
    expect(answers.flatMap(({ troubles }) => troubles.map(({ kind }) => kind))).toEqual([
      'short-of',
      'too-heavy',
      'too-heavy',
    ])
    expect(result.days).toBeCloseTo(10.75, 9)
  })

  const gray = example({
    fresh: [1000, 4, 1000],
    gray: [200, 0.9, 0],
    black: [50, 0.9, 0],
    uses: [use('sink', { rate: 36, volume: 1 })],
  })
  function withTote(litres: number): Document {
    const copy = structuredClone(gray)
    copy.rigs[0]!.containers.push(newContainer('tote', 'tote', 'Tote', 60))
    copy.stays[0]!.levels.push(startLevel('tote', owned(litres)))
    return copy
  }

  it('17: tote loads with a remainder', () => {
    const run = (loads: number) =>
      runOf('tote', 4, 'morning', [runStep('loads', 'gray', 'tote', { as: 'all' }, loads)])
    const two = withRuns(withTote(0), [run(2)])
    expect(two.dry.days).toBeCloseTo(5, 9)
    expect(two.answers[0]!.steps[0]).toMatchObject({
      moved: expect.closeTo(108, 9) as number,
      undone: expect.closeTo(36, 9) as number,
      bound: 'room',
    })
    expect(two.result.days).toBeCloseTo(8, 9)
    expect(withRuns(withTote(0), [run(3)]).result.days).toBeCloseTo(9, 9)
  })

  it('18: a partial dump, cut by the room there is', () => {
    const run = runOf('over', 3, 'morning', [runStep('transfer', 'gray', 'tote')])
    const { result, answers } = withRuns(withTote(20), [run])
    expect(answers[0]!.steps[0]).toMatchObject({
      moved: expect.closeTo(34, 9) as number,
      undone: expect.closeTo(74, 9) as number,
      bound: 'room',
    })
    expect(result.days).toBeCloseTo(3 + (180 - 74) / 36, 9)
  })

  it('19: topped up before a dump, charged after it', () => {
    const document = example({
      fresh: [100, 4, 100],
      gray: [80, 0.9, 0],
      black: [50, 0.9, 0],
      uses: [use('toilet', { role: 'toilet', rate: 10, volume: 1 })],
    })
    const { result, dry, answers } = withRuns(document, [
      runOf('dump', 2, 'midday', [
        runStep('top-up', 'fresh', 'black', { as: 'school' }),
        runStep('empty', 'black', null),
        runStep('charge', null, 'black', { as: 'school' }),
      ]),
    ])
    expect(dry.days).toBeCloseTo(4.5, 9)
    expect(answers[0]!.steps.map(({ moved }) => moved)).toEqual(
      [15, 37.5, 6].map((litres) => expect.closeTo(litres, 9) as number),
    )
    expect(result.stopper).toBe('black')
    expect(result.days).toBeCloseTo(6.15, 9)
    expect(result.containers[0]).toBeCloseTo(8.1, 9)
  })
})

// @vitest-environment happy-dom
import { beforeEach, describe, expect, it } from 'vitest'
import { count } from '@/core/count'
import { compile } from '@/core/compile'
import { caseOf, type Run, type StayCase } from '@/core/domain'
import { UNIT_SYSTEMS, owned } from '@/core/quantities'
import { runAnswers, stayCost, type Trouble } from '@/core/schedule'
import { useSettingsStore } from '@/data/settingsStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { runOf, runStep } from '../../../tests/support/generateRuns'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { useRunWords } from './useRunWords'
import { freshStores } from '../../../tests/support/freshStores'

beforeEach(() => freshStores())

/** The words for runs of the trailer's stay, metric. */
function words(runs: Run[]) {
  const document = trailerDemo()
  document.stays[0]!.runs = runs
  useWorkspaceStore().replace('run', () => document)
  useSettingsStore().units = { ...UNIT_SYSTEMS.metric }
  const stayCase: StayCase = caseOf(document, 'harrow-ridge')
  const model = compile(stayCase)
  const answers = runAnswers(stayCase, model, count(model))
  return { ...useRunWords(), answers, cost: stayCost(stayCase, answers).runs }
}

const plain = (text: string) => text.replaceAll('\u00a0', ' ')

describe('what a run says of itself', () => {
  it('each container once, what it held and holds; then only what it takes at all', () => {
    const run = runOf(
      'r',
      5,
      'midday',
      [
        runStep('top-up', 'fresh', 'black', { as: 'school' }),
        runStep('empty', 'black', null),
        runStep('empty', 'gray', null),
        runStep('charge', null, 'black', { as: 'school' }),
      ],
      { minutes: owned(60), kilometres: owned(18), fee: owned(12) },
    )
    const { changes, takes, answers, cost } = words([run])
    const said = changes(answers[0]!).map(plain)
    expect(said).toHaveLength(3)
    expect(said[1]).toMatch(/^Black \d\d L → 6 L$/)
    expect(said[2]).toMatch(/^Gray \d+ L → 0(\.00)? L$/)
    expect(plain(takes(answers[0]!, cost[0]!))).toMatch(
      /^90 min · 18 km · fee 12 · with 293 L of rinsing, 29 min$/,
    )
    const free = words([runOf('free', 2, 'midday', [runStep('empty', 'gray', null)])])
    expect(free.takes(free.answers[0]!, free.cost[0]!)).toBe('')
  })

  it('water past dry is dry, not less than nothing', () => {
    const { changes, answers } = words([runOf('late', 9, 'midday', [runStep('fill', null, 'fresh')])])
    expect(plain(changes(answers[0]!)[0]!)).toMatch(/^Fresh 0 L → \d+ L$/)
  })

  it('every trouble has words, with the names and amounts it speaks of', () => {
    const { trouble, answers } = words([
      runOf('r', 2, 'midday', [runStep('empty', 'gray', null)], { place: 'tern-hollow' }),
    ])
    const step = { step: 0, container: 'gray' }
    const all: Trouble[] = [
      { kind: 'blocked', step: 0, why: { why: 'not-accepted', what: 'black' }, isWhole: true },
      { kind: 'blocked', step: 0, why: { why: 'not-potable' }, isWhole: true },
      { kind: 'blocked', step: 0, why: { why: 'no-end-valve' }, isWhole: true },
      { kind: 'nothing-to-take', ...step },
      { kind: 'no-room', ...step, undone: 20 },
      { kind: 'payload', ...step, undone: 20 },
      { kind: 'less-by-payload', ...step, undone: 20 },
      { kind: 'short-of', ...step, undone: 20 },
      { kind: 'room-for', ...step, undone: 20 },
      { kind: 'too-heavy', ...step, kg: 21, limit: 15 },
      { kind: 'heavy', ...step, kg: 21, limit: 15 },
      { kind: 'not-deeper', ...step },
      { kind: 'too-late', container: 'gray', days: 3 },
      { kind: 'over-payload', kg: 30 },
      { kind: 'under-threshold', container: 'gray', share: 0.4, threshold: 0.65 },
      { kind: 'outside' },
      { kind: 'past' },
      { kind: 'quiet' },
      { kind: 'place-unknown' },
    ]
    const said = all.map((one) => plain(trouble(one, answers[0]!)))
    for (const text of said) expect(text).toMatch(/^[A-Z0-9].*[.]$/)
    expect(said[0]).toBe('Tern Hollow, free drain takes no black.')
    expect(said.filter((text) => text.includes('Gray')).length).toBeGreaterThanOrEqual(9)
    expect(said[9]).toBe('Gray weighs 21 kg, you lift 15 kg at most.')
    expect(said[14]).toBe('Gray is only 40 % full; you dump it from 65 %.')
  })

  it('time is told to five minutes, from two hours on in hours; a way in whole units from ten on', () => {
    const { minutes, way } = words([])
    expect([minutes(7), minutes(93), minutes(150)].map(plain)).toEqual(['5 min', '95 min', '2.5 h'])
    expect([way(4), way(2.4), way(18.4)].map(plain)).toEqual(['4 km', '2.4 km', '18 km'])
  })
})

import { expect, it } from 'vitest'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { trailerLog } from '../../../scripts/demo/trailerLog'
import { entry } from '../../../tests/support/entries'
import { runOf, runStep } from '../../../tests/support/generateRuns'
import { count } from '../count'
import { compile } from '../compile'
import { caseOf } from '../domain'
import { caseNow, expectedNow, learnStay, steppedTo } from '../underway'
import { happened } from './index'

const NOW = '2027-09-14T15:20'
const AT = '2027-09-14T08:00'
const trailer = () => caseOf(trailerDemo(), 'harrow-ridge')
const dumped = entry({
  kind: 'run',
  at: AT,
  did: [
    { container: 'black', what: 'emptied', litres: null },
    { container: 'black', what: 'put-in', litres: 6 },
    { container: 'fresh', what: 'filled', litres: null },
    { container: 'gray', what: 'took-out', litres: 40 },
    { container: 'gray', what: 'took-out', litres: null },
    { container: 'gone', what: 'emptied', litres: null },
  ],
})

it('says of a logged run what it moved, as a run in the part it was logged in', () => {
  const [run] = happened([dumped], trailer())
  expect([run!.day, run!.part]).toEqual([3, 'morning'])
  expect(run!.steps.map(({ do: does, from, to, amount }) => [does, from ?? to, amount.as])).toEqual([
    ['empty', 'black', 'all'],
    ['fill', 'black', 'most'],
    ['fill', 'fresh', 'all'],
    ['take', 'gray', 'most'],
  ])
  // What was amended counts as it stands now, what was removed not at all, nor what was before the stay.
  expect(happened([dumped, { ...dumped, revision: 2, isRemoved: true }], trailer())).toEqual([])
  expect(happened([entry({ kind: 'run', at: '2027-09-01T08:00', did: [] })], trailer())).toEqual([])
})

it('an emptying in the log starts what stands on the solids again; one that was only planned does not', () => {
  const learned = (log = trailerLog()) =>
    learnStay({ stayCase: trailer(), log, earlier: [], at: NOW, seed: 1 })
  const solids = ({ now }: ReturnType<typeof learned>) =>
    now.onSolids.find(({ container }) => container === 'black')!
  const before = solids(learned())
  const after = solids(learned([...trailerLog(), dumped]))
  expect(before.uses).toBeGreaterThan(5)
  // Six litres of charge, and what a morning and a midday brought since.
  expect(after.uses).toBeLessThan(3)
  expect(after.liquid).toBeGreaterThan(6)
  expect(after.liquid).toBeLessThan(before.liquid)
  const planned = trailer()
  planned.stay.runs = [runOf('dump', 2, 'midday', [runStep('empty', 'black', null)])]
  const still = learnStay({ stayCase: planned, log: trailerLog(), earlier: [], at: NOW, seed: 1 })
  expect(solids(still)).toEqual(before)
})

it('under way the run of a part that has begun is past; what is planned in between has not happened until it is logged', () => {
  const run = (part: 'midday' | 'evening') =>
    runOf('tote', 3, part, [runStep('loads', 'gray', 'tote', { as: 'all' }, 4)])
  const from = (part: 'midday' | 'evening') => {
    const stayCase = trailer()
    stayCase.stay.runs = [run(part)]
    const known = learnStay({ stayCase, log: trailerLog(), earlier: [], at: NOW, seed: 1 })
    return caseNow(stayCase, known)
  }
  const days = (part: 'midday' | 'evening') => count(compile(from(part))).days!
  expect(days('evening')).toBeGreaterThan(days('midday') + 0.3)
  const gray = (stayCase: ReturnType<typeof from>) =>
    stayCase.now!.levels.find(({ container }) => container === 'gray')!.level
  const later = steppedTo(from('evening'), '2027-09-14T18:00', [])
  expect(gray(later)).toBeGreaterThan(gray(from('evening')))
  // Where nothing is logged at all the plan is what is known.
  const plan = trailer()
  plan.stay.runs = [runOf('tote', 2, 'evening', [runStep('empty', 'gray', null)])]
  expect(gray(expectedNow(plan, NOW))).toBeLessThan(gray(expectedNow(trailer(), NOW)) / 2)
})

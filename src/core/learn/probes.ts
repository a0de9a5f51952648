import type { Evidence, Measured, PanelRead } from './evidence'
import { copyFilter, goOn, logLikely, takeIn, type Filter } from './filter'
import { type Ground } from './ground'
import { WRONG } from './panel'

/** A stuck probe shows the same again with this probability, and begins to be stuck with the other. */
const SAME_AGAIN = 0.97
const BEGINS = 0.002
/** What is stuck shows something else for a while, where its tank truly stands above it. */
const BREAKS = 0.02
/** A reading that is wrong for once shows this step among the others. */
const WRONG_ONCE = WRONG / 2
/** Log odds from which it is called, and the fewest readings that do not fit: less likely than this. */
const ALARM = 0
const LEAST = 3
const ALARM_WRONG = 3
const MISFIT = 0.3
/** Starts of being stuck that are followed at a time, and steps of a probe whose readings are. */
const MOST_STARTS = 6
const MOST_RUNS = 2

/** The same evidence without the readings of a step since one of them: what would be believed, were they wrong. */
interface Branch {
  filter: Filter
  /** Readings that this filter never took in, from the first on. */
  leftOut: PanelRead[]
  n: number
  /** Those among them that do not fit what is believed without them. */
  against: number
  /** How often another step was shown in between. */
  breaks: number
  isBroken: boolean
}

/** Readings of one step of a container's panel; others may lie between them. */
interface Run {
  step: number
  branches: Branch[]
}

export interface Watched {
  filter: Filter
  /** Per container: the step that is ignored since its probe is held for stuck; null: it is believed. */
  stuck: (number | null)[]
  /** Readings that are held for wrong: the filter is what it is without them. */
  leftOut: ReadonlySet<Evidence>
}

/** Told of every reading before it is taken in; `isLeftOut` where its probe is held for stuck. */
export type See = (reading: PanelRead | Measured, before: Filter, isLeftOut: boolean) => void

/**
 * Plays sorted evidence through the filter and watches the probes: from each reading of a step, a second filter goes on without
 * the readings of that step, and where that explains everything better they were wrong. While the step is still shown, the
 * probe is stuck, and its reading is left out until it shows something else.
 */
export function watch(
  ground: Ground,
  start: Filter,
  evidence: readonly Evidence[],
  until: number,
  see: See = () => undefined,
): Watched {
  let main = start
  let leftOut: PanelRead[] = []
  const runs: Run[][] = ground.containers.map(() => [])
  const stuck: (number | null)[] = ground.containers.map(() => null)
  const all = (act: (filter: Filter) => void, not: readonly Branch[] = []) => {
    act(main)
    for (const { branches } of runs.flat())
      for (const branch of branches) if (!not.includes(branch)) act(branch.filter)
  }
  const forget = () => runs.forEach((_, c) => (runs[c] = []))
  for (const one of evidence) {
    if (one.at > until) break
    all((filter) => goOn(ground, filter, one.at))
    if (one.kind === 'measured') see(one, main, false)
    if (one.kind !== 'panel') {
      if (one.kind === 'odd') forget()
      all((filter) => void takeIn(ground, filter, one))
      continue
    }
    see(one, main, stuck[one.container] === one.step)
    if (stuck[one.container] === one.step) {
      leftOut.push(one)
      for (const branch of runs.flat().flatMap(({ branches }) => branches)) branch.leftOut.push(one)
      continue
    }
    stuck[one.container] = null
    const run = runOf(runs, one)
    for (const other of runs[one.container]!)
      if (other !== run) for (const branch of other.branches) branch.isBroken = true
    if (run.branches.length < MOST_STARTS)
      run.branches.push({
        filter: copyFilter(main),
        leftOut: [...leftOut],
        n: 0,
        against: 0,
        breaks: 0,
        isBroken: false,
      })
    all((filter) => void takeIn(ground, filter, one), run.branches)
    for (const branch of run.branches) {
      branch.n += 1
      branch.leftOut.push(one)
      if (Math.exp(logLikely(ground, branch.filter, one)) < MISFIT) branch.against += 1
      if (branch.isBroken) branch.breaks += 1
      branch.isBroken = false
    }
    const best = believed(runs[one.container]!, main)
    if (!best) continue
    main = best.branch.filter
    leftOut = best.branch.leftOut
    stuck[one.container] = best.run === run ? one.step : null
    // What the others have been thinking rests on the readings that are left out now.
    if (best.run === run) forget()
    else runs[one.container] = [run]
  }
  goOn(ground, main, until)
  return { filter: main, stuck, leftOut: new Set(leftOut) }
}

/** The run of a step, the newest first; those of steps that were shown longest ago are given up. */
function runOf(runs: Run[][], { container, step }: PanelRead): Run {
  const known = runs[container]!
  const run = known.find((one) => one.step === step) ?? { step, branches: [] }
  runs[container] = [run, ...known.filter((one) => one !== run)].slice(0, MOST_RUNS)
  return run
}

/** The branch that explains everything so much better than the readings do; the newest run is of the step that is shown. */
function believed([shown, ...past]: readonly Run[], main: Filter): { run: Run; branch: Branch } | null {
  let best: { run: Run; branch: Branch; odds: number } | null = null
  const weigh = (run: Run, branch: Branch, prior: number, least = ALARM) => {
    const odds = branch.filter.logZ + prior - main.logZ
    if (odds > least && (!best || odds > best.odds)) best = { run, branch, odds }
  }
  const stuckPrior = ({ n, breaks }: Branch) =>
    n * Math.log(SAME_AGAIN) + Math.log(BEGINS) + breaks * Math.log(BREAKS)
  for (const branch of shown?.branches ?? [])
    if (branch.against >= LEAST) weigh(shown!, branch, stuckPrior(branch))
  for (const run of past)
    for (const branch of run.branches) weigh(run, branch, branch.n * Math.log(WRONG_ONCE), ALARM_WRONG)
  return best
}

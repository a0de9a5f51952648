import type { Evidence, Measured, PanelRead } from './evidence'
import { copyFilter, goOn, takeIn, type Filter, type Ground } from './filter'

/** A stuck probe shows the same again with this probability, and begins to be stuck with the other. */
const SAME_AGAIN = 0.97
const BEGINS = 0.002
/** Log odds from which it is called, and the fewest equal readings. */
const ALARM = 1
const LEAST = 3
/** Starts of being stuck that are followed at a time. */
const MOST_STARTS = 10

/** The same evidence without the readings since one of them: what would be believed, were the probe stuck from there. */
interface Branch {
  filter: Filter
  n: number
}

/** What a container's panel has shown lately. */
interface Run {
  step: number
  branches: Branch[]
}

export interface Watched {
  filter: Filter
  /** Per container: the step that is ignored since its probe is held for stuck; null: it is believed. */
  stuck: (number | null)[]
}

/** Told of every reading before it is taken in; `isLeftOut` where its probe is held for stuck. */
export type See = (reading: PanelRead | Measured, before: Filter, isLeftOut: boolean) => void

/**
 * Plays sorted evidence through the filter and watches the probes: from each reading in a run of equal ones, a second
 * filter goes on without them, and where that explains everything better the probe is stuck. Its reading is left out until
 * it shows something else.
 */
export function watch(
  ground: Ground,
  start: Filter,
  evidence: readonly Evidence[],
  until: number,
  see: See = () => undefined,
): Watched {
  let main = start
  const runs: (Run | null)[] = ground.containers.map(() => null)
  const stuck: (number | null)[] = ground.containers.map(() => null)
  const branches = () => runs.flatMap((run) => run?.branches ?? [])
  const all = (act: (filter: Filter) => void, not: readonly Branch[] = []) => {
    act(main)
    for (const branch of branches()) if (!not.includes(branch)) act(branch.filter)
  }
  for (const one of evidence) {
    if (one.at > until) break
    all((filter) => goOn(ground, filter, one.at))
    if (one.kind === 'measured') see(one, main, false)
    if (one.kind !== 'panel') {
      if (one.kind === 'odd') runs.fill(null)
      if (one.kind === 'known' || one.kind === 'moved') runs[one.container] = null
      all((filter) => void takeIn(ground, filter, one))
      continue
    }
    see(one, main, stuck[one.container] === one.step)
    if (stuck[one.container] === one.step) continue
    stuck[one.container] = null
    const run = begun(runs, one)
    if (run.branches.length < MOST_STARTS) run.branches.push({ filter: copyFilter(main), n: 0 })
    all((filter) => void takeIn(ground, filter, one), run.branches)
    for (const branch of run.branches) branch.n += 1
    const best = believed(run.branches, main)
    if (!best) continue
    main = best.filter
    stuck[one.container] = one.step
    // What the others have been thinking rests on the readings that are left out now.
    runs.fill(null)
  }
  goOn(ground, main, until)
  return { filter: main, stuck }
}

function begun(runs: (Run | null)[], { container, step }: PanelRead): Run {
  const run = runs[container]
  if (run?.step === step) return run
  return (runs[container] = { step, branches: [] })
}

/** The branch that explains everything so much better than the readings do. */
function believed(branches: readonly Branch[], main: Filter): Branch | null {
  let best: { branch: Branch; odds: number } | null = null
  for (const branch of branches) {
    if (branch.n < LEAST) continue
    const odds = branch.filter.logZ + branch.n * Math.log(SAME_AGAIN) - main.logZ + Math.log(BEGINS)
    if (odds > ALARM && (!best || odds > best.odds)) best = { branch, odds }
  }
  return best?.branch ?? null
}

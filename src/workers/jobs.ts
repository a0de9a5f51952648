import type { HabitCompany, HabitWorth, Swing } from '@/core/advice'
import type { Id, StayCase } from '@/core/model'
import type { Reach, ReachOptions, ReachSoFar } from '@/core/reach'
import type { LearnRequest, StayLearned } from '@/core/underway'
import type { FlushRange, Sample, SampleOptions, Story } from '@/core/risk'

/** What a job is about: sent once, however many jobs follow. `revision` tells it from all others. */
export interface Subject {
  revision: number
  stayCase: StayCase
}

interface Job<Args, Result, Step = never> {
  args: Args
  result: Result
  /** What is told on the way. */
  step: Step
}

interface Trips {
  seed: number
  trials: number
}

/** Everything that is computed beside the screen, by name. */
export interface Jobs {
  sample: Job<SampleOptions, Sample>
  /** The trip of that number, told; null: nothing stops it. */
  story: Job<{ seed: number; trip: number }, Story | null>
  worth: Job<Trips & { habits: readonly Id[] }, HabitWorth[]>
  company: Job<Trips & { habit: Id }, HabitCompany>
  /** Sets of habits that are on, each with its range of liquid per solid use; `parts` up to the end of the stay. */
  flush: Job<Trips & { cases: readonly StayCase[]; parts: number; floor: number }, (FlushRange | null)[]>
  sensitivity: Job<null, Swing[]>
  reach: Job<ReachOptions, Reach, ReachSoFar>
  /** What the subject's own log and those of earlier stays teach. */
  learn: Job<Omit<LearnRequest, 'stayCase'>, StayLearned>
}

export type JobName = keyof Jobs
export type Args<J extends JobName> = Jobs[J]['args']
export type Result<J extends JobName> = Jobs[J]['result']
export type Step<J extends JobName> = Jobs[J]['step']

/** A job at work: it stops for breath often, with what is to be told or with nothing. */
export type Work<J extends JobName> = Generator<Step<J> | undefined, Result<J>, undefined>

import type { HabitCompany, HabitWorth, NextStep, Swing } from '@/core/advice'
import type { Budget, SwapOffer } from '@/core/budget'
import type { LogEntry } from '@/core/log'
import type { BetterTime, RunOffer, UsualRun } from '@/core/errands'
import type { DaysBought } from '@/core/habits'
import type { Id, StayCase } from '@/core/domain'
import type { Reach, ReachOptions, ReachSoFar } from '@/core/reach'
import type { Review } from '@/core/review'
import type { LearnRequest, SinceYesterday, StayLearned } from '@/core/underway'
import type { OpeningAnswer, OpeningRequest } from '@/engines/openingHours'
import type { FlushRange, OwnCounts, Sample, SampleOptions, Story } from '@/core/risk'

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
  /** What each habit buys of the count. */
  bought: Job<null, DaysBought[]>
  worth: Job<Trips & { habits: readonly Id[] }, HabitWorth[]>
  company: Job<Trips & { habit: Id }, HabitCompany>
  /** Sets of habits that are on, each with its range of liquid per solid use; `parts` up to the end of the stay. */
  flush: Job<Trips & { cases: readonly StayCase[]; parts: number; floor: number }, (FlushRange | null)[]>
  sensitivity: Job<null, Swing[]>
  reach: Job<ReachOptions, Reach, ReachSoFar>
  /** What the subject's own log and those of earlier stays teach. */
  learn: Job<Omit<LearnRequest, 'stayCase'>, StayLearned>
  /** What may be used up to the goal; `guess` is where to look first. */
  budget: Job<Trips & { log: readonly LogEntry[]; guess: number }, Budget>
  /** What uses of one activity given up today buy of another, within that budget. */
  swap: Job<Trips & { log: readonly LogEntry[]; budget: Budget; less: Id; more: Id }, SwapOffer>
  /** The single changes that help most. */
  next: Job<Trips & { declined: readonly string[] }, NextStep[]>
  /** What moved the count since yesterday; the subject is the stay as it is planned. */
  since: Job<Trips & Omit<LearnRequest, 'stayCase' | 'seed'>, SinceYesterday>
  /** Each container's own count and the joint one, with the runs that are set or without: what 'decide by' stands on. */
  own: Job<Trips & { q: number; horizonDays: number; withRuns: boolean }, OwnCounts>
  /** Errands put where they help most, each told as it is found; `usual` which, or all. */
  offers: Job<Trips & { usual: readonly UsualRun[] | null }, RunOffer[], RunOffer>
  /** A run that is set, put where it helps more; null: nowhere does. */
  better: Job<Trips & { run: Id }, BetterTime | null>
  /** When places are open, by their texts; in the order they were asked, each told as it is read. */
  openings: Job<OpeningRequest[], OpeningAnswer[], OpeningAnswer>
  /** What a stay came to by `at`; the subject is the stay as it was planned. */
  review: Job<Omit<LearnRequest, 'stayCase'>, Review>
}

export type JobName = keyof Jobs
export type Args<J extends JobName> = Jobs[J]['args']
export type Result<J extends JobName> = Jobs[J]['result']
export type Step<J extends JobName> = Jobs[J]['step']

/** A job at work: it stops for breath often, with what is to be told or with nothing. */
export type Work<J extends JobName> = Generator<Step<J> | undefined, Result<J>, undefined>

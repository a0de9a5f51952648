import type { TimedFlow } from '../domain'
import type { Litres, Seconds } from '../quantities'

/** A shower by the clock: the water runs, or waits with a trickle. Times are ms of whatever clock it is given. */
export interface ShowerTimer {
  /** L a minute with the water on and while it waits, and L that ran off before it was warm. */
  flow: number
  trickle: number
  runUp: Litres
  /** ms that were counted before `since`, of each. */
  onMs: number
  waitedMs: number
  state: 'on' | 'paused' | 'ended'
  since: number
  startedAt: number
}

export type TimerAction = { do: 'on' | 'pause' | 'end'; at: number }

export function startTimer(flows: Pick<ShowerTimer, 'flow' | 'trickle' | 'runUp'>, at: number): ShowerTimer {
  return { ...flows, onMs: 0, waitedMs: 0, state: 'on', since: at, startedAt: at }
}

/** What follows from an action; one that changes nothing gives the same timer. A clock set back adds nothing. */
export function timed(timer: ShowerTimer, { do: does, at }: TimerAction): ShowerTimer {
  const next = does === 'on' ? 'on' : does === 'pause' ? 'paused' : 'ended'
  if (timer.state === next || timer.state === 'ended') return timer
  const ran = Math.max(0, at - timer.since)
  return {
    ...timer,
    onMs: timer.onMs + (timer.state === 'on' ? ran : 0),
    waitedMs: timer.waitedMs + (timer.state === 'paused' ? ran : 0),
    state: next,
    since: at,
  }
}

export interface TimerRead {
  onSeconds: Seconds
  waitedSeconds: Seconds
  /** flow × on + trickle × waited + run-up (model.md section 1). */
  litres: Litres
}

export function readTimer(timer: ShowerTimer, at: number): TimerRead {
  const { onMs, waitedMs } = timed(timer, { do: 'end', at })
  const [on, waited] = [onMs, waitedMs].map((ms) => ms / 1000) as [number, number]
  return {
    onSeconds: on,
    waitedSeconds: waited,
    litres: (timer.flow * on) / 60 + (timer.trickle * waited) / 60 + timer.runUp,
  }
}

/** L a minute until somebody has measured: a low-flow head, and what a paused one lets by (assumed). */
const ASSUMED = { flow: 6, trickle: 0.3, runUp: 0 }

/** What a timer runs on: the shower's own flows, or assumed ones. */
export function flowsOf(
  flow: TimedFlow | null,
): Pick<ShowerTimer, 'flow' | 'trickle' | 'runUp'> & { isAssumed: boolean } {
  if (!flow) return { ...ASSUMED, isAssumed: true }
  return {
    flow: flow.flow.value,
    trickle: flow.trickle.value,
    runUp: flow.runUp.value,
    isAssumed: flow.flow.by === 'default',
  }
}

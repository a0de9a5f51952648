import { sparesOf, type Container } from './containers'
import type { Panel } from './containers'
import type { LevelError, StartLevel } from './stay'
import { type Amount, owned, type Quantity, type Share } from '../quantities'

/**
 * How a level was read, and what was read; amounts in the container's unit (L, or uses of a solids bin).
 * `known`: it stands as it is, as right after filling or emptying. `about`: anywhere within so much either method.
 * `measured`: by stick or scale, with a standard deviation. `panel`: the step that is lit, 0 where none is.
 */
export type Reading =
  | { method: 'known'; level: Amount }
  | { method: 'about'; level: Amount; within: Amount }
  | { method: 'measured'; level: Amount; deviation: Amount }
  | { method: 'panel'; mark: number }

/** Panels as they are sold; another has marks of the owner's own. */
export const PANEL_KINDS = ['thirds', 'quarters'] as const
export type PanelKind = (typeof PANEL_KINDS)[number]

/** A panel's probes, as shares of the volume: the topmost lights when the tank is full. */
export function panelOf(kind: PanelKind): NonNullable<Panel> {
  const count = kind === 'thirds' ? 3 : 4
  return { probes: Array.from({ length: count }, (_, i) => (i + 1) / count), by: 'owner' }
}

/** What a step of a panel may mean, as shares of the capacity: from its probe to the next (model.md section 6). */
export function panelMarks({ probes }: Pick<NonNullable<Panel>, 'probes'>): { from: number; to: number }[] {
  const edges = [0, ...probes]
  return edges.map((from, step) => ({ from, to: Math.min(1, edges[step + 1] ?? 1) }))
}

type Full = Pick<Container, 'capacity'> & { panel?: Panel; spares?: number }

/** Everything the container holds, spares included. */
function fullOf(container: Full): number {
  return (1 + (container.spares ?? 0)) * container.capacity.value
}

/**
 * The starting level and its error that a reading comes to. A step of a panel is anywhere between its probe and the next,
 * never a point with ±; a tank whose topmost probe lights is full.
 * @throws RangeError where the container has no such step
 */
export function startOf(reading: Reading, container: Full): { level: Quantity; error: LevelError } {
  if (reading.method === 'known') return { level: owned(reading.level), error: evenly(0) }
  if (reading.method === 'about') return { level: owned(reading.level), error: evenly(2 * reading.within) }
  if (reading.method === 'measured')
    return { level: owned(reading.level), error: { shape: 'normal', size: owned(reading.deviation) } }
  const step = container.panel ? panelMarks(container.panel)[reading.mark] : undefined
  if (!step) throw new RangeError(`no step ${reading.mark} on this panel`)
  const full = fullOf(container)
  return {
    level: owned(((step.from + step.to) / 2) * full),
    error: evenly((step.to - step.from) * full),
  }
}

/** @param width of the whole span */
function evenly(width: number): LevelError {
  return { shape: 'even', size: owned(width) }
}

/** The step that is lit where the level is this share of the capacity; full is the last, which has no width. */
export function markAt(steps: readonly { from: number; to: number }[], share: Share): number {
  const step = steps.findIndex(({ to }) => share < to)
  return step < 0 ? steps.length - 1 : step
}

/** First assumptions of how well a look and a stick read, as shares of the full tank, until the owner says better. */
const ABOUT_SHARE = 0.05
const MEASURED_SHARE = 0.02

/**
 * The same level said to be read another method.
 * @param full what the tank holds, spares included, in its unit
 * @param panel asked for only where the method is `panel`
 * @throws RangeError where a panel is asked for and there is none
 */
export function readAs(method: Reading['method'], level: Amount, full: Amount, panel: Panel): Reading {
  if (method === 'known') return { method, level }
  if (method === 'about') return { method, level, within: ABOUT_SHARE * full }
  if (method === 'measured') return { method, level, deviation: MEASURED_SHARE * full }
  if (panel === null) throw new RangeError('no panel to read')
  return { method, mark: markAt(panelMarks(panel), level / full) }
}

/** How a starting level was read, from what is kept of it. */
export function asReading(
  { level, error }: Pick<StartLevel, 'level' | 'error'>,
  container: Container,
): Reading {
  if (error.shape === 'normal') return { method: 'measured', level: level.value, deviation: error.size.value }
  const panel = 'panel' in container ? container.panel : null
  const full = fullOf({ capacity: container.capacity, spares: sparesOf(container) })
  const step = (panel ? panelMarks(panel) : []).findIndex(
    ({ from, to }) =>
      from < to &&
      Math.abs(((from + to) / 2) * full - level.value) < 1e-6 * full &&
      Math.abs((to - from) * full - error.size.value) < 1e-6 * full,
  )
  if (step >= 0) return { method: 'panel', mark: step }
  if (error.size.value === 0) return { method: 'known', level: level.value }
  return { method: 'about', level: level.value, within: error.size.value / 2 }
}

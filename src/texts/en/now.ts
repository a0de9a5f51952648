import { group } from '../group'

/** A stay under way, as Camp says it. */

/** The three times of a stay. */
export const phase = /* @__PURE__ */ group('phase', {
  planned: (start: string) => `Planned: begins ${start}.`,
  begins: (start: string) => `Begins ${start}`,
  underWay: (day: number, left: string) => `Day ${day}. ${left}`,
  day: (day: number) => `Day ${day}`,
  lastRead: (at: string) => `Panel read ${at}.`,
  failed: 'The log could not be worked out here. Levels and chances are those of the plan.',
  neverRead: 'Panel not read yet.',
  over: (end: string) => `Over since ${end}. You see the plan as it was.`,
  started: 'The stay began',
  ended: 'The stay ended',
  start: 'We are here: start',
  end: 'End the stay',
  clock: 'Demo clock',
  earlier: 'An hour back',
  later: 'An hour on',
  dayBack: 'A day back',
  dayOn: 'A day on',
  reset: 'Back to where the demo begins',
})

/** A stay under way, as Camp says it. */

/** The three times of a stay. */
export const phase = {
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
  startTitle: 'Start the stay',
  startPassed:
    'The stay before this one leaves these levels. Confirm them, and read the panel once the stay has started.',
  startText: 'The stay begins now. What is in the tanks as you arrive?',
  valves: 'The dump valves are shut',
  valvesWhy: 'If a valve is open, water leaves the tank and the count is wrong.',
  startNow: 'Start now',
  end: 'End the stay',
  endTitle: 'End the stay',
  endText: 'Read the panel one last time: that makes the log most useful. Then the stay is over.',
  endNow: 'End now',
  endUnread: 'End without reading',
  clock: 'Demo clock',
  earlier: 'An hour back',
  later: 'An hour on',
  dayBack: 'A day back',
  dayOn: 'A day on',
  reset: 'Back to where the demo begins',
}

/** What is known of a level, and how the panel and the count agree. */
export const agreement = {
  now: 'Levels now',
  give: (amount: string) => `± ${amount}`,
  by: {
    panel: (at: string) => `by the panel, ${at}`,
    measured: (at: string) => `measured, ${at}`,
    light: (at: string) => `by its light, ${at}`,
    run: (at: string) => `emptied or filled, ${at}`,
    count: 'by the count',
  },
  title: 'Panel and count',
  agree: (panel: string, counted: string) =>
    `The panel says ${panel}, the count says ${counted}: they agree.`,
  agreeMeasured: (panel: string, counted: string) =>
    `Measured ${panel}, the count says ${counted}: they agree.`,
  contradict: (panel: string, counted: string) =>
    `The panel says ${panel}, the count says ${counted}: that does not fit.`,
  contradictMeasured: (panel: string, counted: string) =>
    `Measured ${panel}, the count says ${counted}: that does not fit.`,
  left: 'left out',
  suspect: (tank: string) => `${tank}: probe suspect`,
  suspectText:
    'It shows the same level again and again, which can hardly be true. Its readings are not counted until it shows something else.',
  suspectDo: 'Some warm water in the tank and a drive often wash a probe clean. Then read the panel again.',
  settle: 'A leak, a forgotten use, or a visitor?',
  settles: {
    leak: 'A leak',
    forgotten: 'A forgotten use',
    visitor: 'A visitor',
    panel: 'The panel is wrong',
  },
}

import { group } from '../group'

/** The sheets with which a stay starts and ends. */
export const turns = /* @__PURE__ */ group('turns', {
  startTitle: 'Start the stay',
  startPassed:
    'The stay before this one leaves these levels. Confirm them, and read the panel once the stay has started.',
  startText: 'The stay begins now. What is in the tanks as you arrive?',
  valves: 'The dump valves are shut',
  valvesWhy: 'If a valve is open, water leaves the tank and the count is wrong.',
  startNow: 'Start now',
  endTitle: 'End the stay',
  endText: 'Read the panel one last time: that makes the log most useful. Then the stay is over.',
  endNow: 'End now',
  endUnread: 'End without reading',
})

import { group } from '../group'

/** What is known of a level, and how the panel and the count agree. */
export const agreement = /* @__PURE__ */ group('agreement', {
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
})

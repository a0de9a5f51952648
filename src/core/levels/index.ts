export { PANEL_KINDS, asReading, readAs, panelSteps, panelOf, startOf } from './reading'
export type { Reading, PanelKind } from './reading'

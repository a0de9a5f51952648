export { PANEL_KINDS, asReading, panelSteps, panelOf, startOf } from './reading'
export type { Reading, PanelKind } from './reading'

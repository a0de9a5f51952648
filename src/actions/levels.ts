import type { Id, Panel } from '@/core/domain'
import * as edits from '@/document/edits'
import { action } from './action'

/** Of what the count takes as one, as it is dragged or typed. */
export const setModelLevel = action(
  'level',
  (draft, stay: Id, container: { id: Id; members: Id[] }, amount: number) =>
    edits.setModelLevel(draft, stay, container, amount),
  (_stay, { id }) => `level ${id}`,
)
export const setReading = action('level', edits.setReading, (_stay, tanks) => `reading ${tanks.join()}`)
/** What the panel of these tanks can show. */
export const setPanel = action('rig', (draft, rig: Id, tanks: readonly Id[], panel: Panel) => {
  for (const tank of tanks) edits.setPanel(draft, rig, tank, panel)
})

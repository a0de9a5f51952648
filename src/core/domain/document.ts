import type { Crew } from './crew'
import type { Habit } from './habit'
import type { Id } from './ids'
import type { Rig } from './rig'
import type { Stay } from './stay'

export const DOCUMENT_FORMAT = 'dry-count/document'

export interface Document {
  format: typeof DOCUMENT_FORMAT
  version: 11
  currentStay: Id | null
  rigs: Rig[]
  crews: Crew[]
  habits: Habit[]
  stays: Stay[]
}

export function emptyDocument(): Document {
  return {
    format: 'dry-count/document',
    version: 11,
    currentStay: null,
    rigs: [],
    crews: [],
    habits: [],
    stays: [],
  }
}

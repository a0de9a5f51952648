import { cli } from './en/cli'
import { faults } from './en/faults'
import { screens } from './en/screens'
import { starterNames, starters } from './en/starters'
import { words } from './en/words'

/** Every word that is shown, typed; a second language is a second object of the type `Texts`. */
export const en = { ...screens, cli, faults, starterNames, starters, ...words }
export type Texts = typeof en

/** The language in use. */
export const t: Texts = en

export {
  formatCount,
  formatDays,
  formatFactor,
  formatFigures,
  formatNumber,
  formatQuantity,
  formatSigned,
  formatSource,
  formatVolume,
} from './format'
export { formatDate, formatPartOfDay, formatShortDay } from './formatTime'

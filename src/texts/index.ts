export * as en from './en'

export {
  formatCount,
  formatDays,
  formatFactor,
  formatFigures,
  formatGauge,
  formatLevel,
  formatNumber,
  formatQuantity,
  roundedDose,
  formatSigned,
  formatSource,
  formatVolume,
  formatWay,
} from './format'
export { dayAndTime, formatDate, formatPartOfDay, formatShortDay } from './formatTime'

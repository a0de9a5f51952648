export * as en from './t'

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
  formatRoad,
} from './format'
export {
  dayAndTime,
  formatClock,
  formatDate,
  formatPartOfDay,
  formatShortDay,
  formatTimeOfDay,
} from './formatTime'
export { listed } from './listed'
export { localeInUse } from './locale'

import { isWallTime } from '@/core/calendar'
import { LIMITS } from '../schema/limits'
import { PLUMBING_IDS, TOILET_IDS } from './layouts'
import { PRESET_IDS, type StartChoices } from './starterStay'
import { USE_STYLES } from './useStyles'

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const isOneOf = (list: readonly string[], value: unknown) => list.some((one) => one === value)
const isWithin = (value: unknown, min: number, max: number) =>
  typeof value === 'number' && value >= min && value <= max
const isCount = (value: unknown, least: number) => Number.isInteger(value) && isWithin(value, least, 1000)
const areNumbers = (value: unknown) =>
  isRecord(value) && Object.values(value).every((one) => isWithin(one, 0, LIMITS.capacityL.max))

/** Whether what was kept of a guided start can be gone on with; asked of whatever was read, before it is used. */
export function areStartChoices(value: unknown): value is StartChoices {
  if (!isRecord(value)) return false
  const { preset, plumbing, toilet, style, litres, known, steps, probes } = value
  return (
    isOneOf(PRESET_IDS, preset) &&
    isOneOf(PLUMBING_IDS, plumbing) &&
    isOneOf(TOILET_IDS, toilet) &&
    isOneOf(USE_STYLES, style) &&
    isRecord(litres) &&
    ['fresh', 'gray', 'black'].every((tank) => isWithin(litres[tank], 0, LIMITS.capacityL.max)) &&
    isRecord(known) &&
    areNumbers(known.sizes) &&
    isCount(known.spares, 0) &&
    areNumbers(steps) &&
    (probes === null || (Array.isArray(probes) && probes.every((one) => isWithin(one, 0, 1)))) &&
    isCount(value.persons, 1) &&
    isCount(value.nights, 1) &&
    typeof value.rinseInlet === 'boolean' &&
    typeof value.pet === 'boolean' &&
    typeof value.start === 'string' &&
    isWallTime(value.start)
  )
}

import { computed } from 'vue'
import { addWallDays, dayZero, nightsBetween } from '@/core/calendar'
import type { Stay } from '@/core/domain'
import { formatShortDay } from '@/texts'

/** The days of a stay to choose from, by number. */
export function useDayOptions(stay: () => Stay) {
  const last = computed(() => nightsBetween(stay().start, stay().leaveAt))
  const options = computed(() =>
    Array.from({ length: last.value + 1 }, (_, day) => ({
      value: String(day),
      label: formatShortDay(addWallDays(dayZero(stay().start), day)),
    })),
  )
  return { last, options }
}

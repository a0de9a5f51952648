import { useIntervalFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import {
  addWallDays,
  isWallTime,
  wallDaysBetween,
  wallMinutes,
  wallTimeAt,
  type WallTime,
} from '@/core/calendar'
import { isText, keptRef } from './keptValue'
import type { Space } from './storage/database'

/** The moment the demo stands at, and how far its clocks are ahead of UTC. */
export const DEMO_NOW: WallTime = '2027-09-14T15:20'
const DEMO_OFFSET_MS = 2 * 3_600_000
const LOOK_EVERY_MS = 15_000
const HOUR_MS = 3_600_000
/** A clock that is behind the log by more than this was wrong when that was logged: it is right now. */
const SET_BACK_D = 0.5

/** What time it is where the rig stands: the device's own clock, or in the demo one that stands still and can be moved. */
export const useClockStore = defineStore('clock', () => {
  const isDemo = ref(false)
  const device = ref(wallOf(new Date()))
  const demo = keptRef({
    ...{ key: 'dry-count:demo-clock', version: 1, first: DEMO_NOW },
    isWhole: isText,
  })
  /** How far the stay's clocks are ahead of UTC, where the device's have moved to another zone since; null: they have not. */
  const offset = ref<number | null>(null)
  /** What was logged last: where the device's clock was set back since, it is not earlier than that. */
  const logged = ref<WallTime | null>(null)
  const here = () => (offset.value === null ? wallOf(new Date()) : wallAhead(Date.now(), offset.value))
  const now = computed((): WallTime => {
    if (isDemo.value) return isWallTime(demo.value) ? demo.value : DEMO_NOW
    const wasSetBack =
      logged.value !== null &&
      logged.value > device.value &&
      wallDaysBetween(device.value, logged.value) <= SET_BACK_D
    return wasSetBack ? logged.value! : device.value
  })
  useIntervalFn(() => (device.value = here()), LOOK_EVERY_MS)

  /** A wall time as UTC, to the millisecond. Of an hour that the clocks show twice, the later one that is not to come. */
  function utcOf(wall: WallTime): string {
    if (isDemo.value) return new Date(Date.parse(`${wall}:00Z`) - DEMO_OFFSET_MS).toISOString()
    if (offset.value !== null) return new Date(Date.parse(`${wall}:00Z`) - offset.value).toISOString()
    const first = new Date(wall)
    const again = new Date(first.getTime() + HOUR_MS)
    return (wallOf(again) === wall && again.getTime() <= Date.now() ? again : first).toISOString()
  }

  /** Keeps to the clocks of a stay, by what was logged of it, oldest first. */
  function keepTo(entries: readonly { at: WallTime; utc: string }[]): void {
    const [first] = entries
    offset.value = first ? zoneOf(first) : null
    logged.value = entries.reduce<WallTime | null>(
      (last, { at }) => (last !== null && last >= at ? last : at),
      null,
    )
    device.value = here()
  }

  return {
    isDemo,
    now,
    utcOf,
    keepTo,
    follow: (space: Space) => void (isDemo.value = space === 'demo'),
    /** Moves the demo's clock. @param days may be fractional or negative */
    move: (days: number) => void (demo.value = addWallDays(now.value, days)),
    backToStart: () => void (demo.value = DEMO_NOW),
    isMoved: computed(() => isDemo.value && now.value !== DEMO_NOW),
  }
})

/** Zones differ by quarters of an hour, and by no more than these hours from UTC. */
const QUARTER_MS = 900_000
const FARTHEST_MS = 14 * 3_600_000

/** How far the clocks were ahead of UTC when something was logged, where the device's own zone has others; null: it has not. */
function zoneOf({ at, utc }: { at: WallTime; utc: string }): number | null {
  const moment = Date.parse(utc)
  const ahead = Math.round((Date.parse(`${at}:00Z`) - moment) / QUARTER_MS) * QUARTER_MS
  const device =
    Math.round((Date.parse(`${wallOf(new Date(moment))}:00Z`) - moment) / QUARTER_MS) * QUARTER_MS
  return Number.isFinite(ahead) && Math.abs(ahead) <= FARTHEST_MS && ahead !== device ? ahead : null
}

const wallAhead = (moment: number, ahead: number) => wallTimeAt(Math.floor((moment + ahead) / 60_000))

function wallOf(now: Date): WallTime {
  const two = (n: number) => String(n).padStart(2, '0')
  const date = `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`
  return `${date}T${two(now.getHours())}:${two(now.getMinutes())}`
}

/** The last whole step of so many minutes. */
export function floored(time: WallTime, minutes: number): WallTime {
  return addWallDays(time, -(wallMinutes(time) % minutes) / 1440)
}

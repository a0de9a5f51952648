import { useIntervalFn, useStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { addWallDays, isWallTime, wallMinutes, type WallTime } from '@/core/calendar'
import { safeStorage } from './safeStorage'
import type { Space } from './storage/database'

/** The moment the demo stands at, and how far its clocks are ahead of UTC. */
export const DEMO_NOW: WallTime = '2027-09-14T15:20'
const DEMO_OFFSET_MS = 2 * 3_600_000
const LOOK_EVERY_MS = 15_000

/** What time it is where the rig stands: the device's own clock, or in the demo one that stands still and can be moved. */
export const useClockStore = defineStore('clock', () => {
  const isDemo = ref(false)
  const device = ref(wallOf(new Date()))
  const demo = useStorage('dry-count:demo-clock', DEMO_NOW, safeStorage())
  const now = computed((): WallTime => {
    if (!isDemo.value) return device.value
    return isWallTime(demo.value) ? demo.value : DEMO_NOW
  })
  useIntervalFn(() => (device.value = wallOf(new Date())), LOOK_EVERY_MS)

  /** A wall time as UTC, to the millisecond. */
  function utcOf(wall: WallTime): string {
    if (isDemo.value) return new Date(Date.parse(`${wall}:00Z`) - DEMO_OFFSET_MS).toISOString()
    return new Date(wall).toISOString()
  }

  return {
    isDemo,
    now,
    utcOf,
    follow: (space: Space) => void (isDemo.value = space === 'demo'),
    /** Moves the demo's clock. @param days may be fractional or negative */
    move: (days: number) => void (demo.value = addWallDays(now.value, days)),
    backToStart: () => void (demo.value = DEMO_NOW),
    isMoved: computed(() => isDemo.value && now.value !== DEMO_NOW),
  }
})

function wallOf(now: Date): WallTime {
  const two = (n: number) => String(n).padStart(2, '0')
  const date = `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`
  return `${date}T${two(now.getHours())}:${two(now.getMinutes())}`
}

/** The last whole step of so many minutes. */
export function floored(time: WallTime, minutes: number): WallTime {
  return addWallDays(time, -(wallMinutes(time) % minutes) / 1440)
}

import type { WallTime } from '@/core/calendar'

/** Now on this device's clock, as wall time. */
export function today(): WallTime {
  const now = new Date()
  const two = (n: number) => String(n).padStart(2, '0')
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}T${two(now.getHours())}:${two(now.getMinutes())}`
}

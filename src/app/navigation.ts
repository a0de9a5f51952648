import { CalendarDays, Ellipsis, NotebookPen, Tent, Truck } from '@lucide/vue'

/** Each screen is called as the catalogue calls it (`t.app.nav`). Five places at the thumb; on a laptop the last one's entries stand apart instead. */
export const NAVIGATION = [
  { to: '/', screen: 'camp', icon: Tent },
  { to: '/stay', screen: 'stay', icon: CalendarDays },
  { to: '/runs', screen: 'runs', icon: Truck },
  { to: '/log', screen: 'log', icon: NotebookPen },
  { to: '/more', screen: 'more', icon: Ellipsis },
] as const

/** What stands behind More. */
export const APART = [
  { to: '/habits', screen: 'habits' },
  { to: '/rig', screen: 'rig' },
  { to: '/guide', screen: 'guide' },
  { to: '/settings', screen: 'settings' },
] as const

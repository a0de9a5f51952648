import { CalendarDays, Ellipsis, NotebookPen, Tent, Truck } from '@lucide/vue'
import * as t from '@/texts/t'

/** Five places at the thumb; on a laptop the last one's entries stand apart instead. */
export const NAVIGATION = [
  { to: '/', label: t.app.nav.camp, icon: Tent },
  { to: '/stay', label: t.app.nav.stay, icon: CalendarDays },
  { to: '/runs', label: t.app.nav.runs, icon: Truck },
  { to: '/log', label: t.app.nav.log, icon: NotebookPen },
  { to: '/more', label: t.app.nav.more, icon: Ellipsis },
]

/** What stands behind More. */
export const APART = [
  { to: '/habits', label: t.app.nav.habits },
  { to: '/rig', label: t.app.nav.rig },
  { to: '/guide', label: t.app.nav.guide },
  { to: '/settings', label: t.app.nav.settings },
]

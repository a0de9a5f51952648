import { Caravan, CalendarDays, ListChecks, Settings2, Tent } from '@lucide/vue'
import { t } from '@/texts'

/** The screens in the order of the bar. */
export const NAVIGATION = [
  { to: '/', label: t.app.nav.camp, icon: Tent },
  { to: '/stay', label: t.app.nav.stay, icon: CalendarDays },
  { to: '/habits', label: t.app.nav.habits, icon: ListChecks },
  { to: '/rig', label: t.app.nav.rig, icon: Caravan },
  { to: '/settings', label: t.app.nav.settings, icon: Settings2 },
]

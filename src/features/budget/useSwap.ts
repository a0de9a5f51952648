import { until } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { addSwap, dropSwaps } from '@/actions/budget'
import type { SwapOffer } from '@/core/budget'
import type { Id } from '@/core/domain'
import { useForecastStore } from '@/data/forecastStore'
import { useTodayStore } from '@/data/todayStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import * as t from '@/texts/t'

/** How long a budget that is being worked out is waited for, ms. */
const PATIENCE_MS = 8000

/** Uses of one activity for those of another, today: what is asked, what it would buy, and taking it. */
export function useSwap() {
  const forecast = useForecastStore()
  const today = useTodayStore()
  const workspace = useWorkspaceStore()
  const less = ref<Id | null>(null)
  const more = ref<Id | null>(null)
  const offer = shallowRef<SwapOffer | null>(null)
  const isAsking = ref(false)
  let asked = 0

  const nameOf = (id: Id | null) => forecast.crew?.activities.find((one) => one.id === id)?.name ?? ''
  const tankOf = (id: Id | null) => forecast.rig?.containers.find((one) => one.id === id)?.name ?? ''

  async function ask(from: Id, to: Id): Promise<void> {
    const own = (asked += 1)
    less.value = from
    more.value = to
    offer.value = null
    isAsking.value = true
    await until(() => today.isCurrent).toBe(true, { timeout: PATIENCE_MS })
    if (own !== asked) return
    const found = await today.swap(from, to)
    if (own !== asked) return
    offer.value = found
    isAsking.value = false
  }
  // What was offered was of the stay before; the answer that confirms a budget changes nothing of it.
  watch(
    () => today.isCurrent,
    (is) => {
      if (!is) offer.value = null
    },
  )
  function take(): void {
    const swap = offer.value?.swap
    const { id } = forecast.stay!
    if (swap) workspace.act(addSwap(id, swap))
  }
  const taken = computed(() => {
    const { stay } = forecast
    return (stay?.budget.swaps ?? []).filter(({ day }) => day === forecast.today)
  })
  function drop(): void {
    workspace.act(dropSwaps(forecast.stay!.id, forecast.today))
  }
  const words = computed(() => {
    const found = offer.value
    if (!found) return null
    const [from, to] = [nameOf(less.value), nameOf(more.value)]
    if (found.state === 'offered') {
      const { by, plus } = found.swap
      const held = found.held ? ` ${t.budget.swapHeld(tankOf(found.held))}` : ''
      return t.budget.swapBuys(by, from, plus, to) + held
    }
    if (found.state === 'none-left') return t.budget.swapNo['none-left'](found.by, from, to)
    return found.state === 'no-help'
      ? t.budget.swapNo['no-help'](from, tankOf(found.binds))
      : t.budget.swapNo.forbidden(to, tankOf(found.held))
  })
  return { less, more, offer, isAsking, ask, take, taken, drop, words, nameOf }
}

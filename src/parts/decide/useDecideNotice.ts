import { report } from '@/data/report'
import { computed, ref, watch } from 'vue'
import { wallMinutes } from '@/core/calendar'
import { useClockStore } from '@/data/clockStore'
import { isFlag, isText, keptRef } from '@/data/keptValue'
import * as t from '@/texts/t'
import { useDecideWords } from './useDecideWords'

/** So long before the last moment. */
const BEFORE_MIN = 180

/**
 * A notice of the browser before a last moment, where the owner allowed it: once for each moment, and only while the application
 * is open; the calendar file is for the rest.
 */
export function useDecideNotice() {
  const clock = useClockStore()
  const { pressing } = useDecideWords()
  const isOn = keptRef<boolean>({ key: 'dry-count:remind', version: 1, first: false, isWhole: isFlag })
  const told = keptRef<string>({ key: 'dry-count:reminded', version: 1, first: '', isWhole: isText })
  const isRefused = ref(false)
  const canAsk = computed(() => typeof Notification !== 'undefined')

  watch(
    [pressing, () => clock.now, isOn],
    () => {
      if (!isOn.value || !canAsk.value || Notification.permission !== 'granted') return
      const due = pressing.value.find(({ leaveBy }) => {
        const left = leaveBy === null ? -1 : wallMinutes(leaveBy) - wallMinutes(clock.now)
        return left >= 0 && left <= BEFORE_MIN
      })
      const key = due ? `${due.id} ${due.leaveBy}` : ''
      if (!due || told.value === key) return
      told.value = key
      void notify(t.decide.noticeTitle(due.name), [due.short, due.after ?? ''].join(' ').trim())
    },
    { immediate: true },
  )

  async function turn(on: boolean): Promise<void> {
    isRefused.value = false
    if (!on) {
      isOn.value = false
      return
    }
    const permission = canAsk.value ? await Notification.requestPermission().catch(() => 'denied') : 'denied'
    isOn.value = permission === 'granted'
    isRefused.value = permission !== 'granted'
  }
  return { isOn, isRefused, turn }
}

/** Phones show notices of a service worker only. */
async function notify(title: string, body: string): Promise<void> {
  try {
    const worker = await navigator.serviceWorker?.getRegistration()
    if (worker) await worker.showNotification(title, { body, tag: 'decide-by' })
    else new Notification(title, { body, tag: 'decide-by' })
  } catch (error) {
    // The line on the screen says the same.
    report('a notice of the device', error)
  }
}

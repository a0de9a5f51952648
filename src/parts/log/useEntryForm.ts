import { ref } from 'vue'
import { type Told } from '@/core/log'
import { useLogStore } from '@/data/logStore'
import { refusalWords } from '@/parts/fields/refusalWords'
import { dayAndTime } from '@/texts'
import * as t from '@/texts/t'
import { useLogging } from './useLogging'

/** What every form of the log has: when it was, what is wrong with that, and what was refused; nothing typed is lost. */
export function useEntryForm(emit: (event: 'done', words: string) => void, first?: string | null) {
  const log = useLogStore()
  const { wrongTime } = useLogging()
  const at = ref(first ?? log.at)
  const fault = ref<string | null>(null)
  const refused = ref<string | null>(null)

  /** @param isSound whether everything else in the form can be understood */
  function save(told: readonly Told[], what: string, isSound = true): void {
    fault.value = wrongTime(at.value)
    if (fault.value !== null || !isSound) return
    const { result } = log.add(told)
    refused.value = result.ok ? null : refusalWords(result.faults)
    if (result.ok) emit('done', t.log.logged(what, dayAndTime(at.value)))
  }
  return { at, fault, refused, save }
}

import { ref, watch } from 'vue'
import type { EditResult } from '@/data/workspaceStore'
import { t } from '@/texts'

export type Parsed<T> = { ok: true; value: T } | { ok: false; words: string }

/**
 * A text that is saved as soon as it can be read. What cannot be read stays as typed, with what is wrong beside it,
 * and the last good value goes on counting.
 */
export function useSavedField<T>(options: {
  /** The value as text, from outside. */
  shown: () => string
  parse: (text: string) => Parsed<T>
  save: (value: T) => EditResult
}) {
  const text = ref(options.shown())
  const fault = ref<string | null>(null)
  const editing = ref(false)

  watch(options.shown, (shown) => {
    if (!editing.value && fault.value === null) text.value = shown
  })

  function typed(next: string) {
    editing.value = true
    text.value = next
    const parsed = options.parse(next)
    if (!parsed.ok) {
      fault.value = parsed.words
      return
    }
    const result = options.save(parsed.value)
    fault.value = result.ok ? null : faultWords(result)
  }

  function left() {
    editing.value = false
    if (fault.value === null) text.value = options.shown()
  }

  return { text, fault, typed, left }
}

function faultWords(result: Extract<EditResult, { ok: false }>): string {
  const first = result.faults[0]
  return first ? t.faults[first.code](first) : ''
}

import { nextTick, onBeforeUnmount, ref, watch } from 'vue'
import { useTypingStore } from '@/data/typingStore'
import type { EditResult } from '@/data/workspaceStore'
import { refusalWords } from './refusalWords'

export type Parsed<T> = { ok: true; value: T } | { ok: false; words: string }

/** A pause in typing after which a value is taken to be whole; Enter, or the form it stands in, says so at once. */
export const WHOLE_MS = 450

/**
 * A text that is saved when it is whole and can be read. What cannot be read stays as typed, with what is wrong beside
 * it, and the last good value (what stood there before this typing began) goes on counting.
 */
export function useSavedField<T>(options: {
  /** The value as text, from outside. */
  shown: () => string
  /** The value itself, to go back to. */
  value: () => T
  parse: (text: string) => Parsed<T>
  save: (value: T) => EditResult
}) {
  const typing = useTypingStore()
  const text = ref(options.shown())
  const fault = ref<string | null>(null)
  const editing = ref(false)
  /** What stood here before; what this typing has saved so far. */
  let before: T | null = null
  let hasSaved = false
  let timer: ReturnType<typeof setTimeout> | undefined

  watch(options.shown, (shown) => {
    if (!editing.value && fault.value === null && !typing.has(commit)) text.value = shown
  })

  function typed(next: string) {
    if (!editing.value) {
      editing.value = true
      if (fault.value === null) before = options.value()
      hasSaved = false
    }
    text.value = next
    clearTimeout(timer)
    const parsed = options.parse(next)
    if (!parsed.ok) {
      fault.value = parsed.words
      goBack()
      return
    }
    fault.value = null
    typing.begin(commit)
    timer = setTimeout(commit, WHOLE_MS)
  }

  function commit() {
    clearTimeout(timer)
    typing.end(commit)
    const parsed = options.parse(text.value)
    if (!parsed.ok) return
    const given = text.value
    const result = options.save(parsed.value)
    hasSaved ||= result.ok
    fault.value = result.ok ? null : refusalWords(result.faults)
    if (!result.ok) goBack()
    // Just after the page was opened the rules are still on their way: what they refuse then has already been taken back.
    else
      result.onRefused?.((faults) => {
        if (given === text.value || !editing.value) {
          text.value = given
          fault.value = refusalWords(faults)
          hasSaved = false
        }
      })
    void nextTick(showValue)
  }

  /** A part of what is being typed may have been taken for all of it. */
  function goBack() {
    typing.end(commit)
    if (hasSaved && before !== null) options.save(before)
    hasSaved = false
  }

  /**
   * What was typed follows a moment later: committed at once, it might move the very button that is being pressed from
   * under the finger.
   */
  function left() {
    editing.value = false
    if (!typing.has(commit)) showValue()
  }

  function showValue() {
    if (!editing.value && fault.value === null) text.value = options.shown()
  }

  onBeforeUnmount(() => {
    if (typing.has(commit)) commit()
  })
  return { text, fault, typed, left, commit }
}

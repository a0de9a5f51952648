import { defineStore } from 'pinia'
import { shallowRef } from 'vue'

/** A number the owner asked about. */
export type Question =
  | { kind: 'count'; container: string }
  | { kind: 'level'; container: string; part: number }
  | { kind: 'at-stop'; container: string }
  | { kind: 'habit'; habit: string }
  | { kind: 'use'; activity: string }

/** The question that is open, if any; the dialog answers it from the forecast as it stands. */
export const useWhyStore = defineStore('why', () => {
  const question = shallowRef<Question | null>(null)
  return {
    question,
    ask: (asked: Question) => (question.value = asked),
    close: () => (question.value = null),
  }
})

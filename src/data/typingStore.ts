import { defineStore } from 'pinia'
import { computed, shallowReactive } from 'vue'

/** Fields that hold something typed and understood that is not in the document yet: each hands it over when asked. */
export const useTypingStore = defineStore('typing', () => {
  const fields = shallowReactive(new Set<() => void>())
  return {
    isTyping: computed(() => fields.size > 0),
    has: (commit: () => void) => fields.has(commit),
    begin: (commit: () => void) => void fields.add(commit),
    end: (commit: () => void) => void fields.delete(commit),
    /** Everything typed into the document, now. */
    commitAll: () => [...fields].forEach((commit) => commit()),
  }
})

import { ref } from 'vue'
import type { LogEntry } from '@/core/log'
import type { Id } from '@/core/domain'

/** What is being logged, or changed, in a dialog. */
export type LogDialog =
  | { kind: 'choose' }
  | { kind: 'use'; activity?: Id; at?: string }
  | { kind: 'panel' }
  | { kind: 'done' }
  | { kind: 'text' }
  | { kind: 'odd' }
  | { kind: 'catch-up' }
  | { kind: 'edit'; entry: LogEntry }

export function useDialogs() {
  const shown = ref<LogDialog | null>(null)
  return { shown, open: (dialog: LogDialog) => void (shown.value = dialog) }
}

import { computed } from 'vue'
import { useRiskStore } from '@/data/riskStore'

/** What to plan on is being worked out: no other figure stands in its place meanwhile. */
export function useComing() {
  const chances = useRiskStore()
  return computed(() => chances.risk === null && (chances.state === 'none' || chances.state === 'running'))
}

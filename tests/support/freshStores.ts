import { createPinia, setActivePinia } from 'pinia'

/** One for all tests: whatever an earlier test left under way makes it the active one again, and no other. */
const pinia = createPinia()

/** A page just opened: what earlier stores watch they watch no longer, and the next one who asks for a store gets a new one. */
export function freshStores(): void {
  for (const store of [...(pinia as unknown as Stores)._s.values()]) store.$dispose()
  pinia.state.value = {}
  setActivePinia(pinia)
}

/** Pinia’s own list of them, which it keeps to itself. */
interface Stores {
  _s: Map<string, { $dispose: () => void }>
}

import { inject, onBeforeUnmount, provide, shallowReactive, watch, type InjectionKey, type Ref } from 'vue'

/** Fields of a form that hold what cannot be understood, by the ids of their inputs. */
type Faulty = Set<string>
const GROUP: InjectionKey<Faulty> = Symbol('fields that belong together')

/** For a form that may not go on while one of its fields says what is wrong. */
export function useFieldGroup() {
  const faulty: Faulty = shallowReactive(new Set<string>())
  provide(GROUP, faulty)
  return {
    /** @returns whether all is understood; else the first that is not has the focus */
    isUnderstood(): boolean {
      const [first] = faulty
      if (first !== undefined) document.getElementById(first)?.focus()
      return first === undefined
    },
  }
}

/** A field tells the form it stands in, if any. */
export function useInGroup(id: string, fault: Ref<string | null>): void {
  const faulty = inject(GROUP, null)
  if (!faulty) return
  // At once: a form may ask in the same breath in which a value is committed.
  watch(fault, (words) => (words === null ? faulty.delete(id) : faulty.add(id)), { flush: 'sync' })
  onBeforeUnmount(() => faulty.delete(id))
}

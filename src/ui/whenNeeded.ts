import { defineAsyncComponent, type Component } from 'vue'

type Load = () => Promise<Component | { default: Component }>

/**
 * A component whose code comes when it is first shown. Where it cannot be had it is asked for once more, and then said.
 * @param onFailed says that a part could not be loaded
 * @param meanwhile keeps its room
 */
export function whenNeeded(load: Load, onFailed: () => void, meanwhile: Component | null = null) {
  return defineAsyncComponent({
    loader: load as () => Promise<Component>,
    ...(meanwhile ? { loadingComponent: meanwhile, delay: 0 } : {}),
    onError(_, retry, fail, attempts) {
      if (attempts < 2) {
        setTimeout(retry, 500)
        return
      }
      onFailed()
      fail()
    },
  })
}

/** How tabs of one browser tell each other that something was written. */
export interface Tabs {
  tell: (revision: number) => void
  hear: (listener: () => void) => () => void
  close: () => void
}

/** Where a browser has no broadcast, a tab looks again whenever it comes to the front. */
export function openTabs(name: string): Tabs {
  if (typeof BroadcastChannel === 'undefined') return lookingAgain()
  const channel = new BroadcastChannel(name)
  return {
    tell: (revision) => channel.postMessage(revision),
    hear: (listener) => {
      channel.addEventListener('message', listener)
      return () => channel.removeEventListener('message', listener)
    },
    close: () => channel.close(),
  }
}

function lookingAgain(): Tabs {
  const stops: (() => void)[] = []
  return {
    tell: () => undefined,
    hear: (listener) => {
      if (typeof window === 'undefined') return () => undefined
      const onShown = () => document.visibilityState === 'visible' && listener()
      window.addEventListener('focus', onShown)
      document.addEventListener('visibilitychange', onShown)
      const stop = () => {
        window.removeEventListener('focus', onShown)
        document.removeEventListener('visibilitychange', onShown)
      }
      stops.push(stop)
      return stop
    },
    close: () => stops.forEach((stop) => stop()),
  }
}

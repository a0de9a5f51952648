// @vitest-environment happy-dom
import { afterEach, expect, it, vi } from 'vitest'
import { openTabs } from './tabs'

afterEach(() => vi.unstubAllGlobals())

it('a tab hears the others and not itself; after it closed, nothing', () => {
  const channels = new Set<FakeChannel>()
  class FakeChannel extends EventTarget {
    name: string
    constructor(name: string) {
      super()
      this.name = name
      channels.add(this)
    }
    postMessage(data: unknown) {
      for (const other of channels)
        if (other !== this && other.name === this.name)
          other.dispatchEvent(Object.assign(new Event('message'), { data }))
    }
    close = () => void channels.delete(this)
  }
  vi.stubGlobal('BroadcastChannel', FakeChannel)
  const [one, two, elsewhere] = [openTabs('mine'), openTabs('mine'), openTabs('demo')]
  const heard: string[] = []
  one.hear(() => heard.push('one'))
  const stop = two.hear(() => heard.push('two'))
  elsewhere.hear(() => heard.push('elsewhere'))
  one.tell(1)
  expect(heard).toEqual(['two'])
  stop()
  one.tell(2)
  two.tell(3)
  expect(heard).toEqual(['two', 'one'])
  one.close()
  two.tell(4)
  expect(heard).toEqual(['two', 'one'])
})

it('where there is no broadcast a tab looks again when it comes to the front, and only while it is shown', () => {
  vi.stubGlobal('BroadcastChannel', undefined)
  const tabs = openTabs('mine')
  let looked = 0
  tabs.hear(() => (looked += 1))
  let shown = 'visible'
  vi.spyOn(document, 'visibilityState', 'get').mockImplementation(() => shown as DocumentVisibilityState)
  tabs.tell(1)
  expect(looked).toBe(0)
  window.dispatchEvent(new Event('focus'))
  document.dispatchEvent(new Event('visibilitychange'))
  expect(looked).toBe(2)
  shown = 'hidden'
  document.dispatchEvent(new Event('visibilitychange'))
  expect(looked).toBe(2)
  shown = 'visible'
  tabs.close()
  window.dispatchEvent(new Event('focus'))
  expect(looked).toBe(2)
})

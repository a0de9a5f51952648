// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import WhenNear from './WhenNear.vue'
import { freshStores } from '../../tests/support/freshStores'

/** What the browser tells of a place on the screen. */
let tell: (isIntersecting: boolean) => void
class Watched {
  constructor(told: (seen: { isIntersecting: boolean }[]) => void) {
    tell = (isIntersecting) => told([{ isIntersecting }])
  }
  observe = vi.fn()
  disconnect = vi.fn()
}
beforeEach(() => {
  vi.useFakeTimers()
  vi.stubGlobal('IntersectionObserver', Watched)
  freshStores()
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})
const shown = () => mount(WhenNear, { slots: { default: 'the list', room: 'its room' } })

it('keeps the room of what is far off, and makes it when it comes near; then it stays', async () => {
  const place = shown()
  await nextTick()
  tell(false)
  await nextTick()
  expect(place.text()).toBe('its room')
  tell(true)
  await nextTick()
  expect(place.text()).toBe('the list')
  tell(false)
  await nextTick()
  expect(place.text()).toBe('the list')
})

it('makes it in a calm moment too, for somebody who gets there by other ways than scrolling', async () => {
  const place = shown()
  await vi.advanceTimersByTimeAsync(1900)
  expect(place.text()).toBe('its room')
  await vi.advanceTimersByTimeAsync(700)
  expect(place.text()).toBe('the list')
})

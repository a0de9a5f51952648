// @vitest-environment happy-dom
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { whenCalm, whenTouched } from './whenCalm'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

it('is calm once nothing has been going on for two seconds, counted again after every stir', async () => {
  let isBusy = true
  const calm = vi.fn()
  void whenCalm(() => isBusy).then(calm)
  await vi.advanceTimersByTimeAsync(60_000)
  expect(calm).not.toHaveBeenCalled()
  isBusy = false
  await vi.advanceTimersByTimeAsync(1400)
  isBusy = true
  await vi.advanceTimersByTimeAsync(500)
  isBusy = false
  await vi.advanceTimersByTimeAsync(1500)
  expect(calm).not.toHaveBeenCalled()
  await vi.advanceTimersByTimeAsync(600)
  expect(calm).toHaveBeenCalledOnce()
})

it.each(['pointerdown', 'keydown', 'focusin'])(
  'a first %s is a touch, no matter who else hears of it',
  async (kind) => {
    const touched = vi.fn()
    void whenTouched().then(touched)
    await vi.advanceTimersByTimeAsync(10)
    expect(touched).not.toHaveBeenCalled()
    document.body.addEventListener(kind, (event) => event.stopPropagation(), { once: true })
    document.body.dispatchEvent(new Event(kind, { bubbles: true }))
    await vi.advanceTimersByTimeAsync(0)
    expect(touched).toHaveBeenCalledOnce()
  },
)

// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { defineComponent, h, nextTick, ref } from 'vue'
import { useGrowing } from './useGrowing'

it('shows a long list a few rows a frame, each row once and in order, and asks for no more frames then', async () => {
  const frames: FrameRequestCallback[] = []
  vi.stubGlobal('requestAnimationFrame', (next: FrameRequestCallback) => frames.push(next))
  vi.stubGlobal('cancelAnimationFrame', () => frames.splice(0))
  const all = ref<readonly number[]>([1, 2, 3, 4, 5, 6, 7])
  const list = mount(
    defineComponent({
      setup() {
        const { shown, isWhole } = useGrowing(all, 3)
        return () => h('p', `${shown.value.join()} ${isWhole.value}`)
      },
    }),
  )
  const frame = async () => {
    frames.splice(0).forEach((next) => next(0))
    await nextTick()
  }
  expect(list.text()).toBe('1,2,3 false')
  await frame()
  expect(list.text()).toBe('1,2,3,4,5,6 false')
  await frame()
  expect(list.text()).toBe('1,2,3,4,5,6,7 true')
  expect(frames).toHaveLength(0)
  // What comes later grows from where it is; what goes is gone at once.
  all.value = Array.from({ length: 13 }, (_, k) => k)
  await nextTick()
  expect(list.text()).toBe('0,1,2,3,4,5,6,7,8 false')
  await frame()
  await frame()
  expect(list.text()).toContain('12 true')
  all.value = [9]
  await nextTick()
  expect(list.text()).toBe('9 true')
  list.unmount()
  vi.unstubAllGlobals()
})

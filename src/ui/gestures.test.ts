// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h, nextTick, ref } from 'vue'
import { useGridKeys } from './useGridKeys'
import { useHold } from './useHold'

afterEach(() => {
  document.body.innerHTML = ''
  vi.useRealTimers()
})

describe('a grid of buttons', () => {
  /** Three rows of four; those in `off` cannot be pressed. */
  function grid(off: string[] = []) {
    const box = ref<HTMLElement | null>(null)
    const keys = useGridKeys(() => box.value)
    mount(
      defineComponent({
        setup: () => () =>
          h(
            'div',
            { ref: box, onKeydown: keys.onKeydown, onFocusin: keys.onFocusin },
            [0, 1, 2].flatMap((r) =>
              [0, 1, 2, 3].map((c) =>
                h('button', {
                  'data-row': r,
                  'data-col': c,
                  disabled: off.includes(`${r}${c}`),
                  tabindex: keys.tabindex(r, c),
                }),
              ),
            ),
          ),
      }),
      { attachTo: document.body },
    )
    const button = (r: number, c: number) =>
      box.value!.querySelector<HTMLElement>(`[data-row="${r}"][data-col="${c}"]`)!
    const press = (key: string) => {
      const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true })
      document.activeElement!.dispatchEvent(event)
      return event.defaultPrevented
    }
    const at = () => {
      const { row, col } = (document.activeElement as HTMLElement).dataset
      return `${row}${col}`
    }
    return { keys, button, press, at }
  }

  it('is one stop of the tab key; arrows, Home and End walk inside it, and never out of it', () => {
    const { keys, button, press, at } = grid()
    button(0, 0).focus()
    const walk = ['ArrowRight', 'ArrowDown', 'End', 'ArrowRight', 'ArrowUp', 'ArrowUp', 'Home', 'ArrowLeft']
    expect(walk.map((key) => [press(key), at()].join())).toEqual(
      ['01', '11', '13', '13', '03', '03', '00', '00'].map((cell) => `true,${cell}`),
    )
    expect(press('Tab')).toBe(false)
    const stops = [0, 1, 2].flatMap((r) => [0, 1, 2, 3].map((c) => keys.tabindex(r, c)))
    expect(stops.filter((stop) => stop === 0)).toHaveLength(1)
  })

  it('goes on from where the pointer put it, and passes over what is off', () => {
    const { keys, button, press, at } = grid(['00', '23'])
    keys.startAt(0, 1)
    expect([keys.tabindex(0, 1), keys.tabindex(0, 0)]).toEqual([0, -1])
    button(2, 1).focus()
    expect(keys.tabindex(2, 1)).toBe(0)
    press('End')
    expect(at()).toBe('22')
    button(0, 2).focus()
    press('Home')
    expect(at()).toBe('01')
  })
})

describe('a tap or a hold', () => {
  let done = 0
  let now = 0
  beforeEach(() => {
    done = now = 0
    vi.useFakeTimers({ toFake: ['requestAnimationFrame', 'cancelAnimationFrame', 'performance'] })
  })

  async function surface(isHold: boolean) {
    const root = ref<HTMLElement | null>(null)
    let hold!: ReturnType<typeof useHold>
    mount(
      defineComponent({
        setup() {
          hold = useHold(
            root,
            () => isHold,
            () => void (done += 1),
          )
          return () => h('div', { ref: root }, [h('p'), h('button', { class: 'other' })])
        },
      }),
      { attachTo: document.body },
    )
    await nextTick()
    const fire = (type: string, more: object = {}, on: Element = root.value!) =>
      on.dispatchEvent(
        Object.assign(new Event(type, { bubbles: true }), { clientX: 0, clientY: 0, button: 0, ...more }),
      )
    const wait = (ms: number) => vi.advanceTimersByTime((now += ms) && ms)
    return { hold, fire, wait, other: () => root.value!.querySelector('.other')! }
  }

  it('is held long enough, once; what was held through is no tap afterwards', async () => {
    const { hold, fire, wait } = await surface(true)
    fire('pointerdown')
    wait(400)
    expect(hold.share.value).toBeGreaterThan(0.4)
    expect(done).toBe(0)
    fire('pointerup')
    fire('click')
    wait(1000)
    expect([done, hold.share.value]).toEqual([0, 0])
    fire('pointerdown')
    wait(800)
    await nextTick()
    expect(done).toBe(1)
    fire('pointerup')
    fire('click')
    wait(1000)
    await nextTick()
    expect(done).toBe(1)
  })

  it('a finger that scrolls away, or presses something else, holds nothing', async () => {
    const { fire, wait, other } = await surface(true)
    fire('pointerdown')
    fire('pointermove', { clientX: 3, clientY: 40 })
    wait(1000)
    fire('pointerdown', {}, other())
    wait(1000)
    fire('pointerdown', { button: 2 })
    wait(1000)
    await nextTick()
    expect(done).toBe(0)
  })

  it('where a tap is enough, a tap does it; a reader of the screen presses either', async () => {
    const tap = await surface(false)
    tap.fire('click')
    tap.fire('click', {}, tap.other())
    expect(done).toBe(1)
    const held = await surface(true)
    held.hold.press.click({ detail: 0 } as MouseEvent)
    held.hold.press.click({ detail: 1 } as MouseEvent)
    expect(done).toBe(2)
  })

  it('a key is held like a finger; kept down it goes on no further than one step', async () => {
    const { hold, wait } = await surface(true)
    const key = (repeat = false) =>
      ({ key: 'Enter', repeat, preventDefault: vi.fn() }) as unknown as KeyboardEvent
    hold.press.keydown(key())
    for (let k = 0; k < 10; k++) {
      wait(100)
      hold.press.keydown(key(true))
    }
    await nextTick()
    expect(done).toBe(1)
    hold.press.keyup(key())
    hold.press.keydown(key())
    hold.press.keyup(key())
    wait(1000)
    await nextTick()
    expect(done).toBe(1)
  })
})

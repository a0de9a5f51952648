// @vitest-environment happy-dom
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { defineComponent, ref, shallowRef } from 'vue'
import { reports } from './report'
import { useAnswer, type Asking } from './useAnswer'

type Question = { n: number }
beforeEach(() => vi.useFakeTimers())
afterEach(() => {
  vi.useRealTimers()
  reports.value = []
})

/** A screen that looks, a question that can be changed, and answers that come when they are let go. */
function looking(own: Partial<Asking<Question, number>> = {}) {
  const question = shallowRef<Question | null>({ n: 1 })
  const of = ref('one stay')
  const asked: { n: number; answer: (n: number) => void; fail: () => void; tell: (n: number) => void }[] = []
  let answer!: ReturnType<typeof useAnswer<Question, number>>
  const isLooking = ref(true)
  const screen = mount(
    defineComponent({
      setup() {
        answer = useAnswer<Question, number>({
          ...{ where: 'a test', waitMs: 10, question: () => question.value, of: () => of.value },
          ask: ({ n }, _, tell) =>
            new Promise((resolve, reject) =>
              asked.push({ n, answer: resolve, fail: () => reject(new Error('broken')), tell }),
            ),
          ...own,
        })
        answer.follow(() => isLooking.value)
        return () => null
      },
    }),
  )
  const rest = async () => {
    await vi.advanceTimersByTimeAsync(20)
    await flushPromises()
  }
  return { question, of, asked, answer, isLooking, screen, rest }
}

it('asks once somebody looks and things rest, and not again for the same question', async () => {
  const { question, asked, answer, isLooking, rest } = looking()
  isLooking.value = false
  await rest()
  expect(asked).toEqual([])
  isLooking.value = true
  await rest()
  expect(asked.map(({ n }) => n)).toEqual([1])
  asked[0]!.answer(10)
  await rest()
  expect([answer.value.value, answer.isCurrent.value]).toEqual([10, true])
  isLooking.value = false
  await rest()
  isLooking.value = true
  await rest()
  expect(asked).toHaveLength(1)
  // Nothing to ask: what is known stands, and is of nothing.
  question.value = null
  await rest()
  expect([answer.value.value, answer.isCurrent.value, asked.length]).toEqual([10, false, 1])
})

it('the newest wins: an answer that was overtaken is dropped, what stood before stands, behind', async () => {
  const { question, asked, answer, rest } = looking()
  await rest()
  asked[0]!.answer(10)
  await rest()
  question.value = { n: 2 }
  await rest()
  question.value = { n: 3 }
  await rest()
  expect([answer.value.value, answer.isCurrent.value]).toEqual([10, false])
  asked[2]!.answer(30)
  await rest()
  asked[1]!.tell(19)
  asked[1]!.answer(20)
  await rest()
  expect([answer.value.value, answer.isCurrent.value, answer.answered.value]).toEqual([30, true, { n: 3 }])
})

it('one at a time: what is asked meanwhile waits, and only the newest of it is asked', async () => {
  const { question, asked, rest } = looking({ isOneAtATime: true })
  await rest()
  for (const n of [2, 3, 4]) {
    question.value = { n }
    await rest()
  }
  expect(asked.map(({ n }) => n)).toEqual([1])
  asked[0]!.answer(10)
  await rest()
  expect(asked.map(({ n }) => n)).toEqual([1, 4])
})

it('an answer of another stay is none, at once; nor one that comes too late for it', async () => {
  const { question, of, asked, answer, rest } = looking()
  await rest()
  asked[0]!.tell(9)
  expect(answer.value.value).toBe(9)
  of.value = 'another'
  expect(answer.value.value).toBeNull()
  asked[0]!.answer(10)
  question.value = { n: 2 }
  await rest()
  expect(answer.value.value).toBeNull()
  asked[1]!.answer(20)
  await rest()
  expect(answer.value.value).toBe(20)
})

it('a failure is said and reported, and asked again with the next change', async () => {
  const { question, asked, answer, rest } = looking()
  await rest()
  asked[0]!.fail()
  await rest()
  expect([answer.hasFailed.value, answer.value.value, reports.value[0]?.where]).toEqual([
    true,
    null,
    'a test',
  ])
  question.value = { n: 2 }
  await rest()
  expect(answer.hasFailed.value).toBe(false)
  asked[1]!.answer(20)
  await rest()
  question.value = { n: 3 }
  await rest()
  asked[2]!.fail()
  await rest()
  expect([answer.value.value, answer.hasFailed.value]).toEqual([null, true])
})

it('kept or not: what goes with its question goes at once; what stands through a failure stands', async () => {
  const goes = looking({ isKept: false })
  await goes.rest()
  goes.asked[0]!.answer(10)
  await goes.rest()
  goes.question.value = { n: 2 }
  await flushPromises()
  expect(goes.answer.value.value).toBeNull()
  const stands = looking({ isKeptOnFailure: true })
  await stands.rest()
  stands.asked[0]!.answer(10)
  await stands.rest()
  stands.question.value = { n: 2 }
  await stands.rest()
  stands.asked[1]!.fail()
  await stands.rest()
  expect([stands.answer.value.value, stands.answer.hasFailed.value]).toEqual([10, true])
})

it('asks nothing once nobody is there', async () => {
  const { question, asked, screen, rest } = looking()
  await rest()
  screen.unmount()
  question.value = { n: 2 }
  await rest()
  expect(asked).toHaveLength(1)
})

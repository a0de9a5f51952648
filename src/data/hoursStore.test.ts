import { expect, it } from 'vitest'
import { caseOf } from '@/core/domain'
import { readOpening, type OpeningRequest } from '@/engines/openingHours'
import { JobGivenUp } from '@/workers/lane'
import { trailerDemo } from '../../scripts/demo/trailer'
import { openingsOf } from './hoursStore'

const request = (text: string): OpeningRequest => ({
  text,
  from: '2027-09-10T05:00',
  until: '2027-09-25T05:00',
  sunrise: '06:50',
  sunset: '19:30',
})
const about = { revision: 1, stayCase: caseOf(trailerDemo(), 'harrow-ridge') }
/** A worker that falls silent at some texts; null: there is none at all. */
function jobs(silentAt: ((text: string) => boolean) | null) {
  const asked: number[] = []
  const run = async (...[, , , args, tell]: unknown[]) => {
    await Promise.resolve()
    const texts = args as OpeningRequest[]
    asked.push(texts.length)
    if (!silentAt) throw new JobGivenUp(false)
    for (const one of texts) {
      if (silentAt(one.text)) throw new JobGivenUp(true)
      ;(tell as (answer: unknown) => void)(readOpening(one))
    }
    return []
  }
  return { asked, run: run as never }
}

it('a text that would never be read is refused, and the others are read; without a worker nothing is', async () => {
  const texts = ['24/7', 'hard', 'Mo-Fr 08:00-18:00', 'hard', '24/7', 'not hours'].map(request)
  const { run, asked } = jobs((text) => text === 'hard')
  const answers = await openingsOf({ run }, about, texts)
  expect(answers.map((one) => (one.ok ? 'ok' : one.why.slice(0, 8)))).toEqual([
    'ok', 'too-hard', 'ok', 'too-hard', 'ok', expect.any(String),
  ]) // prettier-ignore
  expect(asked).toEqual([6, 4, 2])
  expect(await openingsOf({ run: jobs(null).run }, about, texts)).toEqual([])
})

it('a text of more than five hundred characters is refused unread, however many blanks it has', () => {
  expect(readOpening(request(`PH off;${' '.repeat(400)}+`))).toMatchObject({ ok: false })
  expect(readOpening(request(`24/7${' '.repeat(4000)}`))).toMatchObject({ ok: true })
  expect(readOpening(request('Mo 08:00-09:00; '.repeat(60)))).toEqual({ ok: false, why: 'too-long' })
})

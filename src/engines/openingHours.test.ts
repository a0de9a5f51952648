import { describe, expect, it } from 'vitest'
import { readOpening } from './openingHours'

/** Friday 10 to Tuesday 14 September 2027, five in the morning; the sun is up from 06:50 to 19:30. */
const base = { from: '2027-09-10T05:00', until: '2027-09-14T05:00', sunrise: '06:50', sunset: '19:30' }
const short = (time: string) => `${time.slice(8, 10)} ${time.slice(11)}`

/** What a text comes to: `?` marks what is only perhaps. */
function read(text: string, over: Partial<typeof base> = {}): string[] | string {
  const answer = readOpening({ ...base, text, ...over })
  if (!answer.ok) return 'cannot be read'
  return answer.times.spans.map(
    ({ from, until, isSure, note }) =>
      `${short(from)}–${short(until)}${isSure ? '' : '?'}${note === null ? '' : ` ${note}`}`,
  )
}

const DAYTIME = ['10 08:00–10 18:00', '13 08:00–13 18:00']
const PERHAPS = DAYTIME.map((span) => `${span}?`)

/** Zones whose clocks change by an hour, by half an hour, at midnight, or never. */
const ZONES = [
  'America/New_York', 'Australia/Lord_Howe', 'Europe/Paris', 'Asia/Kolkata', 'America/St_Johns', 'Africa/Cairo',
] // prettier-ignore

describe('opening hours', () => {
  it.each([
    // Closed days.
    ['Mo-Fr 08:00-18:00', DAYTIME],
    ['Mo-Sa 08:00-18:00; Sa off', DAYTIME],
    ['08:00-18:00; Sa,Su closed', DAYTIME],
    [
      'Mo-Fr 08:00-12:00,13:00-18:00',
      ['10 08:00–10 12:00', '10 13:00–10 18:00', '13 08:00–13 12:00', '13 13:00–13 18:00'],
    ],
    ['off', []],
    ['Su[2] 10:00-12:00', ['12 10:00–12 12:00']],
    ['Su[1] 10:00-12:00', []],
    // Seasons.
    [
      'Apr-Oct: Mo-Fr 08:00-18:00; Apr-Oct: Sa 08:00-14:00; Su off',
      ['10 08:00–10 18:00', '11 08:00–11 14:00', '13 08:00–13 18:00'],
    ],
    ['Nov-Mar 10:00-12:00', []],
    ['Sep 12-Oct 03 09:00-10:00', ['12 09:00–12 10:00', '13 09:00–13 10:00']],
    ['2026 09:00-10:00', []],
    // Midnight.
    ['24/7', ['10 05:00–14 05:00']],
    ['Sa 20:00-02:00', ['11 20:00–12 02:00']],
    ['Fr 22:00-24:00; Sa 00:00-03:00', ['10 22:00–11 03:00']],
    ['Mo 08:00-25:00', ['13 08:00–14 01:00']],
    // The sun.
    ['Sa sunrise-sunset', ['11 06:50–11 19:30']],
    ['Sa (sunrise+01:00)-(sunset-00:30)', ['11 07:50–11 19:00']],
    ['Sa dawn-dusk', ['11 06:20–11 20:00']],
    // By appointment, and what is only perhaps.
    [
      'Mo-Fr 08:00-18:00; Sa "by appointment"',
      ['10 08:00–10 18:00', '11 00:00–12 00:00? by appointment', '13 08:00–13 18:00'],
    ],
    ['"ask at sunset point"', ['10 05:00–14 05:00? ask at sunset point']],
    ['unknown', ['10 05:00–14 05:00?']],
    ['Sa 08:00+', ['11 08:00–12 00:00?']],
    // Holidays nobody here knows.
    ['Mo-Fr 08:00-18:00; PH off', PERHAPS],
    ['Mo-Fr,PH 08:00-18:00', PERHAPS],
    ['PH,Su off; Mo-Fr 08:00-18:00', PERHAPS],
    ['PH 10:00-12:00', ['10 05:00–14 05:00?']],
    // What can be read in two ways, or its reader remarks on, is not sure.
    ['Mo-Fr 08:00-18:00; 2027 Sep 11,14 off', ['10 05:00–14 05:00?']],
    ['Mo-Fr 8-18', PERHAPS],
    ['Mo-Fr 08:00-18:00; Sep 11-12 off', DAYTIME],
    [
      'Mo-Fr 08:00-18:00; Sep 11 off; Sep 12 "from Sep 11, 14 on"',
      [DAYTIME[0]!, '12 00:00–13 00:00? from Sep 11, 14 on', DAYTIME[1]!],
    ],
    // What is no opening at all.
    ['gibberish', 'cannot be read'],
    ['Mo-Fr 26:00-99:00', 'cannot be read'],
    ['<b>Mo</b>', 'cannot be read'],
    ['Mo-Fr 08:00-18:00; Foo', 'cannot be read'],
  ] as [string, string[] | string][])('%s', (text, expected) => {
    expect(read(text)).toEqual(expected)
  })

  it('says that holidays were left aside, and why a text cannot be read, in words without a machine in them', () => {
    expect(readOpening({ ...base, text: 'Mo-Fr 08:00-18:00; PH off' })).toMatchObject({
      times: { leavesHolidays: true },
    })
    expect(readOpening({ ...base, text: 'Mo-Fr 08:00-18:00' })).toMatchObject({
      times: { leavesHolidays: false },
    })
    const refused = readOpening({ ...base, text: 'Mo-Fr 26:00-99:00' })
    expect(!refused.ok && refused.why).toMatch(/26:00/)
    expect(!refused.ok && refused.why).not.toMatch(/\n| at .*:\d+/)
  })

  it('is the same whatever zone the machine keeps, over a change of its clock as well', () => {
    const zone = process.env.TZ
    const everywhere = (text: string, week: Pick<typeof base, 'from' | 'until'>) => {
      const all = ['UTC', ...ZONES].map((name) => {
        process.env.TZ = name
        return read(text, week)
      })
      process.env.TZ = zone
      for (const one of all) expect(one).toEqual(all[0])
      return all[0]
    }
    const spring = { from: '2027-03-26T05:00', until: '2027-03-30T05:00' }
    expect(everywhere('08:00-18:00; Su sunrise-sunset', spring)).toEqual([
      '26 08:00–26 18:00',
      '27 08:00–27 18:00',
      '28 06:50–28 19:30',
      '29 08:00–29 18:00',
    ])
    // In Paris the clock skips from two to three on the 28th, on Lord Howe half an hour is given back on the 4th of April.
    expect(everywhere('Su 02:00-02:45; Fr 22:00-03:00', spring)).toEqual([
      '26 22:00–27 03:00',
      '28 02:00–28 02:45',
    ])
    const april = { from: '2027-04-02T05:00', until: '2027-04-06T05:00' }
    expect(everywhere('Sa 23:00-02:15, Su 01:30-01:59', april)).toEqual(['03 23:00–04 02:15'])
    expect(everywhere('Mo-Su 22:00-03:00', { from: '2027-11-06T05:00', until: '2027-11-08T05:00' })).toEqual([
      '06 22:00–07 03:00',
      '07 22:00–08 03:00',
    ])
  })
})

it('is not held up by blanks, however many: the text is read as with one of them', () => {
  for (const blanks of [1, 26, 60, 240]) {
    const many = ' '.repeat(blanks)
    expect(read(`PH off;${many}+`)).toEqual(read('PH off; +'))
    expect(read(`Mo-Fr${many}08:00-18:00`)).toEqual(DAYTIME)
  }
})

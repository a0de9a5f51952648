import { afterEach, describe, expect, it } from 'vitest'
import { formatClock, formatDate, formatDays, formatNumber, formatShortDay, formatSigned } from './index'
import { group, speakWith } from './group'
import { localeFor, PLAIN_LOCALE, writeAs } from './locale'
import { plural } from './plural'
import { pseudo } from './pseudo'

describe('what follows the place', () => {
  afterEach(() => writeAs(PLAIN_LOCALE))
  const AT = '2027-09-16T16:00'

  it.each([
    ['en-GB', '4.5', '+1.2', 'Thu 16 Sept', 'Thu 16', '16:00', '00:05', '12:30'],
    ['en-US', '4.5', '+1.2', 'Thu Sep 16', 'Thu 16', '4\u00a0pm', '12:05\u00a0am', '12:30\u00a0pm'],
    ['en-AU', '4.5', '+1.2', 'Thu 16 Sept', 'Thu 16', '4\u00a0pm', '12:05\u00a0am', '12:30\u00a0pm'],
    ['de-DE', '4,5', '+1,2', 'Thu 16 Sept', 'Thu 16', '16:00', '00:05', '12:30'],
    ['fr-FR', '4,5', '+1,2', 'Thu 16 Sept', 'Thu 16', '16:00', '00:05', '12:30'],
    ['ar-EG', '4.5', '+1.2', 'Thu 16 Sept', 'Thu 16', '4\u00a0pm', '12:05\u00a0am', '12:30\u00a0pm'],
    ['no such place', '4.5', '+1.2', 'Thu 16 Sept', 'Thu 16', '16:00', '00:05', '12:30'],
  ])('%s', (tag, number, signed, date, short, full, night, noon) => {
    writeAs(localeFor('en', tag))
    expect([
      ...[formatNumber(4.5), formatSigned(1.2), formatDate(AT), formatShortDay(AT)],
      ...[formatClock(AT), formatClock('2027-09-16T00:05'), formatClock('2027-09-16T12:30')],
    ]).toEqual([number, signed, date, short, full, night, noon])
  })

  it('another language has its own days and months', () => {
    writeAs(localeFor('de', 'de-AT'))
    expect(formatDate(AT)).toMatch(/^Do\. 16\. Sept?\.$/)
    expect(formatDays(1234.56)).toContain('234,5')
  })
})

it('says one of one only, and not of 1.0', () => {
  expect([0, 1, 2, 11, '1', '1.0', '21'].map((n) => plural(n, 'day', 'days'))).toEqual([
    ...['days', 'day', 'days', 'days', 'day', 'days', 'days'],
  ])
})

it('puts another language in the place of English, of the groups that are there and of those to come', () => {
  const early = group('early', { a: 'Water', inner: { list: ['one tap', 'two'], path: '/cards/dump' } })
  const hers = early.inner
  speakWith(pseudo)
  const late = group('late', {
    left: (tank: string, n: number) => `${tank} has ${n} days left`,
    step: 'Open {tank} fully.',
  })
  try {
    expect(early.a).toBe('Wààtéér')
    // Who holds a part of it has the new words too, and a path stays one.
    expect(hers.list[0]).toMatch(/^öö\S+ tàà/)
    expect(hers.path).toBe('/cards/dump')
    expect(late.left('Gray', 3)).toMatch(/^Gray \S*àà\S* 3 \S+ \S+$/)
    expect(late.step).toMatch(/ \{tank\} /)
    // Two fifths longer at least, and never said twice over.
    expect('Open fully'.length * 1.3).toBeLessThan(late.step.replace('{tank} ', '').length)
    expect(pseudo('late', { twice: late.step }).twice).toBe(late.step)
  } finally {
    speakWith((_, english) => english)
  }
})

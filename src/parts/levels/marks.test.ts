import { expect, it } from 'vitest'
import { PANEL_KINDS, panelOf, panelMarks } from '@/core/domain'
import { marksOf, marksText } from './marks'
import { markNames } from './markNames'

it('reads the marks of a panel as they are typed, and refuses what does not rise', () => {
  expect(marksOf('25 50 75 100')).toEqual([0.25, 0.5, 0.75, 1])
  expect(marksOf('12,5 % 60% 90')).toEqual([0.125, 0.6, 0.9])
  expect(marksText(marksOf('12,5; 60; 90')!)).toBe('12.5 60 90')
  for (const wrong of ['', '50 25', '0 50', '50 50', '50 120', 'half', '1 2 3 4 5 6 7 8 9 10 11 12 13'])
    expect([wrong, marksOf(wrong)]).toEqual([wrong, null])
})

it('calls the steps by the mark that is lit', () => {
  const names = PANEL_KINDS.map((kind) => markNames(panelMarks(panelOf(kind))))
  expect(names).toEqual([
    ['nothing', '⅓', '⅔', 'full'],
    ['nothing', '¼', '½', '¾', 'full'],
  ])
  expect(markNames(panelMarks({ probes: [0.3, 0.9] }))).toEqual(['nothing', '30 %', '90 %'])
})

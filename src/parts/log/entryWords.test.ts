// @vitest-environment happy-dom
import { beforeEach, expect, it } from 'vitest'
import { UNIT_SYSTEMS } from '@/core/quantities'
import { useSettingsStore } from '@/data/settingsStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { entry, thirds } from '../../../tests/support/entries'
import { freshStores } from '../../../tests/support/freshStores'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { trailerLog } from '../../../scripts/demo/trailerLog'
import { vanDemo } from '../../../scripts/demo/van'
import { vanLog } from '../../../scripts/demo/vanLog'
import { useEntryWords } from './entryWords'

beforeEach(() => {
  localStorage.clear()
  freshStores()
})

function opened(document = trailerDemo()) {
  useWorkspaceStore().replace('import', () => document)
  useSettingsStore().units = { ...UNIT_SYSTEMS.metric }
  const { words } = useEntryWords()
  return (of: Parameters<typeof words>[0]) => words(of).replaceAll('\u00a0', ' ')
}
const AT = '2027-09-14T12:00'

it.each([
  ['a use', entry({ kind: 'use', at: AT, activity: 'shower', n: 2 }), '2 × Shower'],
  [
    'a use that was measured, of one person',
    entry({ kind: 'use', at: AT, activity: 'shower', litres: 12.4, minutes: 3 }),
    /^Shower, 12(\.4)? L, 3 min$/,
  ],
  ['the panel', entry({ kind: 'reading', at: AT, container: 'gray', saw: thirds(1) }), 'Gray: panel shows ⅓'],
  [
    'a tank read full',
    entry({ kind: 'reading', at: AT, container: 'black', saw: { as: 'full' } }),
    /^Black: /,
  ],
  [
    'a run, with its rinse',
    entry({
      kind: 'run',
      at: AT,
      did: [{ container: 'gray', what: 'emptied', litres: 90 }] as never,
      took: { rinses: [{ container: 'black', rounds: 3, owed: 0 }], minutes: 25 } as never,
    }),
    'Gray emptied, 3 rounds of rinsing, 25 min',
  ],
  ['a dose', entry({ kind: 'dose', at: AT, amount: 52 }), 'Black: 50 mL of Mire-Ease'],
  ['a product that is gone', entry({ kind: 'dose', at: AT, product: 'gone', amount: 52 }), /^Black.*52$/],
  ['something odd', entry({ kind: 'odd', at: AT, from: '2027-09-13T08:00', why: 'other' }), /13 Sept/],
  ['a note', entry({ kind: 'note', at: AT }), 'Note'],
  ['the end', entry({ kind: 'end', at: AT }), /\w/],
])('says %s in a line', (_, of, wanted) => {
  const words = opened()(of)
  if (typeof wanted === 'string') expect(words).toBe(wanted)
  else expect(words).toMatch(wanted)
})

it('has words for all that the demos logged', () => {
  for (const [document, log] of [
    [trailerDemo(), trailerLog()],
    [vanDemo(), vanLog()],
  ] as const) {
    freshStores()
    const words = opened(document)
    for (const one of log) expect(words(one)).toMatch(/^(?!.*(undefined|null|NaN|\[object)).*\w.*$/)
  }
})

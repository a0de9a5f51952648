import { expect, it } from 'vitest'
import { en } from '@/texts'
import { DRAWINGS } from './drawings'
import { guideEntries, guideSearch } from './guideEntries'
import { handbookPage, handbookPages } from './handbook'

const entries = guideEntries()
const search = guideSearch(entries)
const titles = (words: string) => search(words).map(({ title }) => title)

it('has every word, question, caution, mishap, card and source once', () => {
  expect(new Set(entries.map(({ id }) => id)).size).toBe(entries.length)
  for (const { title } of entries) expect(title.trim()).not.toBe('')
  const count = (kind: string) => entries.filter((entry) => entry.kind === kind).length
  expect(count('term')).toBe(Object.keys(en.terms).length + Object.keys(en.cardGlossary).length)
  expect(count('question')).toBe(Object.keys(en.questionTexts).length + 1)
  expect(count('card')).toBe(Object.keys(en.cardNames).length)
})

it('finds by parts of words and slips of the finger, the title first, all words asked for', () => {
  expect(titles('plan on')[0]).toBe('Plan on')
  expect(titles('safe fil')[0]).toBe('Safe fill')
  expect(titles('casette')).toContain('Cassette')
  expect(titles('bleach urine')[0]).toContain('Never mix bleach')
  expect(titles('vault toilet')).toEqual(['May a cassette or a jug be emptied into a vault toilet?'])
  expect(titles('xyzzyq')).toEqual([])
})

/** What people type, and what must be among the first three answers. */
const LOOKED_UP: Record<string, string> = {
  boondocking: 'term-hookup',
  'dry camping': 'term-hookup',
  'how long can we stay': 'term-dry-count',
  'what fills first': 'term-stopper',
  'sewer hose': 'card-dump',
  bayonet: 'term-lug',
  'clear elbow': 'term-elbow',
  backflow: 'term-vacuum-breaker',
  'backflow preventer': 'term-vacuum-breaker',
  'navy shower': 'habit-wet-soap-rinse',
  pyramid: 'term-residue',
  clog: 'mishap-no-flow',
  clogged: 'mishap-no-flow',
  smell: 'term-treatment',
  odor: 'term-treatment',
  'stuck valve': 'term-end-valve',
  winterize: 'card-lay-up',
  antifreeze: 'card-lay-up',
  'first time': 'screen-first-night',
  beginner: 'screen-first-dump',
  'how do I flush': 'term-flush-floor',
  'gauge wrong': 'card-probes',
  pail: 'card-by-hand',
  kids: 'card-aboard',
  guests: 'card-aboard',
  dump: 'card-dump',
  'how to dump': 'card-dump',
  'dump station': 'card-dump',
  'where to dump': 'screen-places',
  'dump station near me': 'screen-places',
  backup: 'screen-settings',
  export: 'screen-settings',
  units: 'screen-settings',
  gallons: 'screen-settings',
  metric: 'screen-settings',
  'dark mode': 'screen-settings',
  language: 'screen-settings',
  weight: 'screen-rig',
  overweight: 'term-payload',
  'fill water': 'card-fresh',
  'refill tank': 'card-fresh',
  'new stay': 'screen-season',
  'next trip': 'screen-season',
  'grey water': 'term-gray',
  sewage: 'term-black',
  poop: 'term-black',
  'holding tank': 'term-black',
  'compost toilet': 'term-solids-bin',
  'pee bottle': 'term-urine-jug',
  'portable toilet': 'term-cassette',
  sensor: 'term-probe',
  dipstick: 'term-reading',
  'how full': 'term-safe-fill',
  chemicals: 'term-treatment',
  'septic safe': 'term-septic',
  'solar shower': 'habit-shower-bag',
  'save water': 'screen-habits',
  checklist: 'screen-cards',
  maintenance: 'screen-chores',
  reminder: 'screen-chores',
  'honey wagon': 'term-tote',
  'portable tank': 'term-tote',
  freezing: 'card-frost',
  'frozen pipes': 'card-frost',
  bleach: 'card-sanitize',
  'water tastes bad': 'card-sanitize',
  'leaking hose': 'mishap-leaks',
  spill: 'mishap-overflows',
  overflow: 'mishap-overflows',
  'travel day': 'card-road-day',
  'flow rate': 'card-bucket-test',
  'tank size': 'card-metered-fill',
  'grinder pump': 'card-macerator',
  'save shower water': 'habit-wet-soap-rinse',
  'is it allowed': 'term-land',
  'latest moment': 'term-decide-by',
  'heavy lifting': 'term-lift-limit',
  calibrate: 'term-shakedown',
  timer: 'screen-shower',
  history: 'screen-log',
  groceries: 'screen-runs',
  hassle: 'term-bother',
  ration: 'term-budget',
}
it('finds what owners type, in their words', () => {
  expect(Object.keys(LOOKED_UP).length).toBeGreaterThanOrEqual(80)
  const missed = Object.entries(LOOKED_UP).flatMap(([typed, wanted]) => {
    const first = search(typed)
      .slice(0, 3)
      .map(({ id }) => id)
    return first.includes(wanted) ? [] : [`${typed}: ${first.join(', ')} and not ${wanted}`]
  })
  expect(missed).toEqual([])
})

it('answers a plain word with nothing rather than with something else', () => {
  for (const typed of ['pizza', 'diesel', 'solar panels', 'wifi', 'insurance', 'cat food'])
    expect([typed, titles(typed)]).toEqual([typed, []])
})

it('explains every word of the cards, and says everyday words of entries that there are', () => {
  const ids = new Set(entries.map(({ id }) => id))
  expect(Object.keys(en.asked).filter((id) => !ids.has(id))).toEqual([])
  expect(titles('vacuum breaker')[0]).toBe('Vacuum breaker')
})

it('has a page of the handbook for each screen, whose parts are found, and whose links lead somewhere', () => {
  const pages = handbookPages()
  const ids = pages.map(({ id }) => id)
  for (const screen of [
    'camp',
    'stay',
    'habits',
    'runs',
    'log',
    'rig',
    'guide',
    'settings',
    'budget',
    'chores',
  ])
    expect(ids).toContain(screen)
  for (const { id, title, lead, parts } of pages) {
    expect([title, lead, parts.length > 0].every(Boolean), id).toBe(true)
    const linked = [lead, ...parts.map(({ markdown }) => markdown)].flatMap((text) =>
      [...text.matchAll(/\]\((\w+)\.md\)/g)].map(([, to]) => to!),
    )
    for (const to of linked) expect(ids, `${id} leads to ${to}`).toContain(to)
  }
  expect(titles('certificate')[0]).toBe('Settings: Onto the phone: your own network')
  expect(titles('drag the ends of a habit')).toContain('Stay: The board')
  expect(handbookPage('no-such-page')).toBeNull()
  expect(handbookPage('constructor')).toBeNull()
})

it('what is drawn is a word of the cards', () => {
  const words = Object.keys(en.cardGlossary)
  expect(Object.keys(DRAWINGS).length).toBeGreaterThan(10)
  for (const word of Object.keys(DRAWINGS)) expect(words).toContain(word)
})

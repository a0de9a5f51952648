import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import type { Document } from '@/core/domain'
import { en } from '@/texts'
import { z } from './schema/zod'
import { newContainer } from './starters'
import { fileSchema } from './schema/version11'
import {
  CURRENT_VERSION,
  FAULT_CODES,
  checked,
  fileName,
  openDocument,
  pathText,
  readDocument,
  writeDocument,
  type FaultCode,
} from './index'
import { runOf, runStep } from '../../tests/support/generateRuns'
import { trailerDemo } from '../../scripts/demo/trailer'
import { truckDemo } from '../../scripts/demo/truck'
import { trailerLog } from '../../scripts/demo/trailerLog'
import { vanDemo } from '../../scripts/demo/van'
import { vanLog } from '../../scripts/demo/vanLog'

const find = (d: Document, id: string) => d.habits.find((habit) => habit.id === id)!
type Draft = Record<string, never> & Document
const faultsOf = async (change: (draft: Draft) => void) => {
  const draft = structuredClone(trailerDemo()) as Draft
  change(draft)
  const before = structuredClone(draft)
  const result = await openDocument({ ...draft, log: [] })
  expect(draft).toEqual(before)
  return result.ok ? [] : result.faults.map(({ code, path }) => `${code} ${pathText(path)}`)
}

describe('a document', () => {
  it.each([
    ['harrow-ridge-trailer', trailerDemo, trailerLog],
    ['low-meadow-van', vanDemo, vanLog],
    ['ridge-season-truck', truckDemo, () => []],
  ])(
    'opens as it is shipped: %s, and the shipped file is the one that is built',
    async (name, build, log) => {
      const text = readFileSync(`demo/${name}.drycount.json`, 'utf8')
      expect(await readDocument(text)).toEqual({ ok: true, value: build(), log: log() })
    },
  )

  it('opens without the entries of its log that are no good, and says which; one that refers to what is gone is kept', async () => {
    const good = trailerLog()
    const bad = [
      { ...good[0]!, id: 'kind', kind: 'feast' },
      {
        ...good[0]!,
        id: 'odd',
        kind: 'odd',
        from: '2027-09-30T00:00',
        container: null,
        why: 'leak',
        at: '2027-09-12T00:00',
      },
      {
        ...good[0]!,
        id: 'step',
        kind: 'reading',
        container: 'gray',
        isOffLevel: false,
        saw: { as: 'panel', edges: [0, 0.5], step: 4 },
      },
      7,
    ]
    const orphan = { ...good[1]!, id: 'orphan', stay: 'sea' }
    const older = JSON.parse(readFileSync('src/document/fixtures/version-10.drycount.json', 'utf8')) as object
    for (const file of [trailerDemo(), older]) {
      const log = [bad[0], ...good, bad[1], orphan, bad[2], bad[3], good[0]]
      const opened = await openDocument({ ...file, log })
      expect(opened).toMatchObject({ ok: true })
      if (!opened.ok) continue
      expect(opened.log).toEqual([...good, orphan])
      expect(new Set(opened.leftOut!.map(({ path }) => path.slice(0, 2).join())).size).toBeGreaterThan(2)
      // What was written is read again.
      expect(await readDocument(writeDocument(opened.value, opened.log))).toEqual({
        ok: true,
        value: opened.value,
        log: opened.log,
      })
    }
  })

  const cases: [string, (draft: Draft) => void, string][] = [
    ['a missing number', (d) => Reflect.deleteProperty(d.rigs[0]!.containers[0]!, 'capacity'), 'missing rigs[0].containers[0].capacity'],
    ['text for a number', (d) => Object.assign(d.rigs[0]!.containers[0]!.capacity, { value: '340' }), 'wrong-type rigs[0].containers[0].capacity.value'],
    ['NaN', (d) => (d.rigs[0]!.containers[0]!.capacity.value = NaN), 'wrong-type rigs[0].containers[0].capacity.value'],
    ['a huge number', (d) => (d.rigs[0]!.containers[0]!.capacity.value = 1e300), 'too-big rigs[0].containers[0].capacity.value'],
    ['a negative rate', (d) => (d.crews[0]!.activities[0]!.rate.value = -1), 'too-small crews[0].activities[0].rate.value'],
    ['a stranger among the fields', (d) => Object.assign(d, { extra: 1 }), 'unknown-field extra'],
    ['gear that no catalogue knows', (d) => Object.assign(d.rigs[0]!, { gear: ['jetpack'] }), 'bad-choice rigs[0].gear[0]'],
    ['gear of a habit that no catalogue knows', (d) => Object.assign(d.habits[0]!, { gear: ['jetpack'] }), 'bad-choice habits[0].gear[0]'],
    ['a chore of no kind', (d) => Object.assign(d.rigs[0]!.chores[0] ?? (d.rigs[0]!.chores[0] = { id: 'c', kind: 'own', name: 'C', container: null, every: [], done: null, snoozed: null }), { kind: 'dance' }), 'bad-choice rigs[0].chores[0].kind'],
    ['a card of no kind', (d) => d.rigs[0]!.cards.push({ id: 'c', name: 'C', kind: 'dance' as never, from: 'own', steps: [{ words: 'A step' }] }), 'bad-choice rigs[0].cards[0].kind'],
    ['gear that is no word', (d) => Object.assign(d.rigs[0]!, { gear: ['Jet Pack'] }), 'bad-text rigs[0].gear[0]'],
    ['an unknown kind', (d) => Object.assign(d.rigs[0]!.containers[0]!, { kind: 'purple' }), 'bad-choice rigs[0].containers[0].kind'],
    ['markup in a name', (d) => (d.rigs[0]!.name = '<img src=x>'), 'bad-text rigs[0].name'],
    ['an endless name', (d) => (d.rigs[0]!.name = 'x'.repeat(81)), 'too-long rigs[0].name'],
    ['a crew of none', (d) => (d.crews[0]!.persons = []), 'too-few crews[0].persons'],
    ['a date that is none', (d) => (d.stays[0]!.start = '2027-02-30T10:00'), 'bad-time stays[0].start'],
    ['a reserved id', (d) => (d.rigs[0]!.fixtures[0]!.id = 'ground'), 'reserved-id rigs[0].fixtures[0].id'],
    ['an id used twice', (d) => (d.rigs[0]!.containers[1]!.id = 'fresh'), 'duplicate-id rigs[0].containers[1].id'],
    ['a drain to nowhere', (d) => (d.rigs[0]!.fixtures[0]!.drains = 'sea'), 'dangling rigs[0].fixtures[0].drains'],
    ['a drain into fresh', (d) => (d.rigs[0]!.fixtures[0]!.drains = 'fresh'), 'drains-into-supply rigs[0].fixtures[0].drains'],
    ['a tap on gray', (d) => (d.rigs[0]!.fixtures[0]!.draws = 'gray'), 'draws-from-waste rigs[0].fixtures[0].draws'],
    ['shares of nine tenths', (d) => (d.rigs[0]!.roles[0]!.share.value = 0.9), 'shares-not-one rigs[0].roles'],
    ['a day of five quarters', (d) => (d.crews[0]!.activities[0]!.weights.values[3] = 0.25), 'weights-not-one crews[0].activities[0].weights.values'],
    ['a level left out', (d) => d.stays[0]!.levels.pop(), 'level-missing stays[0].levels'],
    ['a level of no tank', (d) => (d.stays[0]!.levels[0]!.container = 'sea'), 'level-unknown stays[0].levels[0]'],
    ['a reserve as large as the tank', (d) => Object.assign(d.rigs[0]!.containers[0]!, { reserve: { value: 340, by: 'owner' } }), 'reserve-over-capacity rigs[0].containers[0].reserve.value'],
    ['an end before the start', (d) => (d.stays[0]!.leaveAt = '2027-09-01T11:00'), 'ends-before-start stays[0].leaveAt'],
    ['a stay of a hundred days', (d) => (d.stays[0]!.leaveAt = '2027-12-31T11:00'), 'beyond-horizon stays[0].leaveAt'],
    ['days that run backwards', (d) => (d.stays[0]!.habits[0]!.days = [5, 2]), 'days-reversed stays[0].habits[0].days'],
    ['an own rate for the dishes', (d) => d.crews[0]!.persons[0]!.rates.push({ activity: 'dishes', rate: { value: 1, by: 'owner' } }), 'rate-of-crew-activity crews[0].persons[0].rates[0].activity'],
    ['less to drink', (d) => (find(d, 'one-hair-rinse').effects[0]!.activity = 'drinking'), 'rationed habits[2].effects[0]'],
    ['less hand-washing', (d) => (find(d, 'shower-every-other').effects[0]!.activity = 'hand-wash'), 'rationed habits[4].effects[0]'],
    ['two rivals on', (d) => d.stays[0]!.habits.push({ habit: 'spare-liquid-flush', days: null, persons: null }, { habit: 'no-liquid-flush', days: null, persons: null }), 'rivals-on stays[0].habits[2]'],
    ['a habit on twice', (d) => d.stays[0]!.habits.push({ habit: 'tooth-cup', days: null, persons: null }), 'listed-twice stays[0].habits[1]'],
    ['a drain into a bin', (d) => { d.rigs[0]!.containers.push(newContainer('solids', 'bin', 'Bin')); d.rigs[0]!.fixtures[3]!.drains = 'bin' }, 'liquid-into-solids rigs[0].fixtures[3].drains'],
    ['solids into gray', (d) => (d.rigs[0]!.fixtures[3]!.solids = 'gray'), 'solids-astray rigs[0].fixtures[3].solids'],
    ['a tank at two outlets', (d) => d.rigs[0]!.outlets.push({ ...d.rigs[0]!.outlets[0]!, id: 'second' }), 'two-outlets rigs[0].outlets[1].containers[0]'],
    ['one open tank', (d) => (d.rigs[0]!.outlets[0]!.joined = ['gray']), 'joined-alone rigs[0].outlets[0].joined'],
    ['open tanks without an end valve', (d) => Object.assign(d.rigs[0]!.outlets[0]!, { joined: ['gray', 'black'], endValve: false }), 'joined-without-end-valve rigs[0].outlets[0].endValve'],
    ['reuse without a vessel', (d) => (find(d, 'shower-basin').vessel = null), 'no-vessel habits[8].effects[0]'],
    ['gray water for cooking', (d) => (find(d, 'shower-basin').effects[1]!.activity = 'cooking'), 'gray-reuse habits[8].effects[1]'],
    ['a loop of reuse', (d) => (find(d, 'shower-basin').effects[1]!.activity = 'shower'), 'reuse-loop habits[8].effects[1]'],
    ['gear that is not there', (d) => d.stays[0]!.habits.push({ habit: 'full-shut-off', days: null, persons: null }), 'gear-missing stays[0].habits[1]'],
    ['a habit the land forbids', (d) => d.stays[0]!.habits.push({ habit: 'dish-water-outdoors', days: null, persons: null }), 'not-allowed stays[0].habits[1]'],
    ['a solid use with less of the body', (d) => d.habits[0]!.effects.push({ kind: 'adds', activity: 'solid-use', from: 'body', factor: { value: 0.5, by: 'owner' } }), 'body-changed habits[0].effects[1]'],
    ['a panel that falls', (d) => Object.assign(d.rigs[0]!.containers[0]!, { panel: { probes: [0.6, 0.3], by: 'owner' } }), 'probes-fall rigs[0].containers[0].panel.probes[1]'],
    ['a stranger in a habit', (d) => (d.stays[0]!.habits[0]!.persons = ['nobody']), 'dangling stays[0].habits[0].persons[0]'],
    ['a guest who is a stranger', (d) => d.stays[0]!.guests.push({ person: 'nobody', days: [1, 2] }), 'dangling stays[0].guests[0].person'],
    ['two habits of where', (d) => { find(d, 'tooth-cup').where = find(d, 'damp-cloth').where = 'x'; d.stays[0]!.habits.push({ habit: 'damp-cloth', days: null, persons: null }) }, 'rivals-on stays[0].habits[1]'],
    ['a sun that sets first', (d) => (d.stays[0]!.weather.sunset = '05:00'), 'night-before-day stays[0].weather.sunset'],
    ['too many absences', (d) => (d.stays[0]!.absences = Array.from({ length: 10_001 }, () => ({ person: 'maren', part: 'night' as const, days: [1, 1], weekdays: null }))), 'too-many stays[0].absences'],
    ['a run to nowhere', (d) => d.stays[0]!.runs.push(runOf('r', 1, 'midday', [runStep('empty', 'gray', null)], { place: 'sea' })), 'dangling stays[0].runs[0].place'],
    ['a run on a tank that is none', (d) => d.stays[0]!.runs.push(runOf('r', 1, 'midday', [runStep('empty', 'sea', null)])), 'dangling stays[0].runs[0].steps[0].from'],
    ['a stay that follows itself', (d) => (d.stays[0]!.follows = 'harrow-ridge'), 'follows-later stays[0].follows'],
    ['a stay that follows none there is', (d) => (d.stays[0]!.follows = 'nowhere'), 'dangling stays[0].follows'],
    ['a road to no place', (d) => d.stays[0]!.ways.push({ place: 'sea', kilometres: null, minutes: null }), 'dangling stays[0].ways[0].place'],
    ['two roads to one place', (d) => d.stays[0]!.ways.push(...[1, 2].map(() => ({ place: 'pass-tap', kilometres: null, minutes: null }))), 'listed-twice stays[0].ways[1]'],
    ['a run of no step', (d) => d.stays[0]!.runs.push({ ...runOf('r', 1, 'midday', []), kind: 'move' }), 'too-few stays[0].runs[0].steps'],
    ['a place beyond the pole', (d) => (d.stays[0]!.places[0]!.position = { lat: 91, lon: 0 }), 'too-big stays[0].places[0].position.lat'],
    ['gray into fresh', (d) => d.stays[0]!.runs.push(runOf('r', 1, 'midday', [runStep('transfer', 'gray', 'fresh')])), 'step-astray stays[0].runs[0].steps[0]'],
    ['another format', (d) => Object.assign(d, { format: 'something/else' }), 'foreign format'],
    ['a newer version', (d) => Object.assign(d, { version: 99 }), 'too-new version'],
    ['no version', (d) => Object.assign(d, { version: 'one' }), 'unknown-version version'],
  ] // prettier-ignore

  it.each(cases)('refuses %s, whole, and says where', async (_, change, expected) => {
    expect(await faultsOf(change)).toContain(expected)
  })

  it('refuses what is no document at all', async () => {
    const codes = async (text: string) => {
      const result = await readDocument(text)
      return result.ok ? [] : result.faults.map(({ code }) => code)
    }
    expect(await Promise.all(['', '[]', 'null', '"x"', '{"format":'].map(codes))).toEqual([
      ['not-json'],
      ['foreign'],
      ['foreign'],
      ['foreign'],
      ['not-json'],
    ])
    const whole = writeDocument(trailerDemo())
    expect(await codes(`\uFEFF${whole}`)).toEqual([])
    for (const share of [0.1, 0.5, 0.999])
      expect(await codes(whole.slice(0, whole.length * share))).toEqual(['cut-short'])
    expect(await codes(' '.repeat(50 * 1024 * 1024 + 1))).toEqual(['too-large'])
    expect(await codes('['.repeat(200_000))).toEqual(['not-json'])
    expect(
      await codes(
        `{"format":"dry-count/document","version":1,"rigs":${'['.repeat(5000)}${']'.repeat(5000)}}`,
      ),
    ).toContain('wrong-type')
  })

  it('refuses prototype keys and stays clean', async () => {
    const text = JSON.stringify(trailerDemo())
    for (const key of ['__proto__', 'constructor', 'prototype']) {
      const hostile = await readDocument(text.replace('{"format"', `{"${key}":{"polluted":true},"format"`))
      expect(hostile.ok).toBe(false)
      const nested = await readDocument(
        text.replace('"currentStay"', `"${key}":{"polluted":true},"currentStay"`),
      )
      expect(nested.ok).toBe(false)
    }
    expect(({} as { polluted?: boolean }).polluted).toBeUndefined()
  })

  it('names faults alike in the code, the texts, the tests above and docs/format.md', () => {
    const documented = [...readFileSync('docs/format.md', 'utf8').matchAll(/^\| `([a-z-]+)` \|/gm)].map(
      (match) => match[1],
    )
    expect(documented).toEqual([...FAULT_CODES])
    expect(Object.keys(en.faults).sort()).toEqual([...FAULT_CODES].sort())
    const tested = new Set<string>([
      ...cases.map(([, , expected]) => expected.split(' ')[0]!),
      'too-large',
      'not-json',
      'cut-short',
      // Of entries: they are left out, and the file is opened.
      'stretch-backwards',
    ])
    expect(FAULT_CODES.filter((code: FaultCode) => !tested.has(code))).toEqual([])
  })

  it('ships the JSON Schema that it checks by', () => {
    const shipped: unknown = JSON.parse(
      readFileSync(`docs/schema/document-${CURRENT_VERSION}.schema.json`, 'utf8'),
    )
    expect(shipped).toEqual(
      JSON.parse(JSON.stringify(z.toJSONSchema(fileSchema, { unrepresentable: 'any' }))),
    )
  })

  it('checks an edit as it checks a file', () => {
    expect(checked({ ...trailerDemo(), currentStay: 'nowhere' })).toMatchObject({
      ok: false,
      faults: [{ code: 'dangling' }],
    })
    expect(fileName('Côte & Ridge / 2')).toBe('co-te-ridge-2.drycount.json')
    expect(fileName('***')).toBe('dry-count.drycount.json')
  })
})

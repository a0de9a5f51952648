import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { CURRENT_VERSION, pathText, readDocument } from '../index'
import { oldSchema } from './oldVersions'

type Loose = Record<string, never> & {
  rigs: { name: string; containers: { kind: string; capacity: { value: unknown; by: string } }[] }[]
  crews: { activities: { rate: { value: number }; kind: string }[] }[]
  stays: { start: string; absences: { days?: [number, number] }[]; counted?: object[] }[]
}
const OLD = [1, 2, 3, 4]
const fixture = (version: number) =>
  JSON.parse(readFileSync(`src/document/fixtures/version-${version}.drycount.json`, 'utf8')) as Loose

/** What is said of a file of an old version with one thing changed. */
async function faultsOf(version: number, change: (document: Loose) => void): Promise<string[]> {
  const document = fixture(version)
  change(document)
  const result = await readDocument(JSON.stringify(document))
  return result.ok ? [] : result.faults.map(({ code, path }) => `${code} ${pathText(path)}`)
}

describe.each(OLD)('a file of version %i', (version) => {
  it('opens as the current version, and the file itself is not touched', async () => {
    const before = fixture(version)
    expect((await oldSchema(version)).safeParse(before).success).toBe(true)
    const result = await readDocument(JSON.stringify(before))
    expect(result).toMatchObject({ ok: true, value: { version: CURRENT_VERSION } })
    if (!result.ok) return
    expect(result.value.rigs.map(({ name }) => name)).toEqual(before.rigs.map(({ name }) => name))
    expect(result.log).toEqual([])
    for (const stay of result.value.stays) {
      expect(stay.counted).toEqual([])
      if (version > 3) continue
      expect(stay.guests).toEqual([])
      expect(stay.habits.every(({ persons }) => persons === null)).toBe(true)
      expect(stay.absences.every(({ days, weekdays }) => days[0] === days[1] && weekdays === null)).toBe(true)
    }
    expect(result.value.stays[0]!.absences).toHaveLength(before.stays[0]!.absences.length)
    for (const { activities } of result.value.crews)
      expect(activities.every(({ learned }) => learned === null)).toBe(true)
    if (version > 3) return
    for (const habit of result.value.habits) expect(habit.where).toBeNull()
    for (const container of result.value.rigs[0]!.containers)
      if ('panel' in container) expect(container.panel).toBeNull()
  })

  it('is refused whole, at the number that is wrong, though its kinds are unions', async () => {
    expect(await faultsOf(version, (d) => (d.rigs[0]!.containers[0]!.capacity.value = -1))).toEqual([
      'too-small rigs[0].containers[0].capacity.value',
    ])
    expect(await faultsOf(version, (d) => (d.crews[0]!.activities[0]!.rate.value = 1e9))).toEqual([
      'too-big crews[0].activities[0].rate.value',
    ])
    expect(await faultsOf(version, (d) => (d.rigs[0]!.containers[0]!.capacity.value = 'much'))).toEqual([
      'wrong-type rigs[0].containers[0].capacity.value',
    ])
    expect(await faultsOf(version, (d) => (d.rigs[0]!.containers[0]!.kind = 'barrel'))).toHaveLength(1)
  })

  it('is refused with a name that is markup or none, a time that is no time, a field that does not belong', async () => {
    expect(await faultsOf(version, (d) => (d.rigs[0]!.name = '<b>x</b>'))).toEqual(['bad-text rigs[0].name'])
    expect(await faultsOf(version, (d) => (d.rigs[0]!.name = 'a\u0007b'))).toEqual(['bad-text rigs[0].name'])
    expect(await faultsOf(version, (d) => (d.stays[0]!.start = '2027-02-30T10:00'))).toEqual([
      'bad-time stays[0].start',
    ])
    expect(await faultsOf(version, (d) => Object.assign(d.rigs[0]!, { colour: 'red' }))).toEqual([
      'unknown-field rigs[0].colour',
    ])
  })
})

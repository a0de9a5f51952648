// @vitest-environment happy-dom
import { beforeEach, expect, it } from 'vitest'
import { effectScope } from 'vue'
import { wallDaysBetween } from '@/core/calendar'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { freshStores } from '../../../tests/support/freshStores'
import { patiently } from '../../../tests/support/patiently'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { useSeason } from './useSeason'

beforeEach(() => {
  localStorage.clear()
  freshStores()
})

function opened() {
  const workspace = useWorkspaceStore()
  workspace.replace('import', () => trailerDemo())
  const season = effectScope().run(useSeason)!
  const stays = () => workspace.document.stays
  return { workspace, season, stays }
}

it('a stay is planned after this one, follows it, and both are counted as one journey', async () => {
  const { season, stays } = opened()
  await patiently(() => expect(season.season.value).toHaveLength(1))
  expect([season.before.value, season.gap.value, season.between.value]).toEqual([null, null, []])
  const first = stays()[0]!
  const { result, name } = season.planNext()
  expect(result).toMatchObject({ ok: true })
  const next = stays().find((one) => one.id !== first.id)!
  expect(next).toMatchObject({ name, follows: first.id, rig: first.rig, crew: first.crew })
  expect(wallDaysBetween(first.leaveAt, next.start)).toBeCloseTo(1 / 6, 9)
  // It is the one on the screen from now on, and goes on where the first ends.
  expect(season.stay.value!.id).toBe(next.id)
  expect([season.before.value!.id, season.gap.value]).toEqual([first.id, expect.closeTo(1 / 6, 9)])
  await patiently(() => expect(season.season.value.map(({ stay }) => stay.id)).toEqual([first.id, next.id]))
  expect(season.span.value!.from.slice(0, 10)).toBe(first.start.slice(0, 10))
  expect(season.span.value!.days).toBe(Math.ceil(wallDaysBetween(season.span.value!.from, next.leaveAt)))
  season.setFollows(null)
  expect([season.before.value, season.chain.value.length]).toEqual([null, 1])
  expect(season.candidates.value.map(({ id }) => id)).toEqual([first.id])
})

it('an errand on the road stands between the two, on the side it belongs to', () => {
  const { season, stays } = opened()
  const first = stays()[0]!.id
  season.planNext()
  expect(season.addOnRoad('last-dump')).toMatchObject({ ok: true })
  expect(season.addOnRoad('arrive-empty')).toMatchObject({ ok: true })
  const between = season.between.value
  expect(between.map(({ of }) => of)).toEqual([first, season.stay.value!.id])
  expect(new Set(between.map(({ run }) => run.id)).size).toBe(2)
  for (const { run, of } of between)
    expect(
      stays()
        .find(({ id }) => id === of)!
        .runs.map(({ id }) => id),
    ).toContain(run.id)
})

it('a night at a hookup goes between: the journey has three stays, and the last still follows', () => {
  const { season, stays } = opened()
  const first = stays()[0]!
  season.planNext()
  const last = season.stay.value!.id
  expect(season.addHookup()).toMatchObject({ ok: true })
  const between = stays().find(({ id }) => id !== first.id && id !== last)!
  expect(between.follows).toBe(season.chain.value[season.chain.value.indexOf(between) - 1]?.id)
  expect(season.chain.value.map(({ id }) => id)).toHaveLength(3)
  expect(between.runs).toHaveLength(1)
  season.setEndsAt(0.25)
  expect(season.stay.value!.endsAt?.value).toBe(0.25)
  season.show(first.id)
  expect(season.stay.value!.id).toBe(first.id)
})

import { describe, expect, it } from 'vitest'
import { readGeoJson, geoJsonOf } from '@/document/places/geojson'
import { ridgePlaces, HARROW_RIDGE } from '../../../scripts/demo/ridge'
import { httpDirectory } from './httpDirectory'
import { keptDirectory } from './keptDirectory'
import { memoryDirectory } from './memoryDirectory'
import type { PlaceDirectory } from './placeDirectory'

const text = geoJsonOf(ridgePlaces())
const known = readGeoJson(text, () => 'x', 'Unnamed')
const report = known.ok ? known.report : null!
const answering = (body: BodyInit | null, init?: ResponseInit) => () =>
  Promise.resolve(new Response(body, init))
const http = (fetched: typeof fetch, withinMs?: number) =>
  httpDirectory({
    url: '/api/places',
    nameless: 'Unnamed',
    fetch: fetched,
    ...(withinMs === undefined ? {} : { withinMs }),
  })
const near = { position: HARROW_RIDGE, km: 20 }
/** As a server would: only what is near. */
const serving: typeof fetch = async (input) => {
  const query = new URL(input as string, 'http://dry.count').searchParams
  const asked = await memoryDirectory(report).around({
    position: { lat: Number(query.get('lat')), lon: Number(query.get('lon')) },
    km: Number(query.get('km')),
  })
  return new Response(asked.ok ? geoJsonOf(asked.report.places) : '')
}

describe.each<[string, () => PlaceDirectory]>([
  ['in memory', () => memoryDirectory(report)],
  ['over HTTP', () => http(serving)],
])('a directory %s', (_, make) => {
  it('gives what is near, and nothing where nothing is; a small step too far is too far', async () => {
    const names = async (km: number, position = HARROW_RIDGE) => {
      const answer = await make().around({ position, km })
      return answer.ok ? answer.report.places.map(({ name }) => name) : null
    }
    expect(await names(14.01)).toEqual(['Sallow Mill station', 'Tap at the pass'])
    expect(await names(13.9)).toEqual(['Tap at the pass'])
    expect(await names(500)).toHaveLength(6)
    expect(await names(50, { lat: -45, lon: 100 })).toEqual([])
  })

  it('is given up when it is told so', async () => {
    expect(await make().around(near, AbortSignal.abort())).toEqual({ ok: false, fault: 'stopped' })
  })
})

describe('a directory that does not help', () => {
  const never: typeof fetch = (_, init) =>
    new Promise((_resolve, reject) =>
      init!.signal!.addEventListener('abort', () => reject(new Error('aborted'))),
    )
  it.each<[string, typeof fetch, string]>([
    ['no network', () => Promise.reject(new TypeError('failed to fetch')), 'offline'],
    ['no directory at that address', answering('Not here', { status: 404 }), 'offline'],
    ['a server in trouble', answering('oh', { status: 500 }), 'wrong'],
    ['a page instead of places', answering('<!doctype html><title>Log in</title>'), 'wrong'],
    ['JSON of another kind', answering('{"places":[]}'), 'wrong'],
    ['half an answer', answering('{"type":"FeatureCollection","features":[{'), 'wrong'],
    [
      'far too much',
      answering(`{"type":"FeatureCollection","features":[],"x":"${'x'.repeat(5 * 1024 * 1024)}"}`),
      'wrong',
    ],
    ['never an answer', never, 'slow'],
  ])('%s', async (_, fetched, fault) => {
    expect(await http(fetched, 30).around(near)).toEqual({ ok: false, fault })
  })

  it('gives up in the middle, and says so rather than that it was slow', async () => {
    const stop = new AbortController()
    const asked = http(never, 5_000).around(near, stop.signal)
    stop.abort()
    expect(await asked).toEqual({ ok: false, fault: 'stopped' })
  })

  it('what it said last is kept for when it cannot be reached, with when that was', async () => {
    const kept = new Map<string, string>()
    const storage = {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => void kept.set(key, value),
    } as unknown as Storage
    const over = (fetched: typeof fetch) => keptDirectory(http(fetched, 30), storage, () => 1_800_000_000_000)
    expect(await over(never).around(near)).toEqual({ ok: false, fault: 'slow' })
    expect(await over(serving).around(near)).toMatchObject({ ok: true, heardAt: null })
    const again = await over(never).around(near)
    expect(again).toMatchObject({ ok: true, heardAt: 1_800_000_000_000 })
    expect(again.ok && again.report.places).toHaveLength(3)
    // Of somewhere else it never said anything.
    expect(await over(never).around({ position: { lat: 10, lon: 10 }, km: 20 })).toEqual({
      ok: false,
      fault: 'slow',
    })
    kept.set('dry-count:directory', '{')
    expect(await over(never).around(near)).toEqual({ ok: false, fault: 'slow' })
  })
})

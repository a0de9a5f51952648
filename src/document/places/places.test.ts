import { DOMParser, XMLSerializer } from '@xmldom/xmldom'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ACCEPTED, OFFERS, type Place } from '@/core/domain'
import { owned } from '@/core/quantities'
import { newPlace } from '../starters'
import { ridgePlaces } from '../../../scripts/demo/ridge'
import { geoJsonOf, readGeoJson } from './geojson'
import { gpxOf, readGpx, type Xml } from './gpx'
import { placeOfTags, plainText, tagsOf } from './osm'

const xml: Xml = {
  parse: (text) =>
    new DOMParser({
      onError: (level, message) => {
        if (level !== 'warning') throw new Error(message)
      },
    }).parseFromString(text, 'application/xml') as unknown as Document,
  write: (document) => new XMLSerializer().serializeToString(document as never),
}
let n = 0
const id = () => `place-${(n += 1)}`
const read = (text: string) => readGeoJson(text, id, 'Unnamed')
const tagged = (properties: object, geometry: object | null = { type: 'Point', coordinates: [-38, 45] }) =>
  JSON.stringify({ type: 'FeatureCollection', features: [{ type: 'Feature', geometry, properties }] })
const one = (properties: object) => {
  const found = read(tagged(properties))
  if (!found.ok) throw new Error(found.code)
  return found.report.places[0]!
}
/** What a file says of a place: all but its id. */
const said = (place: Place) => ({
  ...place,
  id: '',
  points: place.points.map((point) => ({ ...point, id: '' })),
})

describe('open tags of OpenStreetMap', () => {
  it.each([
    [{ amenity: 'sanitary_dump_station' }, { accepts: null, water: 'unknown' }],
    [
      {
        amenity: 'sanitary_dump_station',
        'sanitary_dump_station:grey_water': 'yes',
        'sanitary_dump_station:black_water': 'no',
      },
      { accepts: ['gray'] },
    ],
    [{ amenity: 'sanitary_dump_station', drinking_water: 'no' }, { water: 'not-potable' }],
    [{ amenity: 'drinking_water' }, { accepts: [], water: 'potable' }],
    [{ amenity: 'water_point' }, { accepts: [], water: 'potable' }],
    [{ amenity: 'water_point', drinking_water: 'no' }, { water: 'not-potable' }],
    [{ amenity: 'waste_disposal' }, { accepts: ['solids'] }],
    [{ amenity: 'toilets' }, { accepts: [] }],
    [
      { tourism: 'caravan_site', power_supply: 'yes' },
      { accepts: null, offers: ['hookup'] },
    ],
    [{ shop: 'supermarket' }, { accepts: [], offers: ['groceries'] }],
    [{ amenity: 'drinking_water', opening_hours: 'Mo-Fr 08:00-18:00' }, { opening: 'Mo-Fr 08:00-18:00' }],
    [{ amenity: 'drinking_water', fee: 'no' }, { fee: owned(0) }],
    [{ amenity: 'drinking_water', fee: 'yes', charge: '2,50 a fill' }, { fee: owned(2.5) }],
    [{ amenity: 'drinking_water', fee: 'yes' }, { fee: null }],
    [{ amenity: 'drinking_water', access: 'customers' }, { access: 'customers' }],
    [{ amenity: 'drinking_water', access: 'private' }, { access: 'nobody' }],
    [
      { amenity: 'sanitary_dump_station', maxheight: '3.2 m', maxlength: '9' },
      { maxHeight: owned(3.2), maxLength: owned(9) },
    ],
    [{ amenity: 'sanitary_dump_station', 'sanitary_dump_station:septic': 'yes' }, { rule: 'septic-safe' }],
    [{ tags: { name: 'Nested', amenity: 'drinking_water' } }, { name: 'Nested', water: 'potable' }],
    [{ name: 'Just a name' }, { name: 'Just a name', accepts: null }],
  ])('%j', (properties, expected) => {
    expect(one(properties)).toMatchObject(expected)
  })

  it('says which tags it did not understand, and reads nothing into them', () => {
    const found = read(
      tagged({
        name: 'X',
        amenity: 'drinking_water',
        maxheight: 'low',
        capacity: '40',
        access: 'forestry',
        fee: 'yes',
        website: 'x',
      }),
    )
    expect(found.ok && found.report.notUnderstood.map(({ tag }) => tag)).toEqual([
      'maxheight=low',
      'capacity=40',
      'access=forestry',
      'fee=yes',
    ])
    expect(found.ok && found.report.places[0]).toMatchObject({
      maxHeight: null,
      access: 'unknown',
      fee: null,
    })
  })

  it('law: what is written is read back the same, of any place with a position', () => {
    const pointArb = {
      accepts: fc.option(fc.subarray([...ACCEPTED], { minLength: 1 })),
      water: fc.constantFrom('potable' as const, 'not-potable' as const, 'unknown' as const),
      rule: fc.constantFrom('septic-safe' as const, 'unknown' as const),
    }
    const further = fc.record({
      ...pointArb,
      id: fc.constant('q'),
      name: fc.constantFrom('Second point', 'Kiosk: gray', 'Tap & hose'),
      flow: fc.constant(null),
    })
    const placeArb = fc
      .record({
        ...pointArb,
        name: fc.constantFrom('Sallow Mill', 'Côte & Ridge', "O'Hara's", 'Ä ö ß 水'),
        points: fc.array(further, { maxLength: 2 }),
        opening: fc.option(fc.constantFrom('24/7', 'Mo-Fr 08:00-18:00; PH off', '"by appointment"')),
        access: fc.constantFrom(
          'unknown' as const,
          'all' as const,
          'guests' as const,
          'customers' as const,
          'call-first' as const,
          'nobody' as const,
        ),
        fee: fc.option(fc.integer({ min: 0, max: 90 })),
        height: fc.option(fc.integer({ min: 2, max: 5 })),
        isHome: fc.boolean(),
        approach: fc.constantFrom('unknown' as const, 'left' as const, 'right' as const, 'either' as const),
        offers: fc.subarray([...OFFERS.filter((offer) => offer === 'showers' || offer === 'hookup')]),
        note: fc.constantFrom('', 'Ring the bell'),
        verified: fc.option(fc.constant('2027-08-28')),
        lat: fc.integer({ min: -8999, max: 8999 }).map((x) => x / 100),
        lon: fc.integer({ min: -17999, max: 17999 }).map((x) => x / 100 + 0.001),
      })
      .map(({ fee, height, lat, lon, ...rest }): Place => ({
        ...newPlace('p', rest.name),
        ...rest,
        fee: fee === null ? null : owned(fee),
        maxHeight: height === null ? null : owned(height),
        position: { lat, lon },
      }))
    fc.assert(
      fc.property(fc.array(placeArb, { maxLength: 5 }), (places) => {
        const found = read(geoJsonOf(places))
        expect(found.ok && found.report.leftOut).toEqual([])
        expect(found.ok && found.report.notUnderstood).toEqual([])
        expect(found.ok && found.report.places.map(said)).toEqual(places.map(said))
      }),
    )
    // A point whose place is not in the file is a place by itself, and none is lost.
    const station = { ...newPlace('p', 'Mill'), position: { lat: 1, lon: 2 } }
    const [point] = fc.sample(further, 1)
    const file = JSON.parse(geoJsonOf([{ ...station, points: [point!] }])) as { features: object[] }
    const alone = read(JSON.stringify({ ...file, features: file.features.slice(1) }))
    expect(alone.ok && alone.report.places.map(({ name, points }) => [name, points])).toEqual([
      [`Mill: ${point!.name}`, []],
    ])
    // Without a name of its own it is none of ours.
    const nameless = JSON.stringify(file).replaceAll(JSON.stringify(point!.name), '"<i>"')
    const apart = read(nameless)
    expect(apart.ok && apart.report.places.map(({ points }) => points.length)).toEqual([0, 0])
    // The demo's places too: a tap, a market with fuel, a home, a free drain.
    const again = read(geoJsonOf(ridgePlaces()))
    const key = ({ name, accepts, water, opening, position, isHome, fee, access }: Place) => ({
      name,
      accepts,
      opening,
      position,
      isHome,
      fee,
      access,
      water: water === 'none' ? 'unknown' : water,
    })
    expect(again.ok && again.report.places.map(key)).toEqual(ridgePlaces().map(key))
    expect(placeOfTags('p', tagsOf(newPlace('p', 'X')), null, 'U').place.accepts).toBeNull()
  })
})

describe('bad input', () => {
  it.each([
    ['no JSON', '{"type": "Feature', 'not-json'],
    ['a number', '17', 'not-geojson'],
    ['another document', '{"format":"dry-count/document"}', 'not-geojson'],
    ['null', 'null', 'not-geojson'],
  ])('%s', (_, text, code) => {
    expect(read(text)).toMatchObject({ ok: false, code })
  })

  it('lines, areas without an outline, features that are none, positions off the globe: each counted, with an example', () => {
    const point = (coordinates: unknown, name = 'Here') => ({
      type: 'Feature',
      geometry: { type: 'Point', coordinates },
      properties: { name },
    })
    const features = [
      point([-38, 45]),
      point([-38, 95], 'Beyond the pole'),
      point([400, 45]),
      point([0, 0], 'Null'),
      point(['a', 'b'], 'Words'),
      point([-38]),
      {
        type: 'Feature',
        geometry: {
          type: 'LineString',
          coordinates: [
            [0, 1],
            [2, 3],
          ],
        },
        properties: { name: 'A trail' },
      },
      { type: 'Feature', geometry: null, properties: null },
      {
        type: 'Feature',
        geometry: {
          type: 'Polygon',
          coordinates: [
            [
              [0, 1],
              [2, 1],
              [2, 3],
              [0, 3],
              [0, 1],
            ],
          ],
        },
        properties: { name: 'A yard' },
      },
      { type: 'Feature', geometry: { type: 'Polygon', coordinates: 7 }, properties: {} },
      {
        type: 'Feature',
        geometry: { type: 'Point', coordinates: [1, 1] },
        properties: { name: 'A bench', amenity: 'bench' },
      },
      { type: 'Wrong' },
      12,
    ]
    const found = read(JSON.stringify({ type: 'FeatureCollection', features }))
    if (!found.ok) throw new Error(found.code)
    expect(found.report.places.map(({ name, position }) => [name, position])).toEqual([
      ['Here', { lat: 45, lon: -38 }],
      ['A yard', { lat: 2, lon: 1 }],
    ])
    expect(found.report.leftOut).toEqual([
      { why: 'off-the-globe', n: 3, example: 'Beyond the pole' },
      { why: 'no-position', n: 3, example: 'Words' },
      { why: 'other-geometry', n: 4, example: expect.stringContaining('A trail') as string },
      { why: 'not-of-interest', n: 1, example: 'A bench' },
    ])
  })

  it('markup in names and notes is text, and texts are cut to what there is room for', () => {
    const place = one({
      name: '<img src=x onerror=alert(1)>Mill <b>bold</b>',
      note: 'a\u0007b',
      opening_hours: '<script>',
    })
    expect(place).toMatchObject({ name: 'Mill bold', note: 'a b', opening: null })
    expect(one({ name: 'x'.repeat(500) }).name).toHaveLength(80)
    expect(one({ name: '<>' }).name).toBe('Unnamed')
    expect(plainText('a < b > c', 80)).not.toMatch(/[<>]/)
  })

  it('fuzz: whatever a file says, it is a report or a refusal, and never throws', () => {
    fc.assert(fc.property(fc.json(), (text) => void read(text)))
    fc.assert(
      fc.property(fc.jsonValue(), fc.jsonValue(), (properties, geometry) => {
        read(
          JSON.stringify({
            type: 'FeatureCollection',
            features: [{ type: 'Feature', properties, geometry }, properties],
          }),
        )
      }),
    )
  })

  it('ten thousand are read, and more than can be looked through are counted', () => {
    const features = Array.from({ length: 10_050 }, (_, i) => ({
      type: 'Feature',
      geometry: { type: 'Point', coordinates: [1 + i / 1e5, 45] },
      properties: { name: `P ${i}` },
    }))
    const found = read(JSON.stringify({ type: 'FeatureCollection', features }))
    expect(found.ok && found.report.places.length).toBe(10_000)
    expect(found.ok && found.report.leftOut).toMatchObject([{ why: 'too-many', n: 50 }])
  })
})

describe('GPX', () => {
  const gpx = (body: string) =>
    `<?xml version="1.0"?><gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1">${body}</gpx>`
  const readIt = (text: string) => readGpx(text, xml, id, 'Unnamed')

  it('waypoints are places by their names; tracks and routes are none', () => {
    const found = readIt(
      gpx(
        '<wpt lat="45" lon="-38"><name>Mill &amp; Co</name><desc>Ring &lt;twice&gt;</desc></wpt>' +
          '<wpt lat="95" lon="0.5"><name>Off</name></wpt><wpt lat="1" lon="2"/>' +
          '<trk><name>Way</name><trkseg><trkpt lat="1" lon="1"/><trkpt lat="2" lon="1"/></trkseg></trk>',
      ),
    )
    if (!found.ok) throw new Error(found.code)
    expect(found.report.places.map(({ name, note, position }) => [name, note, position])).toEqual([
      ['Mill & Co', 'Ring', { lat: 45, lon: -38 }],
      ['Unnamed', '', { lat: 1, lon: 2 }],
    ])
    expect(found.report.leftOut.map(({ why, n }) => [why, n]).sort(([a], [b]) => (a! < b! ? -1 : 1))).toEqual(
      [
        ['off-the-globe', 1],
        ['other-geometry', 1],
      ],
    )
  })

  it.each([
    [
      'entities',
      '<?xml version="1.0"?><!DOCTYPE gpx [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]><gpx><wpt lat="1" lon="2"><name>&b;</name></wpt></gpx>',
      'entities',
    ],
    ['an entity from outside', '<!DOCTYPE gpx SYSTEM "file:///etc/passwd"><gpx/>', 'entities'],
    ['no XML', 'hello', 'not-xml'],
    ['XML that ends too soon', '<gpx><wpt lat="1"', 'not-xml'],
    ['other XML', '<kml></kml>', 'not-gpx'],
  ])('%s is refused', (_, text, code) => {
    expect(readIt(text)).toMatchObject({ ok: false, code })
  })

  it('round trip: names and positions come back, and nothing of a name is markup', () => {
    const places = [
      ...ridgePlaces(),
      { ...newPlace('x', 'A & B "quoted"'), position: { lat: -12.5, lon: 179.75 } },
    ]
    const written = gpxOf(places, xml, (place) => `takes ${place.accepts?.join() ?? '?'}`)
    const found = readIt(written)
    expect(found.ok && found.report.places.map(({ name, position }) => [name, position])).toEqual(
      places.map(({ name, position }) => [name, position]),
    )
    expect(found.ok && found.report.places[0]!.note).toBe('takes gray,black,cassette')
    // Without a position there is nothing to find one’s way to.
    const none = readIt(gpxOf([newPlace('y', 'Nowhere')], xml, () => ''))
    expect(none.ok && none.report.places).toEqual([])
  })
})

it('one odd feature is left out and named, and the rest is taken: a charge, a date, an access that cannot be', () => {
  const at = (name: string, own: object) => ({
    type: 'Feature',
    geometry: { type: 'Point', coordinates: [7, 46] },
    properties: { name, amenity: 'sanitary_dump_station', ...own },
  })
  const features = [
    at('Dear', { charge: '1000000' }),
    at('Never', { check_date: '2027-02-30' }),
    at('Method', { access: 'toString' }),
    at('Late', { check_date: '2027-05-31' }),
    at('Plain', {}),
  ]
  const found = readGeoJson(JSON.stringify({ type: 'FeatureCollection', features }), () => 'id', 'Nameless')
  if (!found.ok) throw new Error(found.code)
  expect(found.report.leftOut).toEqual([{ why: 'not-valid', n: 2, example: 'Dear' }])
  expect(found.report.places.map(({ name, access, verified }) => [name, access, verified])).toEqual([
    ['Method', 'unknown', null],
    ['Late', 'unknown', '2027-05-31'],
    ['Plain', 'unknown', null],
  ])
})

it('a name made of any characters gives a GPX file that can be read again', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary', minLength: 1, maxLength: 40 }), (name) => {
      for (const odd of [name, `${name}\uFFFE`, `\uD800${name}`, `${name}\u0000]]>`]) {
        const place = { ...newPlace('x', odd), position: { lat: 45, lon: 7 } }
        const read = readGpx(
          gpxOf([place], xml, () => odd),
          xml,
          () => 'id',
          'Nameless',
        )
        expect(read.ok && read.report.places.length).toBe(1)
      }
    }),
    { numRuns: 200 },
  )
})

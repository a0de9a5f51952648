import { ACCEPTED, type Accepted, type Place, type Position } from '@/core/domain'
import { owned } from '@/core/quantities'
import { newPlace } from '../starters/assumed'
import { LIMITS } from '../schema/limits'

/** Tags of OpenStreetMap, by key. */
export type Tags = Record<string, string>

/** A place out of tags, and what of them it could not take in. */
export interface Tagged {
  place: Place
  /** Where it is a further point of a place that we wrote. */
  pointOf: { place: string; name: string } | null
  notUnderstood: string[]
}

/** What each kind of waste is called there. */
const WASTE_KEYS: Record<Accepted, string> = {
  gray: 'sanitary_dump_station:grey_water',
  black: 'sanitary_dump_station:black_water',
  cassette: 'sanitary_dump_station:chemical_toilet',
  urine: 'sanitary_dump_station:urine',
  solids: 'sanitary_dump_station:dry_toilet',
}
const OFFER_TAGS: Record<Place['offers'][number], [key: string, values: RegExp, write: string]> = {
  groceries: ['shop', /^(supermarket|convenience|greengrocer|general)$/, 'supermarket'],
  fuel: ['amenity', /^fuel$/, 'fuel'],
  laundry: ['shop', /^laundry$/, 'laundry'],
  showers: ['shower', /^(yes|hot|cold|customers)$/, 'yes'],
  hookup: ['power_supply', /^(yes|.*)$/, 'yes'],
}
const ACCESS: Record<string, Place['access']> = {
  yes: 'all',
  public: 'all',
  permissive: 'all',
  customers: 'customers',
  guests: 'guests',
  members: 'guests',
  permit: 'call-first',
  private: 'nobody',
  no: 'nobody',
}
const ACCESS_TAGS: Record<Place['access'], string | null> = {
  unknown: null,
  all: 'yes',
  guests: 'guests',
  customers: 'customers',
  'call-first': 'permit',
  nobody: 'no',
}
/** What makes a place of interest. */
const WANTED: Record<string, RegExp> = {
  amenity: /^(sanitary_dump_station|waste_disposal|drinking_water|water_point|toilets|fuel)$/,
  tourism: /^(caravan_site|camp_site)$/,
  sanitary_dump_station: /^(yes|customers|public|permissive)$/,
  drinking_water: /^yes$/,
  shop: /^(supermarket|convenience|greengrocer|general|laundry)$/,
}
/** Known to say nothing that a place holds, or read elsewhere. */
const SILENT =
  /^(name(:.*)?|source(:.*)?|created_by|@.*|id|type|ref|operator(:.*)?|addr:.*|check_date(:.*)?|survey:date|website|wikidata)$/

export function isOfInterest(tags: Tags): boolean {
  return Object.entries(WANTED).some(([key, values]) => values.test(tags[key] ?? ''))
}

/** Reads the open tags of a place. What is not there stays not known. @param id its id here */
export function placeOfTags(id: string, tags: Tags, position: Position | null, nameless: string): Tagged {
  const used = new Set<string>()
  const tag = (key: string) => {
    const value = tags[key]
    if (value !== undefined) used.add(key)
    return value?.trim()
  }
  const place = newPlace(id, plainText(tag('name') ?? nameless, LIMITS.nameLength) || nameless)
  place.position = position
  Object.assign(place, takenOf(tag, tags))
  place.water = waterOf(tag)
  const opening = tag('opening_hours')
  if (opening !== undefined && /^[^<\p{Cc}]{1,255}$/u.test(opening)) place.opening = opening
  else if (opening !== undefined) used.delete('opening_hours')
  const access = tag('access')
  if (access !== undefined && Object.hasOwn(ACCESS, access)) place.access = ACCESS[access]!
  else if (access !== undefined) used.delete('access')
  place.fee = feeOf(tag, used)
  for (const [key, field, range] of [
    ['maxheight', 'maxHeight', LIMITS.rigHeightM],
    ['maxlength', 'maxLength', LIMITS.rigLengthM],
  ] as const) {
    const metres = metresOf(tag(key))
    if (metres !== null && metres >= range.min && metres <= range.max) place[field] = owned(metres)
    else used.delete(key)
  }
  // What the open tags have no word for is kept under our own.
  place.isHome = tag('dry_count:home') === 'yes'
  const side = tag('dry_count:drain_side')
  if (side === 'left' || side === 'right' || side === 'either') place.approach = side
  const queue = Number(tag('dry_count:queue') ?? NaN)
  if (queue >= 0 && queue <= LIMITS.runMinutes.max) place.queue = owned(queue)
  const [of, name] = ['dry_count:point_of', 'dry_count:point'].map((key) =>
    plainText(tag(key) ?? '', LIMITS.nameLength),
  )
  const pointOf = of && name ? { place: of, name } : null
  const rule = tag('sanitary_dump_station:septic')
  if (rule === 'yes') place.rule = 'septic-safe'
  for (const offer of Object.keys(OFFER_TAGS) as Place['offers'][number][]) {
    const [key, values] = OFFER_TAGS[offer]
    if (tags[key] === undefined || tags[key] === 'no' || !values.test(tags[key])) continue
    used.add(key)
    place.offers.push(offer)
  }
  const words = [tag('description'), tag('note'), tag('phone') ?? tag('contact:phone')]
  place.note = plainText(words.filter(Boolean).join('; '), LIMITS.noteLength)
  const verified = tag('check_date') ?? tag('survey:date')
  if (verified && /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/.test(verified)) place.verified = verified
  const notUnderstood = Object.entries(tags)
    .filter(([key]) => !used.has(key) && !SILENT.test(key))
    .map(([key, value]) => plainText(`${key}=${value}`, LIMITS.nameLength))
  return { place, pointOf, notUnderstood }
}

type Tag = (key: string) => string | undefined

/** A dump station of which nothing more is said takes what such stations take: that is not known here. */
function takenOf(tag: Tag, tags: Tags): Pick<Place, 'accepts'> {
  const amenity = tag('amenity')
  tag('tourism')
  tag('sanitary_dump_station')
  const said = ACCEPTED.filter((what) => tags[WASTE_KEYS[what]] !== undefined)
  const takes = said.filter((what) => tag(WASTE_KEYS[what]) !== 'no')
  if (said.length > 0) return { accepts: takes }
  const isOnlyWater = amenity === 'drinking_water' || amenity === 'water_point'
  if (isOnlyWater || amenity === 'toilets' || amenity === 'fuel' || tags.shop !== undefined)
    return { accepts: [] }
  // A container for rubbish takes what is bagged.
  return { accepts: amenity === 'waste_disposal' ? ['solids'] : null }
}

function waterOf(tag: Tag): Place['water'] {
  const [amenity, potable, point] = [tag('amenity'), tag('drinking_water'), tag('water_point')]
  if (potable === 'no') return 'not-potable'
  if (potable === 'yes' || amenity === 'drinking_water') return 'potable'
  if (amenity === 'water_point' || point === 'yes') return 'potable'
  return 'unknown'
}

function feeOf(tag: Tag, used: Set<string>): Place['fee'] {
  const [fee, charge] = [tag('fee'), tag('charge')]
  const amount = /\d+(?:[.,]\d+)?/.exec(charge ?? fee ?? '')?.[0]
  if (fee === 'no') return owned(0)
  if (amount !== undefined) return owned(Number(amount.replace(',', '.')))
  // That something is to be paid, and not how much.
  used.delete('fee')
  return null
}

function metresOf(text: string | undefined): number | null {
  const match = /^(\d+(?:\.\d+)?)\s*m?$/.exec(text ?? '')
  return match ? Number(match[1]) : null
}

/** No markup, no control characters, no more than there is room for. */
export function plainText(text: string, most: number): string {
  return text
    .replace(/<[^>]*>/g, ' ')
    .replace(/[<>]/g, ' ')
    .replace(/\p{Cc}+/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .slice(0, most)
    .trim()
}

/** The same tags of a place: only what is known of it. */
export function tagsOf(place: Place): Tags {
  const { accepts, water } = place
  const isStation = accepts === null || accepts.some((what) => what !== 'solids')
  const isTap = accepts?.length === 0 && (water === 'potable' || water === 'not-potable')
  const shop = place.offers.find((offer) => offer === 'groceries' || offer === 'laundry')
  const amenity = isTap
    ? water === 'potable'
      ? 'drinking_water'
      : 'water_point'
    : place.offers.includes('fuel')
      ? 'fuel'
      : accepts?.join() === 'solids'
        ? 'waste_disposal'
        : isStation
          ? 'sanitary_dump_station'
          : null
  const tags: Record<string, string | null> = {
    name: place.name,
    amenity,
    shop: shop ? OFFER_TAGS[shop][2] : null,
    shower: place.offers.includes('showers') ? 'yes' : null,
    power_supply: place.offers.includes('hookup') ? 'yes' : null,
    drinking_water: water === 'potable' ? 'yes' : water === 'not-potable' ? 'no' : null,
    opening_hours: place.opening,
    access: ACCESS_TAGS[place.access],
    fee: place.fee === null ? null : place.fee.value === 0 ? 'no' : 'yes',
    charge: place.fee && place.fee.value > 0 ? String(place.fee.value) : null,
    maxheight: place.maxHeight && String(place.maxHeight.value),
    maxlength: place.maxLength && String(place.maxLength.value),
    'dry_count:home': place.isHome ? 'yes' : null,
    'dry_count:drain_side': place.approach === 'unknown' ? null : place.approach,
    'dry_count:queue': place.queue.by === 'owner' ? String(place.queue.value) : null,
    'sanitary_dump_station:septic': place.rule === 'septic-safe' ? 'yes' : null,
    note: place.note === '' ? null : place.note,
    check_date: place.verified,
  }
  if (accepts !== null)
    for (const what of ACCEPTED)
      if (accepts.length > 0 || amenity === null)
        tags[WASTE_KEYS[what]] = accepts.includes(what) ? 'yes' : 'no'
  return Object.fromEntries(
    Object.entries(tags).filter((entry): entry is [string, string] => entry[1] !== null),
  )
}

import type {
  ContainerKind,
  FlowEnd,
  Gear,
  Handle,
  LandRule,
  Medium,
  ProductForm,
  RigSide,
  Role,
  Takes,
} from '@/core/domain'
import type { Part } from '@/core/calendar'
import type { Origin, SourceId, Unit } from '@/core/quantities'
import { plural } from '../plural'
import { group } from '../group'

/** Single words and short names of the domain, as the glossary has them. */

export const parts = /* @__PURE__ */ group('parts', {
  morning: 'morning',
  midday: 'midday',
  evening: 'evening',
  night: 'night',
} satisfies Record<Part, string>)

/** Clocks of twelve hours. */
export const clock = /* @__PURE__ */ group('clock', {
  am: (time: string) => `${time}\u00a0am`,
  pm: (time: string) => `${time}\u00a0pm`,
})

export const units = /* @__PURE__ */ group('units', {
  L: 'L',
  'gal-us': 'gal',
  'gal-imp': 'imp gal',
  kg: 'kg',
  lb: 'lb',
  km: 'km',
  mi: 'mi',
  C: '°C',
  F: '°F',
  m: 'm',
  cm: 'cm',
  in: 'in',
} satisfies Record<Unit, string>)

export const unitNames = /* @__PURE__ */ group('unitNames', {
  L: 'liters',
  'gal-us': 'US gallons',
  'gal-imp': 'imperial gallons',
  kg: 'kilograms',
  lb: 'pounds',
  km: 'kilometers',
  mi: 'miles',
  C: 'Celsius',
  F: 'Fahrenheit',
  m: 'meters',
  cm: 'centimeters',
  in: 'inches',
} satisfies Record<Unit, string>)

export const kinds = /* @__PURE__ */ group('kinds', {
  fresh: 'Fresh',
  flush: 'Flush water',
  gray: 'Gray',
  black: 'Black',
  cassette: 'Cassette',
  urine: 'Urine jug',
  solids: 'Solids bin',
  tote: 'Tote',
  jug: 'Jug',
} satisfies Record<ContainerKind, string>)

export const media = /* @__PURE__ */ group('media', {
  long: 'coir or peat',
  short: 'sawdust',
} satisfies Record<Medium, string>)

export const takes = /* @__PURE__ */ group('takes', {
  all: 'everything',
  liquids: 'liquids only',
  solids: 'solids only',
} satisfies Record<Takes, string>)

export const rigSides = /* @__PURE__ */ group('rigSides', {
  left: 'left',
  right: 'right',
  rear: 'rear',
  under: 'underneath',
} satisfies Record<RigSide, string>)

export const handles = /* @__PURE__ */ group('handles', {
  pull: 'pull',
  turn: 'turn',
  switch: 'switch',
} satisfies Record<Handle, string>)

export const gearNames = /* @__PURE__ */ group('gearNames', {
  'shut-off-head': 'a shower head with a full shut-off',
  'outdoor-shower': 'an outdoor shower',
  'shower-basin': 'a basin to stand in',
  'run-up-jug': 'a jug for the run-up',
  'lidded-pail': 'a lidded pail',
  'spray-bottle': 'a spray bottle',
  'bowl-liners': 'paper to line the bowl',
  'lidded-bin': 'a lidded can for the bathroom',
  'shower-bag': 'a shower bag or a hand-pumped vessel',
  'water-jugs': 'jugs of water',
  macerator: 'a macerator pump',
  'flow-meter': 'a flow meter for the rinse hose',
  'rinse-wand': 'a rinse wand',
  'low-flow-head': 'a shower head with less flow',
  'shower-screen': 'a screen, or doors that shield an outdoor shower',
  cup: 'a small cup with a lid',
} satisfies Record<Gear, string>)

export const landRules = /* @__PURE__ */ group('landRules', {
  'washing-water': 'Dish and wash water on the ground',
  'tank-gray': 'Gray water from the tank on the ground',
  urine: 'Urine outdoors',
  solids: 'Solids in the ground',
  'site-toilets': 'Toilets at or near the site',
  'gray-drain': 'A drain for gray water',
} satisfies Record<LandRule, string>)

export const roles = /* @__PURE__ */ group('roles', {
  shower: 'Shower',
  kitchen: 'Kitchen tap',
  basin: 'Basin',
  toilet: 'Toilet',
  laundry: 'Laundry',
  'outdoor-shower': 'Outdoor shower',
} satisfies Record<Role, string>)

export const ends = /* @__PURE__ */ group('ends', {
  body: 'the body',
  'brought-in': 'brought in',
  consumed: 'consumed',
  'carried-out': 'carried out',
  ground: 'the ground',
  kept: 'kept',
} satisfies Record<FlowEnd, string>)

export const origins = /* @__PURE__ */ group('origins', {
  owner: 'yours',
  learned: 'learned',
  default: 'assumed',
} satisfies Record<Origin['by'], string>)

export const sources = /* @__PURE__ */ group('sources', {
  'rose-2015': 'Rose et al., Critical Reviews in Environmental Science and Technology 45(17), 2015',
  'iom-2005': 'Institute of Medicine, Dietary Reference Intakes for Water, 2005: what an adult drinks a day',
  sphere: 'Sphere Handbook: basic needs per person and day',
  watersense: 'US EPA WaterSense: shower heads at the label’s limit; about two minutes of water assumed',
  'gravity-flush': 'What gravity toilets take a flush',
  'iso-11228':
    'ISO 11228-1:2003, Annex C: a reference mass of 15 kg suits about 95 % of women and 99 % of men',
  'rule-of-thumb': 'Rule of thumb among practitioners',
  assumed: 'Assumed; no public figure. Your own log will replace it',
} satisfies Record<SourceId, string>)

export const doses = /* @__PURE__ */ group('doses', {
  liquid: (n: string, name: string) => `${n}\u00a0mL of ${name}`,
  powder: (n: string, name: string) => `${n}\u00a0g of ${name}`,
  sachet: (n: string, name: string) => plural(n, `1 sachet of ${name}`, `${n} sachets of ${name}`),
} satisfies Record<ProductForm, (n: string, name: string) => string>)

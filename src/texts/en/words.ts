import type { ContainerKind, FlowEnd, Role } from '@/core/model'
import type { Part } from '@/core/calendar'
import type { Origin, SourceId, Unit } from '@/core/quantities'

/** Single words and short names of the domain, as the glossary has them. */
export const words = {
  parts: { morning: 'morning', midday: 'midday', evening: 'evening', night: 'night' } satisfies Record<
    Part,
    string
  >,
  units: {
    L: 'L', 'gal-us': 'gal', 'gal-imp': 'imp gal', kg: 'kg', lb: 'lb', km: 'km', mi: 'mi', C: '°C', F: '°F',
  } satisfies Record<Unit, string>, // prettier-ignore
  unitNames: {
    L: 'litres', 'gal-us': 'US gallons', 'gal-imp': 'imperial gallons', kg: 'kilograms', lb: 'pounds',
    km: 'kilometres', mi: 'miles', C: 'Celsius', F: 'Fahrenheit',
  } satisfies Record<Unit, string>, // prettier-ignore
  kinds: { fresh: 'Fresh', gray: 'Gray', black: 'Black' } satisfies Record<ContainerKind, string>,
  roles: {
    shower: 'Shower', kitchen: 'Kitchen tap', basin: 'Basin', toilet: 'Toilet', laundry: 'Laundry', 'outdoor-shower': 'Outdoor shower',
  } satisfies Record<Role, string>, // prettier-ignore
  ends: {
    body: 'the body', 'brought-in': 'brought in', consumed: 'consumed', 'carried-out': 'carried out', ground: 'the ground', kept: 'kept',
  } satisfies Record<FlowEnd, string>, // prettier-ignore
  origins: { owner: 'yours', learned: 'learned', default: 'assumed' } satisfies Record<Origin['by'], string>,
  sources: {
    'rose-2015': 'Rose et al., Critical Reviews in Environmental Science and Technology 45(17), 2015',
    'iom-2005':
      'Institute of Medicine, Dietary Reference Intakes for Water, 2005: 2.2 to 3.0 L per adult and day',
    sphere: 'Sphere Handbook: 7.5 to 15 L per person and day for basic needs',
    watersense:
      'US EPA WaterSense: shower heads 7.6 L a minute at the label’s limit; about two minutes of water assumed',
    'gravity-flush': 'Gravity toilets take 0.5 to 2 L a flush',
    'rule-of-thumb': 'Rule of thumb among practitioners',
    assumed: 'Assumed; no public figure. Your own log will replace it',
  } satisfies Record<SourceId, string>,
}

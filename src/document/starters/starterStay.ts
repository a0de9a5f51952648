import { leaveAfterNights, type WallTime } from '@/core/calendar'
import type { Crew, Document, Rig, Stay } from '@/core/model'
import { fromSource, owned } from '@/core/quantities'
import { starterActivities } from './activities'
import { assumedCrew, assumedWeather, fullOrEmpty } from './assumed'
import { starterHabits } from './habits'
import { layoutRig, type LayoutNames, type PlumbingId, type TankLitres, type ToiletId } from './layouts'
import type { StarterTexts } from './starterTexts'

export interface StarterNames {
  rigs: Record<PresetId, string>
  crew: (persons: number) => string
  stay: string
  person: (n: number) => string
  layout: LayoutNames
}

type NewId = (kind: 'rig' | 'crew' | 'stay' | 'tank' | 'fixture' | 'outlet' | 'person') => string

export const PRESET_IDS = ['small-van', 'van', 'light-trailer', 'family-trailer', 'large-trailer'] as const
export type PresetId = (typeof PRESET_IDS)[number]

/** Typical tanks to start from, L; invented, of no make. */
export const PRESETS: Record<PresetId, TankLitres> = {
  'small-van': { fresh: 45, gray: 40, black: 20 },
  van: { fresh: 90, gray: 75, black: 45 },
  'light-trailer': { fresh: 110, gray: 100, black: 75 },
  'family-trailer': { fresh: 190, gray: 150, black: 130 },
  'large-trailer': { fresh: 320, gray: 260, black: 170 },
}

/** Showers a day and person. */
export const SHOWER_RATES = { daily: 1, 'every-other': 0.5, rarely: 0.25 } as const
export type ShowerHabit = keyof typeof SHOWER_RATES

/** What the guided start asks for. */
export interface StartChoices {
  preset: PresetId
  litres: TankLitres
  plumbing: PlumbingId
  toilet: ToiletId
  persons: number
  pet: boolean
  showers: ShowerHabit
  start: WallTime
  nights: number
}

/** The choices a new owner meets: a van, two people, five nights from tomorrow afternoon. @param tomorrow any time of that day */
export function firstChoices(tomorrow: WallTime): StartChoices {
  return {
    preset: 'van',
    litres: { ...PRESETS.van },
    plumbing: 'one-gray',
    toilet: 'black',
    persons: 2,
    pet: false,
    showers: 'every-other',
    start: `${tomorrow.slice(0, 10)}T15:00`,
    nights: 5,
  }
}

/** A whole document of what was chosen; every number explicit, assumed where it was not asked for. */
export function startDocument(
  choices: StartChoices,
  texts: StarterTexts,
  names: StarterNames,
  newId: NewId,
): Document {
  const rig = starterRig(choices, names, newId)
  const crew = starterCrew(choices, texts, names, newId)
  const stay = starterStay(choices, names.stay, newId('stay'), rig, crew)
  return {
    format: 'dry-count/document',
    version: 3,
    currentStay: stay.id,
    rigs: [rig],
    crews: [crew],
    habits: starterHabits(texts),
    stays: [stay],
  }
}

function starterRig(
  { preset, litres, plumbing, toilet }: StartChoices,
  names: StarterNames,
  newId: NewId,
): Rig {
  return layoutRig(plumbing, toilet, litres, names.rigs[preset], names.layout, newId)
}

function starterCrew(
  { persons, pet, showers }: StartChoices,
  texts: StarterTexts,
  names: StarterNames,
  newId: NewId,
): Crew {
  return {
    ...assumedCrew(),
    id: newId('crew'),
    name: names.crew(persons),
    persons: Array.from({ length: persons }, (_, i) => ({
      id: newId('person'),
      name: names.person(i + 1),
      rates: [],
    })),
    activities: starterActivities(texts, { pet, laundry: false }).map((activity) =>
      activity.kind === 'shower' ? { ...activity, rate: owned(SHOWER_RATES[showers]) } : activity,
    ),
  }
}

/** Fresh full and waste empty. */
function starterStay({ start, nights }: StartChoices, name: string, id: string, rig: Rig, crew: Crew): Stay {
  return {
    id,
    name,
    rig: rig.id,
    crew: crew.id,
    start,
    leaveAt: leaveAfterNights(start, `${start.slice(0, 10)}T11:00`, nights),
    horizonDays: fromSource(60, 'rule-of-thumb'),
    confidence: fromSource(0.9, 'rule-of-thumb'),
    levels: rig.containers.map(fullOrEmpty),
    habits: [],
    absences: [],
    rules: [],
    weather: assumedWeather(),
  }
}

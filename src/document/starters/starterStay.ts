import { leaveAfterNights, type WallTime } from '@/core/calendar'
import { startOf } from '@/core/domain'
import { isSoiled, type Crew, type Document, type Rig, type Stay } from '@/core/domain'
import { fromSource, roundIn, type UnitChoice } from '@/core/quantities'
import { starterActivities } from './activities'
import { assumedCrew, assumedWeather, bareSite, fullOrEmpty } from './assumed'
import { usualChores } from './chores'
import { starterHabits } from './habits'
import {
  layoutRig,
  plannedTanks,
  type KnownTanks,
  type LayoutNames,
  type PlumbingId,
  type TankLitres,
  type TankName,
  type ToiletId,
} from './layouts'
import { inRoundNumbers } from './roundNumbers'
import type { StarterTexts } from './starterTexts'
import { asTheyLive, flushedWith, type UseStyle } from './useStyles'

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

/** The same in numbers that are round in a unit of volume. */
export function presetIn(preset: PresetId, unit: UnitChoice['volume']): TankLitres {
  const { fresh, gray, black } = PRESETS[preset]
  return { fresh: roundIn(fresh, unit), gray: roundIn(gray, unit), black: roundIn(black, unit) }
}

/** What the guided start asks for. */
export interface StartChoices {
  preset: PresetId
  litres: TankLitres
  plumbing: PlumbingId
  toilet: ToiletId
  /** What was typed of single containers, and spare cassettes or jugs. */
  known: KnownTanks
  /** A fitting outside that sprays into the toilet's tank; false: none, or nobody knows of it. */
  rinseInlet: boolean
  persons: number
  pet: boolean
  style: UseStyle
  start: WallTime
  nights: number
  /** The panel's marks, as shares of the volume; null: none, or nobody looks at it. */
  probes: number[] | null
  /** What is lit on arrival, by the tank's name in the plan; full or empty where nothing is said. */
  steps: Partial<Record<TankName, number>>
}

/** The choices a new owner meets: a van, two people, five nights from tomorrow afternoon. @param tomorrow any time of that day */
export function firstChoices(tomorrow: WallTime, units: UnitChoice): StartChoices {
  return {
    preset: 'van',
    litres: presetIn('van', units.volume),
    plumbing: 'one-gray',
    toilet: 'black',
    known: { sizes: {}, spares: 0 },
    rinseInlet: false,
    persons: 2,
    pet: false,
    style: 'usual',
    start: `${tomorrow.slice(0, 10)}T15:00`,
    nights: 5,
    probes: null,
    steps: {},
  }
}

/** A whole document of what was chosen; every number explicit, assumed where it was not asked for. */
export function startDocument(
  choices: StartChoices,
  texts: StarterTexts,
  names: StarterNames,
  newId: NewId,
  units: UnitChoice,
): Document {
  const laidOut = withPanel(starterRig(choices, names, newId), choices.probes)
  const lived = starterCrew(choices, texts, names, newId)
  const planned = starterStay(choices, names.stay, newId('stay'), laidOut, lived)
  const { rig, crew, stay } = inRoundNumbers({ rig: laidOut, crew: lived, stay: planned }, units)
  stay.levels = arrivalLevels(rig, choices, names)
  return {
    format: 'dry-count/document',
    version: 11,
    currentStay: stay.id,
    rigs: [{ ...rig, chores: usualChores(rig.containers, crew.schools.sides) }],
    crews: [crew],
    habits: starterHabits(texts),
    stays: [stay],
  }
}

function starterRig(
  { preset, litres, plumbing, toilet, known, rinseInlet }: StartChoices,
  names: StarterNames,
  newId: NewId,
): Rig {
  const rig = layoutRig(plumbing, toilet, litres, names.rigs[preset], names.layout, newId, known)
  return rinseInlet ? withRinseInlet(rig, names, newId) : rig
}

/** With an inlet for each tank that a toilet drains to; one that shares no outlet has one of its own. */
function withRinseInlet(rig: Rig, names: StarterNames, newId: NewId): Rig {
  const soiled = rig.containers.filter((tank) => isSoiled(rig, tank)).map(({ id }) => id)
  const outlets = rig.outlets.map((outlet) => ({
    ...outlet,
    rinses: outlet.containers.find((id) => soiled.includes(id)) ?? null,
  }))
  const alone = soiled.filter((id) => !outlets.some(({ containers }) => containers.includes(id)))
  return {
    ...rig,
    outlets: [
      ...outlets,
      ...alone.map((id) => ({
        id: newId('outlet'),
        name: names.layout.outlet,
        containers: [id],
        endValve: false,
        rinses: id,
        side: 'left' as const,
        handle: 'pull' as const,
        bore: fromSource(0.076, 'assumed'),
        joined: [],
      })),
    ],
  }
}

function starterCrew(
  { persons, pet, style, toilet }: StartChoices,
  texts: StarterTexts,
  names: StarterNames,
  newId: NewId,
): Crew {
  // Who is careful with water is so with the flush, and rinses hard at the dump.
  const school = style === 'careful' ? 'little' : 'plenty'
  const assumed = assumedCrew()
  return {
    ...assumed,
    flush: { ...assumed.flush, school },
    id: newId('crew'),
    name: names.crew(persons),
    persons: Array.from({ length: persons }, (_, i) => ({
      id: newId('person'),
      name: names.person(i + 1),
      rates: [],
    })),
    activities: starterActivities(texts, { pet, laundry: false, bowlSeal: toilet === 'black' })
      .map((activity) => asTheyLive(activity, style, persons))
      .map((activity) => flushedWith(activity, toilet === 'black' ? school : 'carried')),
  }
}

/** A monitor panel reads the built-in tanks. */
function withPanel(rig: Rig, probes: number[] | null): Rig {
  if (probes === null) return rig
  const containers = rig.containers.map((container) =>
    'panel' in container ? { ...container, panel: { probes: [...probes], by: 'owner' as const } } : container,
  )
  return { ...rig, containers }
}

/** Fresh full and waste empty, but for what the panel shows. */
function arrivalLevels(rig: Rig, choices: StartChoices, names: StarterNames): Stay['levels'] {
  const { plumbing, toilet, litres, known, steps } = choices
  const planned = plannedTanks(plumbing, toilet, litres, names.layout, known)
  return rig.containers.map((container, i) => {
    const step = planned[i] && steps[planned[i].name]
    const start = fullOrEmpty(container)
    return step === undefined || !('panel' in container) || container.panel === null
      ? start
      : { ...start, ...startOf({ method: 'panel', mark: step }, container) }
  })
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
    guests: [],
    counted: [],
    rules: [],
    weather: assumedWeather(),
    ...bareSite(),
  }
}

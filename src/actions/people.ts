import type { Activity, Crew, FlushHabits, Id, Person } from '@/core/domain'
import { fromSource, owned } from '@/core/quantities'
import { found } from '@/core/domain'
import * as edits from '@/document/edits'
import { ownActivity } from '@/document/starters'
import { action } from './action'

export const copyCrew = action('copy', edits.copyCrew)
export const takeCrew = action('crew', edits.setStayCrew)
/** Another crew comes on the stay, and this one goes. */
export const swapCrew = action('remove', (draft, stay: Id, crew: Id, next: Id) => {
  edits.setStayCrew(draft, stay, next)
  edits.removeCrew(draft, crew)
})
export const renameCrew = action(
  'crew',
  (draft, crew: Id, name: string) => void (edits.crewOf(draft, crew).name = name),
  (crew) => `crew ${crew}`,
)
export const renamePerson = action(
  'crew',
  (draft, crew: Id, person: Id, name: string) =>
    void (found(edits.crewOf(draft, crew).persons, person, 'person').name = name),
  (_crew, person) => `person ${person}`,
)

/** What a crew of that many is called as long as nobody calls it otherwise. */
type NameOf = (persons: number) => string
/** A crew that is called by how many it was is called by how many it is; a name of its own stays. */
function nameByNumber(crew: Crew, before: number, nameOf: NameOf): void {
  if (crew.name === nameOf(before)) crew.name = nameOf(crew.persons.length)
}
/** @param guest a stay of which one is there on some days, both ends included; null: with the crew for good */
export const addPerson = action(
  'crew',
  (
    draft,
    crew: Id,
    person: Pick<Person, 'id' | 'name'>,
    guest: { stay: Id; days: [number, number] } | null,
    nameOf: NameOf,
  ) => {
    const of = edits.crewOf(draft, crew)
    const before = of.persons.length
    edits.addPerson(draft, crew, person.id, person.name)
    if (guest) edits.setGuest(draft, guest.stay, person.id, guest.days)
    nameByNumber(of, before, nameOf)
  },
)
export const removePerson = action('crew', (draft, crew: Id, person: Id, nameOf: NameOf) => {
  const before = edits.crewOf(draft, crew).persons.length
  edits.removePerson(draft, crew, person)
  nameByNumber(edits.crewOf(draft, crew), before, nameOf)
})

export const setAbsence = action('absence', edits.setAbsence)
export const addAbsences = action('absence', edits.addAbsences)
export const removeAbsence = action('absence', (draft, stay: Id, at: number) => {
  edits.stayOf(draft, stay).absences.splice(at, 1)
})
export const setGuest = action('absence', edits.setGuest)

/** An activity of the owner's own. */
export const addActivity = action('crew', (draft, crew: Id, id: Id, name: string) => {
  edits.crewOf(draft, crew).activities.push(ownActivity(id, name))
})
export const removeActivity = action('crew', edits.removeActivity)
type ActivityPatch = Partial<
  Pick<
    Activity,
    'name' | 'role' | 'rate' | 'drainShare' | 'spread' | 'levelSpread' | 'dispersion' | 'learned'
  >
>
export const changeActivity = action(
  'crew',
  (draft, crew: Id, activity: Id, patch: ActivityPatch) => {
    Object.assign(edits.activityOf(edits.crewOf(draft, crew), activity), patch)
  },
  (_crew, activity, patch) => `${Object.keys(patch).join()} ${activity}`,
)
/** Liters of a use as they are typed: they stand in place of what was learned. */
export const setUseVolume = action(
  'crew',
  (draft, crew: Id, activity: Id, litres: number) => {
    const of = edits.activityOf(edits.crewOf(draft, crew), activity)
    of.volume = owned(litres)
    of.learned = null
  },
  (_crew, activity) => `volume ${activity}`,
)
/** @param rate a day of one person; null: as everybody */
export const setOwnRate = action(
  'crew',
  edits.setOwnRate,
  (_crew, person, activity) => `own ${person} ${activity}`,
)
/** Share of an activity that falls into a part of the day; the others keep their proportions. */
export const setPartShare = action(
  'crew',
  (draft, crew: Id, activity: Id, part: number, share: number) => {
    const of = edits.activityOf(edits.crewOf(draft, crew), activity)
    of.weights = { values: edits.withWeight(of.weights.values, part, share), by: 'owner' }
  },
  (_crew, activity, part) => `weight ${part} ${activity}`,
)
/** A shower that is counted by the clock begins with a low-flow head, two minutes on. */
export const setTimed = action('crew', (draft, crew: Id, activity: Id, isTimed: boolean) => {
  edits.activityOf(edits.crewOf(draft, crew), activity).timed = isTimed
    ? {
        flow: fromSource(5, 'watersense'),
        on: fromSource(2, 'assumed'),
        trickle: fromSource(0.3, 'assumed'),
        paused: fromSource(2, 'assumed'),
        runUp: fromSource(1, 'assumed'),
      }
    : null
})
type Timed = NonNullable<Activity['timed']>
export const setTimedPart = action(
  'crew',
  (draft, crew: Id, activity: Id, part: keyof Timed, value: number) => {
    const { timed } = edits.activityOf(edits.crewOf(draft, crew), activity)
    if (timed) timed[part] = owned(value)
  },
  (_crew, activity, part) => `timed ${part} ${activity}`,
)

/** The numbers of a crew, by the group they are asked in. */
export const setRoad = action(
  'crew',
  (draft, crew: Id, of: keyof Crew['road'], value: number) =>
    void (edits.crewOf(draft, crew).road[of] = owned(value)),
  (_crew, of) => `road ${of}`,
)
export const setHeat = action(
  'crew',
  (draft, crew: Id, of: keyof Crew['heat'], value: number) =>
    void (edits.crewOf(draft, crew).heat[of] = owned(value)),
  (crew, of) => `heat ${of} ${crew}`,
)
export const setCost = action(
  'crew',
  (draft, crew: Id, of: keyof Crew['costs'], value: number) =>
    void (edits.crewOf(draft, crew).costs[of] = owned(value)),
  (_crew, of) => `cost ${of}`,
)
/** kg that one of them lifts. */
export const setLiftLimit = action(
  'crew',
  (draft, crew: Id, kg: number) => void (edits.crewOf(draft, crew).liftLimit = owned(kg)),
  (crew) => `lift ${crew}`,
)

export const setAnswer = action('school', edits.setAnswer)
export const takeFlushAnswer = action('school', edits.setFlushAnswer)
export const setFlushAnswer = action('crew', edits.setFlushAnswer)
type AnswerNumber = Exclude<keyof Crew['schools'], 'sides'>
export const setAnswerNumber = action(
  'school',
  (draft, crew: Id, of: AnswerNumber, value: number) =>
    void (edits.crewOf(draft, crew).schools[of] = owned(value)),
  (_crew, of) => `school ${of}`,
)
/** L below which a flush leaves paper behind. */
export const setFlushFloor = action(
  'crew',
  (draft, crew: Id, litres: number) => void (edits.crewOf(draft, crew).flushFloor = owned(litres)),
  (crew) => `flush floor ${crew}`,
)
export const setFlushHabit = action(
  'crew',
  (draft, crew: Id, of: Exclude<keyof FlushHabits, 'school'>, value: number) =>
    void (edits.crewOf(draft, crew).flush[of] = owned(value)),
  (crew, of) => `flush ${of} ${crew}`,
)

import { found, type Activity, type Document, type Id, type Stay } from '../model'
import type { Quantity } from '../quantities'

/** What an input is called; the texts give it words. */
export type InputKind =
  | 'rate' | 'own-rate' | 'volume' | 'drain-share' | 'added' | 'share'
  | 'habit-rate' | 'habit-volume' | 'habit-replace' // prettier-ignore

/** A number in the document that a term of a sum stands on, and where the owner can change it. */
export interface Input {
  kind: InputKind
  quantity: Quantity
  /** The person, habit, fixture or source the number belongs to; null: the activity itself. */
  of: string | null
  list: 'rigs' | 'crews' | 'habits'
  id: Id
}

/** Every input behind the flows of one activity in a stay, in the order they enter the sum. */
export function inputsOf(document: Document, stay: Stay, activityId: Id): Input[] {
  const crew = found(document.crews, stay.crew, 'crew')
  const activity = found(crew.activities, activityId, 'activity')
  const own = crew.persons.flatMap((person) =>
    person.rates
      .filter((rate) => rate.activity === activityId)
      .map(({ rate }) => ({ kind: 'own-rate' as const, quantity: rate, of: person.name })),
  )
  const inputs = [
    { kind: 'rate' as const, quantity: activity.rate, of: null },
    ...own,
    { kind: 'volume' as const, quantity: activity.volume, of: null },
    { kind: 'drain-share' as const, quantity: activity.drainShare, of: null },
    ...activity.adds.map(({ from, volume }) => ({ kind: 'added' as const, quantity: volume, of: from })),
  ]
  return [
    ...inputs.map((input) => ({ ...input, list: 'crews' as const, id: crew.id })),
    ...habitInputs(document, stay, activityId),
    ...shareInputs(document, stay, activity),
  ]
}

function habitInputs(document: Document, stay: Stay, activityId: Id): Input[] {
  return stay.habits.flatMap(({ habit: id }) => {
    const habit = found(document.habits, id, 'habit')
    return habit.effects
      .filter((effect) => effect.activity === activityId)
      .map((effect) => ({
        kind: `habit-${effect.kind}` as const,
        quantity: effect.kind === 'replace' ? effect.volume : effect.factor,
        of: habit.name,
        list: 'habits' as const,
        id,
      }))
  })
}

/** Only where a role has several fixtures: a share of 1 explains nothing. */
function shareInputs(document: Document, stay: Stay, activity: Activity): Input[] {
  const rig = found(document.rigs, stay.rig, 'rig')
  const serving = rig.roles.filter(({ role }) => role === activity.role)
  if (serving.length < 2) return []
  return serving.map(({ fixture, share }) => ({
    kind: 'share',
    quantity: share,
    of: found(rig.fixtures, fixture, 'fixture').name,
    list: 'rigs',
    id: rig.id,
  }))
}

import { addWallDays, dayZero } from '../calendar'
import {
  found,
  type Activity,
  type Crew,
  type Effect,
  type Id,
  type Rig,
  type Stay,
  type StayCase,
} from '../domain'
import type { Quantity } from '../quantities'

/** What an input is called; the texts give it words. */
export type InputKind =
  | 'rate'
  | 'own-rate'
  | 'volume'
  | 'drain-share'
  | 'added'
  | 'share'
  | 'flow'
  | 'on'
  | 'trickle'
  | 'paused'
  | 'run-up'
  | 'water-factor'
  | 'warmest'
  | 'warmest-usual'
  | 'heat-above'
  | 'heat-drinking'
  | 'heat-showers'
  | `habit-${Effect['kind']}`
  | 'habit-paused'

/** A number in the document that a term of a sum stands on, and where the owner can change it. */
export interface Input {
  kind: InputKind
  quantity: Quantity
  /** The person, habit, fixture, source or day (a wall time) the number belongs to; null: the activity or the weather itself. */
  of: string | null
  list: 'rigs' | 'crews' | 'habits' | 'stays'
  id: Id
}

/** Every input behind the flows of one activity in a stay, in the order they enter the sum. */
export function inputsOf(stayCase: StayCase, activityId: Id): Input[] {
  const { stay, rig, crew } = stayCase
  const activity = found(crew.activities, activityId, 'activity')
  const flows = [
    { kind: 'drain-share' as const, quantity: activity.drainShare, of: null },
    ...activity.adds.map(({ from, volume }) => ({ kind: 'added' as const, quantity: volume, of: from })),
  ]
  return [
    ...dailyInputsOf(crew, activity),
    ...flows.map((input) => ({ ...input, list: 'crews' as const, id: crew.id })),
    ...habitInputs(stayCase, activityId),
    ...fixtureInputs(rig, activity),
    ...heatInputs(stay, crew, activity),
  ]
}

/** Those behind what it draws in a day of everybody there, mild and without habits (`dailyUse`). */
export function dailyInputsOf(crew: Crew, activity: Activity): Input[] {
  const own = crew.persons.flatMap((person) =>
    person.rates
      .filter((rate) => rate.activity === activity.id)
      .map(({ rate }) => ({ kind: 'own-rate' as const, quantity: rate, of: person.name })),
  )
  const inputs = [
    { kind: 'rate' as const, quantity: activity.rate, of: null },
    ...own,
    ...volumeInputs(activity),
  ]
  return inputs.map((input) => ({ ...input, list: 'crews' as const, id: crew.id }))
}

function volumeInputs({ volume, timed }: Activity): Pick<Input, 'kind' | 'quantity' | 'of'>[] {
  if (!timed) return [{ kind: 'volume', quantity: volume, of: null }]
  const { flow, on, trickle, paused, runUp } = timed
  const parts = { flow, on, trickle, paused, 'run-up': runUp }
  return (Object.keys(parts) as (keyof typeof parts)[]).map((kind) => ({
    kind,
    quantity: parts[kind],
    of: null,
  }))
}

function quantityOf(effect: Effect): Quantity {
  if (effect.kind === 'replace') return effect.volume
  return 'factor' in effect ? effect.factor : effect.share
}

function habitInputs({ stay, habits }: StayCase, activityId: Id): Input[] {
  return stay.habits.flatMap(({ habit: id }) => {
    const habit = found(habits, id, 'habit')
    return habit.effects
      .filter((effect) => effect.activity === activityId)
      .flatMap((effect) => {
        const about = { of: habit.name, list: 'habits' as const, id }
        const own = { kind: `habit-${effect.kind}` as const, quantity: quantityOf(effect), ...about }
        const paused = effect.kind === 'replace' ? effect.trickle : null
        return paused ? [own, { kind: 'habit-paused' as const, quantity: paused, ...about }] : [own]
      })
  })
}

/** Shares only where a role has several fixtures, and water only where a fixture takes another amount: 1 explains nothing. */
function fixtureInputs(rig: Rig, activity: Activity): Input[] {
  const serving = rig.roles.filter(({ role }) => role === activity.role)
  return serving.flatMap(({ fixture: id, share }) => {
    const fixture = found(rig.fixtures, id, 'fixture')
    const about = { of: fixture.name, list: 'rigs' as const, id: rig.id }
    return [
      ...(serving.length > 1 ? [{ kind: 'share' as const, quantity: share, ...about }] : []),
      ...(fixture.waterFactor.value === 1
        ? []
        : [{ kind: 'water-factor' as const, quantity: fixture.waterFactor, ...about }]),
    ]
  })
}

/** Days warmer than the crew's threshold and what heat adds; none where nothing is hot or heat does nothing to it. */
function heatInputs(stay: Stay, { id, heat }: Crew, { kind }: Activity): Input[] {
  const isHot = ({ value }: Quantity) => value > heat.above.value
  const usual = [{ kind: 'warmest-usual' as const, quantity: stay.weather.usual, of: null }]
  const days = [...stay.weather.days]
    .sort((a, b) => a.day - b.day)
    .map(({ day, warmest }) => ({
      kind: 'warmest' as const,
      quantity: warmest,
      of: addWallDays(dayZero(stay.start), day),
    }))
  const hot = [...usual, ...days].filter(({ quantity }) => isHot(quantity))
  if (hot.length === 0 || (kind !== 'shower' && kind !== 'drinking')) return []
  const ofCrew = { of: null, list: 'crews' as const, id }
  return [
    ...hot.map((input) => ({ ...input, list: 'stays' as const, id: stay.id })),
    { kind: 'heat-above', quantity: heat.above, ...ofCrew },
    kind === 'shower'
      ? { kind: 'heat-showers', quantity: heat.showers, ...ofCrew }
      : { kind: 'heat-drinking', quantity: heat.drinking, ...ofCrew },
  ]
}

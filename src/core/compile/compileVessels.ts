import type { ActiveHabit } from './activeHabits'
import type { Activity, Passed } from '../domain'
import { endCode, type ModelVessel, type Stream } from './model'

/**
 * The vessels of the habits that are on, and the streams with those added that they fill: caught and emptied ones beside
 * each donor, reused ones beside each recipient. Water that a redirect leads elsewhere is not caught.
 */
export function compileVessels(
  activities: readonly Activity[],
  streams: readonly Stream[],
  habits: readonly ActiveHabit[],
  begins: Passed | null = null,
): { streams: Stream[]; vessels: ModelVessel[] } {
  const all = [...streams]
  const add = (stream: Stream) => all.push({ ...stream, portion: null, isOfVessel: true }) - 1
  const withVessel = habits.filter(({ vessel }) => vessel !== null)
  const isOf = (stream: Stream, id: string) => activities[stream.activity]!.id === id
  const vessels = withVessel.map((habit): ModelVessel => ({
    habit: habit.id,
    capacity: habit.vessel!.capacity.value,
    active: habit.active,
    donors: donorsOf(habit, streams, isOf, add),
    recipients: [],
    content: 0,
    given: [],
  }))
  for (const vessel of vessels) Object.assign(vessel, contentOf(vessel, begins))
  vessels.forEach((vessel, v) => {
    vessel.recipients = recipientsOf(withVessel[v]!, [...all], isOf, add)
  })
  return { streams: all, vessels }
}

/** What it holds at the start; where its donors are others by now, it came from all of them alike. */
function contentOf(
  { habit, donors }: ModelVessel,
  begins: Passed | null,
): Pick<ModelVessel, 'content' | 'given'> {
  const kept = begins?.vessels.find((vessel) => vessel.habit === habit)
  if (!kept || donors.length === 0) return { content: 0, given: donors.map(() => 0) }
  const isSame = kept.given.length === donors.length
  return {
    content: kept.content,
    given: isSame ? [...kept.given] : donors.map(() => kept.content / donors.length),
  }
}

const KEPT = endCode('kept')
type IsOf = (stream: Stream, activity: string) => boolean
type Add = (stream: Stream) => number

function donorsOf({ effects, shareOf }: ActiveHabit, streams: readonly Stream[], isOf: IsOf, add: Add) {
  return effects.flatMap((effect): ModelVessel['donors'] => {
    if (effect.kind !== 'catch') return []
    const byPersons = shareOf(effect.activity)
    return streams.flatMap((stream, s) => {
      const isDrain = stream.ofDraw > 0 && stream.to >= 0 && isOf(stream, effect.activity)
      if (!isDrain || !isOwnReceiver(streams, s)) return []
      const caught = add({ ...stream, to: KEPT })
      const emptied = add({ ...stream, from: KEPT })
      return [{ stream: s, caught, emptied, share: effect.share.value, byPersons }]
    })
  })
}

function recipientsOf({ effects, shareOf }: ActiveHabit, streams: readonly Stream[], isOf: IsOf, add: Add) {
  return effects.flatMap((effect): ModelVessel['recipients'] => {
    if (effect.kind !== 'reuse') return []
    const byPersons = shareOf(effect.activity)
    return streams.flatMap((stream, s) =>
      stream.ofDraw === 0 || stream.from === KEPT || !isOf(stream, effect.activity)
        ? []
        : [{ stream: s, reused: add({ ...stream, from: KEPT }), share: effect.share.value, byPersons }],
    )
  })
}

/** The first stream of its fixture, activity and draw is the one to the fixture's own receiver; the others are redirects. */
function isOwnReceiver(streams: readonly Stream[], index: number): boolean {
  const { activity, fixture } = streams[index]!
  const first = streams.findIndex(
    (stream) => stream.activity === activity && stream.fixture === fixture && stream.ofDraw > 0,
  )
  return first === index
}

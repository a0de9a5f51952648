import type { ActiveHabit } from './activeHabits'
import type { Activity } from './crew'
import { endCode, type ModelVessel, type Stream } from './model'

/**
 * The vessels of the habits that are on, and the streams with those added that they fill: caught and emptied ones beside
 * each donor, reused ones beside each recipient. Water that a redirect leads elsewhere is not caught.
 */
export function compileVessels(
  activities: readonly Activity[],
  streams: readonly Stream[],
  habits: readonly ActiveHabit[],
): { streams: Stream[]; vessels: ModelVessel[] } {
  const all = [...streams]
  const kept = endCode('kept')
  const add = (stream: Stream) => all.push({ ...stream, portion: null, isOfVessel: true }) - 1
  const isOf = (stream: Stream, id: string) => activities[stream.activity]!.id === id
  const vessels = habits
    .filter(({ vessel }) => vessel !== null)
    .map(({ id, vessel, effects, active }): ModelVessel => ({ habit: id, capacity: vessel!.capacity.value, active, donors: effects.flatMap((effect) => {
      if (effect.kind !== 'catch') return []
      return streams.flatMap((stream, s) => {
        const isDrain = stream.ofDraw > 0 && stream.to >= 0 && isOf(stream, effect.activity)
        if (!isDrain || !isOwnReceiver(streams, s)) return []
        return [{ stream: s, caught: add({ ...stream, to: kept }), emptied: add({ ...stream, from: kept }), share: effect.share.value }]
      })
    }), recipients: [] })) // prettier-ignore
  vessels.forEach((vessel) => {
    const effects = habits.find(({ id }) => id === vessel.habit)!.effects
    const drawing = all.length
    for (const effect of effects) {
      if (effect.kind !== 'reuse') continue
      for (let s = 0; s < drawing; s++) {
        const stream = all[s]!
        if (stream.ofDraw === 0 || stream.from === kept || !isOf(stream, effect.activity)) continue
        vessel.recipients.push({
          stream: s,
          reused: add({ ...stream, from: kept }),
          share: effect.share.value,
        })
      }
    }
  })
  return { streams: all, vessels }
}

/** The first stream of its fixture, activity and draw is the one to the fixture's own receiver; the others are redirects. */
function isOwnReceiver(streams: readonly Stream[], index: number): boolean {
  const { activity, fixture } = streams[index]!
  const first = streams.findIndex(
    (stream) => stream.activity === activity && stream.fixture === fixture && stream.ofDraw > 0,
  )
  return first === index
}

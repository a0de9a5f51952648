import { FLOW_ENDS, type Activity, type Crew, type FlowEnd, type Rig } from './document'
import { endCode, type Stream } from './model'

/**
 * Every activity's flows through the fixtures that serve its role, flows with the same ends added up.
 * Per use: share × draw leaves the supply; of that the drain share enters the receiver, the rest is consumed;
 * what the body gives and what is brought in follow the drain. A role that no fixture serves is off-site: no flow.
 */
export function compileStreams(rig: Rig, crew: Crew): Stream[] {
  return crew.activities.flatMap((activity, index) => {
    const merged = new Map<string, Stream>()
    for (const route of routesOf(rig, activity)) {
      const key = `${route.from}>${route.to}`
      const known = merged.get(key)
      if (!known) merged.set(key, { activity: index, ...route })
      else {
        known.ofDraw += route.ofDraw
        known.fixed += route.fixed
      }
    }
    return [...merged.values()]
  })
}

function routesOf(rig: Rig, activity: Activity): Omit<Stream, 'activity'>[] {
  const code = (id: string) => rig.containers.findIndex((container) => container.id === id)
  const end = (name: FlowEnd) => endCode(name, FLOW_ENDS)
  const drained = activity.drainShare.value
  return rig.roles
    .filter(({ role }) => role === activity.role)
    .flatMap(({ fixture: id, share: { value: share } }) => {
      const fixture = rig.fixtures.find((candidate) => candidate.id === id)!
      const from = fixture.draws === null ? end('brought-in') : code(fixture.draws)
      const to = code(fixture.drains)
      return [
        { from, to, ofDraw: share * drained, fixed: 0 },
        { from, to: end('consumed'), ofDraw: share * (1 - drained), fixed: 0 },
        ...activity.adds.map(({ from: source, volume }) => ({
          from: end(source),
          to,
          ofDraw: 0,
          fixed: share * volume.value,
        })),
      ]
    })
    .filter(({ ofDraw, fixed }) => ofDraw > 0 || fixed > 0)
}

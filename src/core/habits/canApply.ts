import { REDIRECT_ENDS, isOneOf, type Crew, type Effect, type Fixture, type Habit, type Rig } from '../domain'

/**
 * Whether a habit does anything in a rig: with a dry toilet no flush can be spared, and where there is no jug nothing can
 * be led into it. One that does nothing is not offered.
 */
export function canApply({ effects }: Pick<Habit, 'effects'>, rig: Rig, crew: Crew): boolean {
  const leads = effects.filter(({ kind }) => kind === 'redirect')
  // What it spares hangs on where it leads: no flush is spared by a jug that is not there.
  const isAstray = leads.length > 0 && !leads.some((effect) => actsIn(effect, rig, crew))
  return !isAstray && (effects.length === 0 || effects.some((effect) => actsIn(effect, rig, crew)))
}

function actsIn(effect: Effect, rig: Rig, crew: Crew): boolean {
  const activity = crew.activities.find(({ id }) => id === effect.activity)
  if (!activity) return false
  const used = rig.roles.filter(({ role, share }) => role === activity.role && share.value > 0)
  const fixtures = rig.fixtures.filter(({ id }) => used.some(({ fixture }) => fixture === id))
  return fixtures.some((fixture) => actsAt(effect, fixture, rig))
}

function actsAt(effect: Effect, fixture: Fixture, rig: Rig): boolean {
  if (effect.kind === 'rate') return true
  if (effect.kind === 'adds') return effect.from === 'body' || !isBin(fixture.solids ?? fixture.drains, rig)
  if (effect.kind !== 'redirect') return fixture.waterFactor.value > 0
  if (isOneOf(REDIRECT_ENDS, effect.to)) return true
  const receiver = rig.containers.find(({ kind }) => kind === effect.to)
  return receiver !== undefined && receiver.id !== fixture.drains
}

function isBin(id: string, { containers }: Rig): boolean {
  return containers.find((container) => container.id === id)?.kind === 'solids'
}

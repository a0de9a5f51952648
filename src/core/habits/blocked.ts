import type { Gear, Habit, LandRule, Rig, Stay } from '../domain'

/** What keeps a habit off: gear the rig does not list, a rule of the land not recorded as allowing it. */
export interface Blocked {
  gear: Gear[]
  permission: LandRule | null
}

/** Null where nothing is missing. A rule that is not recorded means not allowed (model.md section 1). */
export function blockedBy(habit: Pick<Habit, 'gear' | 'permission'>, rig: Rig, stay: Stay): Blocked | null {
  const gear = habit.gear.filter((item) => !rig.gear.includes(item))
  const permission = habit.permission !== null && !isAllowed(stay, habit.permission) ? habit.permission : null
  return gear.length === 0 && permission === null ? null : { gear, permission }
}

export function isAllowed({ rules }: Pick<Stay, 'rules'>, rule: LandRule): boolean {
  return rules.some((recorded) => recorded.rule === rule && recorded.allowed)
}

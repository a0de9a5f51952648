import type { Activity, ActivityKind, Crew } from '../domain'

/** Kinds that a budget may grant fewer of; what of their own the owner adds comes to them (model.md section 7). */
const SAVED_KINDS: readonly ActivityKind[] = ['shower', 'dishes', 'cleaning', 'laundry']

/** Whether a budget may grant fewer of it. Drinking, cooking, hands, teeth, toilet and animals it never touches. */
export function mayBeSaved({ id, kind }: Activity, { saves }: Pick<Crew, 'saves'>): boolean {
  return SAVED_KINDS.includes(kind) || (kind === 'own' && saves.includes(id))
}

/** What a budget may save, and what it keeps as it is, in the crew's order. */
export function partedBySaving(crew: Crew): { saved: Activity[]; kept: Activity[] } {
  const isSaved = (activity: Activity) => mayBeSaved(activity, crew)
  return {
    saved: crew.activities.filter(isSaved),
    kept: crew.activities.filter((activity) => !isSaved(activity)),
  }
}

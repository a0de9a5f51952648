import type { Chore } from '@/core/domain'
import * as t from '@/texts/t'

/** The owner's own words for a chore, or those of its kind. */
export function choreName({ name, kind }: Pick<Chore, 'name' | 'kind'>): string {
  return name ?? t.chores.kind[kind]
}

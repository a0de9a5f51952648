import { caseOf, type StayCase } from '@/core/domain'
import { UNIT_SYSTEMS } from '@/core/quantities'
import { PLUMBING_IDS, firstChoices, startDocument, toiletsFor, type StartChoices } from '@/document/starters'
import { starterNames, starters } from '@/texts/en/starters'

/** Every plumbing with every toilet that fits it, as the guided start makes them. */
export function starterCases(own: Partial<StartChoices> = {}): StayCase[] {
  return PLUMBING_IDS.flatMap((plumbing) =>
    toiletsFor(plumbing).map((toilet) => {
      let n = 0
      const choices = { ...firstChoices('2027-09-10T12:00', UNIT_SYSTEMS.metric), plumbing, toilet, ...own }
      const document = startDocument(
        choices,
        starters,
        starterNames,
        (kind) => `${kind}-${(n += 1)}`,
        UNIT_SYSTEMS.metric,
      )
      return caseOf(document, document.stays[0]!.id)
    }),
  )
}

import type { CardKind } from '@/core/domain'
import { catalogueField, idField, listOf, nameField, noteField } from './fields'
import { LIMITS } from './limits'
import { z } from './zod'

/** Steps of the templates, or the owner's words; `docs/format.md` says which there are. */
export const ownStepsField = listOf(
  z.union([
    z.strictObject({ step: z.string().regex(/^[a-z0-9-]+\.[a-z0-9-]+$/) }),
    z.strictObject({ words: noteField.regex(/\S/) }),
  ]),
  LIMITS.cardSteps,
).min(1)

/** A card that the owner made. */
export const ownCardSchema = z.strictObject({
  id: idField,
  name: nameField,
  kind: catalogueField<CardKind>(),
  from: z.enum(['own', 'elsewhere']),
  steps: ownStepsField,
})

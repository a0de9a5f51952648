import type { CardFile } from '@/core/cards'
import { CARD_KINDS, type OwnCard } from '@/core/domain'
import { nameField } from './schema/fields'
import { LIMITS } from './schema/limits'
import { ownStepsField } from './schema/ownCard'
import { z } from './schema/zod'

const schema = z.strictObject({
  format: z.literal('dry-count/card@1'),
  card: z.strictObject({ name: nameField, kind: z.enum(CARD_KINDS), steps: ownStepsField }),
})

/** Why a file is no card of ours. */
export type CardFileFault = 'too-large' | 'not-json' | 'foreign' | 'unknown-step'

/** No card is longer than this. */
const MOST_BYTES = 200_000

/** The text of a file of one card. */
export function writeCard(file: CardFile): string {
  return `${JSON.stringify(file, null, 2)}\n`
}

/** Reads a card that was shared: it is marked as one from elsewhere. @param known steps that there are */
export function readCard(
  text: string,
  id: string,
  known: readonly string[],
): { ok: true; card: OwnCard } | { ok: false; fault: CardFileFault } {
  if (text.length > MOST_BYTES || text.length > LIMITS.fileBytes) return { ok: false, fault: 'too-large' }
  let input: unknown
  try {
    input = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch {
    return { ok: false, fault: 'not-json' }
  }
  const read = schema.safeParse(input)
  if (!read.success) return { ok: false, fault: 'foreign' }
  const isKnown = read.data.card.steps.every((one) => !('step' in one) || known.includes(one.step))
  if (!isKnown) return { ok: false, fault: 'unknown-step' }
  return { ok: true, card: { id, from: 'elsewhere', ...read.data.card } }
}

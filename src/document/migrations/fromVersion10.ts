/** Steps of a card that are now several, one act each. */
const NOW: Record<string, readonly string[]> = {
  'cassette.rinse-twice': ['cassette.rinse-in', 'cassette.tilt', 'cassette.rinse-out'],
  'cassette.rinse-soak': ['cassette.rinse-in', 'cassette.soak', 'cassette.tilt', 'cassette.rinse-out'],
}

type Step = { step: string } | { words: string }
interface Before {
  rigs: { cards: { steps: Step[] }[] }[]
}

/**
 * Version 11 knows more gear and cautions, and how long tanks took to drain; cards of one's own keep their order where a step became
 * several.
 */
export function fromVersion10(document: unknown): unknown {
  const { rigs, ...rest } = document as Before
  return {
    ...rest,
    version: 11,
    rigs: rigs.map((rig) => ({
      ...rig,
      cards: rig.cards.map((card) => ({
        ...card,
        steps: card.steps.flatMap((one): Step[] =>
          'step' in one ? (NOW[one.step] ?? [one.step]).map((step) => ({ step })) : [one],
        ),
      })),
    })),
  }
}

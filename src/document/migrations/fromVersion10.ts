/** Steps of a card that are now several, one act each. */
const RINSED = [
  ...['rinse.watch', 'rinse.wand', 'rinse.buckets', 'rinse.call'],
  ...['rinse.go-in', 'rinse.wand-alone', 'rinse.buckets-alone', 'rinse.go-out'],
]
const NOW: Record<string, readonly string[]> = {
  'rinse.wand': RINSED,
  'rinse.buckets': RINSED,
  'gray-only.ask': ['where.ask-gray', 'gray-only.ask'],
  'dump.ground-first': ['dump.ground-first', 'dump.ground-lies'],
  'dump.rig-end': ['dump.rig-end', 'dump.rig-gray'],
  'charge.household': ['charge.mixture', 'charge.household'],
  'arrival.shut': ['arrival.shut', 'arrival.shut-gray'],
  'metered.hose': ['metered.hose', 'metered.hose-waste'],
  'cassette.rinse-twice': ['cassette.rinse-in', 'cassette.tilt', 'cassette.rinse-out'],
  'cassette.rinse-soak': ['cassette.rinse-in', 'cassette.soak', 'cassette.tilt', 'cassette.rinse-out'],
}

type Step = { step: string } | { words: string }
interface Before {
  rigs: { cards: { steps: Step[] }[] }[]
}

/**
 * Version 11 knows more gear and cautions, and how long tanks took to drain; cards that the owner made keep their order where a step became
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
        steps: each(card.steps),
      })),
    })),
  }
}

/** Each step once, where it stood first. */
function each(steps: readonly Step[]): Step[] {
  const seen = new Set<string>()
  return steps.flatMap((one): Step[] => {
    if ('words' in one) return [one]
    const now = (NOW[one.step] ?? [one.step]).filter((step) => !seen.has(step))
    for (const step of now) seen.add(step)
    return now.map((step) => ({ step }))
  })
}

import type { CardStep } from './derive'
import type { Act } from './template'

/** What is put ready before a card is begun. */
export const THINGS = [
  'drinking-hose',
  'tap-wipes',
  'waste-hose',
  'gray-hose',
  'adaptor',
  'gasket',
  'elbow',
  'weight',
  'cap-bucket',
  'spare-cap',
  'rinse-hose',
  'breaker',
  'clean-bucket',
  'tote',
  'straps',
  'pump',
  'jugs',
  'product',
  'medium',
  'bags',
  'lubricant',
  'bleach',
  'meter-bucket',
  'spare-gloves',
  'eye-cover',
  'wipes',
] as const
export type Thing = (typeof THINGS)[number]

/** By what is done, and by steps that say it; of each thing once, in the order in which it is used. */
const OF_ACT: Partial<Record<Act, readonly Thing[]>> = {
  'fresh-in': ['drinking-hose', 'tap-wipes'],
  'cap-off': ['cap-bucket', 'spare-cap'],
  'ground-on': ['weight'],
  'rinse-hose': ['rinse-hose', 'breaker'],
  'tote-on': ['tote'],
  'pump-on': ['pump'],
  'move:jugs': ['jugs'],
  dose: ['product'],
  bag: ['bags'],
  chlorine: ['bleach'],
  gloves: ['spare-gloves', 'wipes'],
  measure: ['meter-bucket'],
}
const OF_STEP: Record<string, readonly Thing[]> = {
  'dump.rig-end': ['waste-hose', 'adaptor', 'gasket', 'elbow'],
  'dump.rig-gray': ['gray-hose', 'gasket'],
  'tote.hose': ['waste-hose', 'adaptor', 'gasket'],
  'tote.load': ['straps'],
  'open.fresh-first': ['drinking-hose', 'tap-wipes'],
  'open.fresh-ask': ['drinking-hose', 'tap-wipes'],
  'rinse.buckets': ['clean-bucket'],
  'rinse.buckets-alone': ['clean-bucket'],
  'charge.tap': ['clean-bucket'],
  'solids.fill': ['medium'],
  'solids.sawdust': ['medium'],
  'seals.lubricant': ['lubricant'],
  'seals.oil': ['lubricant'],
}

/** What the steps of these cards need at hand. */
export function thingsFor(cards: readonly { steps: readonly CardStep[] }[]): Thing[] {
  const needed = new Set<Thing>()
  for (const step of cards.flatMap(({ steps }) => steps)) {
    for (const thing of OF_STEP[step.id] ?? []) needed.add(thing)
    for (const { act } of step.acts) for (const thing of OF_ACT[act] ?? []) needed.add(thing)
    if (step.cautions.includes('eyes')) needed.add('eye-cover')
  }
  return THINGS.filter((thing) => needed.has(thing))
}

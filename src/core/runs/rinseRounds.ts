import type { Rig, CrewAnswers, TankContainer } from '../domain'
import type { Litres } from '../quantities'

/** L of a bucket that somebody carries indoors (rule of thumb), and how many rinse a tank that no hose gets into (cards.md). */
export const BUCKET_L: Litres = 10
const BUCKETS = 3

/** Whether a hose rinses a tank: through an inlet of its own, or down the toilet with a wand. */
export function isRinsedByHose(
  { outlets, gear }: Pick<Rig, 'outlets' | 'gear'>,
  { id }: { id: string },
): boolean {
  return gear.includes('rinse-wand') || outlets.some(({ rinses }) => rinses === id)
}

/** Rounds of rinsing where nothing of a tank is recorded yet: the crew's assumption, or buckets. */
export function firstRounds({ rinseRounds }: Pick<CrewAnswers, 'rinseRounds'>, byHose: boolean): number {
  return byHose ? rinseRounds.value : BUCKETS
}

/** L of one round: three quarters of the tank less what always stays in it, or a bucket. Source: model.md section 8. */
export function roundLitres(
  rig: Pick<Rig, 'outlets' | 'gear'>,
  { rinseTo }: Pick<CrewAnswers, 'rinseTo'>,
  tank: Pick<TankContainer, 'id' | 'capacity' | 'safeFill' | 'residue'>,
): Litres {
  if (!isRinsedByHose(rig, tank)) return BUCKET_L
  const target = Math.min(rinseTo.value, tank.safeFill.value) * tank.capacity.value
  return Math.max(0, target - tank.residue.value)
}

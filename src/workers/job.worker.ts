import { expose, transfer } from 'comlink'
import { jobRunner } from './jobRunner'
import type { Sample } from '@/core/risk'

const runner = jobRunner()

/** A sample's rows are handed over, not copied. */
function handed<T>(result: T): T {
  if (typeof result !== 'object' || result === null || !('days' in result && 'bands' in result)) return result
  const { days, stopper, bands } = result as unknown as Sample
  const rows = bands ? [bands.lowest, bands.width, bands.perWidth, bands.tally] : []
  return transfer(
    result,
    [days, stopper, ...rows].map(({ buffer }) => buffer as ArrayBuffer),
  )
}

expose({
  ...runner,
  run: async (...given: Parameters<typeof runner.run>) => handed(await runner.run(...given)),
})

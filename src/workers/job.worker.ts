import { expose, transfer } from 'comlink'
import { workerDesk } from './desk'
import type { Sample } from '@/core/risk'

const desk = workerDesk()

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
  ...desk,
  run: async (...given: Parameters<typeof desk.run>) => handed(await desk.run(...given)),
})

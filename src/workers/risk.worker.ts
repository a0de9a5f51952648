import { expose, transfer } from 'comlink'
import { riskJob } from './riskJob'

const job = riskJob()

expose({
  ...job,
  async sample(revision: number, from: number, to: number) {
    const sample = await job.sample(revision, from, to)
    if (!sample) return null
    const { bands } = sample
    const rows = bands ? [bands.lowest, bands.width, bands.perWidth, bands.tally] : []
    return transfer(
      sample,
      [sample.days, sample.stopper, ...rows].map(({ buffer }) => buffer as ArrayBuffer),
    )
  },
})

import fc from 'fast-check'
import { expect, it } from 'vitest'
import { riskOf, sampleTrips } from '@/core/risk'
import { documentArb, reuseArb } from '../support/generate'
import { plainTrips } from '../support/plainTrips'
import { samplerFor } from '../support/spreads'

const STAYS = 20
const TRIPS = 10_000

it(`plan on holds in 88 to 92 of 100 plain trips, over ${STAYS} generated stays of ${TRIPS} trips`, () => {
  const shares: number[] = []
  for (const document of fc.sample(fc.oneof(documentArb, reuseArb), { seed: 4, numRuns: 12 * STAYS })) {
    if (shares.length === STAYS) break
    const sampler = samplerFor(document)
    const few = riskOf(sampler.model, sampleTrips(sampler, { seed: 1, from: 0, to: 500, bandParts: 0 }), 7)
    // Where all trips end together no quantile splits them.
    if (few.sorted[0]! < 0.1 || few.atBest.days - few.planOn.days < 0.5 || few.planOn.isBeyond) continue
    const { planOn } = riskOf(
      sampler.model,
      sampleTrips(sampler, { seed: 3, from: 0, to: 40_000, bandParts: 0 }),
      7,
    )
    const trips = plainTrips(document, 'stay', 5)
    let held = 0
    for (let t = 0; t < TRIPS; t++) if (trips.next().value.days >= planOn.days) held++
    shares.push(held / TRIPS)
    expect(Math.abs(held / TRIPS - 0.9)).toBeLessThan(0.02)
  }
  const mean = shares.reduce((sum, share) => sum + share, 0) / shares.length
  const percent = (share: number) => `${(100 * share).toFixed(2)} %`
  console.log(
    `held on average ${percent(mean)}, at least ${percent(Math.min(...shares))}, at most ${percent(Math.max(...shares))}`,
  )
  expect(shares.length).toBe(STAYS)
  expect(Math.abs(mean - 0.9)).toBeLessThan(0.004)
})

import { expect, it } from 'vitest'
import { count } from '../count'
import { compile } from '../compile'
import { caseOf, type Document } from '../domain'
import { pipeFlows, plumbingWarnings } from './index'
import { owned } from '../quantities'
import { newContainer, startLevel } from '@/document/starters'
import { reroute } from '@/document/edits'
import { truckDemo } from '../../../scripts/demo/truck'
import { trailerDemo } from '../../../scripts/demo/trailer'

function mapOf(document: Document) {
  const rig = document.rigs[0]!
  const model = compile(caseOf(document, document.currentStay!))
  const flows = pipeFlows(rig, model, count(model).ledger, 40)
  const at = (fixture: string, pipe: string) =>
    flows.find((flow) => flow.fixture === fixture && flow.pipe === pipe)!
  return { rig, model, flows, at, warnings: plumbingWarnings(rig, flows) }
}

it('shows on the pipes what the ledger moves: all that is drawn and drained, in litres a day', () => {
  const { model, flows } = mapOf(trailerDemo())
  const { ledger } = count(model)
  const days = model.grid.edges[40]!
  const sum = (pipe: string) =>
    flows.reduce((total, flow) => total + (flow.pipe === pipe ? flow.perDay : 0), 0)
  const level = (c: number) => ledger.levels[c * model.grid.count + 39]! - model.containers[c]!.start
  expect(sum('draws')).toBeCloseTo(-level(0) / days, 9)
  expect(sum('drains')).toBeCloseTo((level(1) + level(2)) / days, 9)
})

it('counts a diverting toilet in litres to the jug and uses to the bin', () => {
  const { at, warnings } = mapOf(truckDemo())
  expect(at('truck-toilet', 'draws').perDay).toBe(0)
  expect(at('truck-toilet', 'drains')).toMatchObject({ unit: 'L' })
  expect(at('truck-toilet', 'solids').unit).toBe('uses')
  expect(at('truck-toilet', 'solids').perDay).toBeCloseTo(1.2, 1)
  expect(warnings).toEqual([])
})

it('warns of a container nothing fills, a supply nothing draws, a fixture without supply and one used for nothing', () => {
  const document = trailerDemo()
  const rig = document.rigs[0]!
  rig.containers.push(
    newContainer('gray', 'galley', 'Galley', 50),
    newContainer('flush', 'spare-flush', 'Flush', 10),
  )
  for (const container of ['galley', 'spare-flush'])
    document.stays[0]!.levels.push(startLevel(container, owned(0)))
  rig.roles = rig.roles.filter(({ role }) => role !== 'basin')
  reroute(document, 'trailer', 'kitchen-sink', 'draws', null)
  expect(mapOf(document).warnings).toEqual([
    { kind: 'nothing-fills', container: 'galley' },
    { kind: 'nothing-draws', container: 'spare-flush' },
    { kind: 'no-supply', fixture: 'kitchen-sink' },
    { kind: 'idle', fixture: 'bath-basin' },
  ])
})

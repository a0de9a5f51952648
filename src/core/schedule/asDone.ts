import { newBlock } from '../runs'
import { playRun } from '../count'
import type { RunEntry } from '../log'
import { compileRun, type Model } from '../compile'
import type { Run, StayCase } from '../domain'
import { answersOf, type StepAnswer } from './stepAnswer'

/**
 * What a run that was just done says to the log: what was emptied, filled, put in or taken out, with the litres it came to on the
 * levels where the model begins.
 */
export function asDone({ rig, crew, stay }: StayCase, model: Model, run: Run): RunEntry['did'] {
  const { containers } = model
  const block = newBlock(containers.length, 1)
  containers.forEach(({ start }, c) => (block.levels[c] = start))
  const compiled = compileRun(run, 0, { rig, crew, containers, places: stay.places })
  const levels = block.levels.slice()
  return answersOf(model, run, playRun(model, compiled, block), levels).flatMap(didOf)
}

/** Less than this is nothing to speak of, L (or uses). */
const NOTHING = 0.05

/** What a step says to the log. */
export function didOf({ step, moved, undone, left, from, to }: StepAnswer): RunEntry['did'] {
  if (moved <= 0) return []
  const litres = Math.round(moved * 10) / 10
  const did: RunEntry['did'] = []
  if (from && step.do !== 'jugs') {
    const isOut = step.do === 'empty' || step.do === 'loads'
    const isEmptied = isOut && (left !== null || from.after < NOTHING)
    did.push({
      container: step.from!,
      what: isEmptied ? 'emptied' : 'took-out',
      litres: isEmptied ? null : litres,
    })
  }
  if (to && step.do !== 'loads') {
    const isFull = step.do === 'fill' && step.amount.as === 'all' && undone < NOTHING
    did.push({ container: step.to!, what: isFull ? 'filled' : 'put-in', litres: isFull ? null : litres })
  }
  return did
}

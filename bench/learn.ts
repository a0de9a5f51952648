import { learn, nowFrom } from '@/core/learn'
import { ledger } from '@/core/count'
import { addWallDays } from '@/core/calendar'
import { caseOf } from '@/core/domain'
import { trailerDemo } from '../scripts/demo/trailer'
import { USUAL } from '../scripts/study/figures'
import { household } from '../scripts/study/household'
import { median, sample } from './timing'

/** Filter, detector and a thousand joint draws of a stay with its log and its panel, warm. */
export function benchLearn(): void {
  const stayCase = caseOf(trailerDemo(), 'harrow-ridge')
  const habits = {
    ...USUAL,
    counted: 0.5,
    stuck: 1,
    hookup: true,
  }
  const home = household(stayCase, habits, 5, 11)
  const { model, counted } = home
  const evidence = home.evidence.filter(
    (one) => one.kind !== 'used' || counted.has(stayCase.crew.activities[one.activity]!.id),
  )
  const until = model.grid.edges[home.parts]!
  const readings = evidence.filter(({ kind }) => kind === 'panel').length
  const played = ledger(model)
  const at = addWallDays(model.start, until)
  const times = sample(
    60,
    20,
    () => evidence,
    (all) => {
      const learned = learn(home.stayCase, model, all, { counted, until })
      return nowFrom(model, played, learned, at, 1).draws!.rows
    },
  )
  console.log(
    `learn: ${readings} readings and ${evidence.length - readings} logged uses, ${model.activities.length} activities, a stuck ` +
      `probe, with a thousand joint draws: ${median(times).toFixed(1)} ms median (limit 50)`,
  )
}

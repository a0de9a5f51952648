import { wallDaysBetween, type WallTime } from '@/core/calendar'
import { ledger, stateAt } from '@/core/count'
import { learn, nowFrom } from '@/core/learn'
import { compile, type Now, type StayCase } from '@/core/model'

/** What stands where by then, had the stay gone as its plan says. */
export function expectedAt(stayCase: StayCase, now: WallTime): Now {
  const model = until(stayCase, now)
  return stateAt(model, ledger(model), now)
}

/** The same with all that is not known of it: nothing was read on the way. */
export function unreadAt(stayCase: StayCase, now: WallTime, seed: number): Now {
  const model = until(stayCase, now)
  const days = wallDaysBetween(model.start, now)
  return nowFrom(
    model,
    ledger(model),
    learn(stayCase, model, [], { counted: new Set(), until: days }),
    now,
    seed,
  )
}

function until(stayCase: StayCase, now: WallTime) {
  return compile(stayCase, { horizonDays: wallDaysBetween(stayCase.stay.start, now) + 1 })
}

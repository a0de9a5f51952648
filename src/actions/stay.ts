import type { Id, LandRule, Stay, Weather } from '@/core/domain'
import { found } from '@/core/domain'
import { fromSource } from '@/core/quantities'
import * as edits from '@/document/edits'
import type { Action } from '@/data/action'
import { action, logging } from './action'

export const showStay = action('switch-stay', (draft, stay: Id) => void (draft.currentStay = stay))
export const copyStay = action('copy', edits.copyStay)
const drop = action('remove', edits.removeStay)
/** Its entries go with it. */
export const removeStay = (stay: Id): Action => logging(drop(stay), [{ op: 'drop-stay', stay }])
export const renameStay = action(
  'stay',
  (draft, stay: Id, name: string) => void (edits.stayOf(draft, stay).name = name),
  (stay) => `name ${stay}`,
)
/** The start moves, the number of nights stays. */
export const setStart = action('stay', edits.setStart, (stay) => `start ${stay}`)
export const setLeave = action(
  'stay',
  (draft, stay: Id, leaveAt: Stay['leaveAt']) => void (edits.stayOf(draft, stay).leaveAt = leaveAt),
  (stay) => `leave ${stay}`,
)
export const setNights = action('stay', edits.setNights, (stay) => `nights ${stay}`)
/** How sure the owner wants to be. @param share of trips, 0 to 1 */
export const setConfidence = action('stay', (draft, stay: Id, share: number) => {
  edits.stayOf(draft, stay).confidence = fromSource(share, 'rule-of-thumb')
})

export const setRule = action('stay', edits.setRule)
/** Who allowed it, as it is typed. */
export const setRuleSource = action('stay', edits.setRule, (stay, rule) => `rule ${rule} ${stay}`)
/** L that may go onto the ground by a rule; 0: no limit is given. */
export const setRuleLitres = action(
  'stay',
  (draft, stay: Id, rule: LandRule, litres: number) => {
    const of = edits.stayOf(draft, stay).rules.find((one) => one.rule === rule)
    if (of) of.litres = litres || null
  },
  (stay, rule) => `rule litres ${rule} ${stay}`,
)
export const setSite = action('site', edits.setSite)
/** The same of what is typed. */
export const typeSite = action('site', edits.setSite, (stay, site) => `${Object.keys(site).join()} ${stay}`)

export const changeWeather = action(
  'stay',
  (draft, stay: Id, patch: Partial<Weather>) => void Object.assign(edits.stayOf(draft, stay).weather, patch),
  (stay, patch) => `weather ${Object.keys(patch).join()} ${stay}`,
)
export const setWarmest = action('stay', edits.setWarmest, (stay, day) => `weather day ${day} ${stay}`)

/** What of what before it leaves it begins with. */
export const setFollows = action('stay', edits.setFollows)
export const setEndsAt = action('stay', edits.setEndsAt)
export const followStay = action('stay', edits.followStay)
export const hookupBetween = action('stay', edits.hookupBetween)

/** A stay that is there has begun. */
export const startNow = action('stay', edits.startNow)
export const setCounted = action('stay', edits.setCounted)
/** Several activities at once, as a shakedown has it. */
export const countAll = action(
  'shakedown',
  (draft, stay: Id, activities: readonly Id[], isCounted: boolean, at: string) => {
    found(draft.stays, stay, 'stay')
    for (const activity of activities) edits.setCounted(draft, stay, activity, isCounted, at)
  },
)
export const takeOver = action('take-over', edits.takeOver)

import type { Days } from '../quantities'
import type { HabitSet } from './answer'

/** Any set that lasts so long, whatever its bother. */
type Lasting = (days: Days) => HabitSet | null

/** Days of the strides towards the longest, before its neighbours are taken one by one. */
const STRIDES = [1, 0.25]

/**
 * The set that lasts longest of all: by strides as long as some set lasts so much longer, then one set after the other
 * until none lasts longer at all. To find that there is none costs most, so it is asked seldom.
 * @param isNear whether the set given is known to be within a stride of the longest
 */
export function mostDays(lasting: Lasting, from: HabitSet, isNear: boolean): HabitSet {
  let longest = from
  const goOn = (stride: Days): boolean => {
    const set = longest.isBeyond ? null : lasting(longest.days + stride)
    if (set) longest = set
    return set !== null
  }
  if (!isNear) for (const stride of STRIDES) while (goOn(stride));
  while (goOn(1e-6));
  return longest
}

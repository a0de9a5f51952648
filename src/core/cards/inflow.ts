import { movedPerUse, type Model } from '../compile'

/** L (or uses) that the uses of all parts bring to the ends asked for. */
export function inflowOf(model: Model, isAsked: (to: number) => boolean): number {
  const { count } = model.grid
  return model.streams.reduce((sum, stream) => {
    const { activity, to, portion, isOfVessel } = stream
    if (isOfVessel || !isAsked(to)) return sum
    let all = sum
    for (let part = 0; part < count; part++) {
      const row = activity * count + part
      all += (portion?.[part] ?? 1) * model.uses[row]! * movedPerUse(stream, model.volume[row]!)
    }
    return all
  }, 0)
}

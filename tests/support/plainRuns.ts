import { PARTS } from '@/core/calendar'
import type { Model } from '@/core/compile'
import { isOneOf, fillOf, type Container, type Document, type Run, type RunStep } from '@/core/domain'

/** A tank of one plain trip. */
export interface PlainTank {
  level: number
  /** Its own capacity over the one given. */
  ratio: number
}

/**
 * Runs in the plainest way, straight from the document and the text of model.md section 7: what a step wants, then each thing
 * that may hold it back. Shares nothing with the core's own runs.
 * @param after told of each run, once it is done, and the litres it moved
 */
export function playPlainRuns(
  document: Document,
  model: Model,
  part: number,
  tanks: PlainTank[],
  after: (run: Run, moved: number) => void = () => undefined,
): void {
  const [stay, rig, crew] = [document.stays[0]!, document.rigs[0]!, document.crews[0]!]
  const { schools } = crew
  let moved = 0
  const own = (id: string) => rig.containers.find((container) => container.id === id)!
  const at = (id: string) => model.containers.findIndex(({ members }) => members.includes(id))
  const kg = (container: Container) => (container.kind === 'solids' ? container.perUse.value : 0.998)
  const weight = () => model.containers.reduce((sum, { id }, c) => sum + tanks[c]!.level * kg(own(id)), 0)
  const full = (c: number) => {
    const { id, limit, side, capacity } = model.containers[c]!
    if (side === 'waste') return limit! * tanks[c]!.ratio
    return (own(id).kind === 'tote' ? 0.9 : 1) * capacity * tanks[c]!.ratio
  }
  const residue = (c: number) =>
    model.containers[c]!.members.reduce((sum, id) => {
      const tank = own(id)
      return sum + ('residue' in tank ? tank.residue.value : 0)
    }, 0)
  const reserve = (c: number) => {
    const tank = own(model.containers[c]!.id)
    return 'reserve' in tank ? tank.reserve.value : 0
  }
  const leaves = (c: number, outside: boolean) =>
    fillOf(own(model.containers[c]!.id).kind) === 'supply' ? (outside ? 0 : reserve(c)) : residue(c)

  const move = (from: number, to: number, wanted: number, floor: number) => {
    let litres = wanted
    if (from >= 0) litres = Math.min(litres, tanks[from]!.level - floor)
    if (to >= 0) litres = Math.min(litres, full(to) - tanks[to]!.level)
    if (from < 0 && to >= 0 && rig.payload) {
      const room = rig.payload.limit.value - rig.payload.other.value - weight()
      litres = Math.min(litres, room / kg(own(model.containers[to]!.id)))
    }
    litres = Math.max(0, litres)
    moved += litres
    if (from >= 0) tanks[from]!.level -= litres
    if (to >= 0) tanks[to]!.level += litres
  }

  const step = ({ do: does, from, to, amount, loads }: RunStep) => {
    const [f, t] = [from === null ? -1 : at(from), to === null ? -1 : at(to)]
    // Tanks that stand open to each other are one.
    if (f >= 0 && f === t) return
    if (does === 'loads')
      for (let n = 0; n < loads; n++) {
        move(f, t, Infinity, residue(f))
        move(t, -1, Infinity, 0)
      }
    else if (does === 'jugs')
      for (let n = 0; n < loads; n++) {
        move(-1, f, full(f) - tanks[f]!.level, 0)
        move(f, t, Infinity, 0)
      }
    else if (amount.as === 'head') {
      const [gray, black] = [own(from!), own(to!)]
      // Tanks that stand open to each other, or were not measured, have no head to speak of.
      if (!('shape' in gray) || !('shape' in black) || !gray.shape || !black.shape) return
      if (rig.outlets[0]!.joined.length > 0) return
      const [Ag, Ab] = [gray, black].map(
        (tank, k) => (tank.capacity.value * tanks[k === 0 ? f : t]!.ratio) / 1000 / tank.shape!.height.value,
      ) as [number, number]
      const [low, high] = [
        Math.max(0, tanks[f]!.level - amount.within.value),
        tanks[t]!.level + amount.within.value,
      ]
      const surfaceG = gray.shape.bottom.value - gray.shape.error.value + low / 1000 / Ag
      const surfaceB = black.shape.bottom.value + black.shape.error.value + high / 1000 / Ab
      const litres = (0.8 * (surfaceG - surfaceB) * 1000) / (1 / Ag + 1 / Ab)
      move(f, t, Math.min(litres, low), residue(f))
    } else if (does === 'fill' || does === 'charge' || does === 'top-up') {
      const keeps =
        f < 0
          ? 0
          : Math.max(reserve(f), amount.as === 'school' && does === 'top-up' ? schools.roadReserve.value : 0)
      const capacity = t < 0 ? 0 : model.containers[t]!.capacity * tanks[t]!.ratio
      let wanted = full(t) - tanks[t]!.level
      if (amount.as === 'most') wanted = amount.litres.value
      if (amount.as === 'level') wanted = amount.litres.value - tanks[t]!.level
      if (amount.as === 'school')
        wanted = does === 'top-up' ? Math.min(full(t), 0.75 * capacity) - tanks[t]!.level : 6
      move(f, t, wanted, keeps)
    } else {
      const floor = leaves(f, t < 0)
      const kept = Math.max(reserve(f), schools.roadReserve.value)
      if (amount.as === 'school') move(f, t, tanks[f]!.level - kept, kept)
      else if (amount.as === 'most') move(f, t, amount.litres.value, floor)
      else if (amount.as === 'level') move(f, t, tanks[f]!.level - amount.litres.value, floor)
      else if (amount.as === 'one') {
        const tank = own(model.containers[f]!.id)
        const spares = 'spares' in tank ? tank.spares : 0
        move(f, t, full(f) / (1 + spares), floor)
      } else move(f, t, tanks[f]!.level - floor, floor)
    }
  }
  for (const run of stay.runs)
    if (isOn(run, model, part)) {
      moved = 0
      run.steps.forEach(step)
      after(run, moved)
    }
}

function isOn({ day, part }: Run, { grid }: Model, i: number): boolean {
  return grid.day[i] === day && isOneOf(PARTS, part) && PARTS[grid.part[i]!] === part
}

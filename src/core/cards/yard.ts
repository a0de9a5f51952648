import type { Id } from '../domain'
import type { Card, CardAct } from './derive'

/** What is open, connected and running while a card is walked. */
export interface Yard {
  open: Set<Id>
  end: boolean
  hose: boolean
  /** Its far end: in the inlet, or in a tote. */
  ground: boolean
  cap: boolean
  water: Id | null
  pump: boolean
  tote: boolean
  vent: boolean
  /** Of a cassette: its blade is shut, the cap is on its spout. */
  blade: boolean
  spoutCap: boolean
}

/** Everything shut, off and capped. */
export const allShut = (): Yard => ({
  open: new Set(),
  end: false,
  hose: false,
  ground: false,
  cap: false,
  water: null,
  pump: false,
  tote: false,
  vent: false,
  blade: false,
  spoutCap: true,
})

/** As a card finds it: where it goes on from another outlet its hose lies in the drain. */
export const yardOf = ({ turn }: Pick<Card, 'turn'>): Yard => ({
  ...allShut(),
  ground: turn?.goesOn ?? false,
})

/** What an act leaves standing. */
export function play({ act, tank }: CardAct, yard: Yard): void {
  switch (act) {
    case 'open:tank':
      if (tank !== null) yard.open.add(tank)
      return
    case 'shut:tank':
      if (tank !== null) yard.open.delete(tank)
      return
    case 'open:end':
    case 'shut:end':
      yard.end = act === 'open:end'
      return
    case 'shut:all':
      yard.open.clear()
      yard.end = false
      return
    case 'cap-off':
    case 'cap-on':
      yard.cap = act === 'cap-off'
      return
    case 'hose-on':
    case 'hose-off':
      yard.hose = act === 'hose-on'
      return
    case 'ground-on':
    case 'ground-off':
      yard.ground = act === 'ground-on'
      return
    case 'tote-on':
    case 'tote-off':
      yard.ground = yard.tote = act === 'tote-on'
      return
    case 'vent-open':
    case 'vent-shut':
      yard.vent = act === 'vent-open'
      return
    case 'pump-on':
    case 'pump-off':
      yard.pump = act === 'pump-on'
      return
    case 'blade-shut':
      yard.blade = true
      return
    case 'spout-cap-on':
    case 'spout-cap-off':
      yard.spoutCap = act === 'spout-cap-on'
      return
    case 'water-on':
    case 'water-off':
      yard.water = act === 'water-on' ? tank : null
      return
  }
}

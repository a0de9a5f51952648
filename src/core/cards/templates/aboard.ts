import type { CardTemplate } from '../template'
import { houseRules } from './water'

/** Card 21: what everybody aboard is told, a guest most of all; hung in the bathroom. */
export const aboard: CardTemplate = {
  kind: 'aboard',
  about: 'rig',
  items: [
    { id: 'aboard.welcome', when: ['for-guests'] },
    { id: 'aboard.none', when: ['!toilet-here'] },
    { id: 'aboard.pedal', when: ['bowl', '!cassette-here'] },
    { id: 'aboard.cassette', when: ['cassette-here'] },
    { id: 'aboard.plenty', when: ['bowl', '!cassette-here', 'flush-plenty'] },
    { id: 'aboard.little', when: ['bowl', '!cassette-here', '!flush-plenty'] },
    { id: 'aboard.seal', when: ['bowl', '!cassette-here', 'bowl-water=some'] },
    { id: 'aboard.diverting', when: ['solids-here'] },
    ...houseRules,
    { id: 'aboard.never', when: ['toilet-here'] },
    { id: 'aboard.fan', when: ['bowl'] },
    { id: 'aboard.pump', when: ['has-fresh'] },
    { id: 'aboard.shower', when: ['showers-here'], shows: ['shower-litres'] },
    { id: 'aboard.habits', when: ['habits-on'] },
    { id: 'aboard.dishes', when: ['dishes-here'], shows: ['dishes-litres'] },
    { id: 'aboard.light' },
  ],
}

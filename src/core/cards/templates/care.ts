import type { CardTemplate } from '../template'

/** Card 16: chlorine meets nothing but fresh water. */
export const sanitize: CardTemplate = {
  kind: 'sanitize',
  about: 'rig',
  items: [
    { id: 'sanitize.waste', acts: ['waste-empty', 'flushed'], cautions: ['no-mix'] },
    { id: 'sanitize.filter' },
    { id: 'sanitize.heater', when: ['heater'], acts: ['heater-off'], cautions: ['label'] },
    { id: 'sanitize.half', acts: ['potable'], cautions: ['potable'] },
    { id: 'open.gloves', acts: ['gloves', 'eyes'] },
    {
      id: 'sanitize.dose',
      acts: ['chlorine'],
      shows: ['bleach', 'bleach-percent', 'system-litres'],
      cautions: ['no-mix', 'eyes', 'label'],
    },
    { id: 'sanitize.fill', shows: ['system-litres'], cautions: ['potable'] },
    { id: 'sanitize.taps', cautions: ['no-mix'] },
    { id: 'sanitize.hold', shows: ['bleach-hold'], timer: 'bleach-hold', cautions: ['label'] },
    {
      id: 'sanitize.room',
      shows: ['system-litres', 'gray-room', 'stages'],
      cautions: ['local-rule'],
      mishaps: ['overflows'],
    },
    { id: 'sanitize.flush', mishaps: ['smells'] },
    { id: 'sanitize.back' },
    { id: 'close.hands', acts: ['hands'] },
  ],
}

/** Card 17. */
export const layUp: CardTemplate = {
  kind: 'lay-up',
  about: 'rig',
  items: [
    { id: 'open.gloves', when: ['waste-here'], acts: ['gloves', 'eyes'] },
    { id: 'lay-up.dump', when: [['black-here', 'gray-here']] },
    { id: 'lay-up.dry', when: [['black-here', 'gray-here']], cautions: ['no-mix'] },
    { id: 'lay-up.cassette', when: ['cassette-here'] },
    { id: 'lay-up.solids', when: ['solids-here'], cautions: ['not-compost'] },
    { id: 'lay-up.fresh', when: ['has-fresh'], cautions: ['local-rule'] },
    { id: 'lay-up.heater', when: ['heater'], acts: ['heater-off'], cautions: ['label'] },
    { id: 'lay-up.seals', when: ['seals=lubricant'] },
    { id: 'lay-up.oil', when: ['seals=olive-oil'] },
    { id: 'lay-up.caps', acts: ['shut:all', 'cap-on'] },
    { id: 'close.hands', when: ['waste-here'], acts: ['hands'] },
  ],
}

/** Card 18. */
export const frost: CardTemplate = {
  kind: 'frost',
  about: 'rig',
  items: [
    { id: 'frost.night', when: ['freezing'] },
    { id: 'frost.drain', when: ['has-fresh'] },
    { id: 'frost.heat' },
    { id: 'frost.jug', when: ['flush-jug'], shows: ['flush-night'] },
    { id: 'frost.valve', cautions: ['no-flame'] },
    { id: 'frost.outlet', when: [['black-here', 'gray-here']], acts: ['shut:all'] },
    { id: 'frost.antifreeze', cautions: ['antifreeze'] },
  ],
}

/** Card 19. */
export const probes: CardTemplate = {
  kind: 'probes',
  about: 'waste',
  items: [
    { id: 'probes.when' },
    { id: 'probes.full', when: ['!probe-room'] },
    { id: 'open.gloves', when: ['probe-room'], acts: ['gloves', 'eyes'] },
    {
      id: 'probes.water',
      when: ['probe-room'],
      shows: ['probe-low', 'probe-high'],
      acts: ['attend'],
      cautions: ['stay'],
      mishaps: ['overflows'],
    },
    { id: 'probes.product', when: ['probe-room'], cautions: ['label', 'no-mix'] },
    { id: 'close.hands', when: ['probe-room'], acts: ['hands'] },
    { id: 'probes.drive' },
    { id: 'probes.dump' },
    { id: 'probes.read', acts: ['read-after'], mishaps: ['panel-lies'] },
  ],
}

/** Card 20. */
export const seals: CardTemplate = {
  kind: 'seals',
  about: 'rig',
  items: [
    { id: 'open.gloves', acts: ['gloves', 'eyes'] },
    { id: 'seals.empty' },
    { id: 'seals.clean', cautions: ['no-mix'] },
    { id: 'seals.lubricant', when: ['seals=lubricant'] },
    { id: 'seals.oil', when: ['seals=olive-oil'] },
    { id: 'seals.plate', when: ['cassette-here'] },
    { id: 'seals.look', mishaps: ['leaks'] },
    { id: 'seals.try' },
    { id: 'close.hands', acts: ['hands'] },
  ],
}

import type { CardTemplate } from '../template'
import { closing, freshFirst, opening, standJoined, whereTo } from './shared'

/** Card 7. */
export const cassette: CardTemplate = {
  kind: 'cassette',
  about: 'cassette',
  items: [
    whereTo,
    { id: 'cassette.when', shows: ['content', 'kg', 'lift-limit'], cautions: ['lift'], mishaps: ['heavy'] },
    { id: 'cassette.light', when: ['cassette-when=light'] },
    { id: 'cassette.spare', when: ['spare'] },
    { id: 'cassette.heavy', when: ['too-heavy'], shows: ['kg', 'lift-limit'], cautions: ['lift'] },
    {
      id: 'cassette.flush',
      when: ['flush-own', 'flush-room', ['cassette-flush=plain', 'flush-from-fresh']],
      acts: ['fresh-first', 'potable'],
      shows: ['flush-litres'],
      cautions: ['potable'],
    },
    {
      id: 'cassette.flush-product',
      when: ['flush-own', 'flush-room', 'cassette-flush=product', '!flush-from-fresh'],
      acts: ['fresh-first', 'potable'],
      shows: ['flush-litres'],
      cautions: ['potable', 'label'],
    },
    { id: 'cassette.flush-full', when: ['flush-own', '!flush-room'] },
    { when: ['!flush-own'], items: freshFirst },
    { id: 'open.toilet', acts: ['toilet-shut'], cautions: ['gas'] },
    { id: 'open.gloves', acts: ['gloves', 'eyes'] },
    {
      stage: true,
      items: [
        { id: 'cassette.bowl', acts: ['blade-shut'] },
        {
          id: 'cassette.out',
          acts: ['pull-out', 'lift'],
          shows: ['kg'],
          cautions: ['lift'],
          mishaps: ['stuck', 'heavy'],
        },
        { id: 'cassette.wheels', acts: ['spout-cap-on'], shows: ['kg'], cautions: ['lift'] },
        { id: 'cassette.board', when: ['place-named'], cautions: ['local-rule'] },
        { id: 'cassette.aside', acts: ['spout-round', 'spout-cap-off'] },
        { id: 'cassette.down', acts: ['spout-down'], cautions: ['button-last'] },
        {
          id: 'cassette.pour',
          acts: ['button', 'pour', 'move:empty', 'move:take', 'upright'],
          cautions: ['eyes', 'button-last'],
          mishaps: ['overflows'],
        },
      ],
    },
    {
      stage: true,
      items: [
        {
          when: ['water-here'],
          items: [
            {
              id: 'cassette.rinse-in',
              acts: ['rinse-in', 'blade-shut', 'spout-cap-on'],
              shows: ['cassette-rinse', 'cassette-rinse-kg'],
              cautions: ['lift', 'two-hoses'],
            },
            {
              id: 'cassette.soak',
              when: ['cassette-rinse=soaked'],
              shows: ['soak'],
              timer: 'soak',
            },
            { id: 'cassette.tilt', acts: ['tilt'] },
            {
              id: 'cassette.rinse-out',
              acts: ['spout-cap-off', 'spout-down', 'button', 'pour', 'upright'],
              shows: ['cassette-rounds'],
              tally: 'cassette-rounds',
              cautions: ['eyes', 'button-last'],
              mishaps: ['never-clear'],
            },
          ],
        },
        { id: 'cassette.no-water', when: ['!water-here'] },
        { id: 'cassette.seat', acts: ['spout-cap-on', 'spout-in'] },
        { id: 'close.point', acts: ['point-clean'] },
        { id: 'cassette.hands', when: ['!treatment=none'], acts: ['hands', 'gloves'] },
      ],
    },
    {
      stage: true,
      items: [
        { id: 'charge.septic', when: ['septic', '!treatment=none'], cautions: ['septic'] },
        {
          each: 'product',
          when: ['!treatment=none'],
          items: [
            {
              id: 'cassette.dose',
              when: ['!sachet'],
              acts: ['dose', 'move:charge'],
              shows: ['dose', 'dose-water'],
              cautions: ['eyes', 'no-mix', 'label'],
            },
            {
              id: 'cassette.sachet',
              when: ['sachet'],
              acts: ['dose', 'move:charge'],
              shows: ['dose', 'dose-water'],
              cautions: ['no-mix', 'label'],
            },
          ],
        },
        {
          id: 'cassette.label',
          when: ['!own-product', '!treatment=none', '!treatment=household', 'cassette-dose=liquid'],
          acts: ['dose', 'move:charge'],
          shows: ['capacity', 'dose-water'],
          cautions: ['eyes', 'no-mix', 'label'],
        },
        {
          id: 'cassette.label-sachet',
          when: ['!own-product', '!treatment=none', '!treatment=household', 'cassette-dose=sachet'],
          acts: ['dose', 'move:charge'],
          shows: ['dose-water'],
          cautions: ['no-mix', 'label'],
        },
        {
          id: 'cassette.household',
          when: ['treatment=household', '!own-product'],
          acts: ['dose', 'move:charge'],
          shows: ['dose-water'],
          cautions: ['eyes', 'no-mix', 'no-bleach'],
        },
        { id: 'cassette.in', acts: ['push-in'], mishaps: ['stuck'] },
        { id: 'cassette.home', when: ['going-home'] },
        { id: 'close.hands', acts: ['hands'] },
      ],
    },
  ],
}

/** Card 8. */
export const urine: CardTemplate = {
  kind: 'urine',
  about: 'urine',
  items: [
    { id: 'urine.when', shows: ['content', 'limit'], mishaps: ['late-jug'] },
    { id: 'urine.rhythm', when: ['urine-flows'], shows: ['urine-days'] },
    { id: 'open.gloves', acts: ['gloves', 'eyes'] },
    { id: 'urine.lid', acts: ['lift'], shows: ['kg'], cautions: ['lift'] },
    { id: 'urine.pour', acts: ['pour', 'move:empty'], cautions: ['eyes', 'local-rule'] },
    { id: 'urine.rinse', when: ['water-here'], cautions: ['no-bleach'] },
    { id: 'urine.seat', mishaps: ['late-jug'] },
    { id: 'close.point', acts: ['point-clean'] },
    { id: 'close.hands', acts: ['hands'] },
  ],
}

/** Card 9. */
export const solids: CardTemplate = {
  kind: 'solids',
  about: 'solids',
  items: [
    { id: 'solids.when', shows: ['uses', 'limit'], mishaps: ['too-wet', 'smells'] },
    { id: 'solids.other', when: ['other-toilet'] },
    { id: 'solids.soak', when: ['!sawdust'], shows: ['bricks', 'medium-litres'] },
    { id: 'open.gloves', acts: ['gloves', 'eyes'] },
    { id: 'solids.jug', when: ['urine-here'] },
    { id: 'solids.out', acts: ['lift'], shows: ['kg'], cautions: ['lift'] },
    { id: 'solids.bag', acts: ['pour', 'bag', 'move:empty'], cautions: ['eyes', 'not-compost'] },
    { id: 'solids.bin', cautions: ['local-rule', 'not-compost'] },
    { id: 'solids.fill', when: ['!sawdust'], mishaps: ['too-wet'] },
    { id: 'solids.sawdust', when: ['sawdust'], mishaps: ['too-wet'] },
    { id: 'solids.wet', when: ['wet'], cautions: ['vent-room'] },
    { id: 'solids.seat' },
    { id: 'close.hands', acts: ['hands'] },
  ],
}

/** Card 11: load by load, so that nothing is poured onto a full tote; in a vehicle, or beyond a hose, it is pumped into. */
export const tote: CardTemplate = {
  kind: 'tote',
  about: 'tote',
  items: [
    whereTo,
    { id: 'tote.see', shows: ['tote-loads', 'tote-litres', 'tote-kg'], cautions: ['lift'] },
    { id: 'dump.read', when: ['panel'], acts: ['read-before'] },
    opening,
    {
      each: 'loaded',
      items: [
        {
          each: 'load',
          stage: true,
          items: [
            { id: 'dump.all-home', acts: ['shut:all'], cautions: ['valves'] },
            {
              id: 'dump.cap',
              acts: ['cap-off'],
              shows: ['pipe'],
              cautions: ['eyes', 'open-slowly'],
              mishaps: ['too-much-in-pipe'],
            },
            { id: 'tote.vent', acts: ['vent-open'] },
            {
              id: 'tote.hose',
              when: ['!pumped'],
              acts: ['hose-on', 'tote-on'],
              shows: ['hose-weight'],
              mishaps: ['tote-leaks', 'tote-jumps'],
            },
            {
              id: 'tote.pump-hose',
              when: ['pumped'],
              acts: ['hose-on', 'tote-on', 'hose-fixed'],
              mishaps: ['pump-leaks'],
            },
            {
              id: 'dump.end-open',
              when: ['end-valve'],
              acts: ['open:end'],
              cautions: ['valves'],
              mishaps: ['tote-leaks'],
            },
            {
              id: 'tote.fill',
              when: ['!pumped'],
              acts: ['open:tank', 'attend', 'move:loads', 'shut:tank'],
              shows: ['load-litres'],
              cautions: ['stay'],
              mishaps: ['tote-overflows', 'no-flow', 'tote-leaks'],
            },
            {
              id: 'tote.pump',
              when: ['pumped'],
              acts: ['open:tank', 'pump-on', 'attend', 'move:loads', 'pump-off', 'shut:tank'],
              shows: ['load-litres'],
              cautions: ['stay'],
              mishaps: ['tote-overflows', 'races', 'pump-leaks'],
            },
            { id: 'dump.end-shut', when: ['end-valve'], acts: ['shut:end'] },
            {
              id: 'tote.off',
              acts: ['hose-off', 'tote-off', 'cap-on', 'vent-shut'],
              mishaps: ['tote-leaks'],
            },
            { id: 'tote.tow', when: ['!in-vehicle'], acts: ['tow'], cautions: ['walking-pace'] },
            {
              id: 'tote.load',
              when: ['in-vehicle'],
              acts: ['tow'],
              shows: ['load-kg'],
              cautions: ['open-bed', 'lift'],
            },
            {
              id: 'tote.pour',
              acts: ['vent-open', 'pour', 'vent-shut'],
              cautions: ['eyes'],
              mishaps: ['tote-jumps', 'tote-leaks'],
            },
            { id: 'tote.rinse', when: ['water-here', 'last-load'] },
          ],
        },
      ],
    },
    { stage: true, items: [{ ...standJoined }, closing] },
  ],
}

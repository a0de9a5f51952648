import type { LogEntry } from '@/core/log'
import { lit, logOf, use } from './logOf'

/**
 * Four days on Harrow Ridge: showers and dishes counted, the panel read at night. Black's panel lies on the second
 * evening, the windows were left one day, dishes were done a third time, and one shower was logged the morning after.
 */
export function trailerLog(): LogEntry[] {
  return logOf('trailer', 'harrow-ridge', [
    { kind: 'start', at: '2027-09-11T16:00', valvesShut: true },
    use('2027-09-11T19:40', 'dishes'),
    lit('2027-09-11T21:30', 'fresh', 2),
    lit('2027-09-11T21:30', 'gray', 0),
    lit('2027-09-11T21:30', 'black', 0),
    use('2027-09-12T08:20', 'dishes'),
    use('2027-09-12T17:50', 'shower', 1, 'maren'),
    use('2027-09-12T20:05', 'dishes'),
    lit('2027-09-12T21:45', 'fresh', 2),
    lit('2027-09-12T21:45', 'gray', 0),
    { ...lit('2027-09-12T21:45', 'black', 2), note: 'After the bumpy lane; can that be?' },
    use('2027-09-13T08:15', 'dishes'),
    { ...use('2027-09-13T12:00', 'cleaning', 0), note: 'Nobody wiped anything today.' },
    use('2027-09-13T13:10', 'dishes'),
    use('2027-09-13T18:10', 'shower', 1, 'tobin'),
    { ...use('2027-09-13T19:00', 'shower', 1, 'wren'), note: 'Forgotten, put in the morning after.' },
    use('2027-09-13T20:00', 'dishes'),
    lit('2027-09-13T22:00', 'fresh', 2),
    lit('2027-09-13T22:00', 'gray', 1),
    lit('2027-09-13T22:00', 'black', 0),
    use('2027-09-14T08:10', 'dishes'),
    { kind: 'treatment', at: '2027-09-14T08:30', container: 'black', note: 'Half a dose.' },
    use('2027-09-14T13:05', 'shower', 1, 'maren'),
  ])
}

import type { LogEntry } from '@/core/log'
import { logOf, use } from './logOf'

/** Four nights at Low Meadow that are over: everything counted, one shower metered, the cassette emptied once, weighed at the end. */
export function vanLog(): LogEntry[] {
  const day = (date: string, liquids: number) => [
    use(`${date}T08:00`, 'liquid-use', Math.ceil(liquids / 2)),
    use(`${date}T08:30`, 'solid-use', 2),
    use(`${date}T09:00`, 'dishes'),
    use(`${date}T20:00`, 'dishes'),
    use(`${date}T22:00`, 'liquid-use', Math.floor(liquids / 2)),
  ]
  return logOf('van', 'low-meadow', [
    { kind: 'start', at: '2027-09-04T15:00', valvesShut: true },
    use('2027-09-04T20:00', 'dishes'),
    use('2027-09-04T22:00', 'liquid-use', 4),
    ...day('2027-09-05', 11),
    { ...use('2027-09-05T18:00', 'shower', 1, 'ilse'), litres: 9.4 },
    ...day('2027-09-06', 10),
    { ...use('2027-09-06T18:20', 'shower', 1, 'bram'), minutes: 2 },
    {
      kind: 'reading',
      at: '2027-09-06T19:00',
      container: 'van-gray',
      isOffLevel: false,
      saw: { as: 'amount', amount: 52, deviation: 3 },
    },
    {
      kind: 'run',
      at: '2027-09-07T10:00',
      place: null,
      did: [
        { container: 'van-cassette', what: 'emptied', litres: null },
        { container: 'van-flush', what: 'filled', litres: null },
      ],
    },
    ...day('2027-09-07', 12),
    use('2027-09-08T08:00', 'liquid-use', 3),
    use('2027-09-08T09:00', 'dishes'),
    {
      kind: 'reading',
      at: '2027-09-08T10:30',
      container: 'van-gray',
      isOffLevel: false,
      saw: { as: 'amount', amount: 78, deviation: 3 },
    },
    { kind: 'end', at: '2027-09-08T10:45' },
  ])
}

import type { Chore, ChoreEvery, ChoreKind, Container, Answers } from '@/core/domain'
import { fromSource } from '@/core/quantities'

type Rhythm = [by: ChoreEvery, n: number]

/** Starting points, assumed or rules of thumb until the owner says: how often each kind wants to be done. */
const RHYTHMS: Record<Exclude<ChoreKind, 'own'>, Rhythm[]> = {
  sanitize: [
    ['days', 180],
    ['idle', 60],
  ],
  seals: [
    ['days', 180],
    ['emptyings', 20],
  ],
  probes: [['emptyings', 10]],
  'wash-cassette': [['days-of-use', 30]],
  'change-medium': [['days-of-use', 30]],
  treat: [['days-of-use', 7]],
  'lay-up': [['trips', 1]],
}

/** What a rig of these containers wants done; weekly treatment only where the crew treats by the week. */
export function usualChores(
  containers: readonly Container[],
  sides: Pick<Answers, 'treatment-rhythm'>,
): Chore[] {
  const chore = (kind: Exclude<ChoreKind, 'own'>, container: Container | null, also = ''): Chore => ({
    id: `chore-${kind}${also}`,
    kind,
    name: null,
    container: container?.id ?? null,
    every: RHYTHMS[kind].map(([by, n]) => ({ by, n: fromSource(n, 'assumed') })),
    done: null,
    snoozed: null,
  })
  const first = (kind: Container['kind']) => containers.find((one) => one.kind === kind) ?? null
  const each = (kind: Container['kind'], does: Exclude<ChoreKind, 'own'>) =>
    containers
      .filter((one) => one.kind === kind)
      .map((one, i) => chore(does, one, i === 0 ? '' : `-${i + 1}`))
  const tank = first('black') ?? first('gray')
  const weekly = sides['treatment-rhythm'] === 'weekly' ? (first('black') ?? first('cassette')) : null
  return [
    ...(first('fresh') ? [chore('sanitize', first('fresh'))] : []),
    ...(tank ? [chore('seals', tank)] : []),
    ...(tank && 'panel' in tank && tank.panel ? [chore('probes', tank)] : []),
    ...each('cassette', 'wash-cassette'),
    ...each('solids', 'change-medium'),
    ...(weekly ? [chore('treat', weekly)] : []),
    chore('lay-up', null),
  ]
}

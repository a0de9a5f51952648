import { produce } from 'immer'
import type { Document } from '@/core/domain'
import { checked, checkedEdit } from '@/document'
import { setLevel } from '@/document/edits'
import { trailerDemo } from '../scripts/demo/trailer'
import { median, sample } from './timing'

const STAY = 'harrow-ridge'

/** The demo with many more stays, rigs and crews beside it. */
function crowded(): Document {
  const document = trailerDemo()
  const copies = <T extends { id: string }>(entity: T, count: number) =>
    Array.from({ length: count }, (_, n) => ({ ...structuredClone(entity), id: `${entity.id}-${n}` }))
  document.rigs.push(...copies(document.rigs[0]!, 49))
  document.crews.push(...copies(document.crews[0]!, 19))
  document.stays.push(
    ...copies(document.stays[0]!, 199).map((stay, n) => ({
      ...stay,
      rig: `trailer-${n % 49}`,
      crew: `crew-${n % 19}`,
    })),
  )
  return document
}

/** A level dragged: the draft, the edit and its check, in the demo and beside 199 other stays, 49 rigs and 19 crews. */
export function benchEdit(): void {
  const times = [trailerDemo(), crowded()].map((document) => {
    if (!checked(document).ok) throw new Error('the document of the benchmark is not valid')
    let litres = 0
    const all = sample(
      300,
      50,
      () => document,
      (base) => {
        const next = produce(base, (draft: Document) =>
          setLevel(draft, STAY, 'gray', (litres = (litres + 1) % 100)),
        )
        return checkedEdit(base, next).ok ? 1 : 0
      },
    )
    return median(all)
  }) as [number, number]
  console.log(
    `edit: a level set and checked in the demo ${times[0].toFixed(3)} ms median, among 200 stays and 50 rigs ` +
      `${times[1].toFixed(3)} ms (limit: twice as long, ${(times[1] / times[0]).toFixed(2)} times)`,
  )
}

import type { WallTime } from '../calendar'
import { caseOf, type Document, type Id, type Stay, type StayCase } from '../domain'
import { passedOn } from './passedOn'

/** The stays before one, the first of its chain first, itself last. Stays that are not there end it. */
export function chainTo(stays: readonly Stay[], stayId: Id): Stay[] {
  const chain: Stay[] = []
  for (let id: Id | null = stayId; id !== null;) {
    const stay = stays.find((one) => one.id === id)
    if (!stay || chain.includes(stay)) break
    chain.unshift(stay)
    id = stay.follows
  }
  return chain
}

/** The whole chain a stay is part of: those before it, and after it always the one that begins first. */
export function chainOf(stays: readonly Stay[], stayId: Id): Stay[] {
  const chain = chainTo(stays, stayId)
  for (;;) {
    const last = chain.at(-1)
    const next = stays
      .filter(({ follows, id }) => follows === last?.id && !chain.some((one) => one.id === id))
      .sort((a, b) => (a.start < b.start ? -1 : 1))[0]
    if (!next) return chain
    chain.push(next)
  }
}

/** What is known of a stay by now: its case from now on, or from its end; the same case where it is only planned. */
export type KnownBy = (stayCase: StayCase) => StayCase

export interface ChainOptions {
  known?: KnownBy
  /** Whether a stay stands on its own levels although it follows another: it was begun, and they were read. */
  standsAlone?: (stayId: Id) => boolean
}

/**
 * Cases of stays with what their chains pass on, kept from one call to the next: an edit of the last stay of a season counts
 * none of the others again. The one way a stay begins: planned, under way, and in what is learned of it.
 */
export function keptChain({ known = (one) => one, standsAlone = () => false }: ChainOptions = {}): (
  document: Document,
  stayId: Id,
) => StayCase {
  const kept = new Map<Id, { parts: readonly unknown[]; stayCase: StayCase }>()
  const knownNow = new WeakMap<StayCase, StayCase>()
  const by = (stayCase: StayCase): StayCase => {
    const now = knownNow.get(stayCase) ?? known(stayCase)
    knownNow.set(stayCase, now)
    return now
  }
  const caseIn = (document: Document, stayId: Id): StayCase => {
    const own = caseOf(document, stayId)
    const { stay, rig, crew, habits } = own
    const isChained = stay.follows !== null && !standsAlone(stayId)
    const before = isChained ? by(caseIn(document, stay.follows!)) : null
    const parts = [stay, rig, crew, habits, before]
    const last = kept.get(stayId)
    if (last && parts.every((part, i) => part === last.parts[i])) return last.stayCase
    const stayCase = before ? following(own, before, stay.start) : own
    kept.set(stayId, { parts, stayCase })
    return stayCase
  }
  return caseIn
}

/** A stay that goes on with what another leaves. */
export function following(stayCase: StayCase, before: StayCase, start: WallTime): StayCase {
  return { ...stayCase, passed: passedOn(before, start) }
}

/** A stay with what its chain passes on: for one question, nothing is kept. */
export function chainedCase(document: Document, stayId: Id, options: ChainOptions = {}): StayCase {
  return keptChain(options)(document, stayId)
}

import { report } from '@/data/report'
import { computed, shallowRef, watch } from 'vue'
import { followStay, hookupBetween, setEndsAt, setFollows, showStay } from '@/actions/stay'
import { addRuns } from '@/actions/runs'
import { addWallDays, dayZero, slotNumber, slotOfTime, wallDaysBetween, type Slot } from '@/core/calendar'
import { chainOf, keptChain, seasonOf, type SeasonStay } from '@/core/chain'
import type { Id, Run, StayCase } from '@/core/domain'
import { fromSource } from '@/core/quantities'
import { runOf, usualRuns, type UsualRun } from '@/core/errands'
import { useForecastStore } from '@/data/forecastStore'
import { newId } from '@/data/newId'
import { useUnderWayStore } from '@/data/underWayStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import * as t from '@/texts/t'
import { inSlices } from '@/workers/inSlices'

/** Hours between leaving one site and arriving at the next, until the owner says. */
const ROAD_H = 4
const NEXT_NIGHTS = 3
/** What a night at a hookup costs until the owner says, in their money. */
const HOOKUP_FEE = 30

/** The chain the stay is part of, stay by stay, and what can be put on the road between. */
export function useSeason() {
  const workspace = useWorkspaceStore()
  const forecast = useForecastStore()
  const underWay = useUnderWayStore()
  const season = shallowRef<SeasonStay[]>([])
  /** The stay on the screen leaves what is known of it by now; the others what their logs say, or their plan. */
  const cases = computed(() => {
    const { standsAlone, known } = underWay.chainOptions
    const shown = forecast.stayCase
    return keptChain({
      standsAlone,
      known: (one) => (shown?.now && one.stay.id === shown.stay.id ? shown : known(one)),
    })
  })
  let asked = 0

  const chain = computed(() => {
    const id = forecast.stay?.id
    return id === undefined ? [] : chainOf(workspace.document.stays, id)
  })
  /** The one on the screen counts from what is known of it by now. */
  const caseOfStay = (id: Id): StayCase =>
    id === forecast.stayCase?.stay.id && forecast.stayCase.now
      ? forecast.stayCase
      : cases.value(workspace.document, id)
  watch(
    [() => workspace.document, () => forecast.stayCase],
    async () => {
      const own = (asked += 1)
      let all: StayCase[]
      try {
        all = chain.value.map(({ id }) => caseOfStay(id))
      } catch (error) {
        report('the season', error)
        return
      }
      const done = await inSlices(seasonOf(all), () => own === asked)
      if (done && own === asked) season.value = done.value
    },
    { immediate: true },
  )

  const stay = computed(() => forecast.stay)
  const before = computed(() => workspace.document.stays.find(({ id }) => id === stay.value?.follows) ?? null)
  /** Stays that begin earlier, the latest first: what it may follow. */
  const candidates = computed(() =>
    workspace.document.stays
      .filter((one) => stay.value && one.id !== stay.value.id && one.start < stay.value.start)
      .sort((a, b) => (a.start > b.start ? -1 : 1)),
  )

  function usual(stayCase: StayCase, which: UsualRun, slot: Slot): Run | null {
    const found = usualRuns(stayCase).find((one) => one.usual === which)
    return found ? { ...runOf(stayCase, found, newId('run'), slot), name: t.runs.usual[which] } : null
  }

  return {
    season,
    chain,
    stay,
    before,
    candidates,
    setFollows: (follows: Id | null) => {
      const { id } = stay.value!
      return workspace.act(setFollows(id, follows))
    },
    setEndsAt: (share: number | null) => {
      const { id } = stay.value!
      const quantity = share === null ? null : { value: share, by: 'owner' as const }
      return workspace.act(setEndsAt(id, quantity))
    },
    show: (id: Id) => workspace.act(showStay(id)),
    /** A stay from the evening of the day on which this one is left. */
    planNext: () => {
      const { id, name, leaveAt } = stay.value!
      const start = addWallDays(leaveAt, ROAD_H / 24)
      const next = { id: newId('stay'), name: t.season.nextName(name), start, nights: NEXT_NIGHTS }
      return { result: workspace.act(followStay(id, next)), name: next.name }
    },
    /** A usual errand on the road: of the stay before when it is left, or of this one on arrival. */
    addOnRoad: (which: 'last-dump' | 'arrive-empty' | 'go-home') => {
      const of = which === 'arrive-empty' ? stay.value! : before.value!
      const stayCase = caseOfStay(of.id)
      const slot = slotOfTime(of.start, which === 'arrive-empty' ? of.start : of.leaveAt)
      const run = usual(stayCase, which, slot)
      if (!run) return null
      return workspace.act(addRuns(of.id, [run]))
    },
    addHookup: () => {
      const { id, name } = stay.value!
      const stayCase = caseOfStay(id)
      const site = { ...stayCase.stay.site, water: 'tap' as const, sewer: 'all' as const }
      const atHookup = { ...stayCase, stay: { ...stayCase.stay, site } }
      const run = usual(atHookup, 'restock', { day: 0, part: 'midday' })
      if (!run) return null
      const made = { id: newId('stay'), name: t.season.hookupName(name).slice(0, 80), fee: HOOKUP_FEE }
      return workspace.act(
        hookupBetween(id, { ...made, run: { ...run, place: null, minutes: fromSource(30, 'assumed') } }),
      )
    },
    /** Runs on the road between the stay before and this one. */
    between: computed((): { run: Run; of: Id }[] => {
      const [own, first] = [stay.value, before.value]
      if (!own || !first) return []
      const leaves = slotOfTime(first.start, first.leaveAt)
      const arrives = slotOfTime(own.start, own.start)
      const isAt = (run: Run, slot: typeof leaves) => run.day === slot.day && run.part === slot.part
      // What is done on the road may come later than the part in which it is left.
      const isOfRoad = (run: Run) => isAt(run, leaves) || slotNumber(run) > slotNumber(leaves)
      return [
        ...first.runs.filter(isOfRoad).map((run) => ({ run, of: first.id })),
        ...own.runs
          .filter((run) => isAt(run, arrives) && run.kind === 'on-the-road')
          .map((run) => ({ run, of: own.id })),
      ]
    }),
    /** Days between the two, below 0 where they overlap. */
    gap: computed(() =>
      stay.value && before.value ? wallDaysBetween(before.value.leaveAt, stay.value.start) : null,
    ),
    /** The whole season in days from the morning it begins on. */
    span: computed(() => {
      const [first] = chain.value
      if (!first) return null
      const from = dayZero(first.start)
      const until = chain.value.reduce(
        (last, { leaveAt }) => (leaveAt > last ? leaveAt : last),
        first.leaveAt,
      )
      return { from, days: Math.ceil(wallDaysBetween(from, until)) }
    }),
  }
}

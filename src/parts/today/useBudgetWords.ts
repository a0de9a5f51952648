import { computed } from 'vue'
import { addWallDays, dayZero, wallDaysBetween } from '@/core/calendar'
import { lastNight, type Budget, type BudgetLine } from '@/core/budget'
import type { Crew, Id, Stay } from '@/core/domain'
import { useForecastStore } from '@/data/forecastStore'
import { useTodayStore } from '@/data/todayStore'
import { chanceWords } from '@/parts/risk/chanceWords'
import { whenOf } from '@/parts/runs/useRuns'
import { formatDate, formatNumber, listed } from '@/texts'
import * as t from '@/texts/t'

/** One activity of a budget as it is shown. */
export interface BudgetRow {
  id: Id
  name: string
  /** Strokes: whole uses left today. */
  n: number
  /** In a few words what stands behind them. */
  side: string
}

/** The budget of the stay in words; it follows every entry and edit. */
export function useBudgetWords() {
  const forecast = useForecastStore()
  const today = useTodayStore()
  today.follow()
  const goal = computed(() => (today.budget ? formatDate(today.budget.until) : ''))
  const isUnderWay = computed(() => forecast.stayCase?.now !== undefined)
  const tank = (id: Id | null) => forecast.rig?.containers.find((one) => one.id === id)?.name ?? ''
  const rows = computed((): BudgetRow[] => {
    const { budget } = today
    const { stay, crew } = forecast
    if (!budget || !stay || !crew || budget.state === 'past' || budget.state === 'short') return []
    return budget.lines
      .filter(({ left, later, spent }) => left + later + spent > LEAST)
      .map((line) =>
        rowOf(line, budget, { stay, crew, today: forecast.today, isUnderWay: isUnderWay.value }, goal.value),
      )
  })
  const headline = computed(() => {
    const { budget } = today
    if (!budget) return today.hasFailed ? t.budget.failed : t.budget.working
    return isUnderWay.value ? t.budget.left(goal.value) : t.budget.planned(goal.value)
  })
  /** What there is to say instead of uses; null: the rows say it. */
  const instead = computed((): string | null => {
    const { budget } = today
    if (!budget) return null
    if (budget.state === 'past') return t.budget.past
    if (budget.state === 'nothing') return t.budget.nothing
    if (budget.state === 'short') return t.budget.short(tank(budget.binds), goal.value)
    return budget.isFree ? t.budget.free(goal.value) : null
  })
  /** The night that saving alone does reach, to be taken with one tap. */
  const reachable = computed(() => {
    const { budget } = today
    const { stay } = forecast
    if (!budget || !stay || budget.state !== 'short' || budget.reaches === null) return null
    return { night: budget.reaches, words: nightOf(stay, budget.reaches) }
  })
  /** How often a usual day, and usual days up to the goal, hold: beside what is left at the chosen sureness. */
  const usual = computed((): string | null => {
    const { budget } = today
    if (!budget || budget.trials === 0 || budget.state === 'past' || budget.isFree) return null
    return t.budget.usualDays(chanceWords(budget.asUsual), goal.value)
  })
  /** What one run would change. */
  const withRun = computed((): string | null => {
    const step = today.next?.find(({ change }) => change.kind === 'run')
    if (!step || step.change.kind !== 'run' || !forecast.stay || step.chance < RARE) return null
    const when = whenOf(forecast.stay, step.change.run, true)
    return t.budget.oneRun(t.runs.usual[step.change.usual], when, chanceWords(step.chance))
  })
  /** A goal that was moved nearer before runs were set: with them it may be the last night again. */
  const movable = computed(() => {
    const { stay } = forecast
    const night = stay?.budget.night ?? null
    if (!stay || night === null || !forecast.hasRuns || night >= lastNight(stay)) return null
    return nightOf(stay, lastNight(stay))
  })
  /** All of it in one line, for where there is no room. */
  const oneLine = computed((): string => {
    if (today.budget === null) return headline.value
    if (instead.value !== null) return instead.value
    const some = rows.value.filter(({ n }) => n > 0).map(({ name, n }) => t.budget.each(name, n))
    const none = rows.value.filter(({ n }) => n === 0).map(({ name }) => name)
    const left = some.length === 0 ? '' : `${listed(some)}.`
    return [left, none.length === 0 ? '' : t.budget.noMore(listed(none))]
      .filter((one) => one !== '')
      .join(' ')
  })
  return {
    oneLine,
    usual,
    withRun,
    movable,
    budget: computed(() => today.budget),
    rows,
    headline,
    instead,
    reachable,
    tank,
    isUnderWay,
  }
}

/** A chance that is not worth a word. */
const RARE = 0.01
/** Less of something than this, all in all, is none. */
const LEAST = 0.05

/** The morning up to which a budget for a night holds, in words. */
export function nightOf({ start }: Pick<Stay, 'start'>, night: number): string {
  return formatDate(addWallDays(dayZero(start), night))
}

function rowOf(
  line: BudgetLine,
  budget: Budget,
  { stay, crew, today, isUnderWay }: { stay: Stay; crew: Crew; today: number; isUnderWay: boolean },
  goal: string,
): BudgetRow {
  const name = crew.activities.find(({ id }) => id === line.activity)?.name ?? line.activity
  const row = { id: line.activity, name, n: line.today }
  if (!isUnderWay) {
    const all = line.left + line.later
    const days = Math.max(1, wallDaysBetween(stay.start, budget.until))
    return { ...row, n: 0, side: `${t.budget.aDay(shown(all / days))}, ${t.budget.inAll(shown(all))}` }
  }
  if (line.today === 0) {
    return { ...row, side: whenNext(line, stay, today, goal) }
  }
  const names = line.persons.flatMap(({ person, n }) =>
    n > 0 ? [t.budget.each(crew.persons.find(({ id }) => id === person)?.name ?? person, n)] : [],
  )
  const used = line.spent >= 0.5 ? usedOf(line, budget) : t.budget.notYet
  return {
    ...row,
    side: names.length > 1 || (names.length === 1 && crew.persons.length > 1) ? names.join(', ') : used,
  }
}

/** Of what is granted where something is to be saved; else beside what is usual: nobody means to use eight times that. */
function usedOf({ spent, allowed }: BudgetLine, { factor }: Budget): string {
  return factor >= 1
    ? t.budget.ofUsual(shown(spent), shown(allowed / factor))
    : t.budget.of(shown(spent), shown(allowed))
}

function whenNext({ left, next, later }: BudgetLine, stay: Stay, today: number, goal: string): string {
  if (next === null || later < LEAST) return t.budget.noneBefore(goal)
  if (left >= LEAST && next === today + 1) return t.budget.partLeft(shown(left))
  const day = formatDate(addWallDays(dayZero(stay.start), next))
  return next === today + 1 ? `${t.budget.none}, ${t.budget.nextTomorrow}` : t.budget.notBefore(day)
}

/** Uses as they are known: whole from ten on, else a tenth. */
export function shown(uses: number): string {
  return formatNumber(uses, uses >= 9.95 ? 0 : 1)
}

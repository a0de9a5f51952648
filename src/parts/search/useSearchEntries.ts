import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { toldUse } from '@/core/log'
import { setNights } from '@/actions/stay'
import { nightsBetween } from '@/core/calendar'
import { volumePerUse } from '@/core/domain'
import { useBoughtStore } from '@/data/boughtStore'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import { useRiskStore } from '@/data/riskStore'
import { useSettingsStore } from '@/data/settingsStore'
import { useUnderWayStore } from '@/data/underWayStore'
import { useSearchStore } from '@/data/searchStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { useAskCount } from '@/parts/count/useAskCount'
import { useLogging } from '@/parts/log/useLogging'
import { guideEntries } from '@/parts/guide/guideEntries'
import { useOpenPlace } from '@/parts/places/openPlace'
import { useAmounts } from '@/parts/useAmounts'
import { formatDays } from '@/texts'
import * as t from '@/texts/t'

export type EntryKind = keyof typeof t.search.kinds

/** Something that can be found: where it leads, or what it does. */
export interface SearchEntry {
  id: string
  kind: EntryKind
  title: string
  detail: string
  /** What people type for it that it does not say itself. */
  asked?: string
  go: () => unknown
}

const GUIDE_KINDS = new Set(['term', 'card', 'wrong', 'school'])
/** What people type for a screen, by its address. */
const askedOf = new Map<string, string>(
  Object.entries(t.guideScreens).map(([id, { to, text }]) => [
    to,
    `${t.asked[`screen-${id}`] ?? ''} ${text}`,
  ]),
)
const LOOKS = ['light', 'dark', 'sun'] as const

/** Everything that can be found by its name, while somebody looks: screens, tanks, people, habits, numbers, things to do. */
export function useSearchEntries(isLooking: () => boolean) {
  const router = useRouter()
  const openPlace = useOpenPlace()
  const forecast = useForecastStore()
  const bought = useBoughtStore()
  bought.follow(isLooking)
  const underWay = useUnderWayStore()
  const workspace = useWorkspaceStore()
  const settings = useSettingsStore()
  const risk = useRiskStore()
  const search = useSearchStore()
  const log = useLogStore()
  const askCount = useAskCount()
  const { keys } = useLogging()
  const { gauge, volume, level } = useAmounts()
  const to = (path: string) => () => router.push(path)

  const screens = (): SearchEntry[] =>
    (
      [
        ['/', t.app.nav.camp, ''],
        ['/stay', t.app.nav.stay, ''],
        ['/runs', t.app.nav.runs, ''],
        ['/places', t.places.title, t.places.lead],
        ['/season', t.season.title, t.season.lead],
        ['/log', t.app.nav.log, ''],
        ['/budget', t.budget.title, t.budget.lead],
        ['/shower', t.showerTimer.title, t.showerTimer.lead],
        ['/chores', t.chores.title, t.chores.lead],
        ['/review', t.review.title, t.review.lead],
        ['/habits', t.app.nav.habits, ''],
        ['/rig', t.app.nav.rig, forecast.rig?.name ?? ''],
        ['/rig/gray-to-black', t.transfer.title, ''],
        ['/cards', t.cards.title, t.cards.lead],
        ['/guide', t.guide.title, t.guide.lead],
        ['/guide/questions', t.questions.title, ''],
        ['/settings', t.app.nav.settings, ''],
        ['/start', t.app.nav.start, ''],
      ] as const
    ).map(([path, title, detail]) => ({
      id: `screen ${path}`,
      kind: 'screen',
      title,
      detail,
      asked: askedOf.get(path) ?? '',
      go: to(path),
    }))

  /** What the Guide explains; screens and habits are there already. */
  const guide = guideEntries()
    .filter(({ kind }) => GUIDE_KINDS.has(kind))
    .map(({ id, title, text, asked, link, kind }): SearchEntry => ({
      ...{ id: `guide ${id}`, kind: 'guide', title, detail: '', asked: `${asked} ${text}` },
      go: to(kind === 'card' && link ? link : `/guide?q=${encodeURIComponent(title)}`),
    }))
  const tanks = (): SearchEntry[] =>
    (forecast.model?.containers ?? []).map(({ id, name, start, unit }, c) => {
      const days = forecast.result?.containers[c] ?? null
      const words =
        days === null ? gauge(start, unit) : t.search.now(gauge(start, unit), t.gauge.days(formatDays(days)))
      return { id: `tank ${id}`, kind: 'tank', title: name, detail: words, go: to(`/rig?show=tank-${id}`) }
    })
  const people = (): SearchEntry[] =>
    (forecast.crew?.persons ?? []).map(({ id, name }) => ({
      id: `person ${id}`,
      kind: 'person',
      title: name,
      detail: forecast.crew!.name,
      go: to('/stay?show=who'),
    }))
  const places = (): SearchEntry[] =>
    (forecast.stay?.places ?? []).map(({ id, name }) => ({
      id: `place ${id}`,
      kind: 'place',
      title: name,
      detail: t.places.title,
      go: () => router.push('/places').then(() => openPlace.open(id)),
    }))
  const habits = (): SearchEntry[] => {
    const on = new Set(forecast.habitsOn.map(({ habit }) => habit))
    const days = new Map(bought.rows.map((row) => [row.habit, formatDays(row.days)]))
    return (forecast.stayCase?.habits ?? []).map(({ id, name }) => ({
      id: `habit ${id}`,
      kind: 'habit',
      title: name,
      detail: on.has(id) ? t.search.habitOn : days.has(id) ? t.search.habitOff(days.get(id)!) : '',
      go: to(`/habits?show=habit-${id}`),
    }))
  }
  const numbers = (): SearchEntry[] => [
    ...(risk.risk
      ? [number('plan-on', t.search.numbers.planOn, formatDays(risk.risk.planOn.days), askCount)]
      : []),
    ...(forecast.result?.days == null
      ? []
      : [number('average', t.search.numbers.average, formatDays(forecast.result.days), askCount)]),
    ...(forecast.crew?.activities ?? []).map((activity) =>
      number(
        `use ${activity.id}`,
        t.search.numbers.use(activity.name),
        volume(volumePerUse(activity)),
        to(`/stay?show=use-${activity.id}`),
      ),
    ),
    ...(forecast.model?.containers ?? []).map(({ id, name, capacity, unit }) =>
      number(
        `capacity ${id}`,
        t.search.numbers.capacity(name),
        level(capacity, unit),
        to(`/rig?show=tank-${id}`),
      ),
    ),
  ]
  const number = (id: string, title: string, detail: string, go: SearchEntry['go']): SearchEntry => ({
    id: `number ${id}`,
    kind: 'number',
    title,
    detail,
    go,
  })
  const action = (id: string, title: string, go: SearchEntry['go'], detail = ''): SearchEntry => ({
    id: `do ${id}`,
    kind: 'action',
    title,
    detail,
    go,
  })
  function logOne(activity: string) {
    return () => log.add([toldUse(log.at, activity, 1)])
  }
  const actions = (): SearchEntry[] => {
    const { stay } = forecast
    const isUnderWay = underWay.phase === 'under-way'
    return [
      ...(isUnderWay ? keys.value : []).map(({ activity }) =>
        action(`log ${activity.id}`, t.search.actions.log(activity.name), logOne(activity.id)),
      ),
      ...(isUnderWay ? [action('panel', t.search.actions.panel, to('/log?do=panel'))] : []),
      action('shower', t.search.actions.shower, to('/shower')),
      ...(stay
        ? [
            action('night', t.search.actions.night, () =>
              workspace.act(setNights(stay.id, nightsBetween(stay.start, stay.leaveAt) + 1)),
            ),
            action('why', t.search.actions.why, askCount),
          ]
        : []),
      ...(workspace.undoLabel === null
        ? []
        : [
            action(
              'undo',
              t.search.actions.undo,
              () => workspace.undo(),
              t.edits.labels[workspace.undoLabel],
            ),
          ]),
      ...(workspace.redoLabel === null
        ? []
        : [
            action(
              'redo',
              t.search.actions.redo,
              () => workspace.redo(),
              t.edits.labels[workspace.redoLabel],
            ),
          ]),
      action('print', t.search.actions.print, to('/cards/print')),
      ...LOOKS.map((look) =>
        action(
          `look ${look}`,
          t.search.actions.look(t.settings.theme[look].toLowerCase()),
          () => void (settings.theme = look),
        ),
      ),
      action('keys', t.search.actions.keys, () => void (search.open = 'keys')),
    ]
  }
  return computed((): SearchEntry[] => [
    ...screens(),
    ...actions(),
    ...tanks(),
    ...people(),
    ...places(),
    ...habits(),
    ...numbers(),
    ...guide,
  ])
}

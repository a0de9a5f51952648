import { computed } from 'vue'
import { nightsBetween } from '@/core/calendar'
import { dailyUse, drawnADay } from '@/core/explain'
import { LAND_RULES, type Crew, type Stay } from '@/core/domain'
import { useAdviceStore } from '@/data/adviceStore'
import { useForecastStore } from '@/data/forecastStore'
import { useLandUse } from '@/parts/habits/useLandUse'
import { useChartSentence } from '@/parts/levels/useChartSentence'
import { useRiskWords } from '@/parts/risk/useRiskWords'
import { useClockStore } from '@/data/clockStore'
import { useAmounts } from '@/parts/useAmounts'
import { formatDate, formatTimeOfDay, listed } from '@/texts'
import * as t from '@/texts/t'
import { useSwings } from './useSwings'

/** What each section of the screen says while it is closed. */
export function useStayAnswers() {
  const forecast = useForecastStore()
  const advice = useAdviceStore()
  const risk = useRiskWords()
  const swings = useSwings()
  const chart = useChartSentence()
  const { volume, temperature } = useAmounts()
  const clock = useClockStore()
  const landUse = useLandUse()

  function assumptions(): string {
    if (advice.hasFailed) return t.sure.failed
    if (swings.value === null) return t.sure.working
    return swings.value[0] ? t.sure.measureFirst(swings.value[0].name) : t.sure.none
  }
  function who({ persons }: Crew, { absences, guests }: Stay): string {
    const names = listed(persons.map(({ name }) => name))
    const away = absences.length > 0 ? t.stay.awayTimes(absences.length) : null
    const guest = guests.length > 0 ? t.stay.guestsOf(guests.length) : null
    return [names, guest, away].filter((words) => words !== null).join('; ')
  }
  function weather({ weather: { usual, days, sunrise, sunset } }: Stay): string {
    const all = [usual.value, ...days.map(({ warmest }) => warmest.value)]
    const warmest = Math.max(...all)
    const heat = warmest > usual.value ? t.weather.upTo(temperature(warmest)) : null
    return [
      temperature(usual.value),
      heat,
      t.weather.light(formatTimeOfDay(sunrise), formatTimeOfDay(sunset)),
    ]
      .filter((words) => words !== null)
      .join(', ')
  }
  function site(stay: Stay): string {
    const { water, sewer, toilets, isPrivate, stayLimit, quiet } = stay.site
    if (isTooLong(stay)) return t.site.overLimit(nightsBetween(stay.start, stay.leaveAt), stayLimit!)
    const parts = [
      water === 'none' && sewer === 'none' ? t.site.nothing : null,
      water === 'none' ? null : `${t.site.water}: ${t.site.waters[water]}`,
      sewer === 'none' ? null : `${t.site.sewer}: ${t.site.sewers[sewer]}`,
      toilets ? t.site.toilets : null,
      isPrivate ? null : t.site.overlooked,
      stayLimit === null ? null : t.site.limit(stayLimit),
      quiet ? t.site.quietFromTo(formatTimeOfDay(quiet.from), formatTimeOfDay(quiet.until)) : null,
    ]
    return parts.filter((part) => part !== null).join('; ')
  }
  function land({ rules }: Stay): string {
    const over = landUse.over.value[0]
    if (over) return t.land.over(t.landRules[over.rule], volume(over.most), volume(over.allowed))
    const allowed = rules.filter((rule) => rule.allowed).length
    return t.land.recorded(rules.length, LAND_RULES.length, allowed)
  }
  function uses(crew: Crew): string {
    const all = crew.activities
      .map((activity) => ({ name: activity.name, litres: dailyUse(crew, activity).litres }))
      .sort((a, b) => b.litres - a.litres)
    const total = all.reduce((sum, { litres }) => sum + litres, 0)
    if (!all[0]) return ''
    const plain = t.stay.takes(volume(total), all[0].name, volume(all[0].litres))
    const { model, habitsOn } = forecast
    return model && habitsOn.length > 0 ? `${plain}; ${t.stay.takesWith(volume(drawnADay(model)))}` : plain
  }
  return computed(() => {
    const { stay, crew, rig } = forecast
    if (!stay || !crew || !rig) return {}
    const nights = t.camp.nights(nightsBetween(stay.start, stay.leaveAt))
    return {
      risk: risk.value?.short ?? t.risk.working,
      assumptions: assumptions(),
      chart: chart.value,
      who: who(crew, stay),
      weather: weather(stay),
      site: site(stay),
      land: land(stay),
      isTooLong: isTooLong(stay),
      isOverLand: landUse.over.value.length > 0,
      uses: uses(crew),
      when: `${nights}, ${formatDate(stay.start)} – ${formatDate(stay.leaveAt, clock.now)}`,
      which: [stay.name, crew.name, rig.name].join(' · '),
    }
  })
}

/** More nights than the site allows. */
function isTooLong({ site: { stayLimit }, start, leaveAt }: Stay): boolean {
  return stayLimit !== null && nightsBetween(start, leaveAt) > stayLimit
}

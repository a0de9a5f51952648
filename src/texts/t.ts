/**
 * The catalogue: every word that is shown, a group per screen. Imported as a whole (`import * as t`): what a screen does not name
 * does not come with it. English is in the code; another language is put in its place (see `language.ts`).
 */
export { app, edits, states } from './en/app'
export { field } from './en/field'
export { switcher } from './en/switcher'
export { cardGlossary, guideScreens, asked } from './en/asked'
export { camp, habitRow } from './en/camp'
export { cardSteps } from './en/cardSteps'
export {
  cardNames,
  cardFor,
  cardCautions,
  mishaps,
  safeSteps,
  things,
  laws,
  cardTerms,
  cardOrigins,
  cardCounts,
  cardUnits,
  placeRules,
} from './en/cardWords'
export { cards, products } from './en/cards'
export { chart } from './en/chart'
export { chores, review } from './en/chores'
export { cli } from './en/cli'
export { count, risk, gauge } from './en/count'
export { faults } from './en/faults'
export { firsts } from './en/firsts'
export { terms, askLocally, guide } from './en/guide'
export type { TermId } from './en/guide'
export { cautions, habits, reach, flush } from './en/habits'
export { levels } from './en/levels'
export { log, learned, shakedown, loggedTwice } from './en/log'
export { more } from './en/more'
export { story } from './en/story'
export { agreement } from './en/agreement'
export { phase } from './en/now'
export { turns } from './en/turns'
export { outlet, cassette } from './en/outlet'
export { decide, places, takeAlong, season, rigSize } from './en/places'
export { rig, tank, map, outlets, weight, gear } from './en/rig'
export { runs, site } from './en/runs'
export { questions, questionTexts, answerTexts } from './en/questions'
export { settings, imports } from './en/settings'
export { start } from './en/start'
export { starters, starterNames } from './en/starters'
export { stay, board, land, weather, shower } from './en/stay'
export { sure } from './en/sure'
export { budget, next, since, prepare, came, showerTimer } from './en/today'
export { transfer } from './en/transfer'
export { trouble, notices, keeping, update } from './en/trouble'
export { search } from './en/search'
export { why } from './en/why'
export {
  parts,
  clock,
  units,
  unitNames,
  kinds,
  media,
  takes,
  rigSides,
  handles,
  gearNames,
  landRules,
  roles,
  ends,
  origins,
  sources,
  doses,
} from './en/words'

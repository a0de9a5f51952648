import { plural } from '../plural'
import { group } from '../group'

/** The glossary in the owner's words: what a word on a screen means, without another word that would need it. */
export const terms = /* @__PURE__ */ group('terms', {
  'plan-on': {
    name: 'Plan on',
    text: 'Days that hold in nine trips of ten. Plan with these: half of all trips last longer.',
  },
  'dry-count': {
    name: 'Dry days, dry count',
    text: 'Days from the start until the first tank stops you, if nobody dumps or fills anything.',
  },
  budget: {
    name: 'Budget',
    text: 'How often you can still do what can be saved on, if the tanks are to last to a night you choose. It never touches drinking, cooking, hands, teeth, the toilet or animals.',
  },
  'goal-night': {
    name: 'Goal night',
    text: 'The night the budget has to last through, up to eleven the next morning.',
  },
  binds: {
    name: 'The tank that sets the budget',
    text: 'If you used a little more than the budget allows, this tank would stop you first.',
  },
  swap: {
    name: 'Swap',
    text: 'Giving up uses of one thing for another today. They are compared by what each puts into the tank that stops you first.',
  },
  'set-apart': {
    name: 'Set apart',
    text: 'A person with a fixed number of uses a day, whatever the others save.',
  },
  'next-best': {
    name: 'Next best thing',
    text: 'The one habit or errand that helps your stay most for its bother.',
  },
  chore: {
    name: 'Chore',
    text: 'Care that a rig needs again and again: by date, by days of use, by trips or by emptyings.',
  },
  season: {
    name: 'Season',
    text: 'The stays of one rig together: dry nights, dumps, cost, and where the use is going.',
  },
  average: { name: 'Average', text: 'Days if every use has its usual size. Half of all trips last less.' },
  holds: { name: 'Holds', text: 'Days with the runs that you have set.' },
  stopper: { name: 'What stops you', text: 'The first tank that is full, or empty down to its reserve.' },
  limit: { name: 'Limit', text: 'Where a tank stops you: waste at its safe fill, water at its reserve.' },
  reserve: {
    name: 'Reserve',
    text: 'Water in a tank that you keep back, and the rest that is too low for the pump.',
  },
  'safe-fill': {
    name: 'Safe fill',
    text: 'How full a waste tank may be: nine tenths, a cassette less. The rest is for slopes, splashes and wrong guesses.',
  },
  residue: { name: 'What stays behind', text: 'What is still in a tank after it was emptied.' },
  spread: {
    name: 'How sure the size is',
    text: 'A tank may hold a few percent more or less than the brochure says. Once it is metered, it is sure.',
  },
  supply: { name: 'Supply', text: 'Fresh water, and a cassette’s own flush tank. They get emptier.' },
  waste: { name: 'Waste', text: 'Gray, black, cassette, urine jug, solids bin. They get fuller.' },
  gray: { name: 'Gray', text: 'Water from sinks and showers. Usually the first to be full.' },
  black: { name: 'Black', text: 'What the toilet flushes. The solids need enough water to run out.' },
  cassette: { name: 'Cassette', text: 'A toilet tank that is pulled out and carried.' },
  'flush-tank': { name: 'Flush tank', text: 'The flush water of a cassette toilet, in a tank of its own.' },
  'urine-jug': {
    name: 'Urine jug',
    text: 'Where a diverting toilet keeps the urine. It has to be emptied most often.',
  },
  'solids-bin': {
    name: 'Solids bin',
    text: 'The bin of a composting toilet, counted in uses. Its medium (coir, peat, sawdust) decides how many.',
  },
  tote: { name: 'Tote', text: 'A tank on wheels: waste is carried away and the rig stays.' },
  outlet: { name: 'Outlet', text: 'Where waste leaves the rig, for one tank or several.' },
  'end-valve': {
    name: 'End valve',
    text: 'A second valve behind all tank valves, before the cap. It opens first and shuts last.',
  },
  joined: { name: 'Joined tanks', text: 'Tanks that are open to each other: they fill as one.' },
  panel: { name: 'Panel', text: 'Lights that show a tank in steps. Between two lights it may be anywhere.' },
  probe: {
    name: 'Probe',
    text: 'The sensor behind a panel light. A dirty one says full when the tank is empty.',
  },
  reading: { name: 'Reading', text: 'A level somebody looked at: by panel, stick, scale or meter.' },
  habit: {
    name: 'Habit',
    text: 'A way of doing something that saves a tank. It buys days only where that tank is the one that stops you.',
  },
  bother: { name: 'Bother', text: 'What a habit or an errand costs in trouble, 0 to 5. Yours to say.' },
  'days-bought': { name: 'Days bought', text: 'How many more days you have with a habit than without it.' },
  reach: { name: 'Reach', text: 'The least bother with which your nights are made.' },
  'flush-floor': {
    name: 'Flush floor',
    text: 'How much liquid for each solid use you keep in a black tank, so that no mound builds up.',
  },
  charge: {
    name: 'Charge',
    text: 'Water put into a waste tank right after it was emptied, so that nothing dries onto the bottom.',
  },
  'top-up': {
    name: 'Top up',
    text: 'Water put into a black tank before it is dumped, so that it carries everything out.',
  },
  rinse: {
    name: 'Rinse, round',
    text: 'Filling a tank to three quarters and letting it go again, until it runs clear.',
  },
  owed: { name: 'Owed', text: 'A rinse that was put off. The next one takes a round more.' },
  dose: { name: 'Dose', text: 'What a label says for its amount of water, worked out for this tank.' },
  'road-reserve': { name: 'Road reserve', text: 'Fresh water that you keep aboard for a drive.' },
  run: { name: 'Run', text: 'An errand on a day: dump, fill, carry, move.' },
  'tote-load': { name: 'Load', text: 'One tote or jug, filled and emptied once.' },
  place: { name: 'Place', text: 'Somewhere a run goes. A name is enough; what is not known is said.' },
  'decide-by': {
    name: 'Decide by',
    text: 'The last moment to leave for a place. In nine trips of ten the tank is then emptied or filled before its limit, and the place is still open.',
  },
  point: {
    name: 'Point',
    text: 'One drain or tap of a place, with what it takes and what must not be in the tanks.',
  },
  'road-factor': {
    name: 'Road, as worked out',
    text: 'The straight distance times 1.3, at the speed of small roads, until you put in the road you know.',
  },
  chain: {
    name: 'Chain of stays',
    text: 'A stay that starts with what the one before leaves in the tanks, after what is done on the road.',
  },
  site: { name: 'Site', text: 'Where you camp, and what there is: a tap, a drain, toilets.' },
  land: {
    name: 'What the land allows',
    text: 'Written rules you found, with their source and date. What is not written down counts as not allowed.',
  },
  card: {
    name: 'Run card',
    text: 'The steps of one job, for this rig and this place, with every number worked out.',
  },
  hold: {
    name: 'Hold',
    text: 'Where a valve or a danger is, a tap is not enough: hold until the bar is full.',
  },
  shakedown: {
    name: 'Shakedown',
    text: 'Counting every use at a hookup, once, so that later plans use your own numbers.',
  },
  counted: {
    name: 'Counted, expected',
    text: 'Counted: you log every use. Expected: the usual number is taken, and you log what was different.',
  },
  learned: { name: 'Learned', text: 'What your log says a use takes. It comes closer with every reading.' },
  trip: {
    name: 'Trip',
    text: 'Your stay, simulated once with its ups and downs. Ten thousand of them show how sure a number is.',
  },
  assumed: { name: 'Assumed', text: 'No figure was found. Your own log will replace it.' },
  payload: { name: 'Payload', text: 'The weight the rig may still carry. Water is most of it.' },
  'lift-limit': { name: 'You lift', text: 'The most weight you lift by hand, the container included.' },
  metered: { name: 'Metered', text: 'Measured with a flow meter or buckets, and so sure.' },
} satisfies Record<string, { name: string; text: string }>)
export type TermId = keyof typeof terms

/** What no program can know: who says it, and what to ask. */
export const askLocally = /* @__PURE__ */ group('askLocally', [
  {
    ask: 'May gray water go on the ground here?',
    who: 'The land manager’s written rule. Dish water and gray from the tank are two permissions.',
  },
  {
    ask: 'Is this drain for toilet waste, for gray, or for rain?',
    who: 'The sign at the drain, or the people who run the place. Never a ditch, never a storm drain.',
  },
  { ask: 'Is this tap for drinking?', who: 'The mark on the tap. No mark, no water.' },
  {
    ask: 'Is there a septic tank, and which products may go in?',
    who: 'The operator. The wrong one kills it.',
  },
  { ask: 'May a cassette or a jug be emptied into a vault toilet?', who: 'Only if its operator says so.' },
  {
    ask: 'May bagged solids go into a bin here?',
    who: 'The waste rules of the place. Packing them out is always right.',
  },
  { ask: 'May we dump at home?', who: 'Your local code: a cleanout is not always allowed for it.' },
  {
    ask: 'Who may work on the plumbing, gas and wiring?',
    who: 'A licensed trade, by your local code. Dry Count advises, it does not certify.',
  },
  {
    ask: 'How strong may disinfection of drinking water be, and how long?',
    who: 'The label, and your health authority. They come before the card.',
  },
  {
    ask: 'When is it to be quiet, and who may use the dump station?',
    who: 'The place’s own rules: guests, customers, everybody.',
  },
])

export const guide = /* @__PURE__ */ group('guide', {
  title: 'Guide',
  lead: 'What the words mean, what is dangerous, where the numbers come from, and what only the place can tell you.',
  search: 'Look something up',
  none: (words: string) => `Nothing on “${words}”. Try another word.`,
  found: (n: number) => plural(n, '1 found', `${n} found`),
  sections: {
    handbook: 'Handbook',
    terms: 'What the words mean',
    questions: 'Where good practitioners disagree',
    cautions: 'What is dangerous',
    mishaps: 'When it goes wrong',
    cards: 'Run cards',
    sources: 'Where the numbers come from',
    ask: 'What only the place can tell you',
  },
  answer: {
    handbook: (n: number) => `${n} pages, one for each screen`,
    terms: (n: number) => `${n} words, in plain ones`,
    questions: (n: number) => `${n} questions, and your answer to each`,
    cautions: (n: number) => `${n} cautions, each at the step where it matters`,
    mishaps: (n: number) => `${n} mishaps, and what to do`,
    cards: (n: number) => `${n} jobs, step by step`,
    sources: (n: number) => `${n} sources; what has none says so`,
    ask: (n: number) => `${n} questions for the land, the operator, the label`,
  },
  noPage: 'There is no such page in the handbook.',
  drawing: (word: string) => `${word}, drawn`,
  toQuestions: 'Choose your way',
  openCard: 'Open the card',
  screenWords: 'Words on this screen',
  kinds: {
    handbook: 'handbook',
    part: 'handbook',
    term: 'word',
    question: 'your way',
    caution: 'caution',
    mishap: 'mishap',
    card: 'card',
    source: 'source',
    ask: 'ask there',
    screen: 'screen',
    habit: 'habit',
    chore: 'chore',
  },
})

import { writeFileSync } from 'node:fs'
import { studyOf, type Line } from './table'

// npm run study:learning: the table in docs/learning.md, made again.
const HOUSEHOLDS = 300
const SEED = 20_270_911

const percent = (x: number) => (Math.round(x * 1000) / 1000).toFixed(3).replace(/0$/, '')
const bounds = ({ least, most }: Line) =>
  least <= 0 && most > -least
    ? `at most ${percent(most)}`
    : most >= 1
      ? `at least ${percent(least)}`
      : `${percent(least)} to ${percent(most)}`
/** Limits of 95 % of a share (Wilson); nothing for what is none. */
function limits({ figure, of }: Line): string {
  if (of === undefined) return ''
  const z2 = 1.96 ** 2
  const middle = (figure + z2 / (2 * of)) / (1 + z2 / of)
  const half = (1.96 * Math.sqrt((figure * (1 - figure)) / of + z2 / (4 * of * of))) / (1 + z2 / of)
  return `${percent(Math.max(0, middle - half))} to ${percent(Math.min(1, middle + half))} of ${of}`
}
const groups = studyOf(HOUSEHOLDS, SEED)
const rows = groups.flatMap(({ group, lines }) => [
  `| **${group}** | | | |`,
  ...lines.map((line) => `| ${line.what} | ${percent(line.figure)} | ${limits(line)} | ${bounds(line)} |`),
])
const text = `# What is learned, and how surely

Dry Count learns what each use costs a crew, and where its levels stand, from what is logged and what the panel shows
(\`src/core/learn\`). One Gaussian holds the crew's own factor of every activity, how often it is done, the true capacity of
every tank and its level; a pass over the evidence in the order of time carries it on. The table says how well that does on
made-up households whose truth is known: ${HOUSEHOLDS} for each setting, on the three demo rigs. Their log goes the way of the
application: entries, \`learnStay\`, \`caseNow\`, trips. Made by \`npm run study:learning\`; \`npm run proof\` holds the bounds on
other seeds. The limits are those of 95 %; the levels of one household are not independent of each other.

| | figure | limits, and of how many | promised |
|---|---|---|---|
${rows.join('\n')}

## The settings
An ordinary stay: the levels at the start were read off a panel in quarters, a panel in thirds or quarters is read morning and
evening, one look in twelve is wrong, nothing is logged but what is seen. It is looked at after two and a half days. The other
settings differ from it in what they say. A stick is off by a fiftieth of the tank, a meter by 3 % all along. A guest does for a
day what each of the crew does.

Stuck probes: six days at a hookup where tanks are emptied and filled, and that is logged. A frozen probe shows what it showed
when it froze; a dirty one never shows less. A contradiction can be seen where the count and everything else make the reading
less likely than 0.05, and it is false.

## How complete a log is
Nobody has to log everything. Each activity's log is held against two explanations: that each use is logged as it happens (until the
logging stops, and may begin again), or that a share of the uses is; what was probably not logged is added, with how unsure that is,
and what was logged takes the place of what was expected (\`completenessOf\`). Single days are looked at at half past one, at six
and at a quarter to eleven.

## How a household is made
Own factors are lognormal with the spread that the crew has (0.20), rates with 0.15, capacities with 0.03; uses are Poisson, of
those done at most once a day one draw a person and day; litres of a use are lognormal with 0.35. A shakedown stands at a
hookup, begins full and empty, empties and fills as it goes and logs that; it counts the large uses: showers, dishes, hand
washing, drinking and the toilet. A crew far from what is assumed has own factors with a spread of 0.40. Of several cassettes the
one aboard is read, and those that are full stand aside.

## How doubt is dealt with
- A level never leaves its tank: means, bands and the level that the count starts from are cut to its size. Only a level that is almost
  surely past its limit stays past it, because then the limit was breached.
- A panel that shows the same mark again says less the less the level has moved since. If the level is believed to be outside of
  that mark, the reading counts in full.
- After each reading of a mark, a second estimate goes on without the readings of that mark. Where it explains everything else
  better, those readings were wrong: the probe is stuck, or the reading was false once.
- A reading by stick or scale that is more than three deviations off may be wrong, and so may the estimate. The level is then put
  between both, as unsure as they are apart, until another reading decides. Litres typed far from what a use takes teach almost nothing.
- The litres of a filling say how much was missing; the litres of an emptying say how much was there.

## What it does not do
- A probe that hangs at the mark where the level truly is, is found only when the level has moved away from it.
- Vessels that pass water on are taken as the ledger has them on average.
- The rate of an activity is drawn together with its own factor: its litres are right, its number of uses is the model's.
- Five days cannot halve the error of the day's total for a crew that is near what is assumed: the luck of five days outweighs it.
`
writeFileSync(new URL('../../docs/learning.md', import.meta.url), text)
console.log(rows.join('\n'))
const missed = groups.flatMap(({ lines }) =>
  lines.filter(({ figure, least, most }) => !(figure >= least && figure <= most)),
)
console.log(missed.length === 0 ? 'all as promised' : `missed: ${missed.map(({ what }) => what).join('; ')}`)

import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'

const css = readFileSync('src/app/theme.css', 'utf8')

/** What a block of the style sheet sets, by name. */
function colours(selector: string): Record<string, string> {
  const block = css.slice(css.indexOf(`\n${selector} {`)).split('}')[0]!
  return Object.fromEntries(
    [...block.matchAll(/--([\w-]+): (#[0-9a-f]+);/g)].map(([, name, hex]) => [name!, hex!]),
  )
}
const LIGHT = colours(':root')
const THEMES = {
  light: LIGHT,
  dark: { ...LIGHT, ...colours("[data-theme='dark']") },
  sun: { ...LIGHT, ...colours("[data-theme='sun']") },
}

/** Relative luminance (WCAG 2.2). @param hex three or six digits */
function luminance(hex: string): number {
  const digits =
    hex.length === 4 ? Array.from(hex.slice(1), (digit) => digit + digit) : hex.slice(1).match(/../g)!
  const [r, g, b] = digits.map((two) => {
    const share = Number.parseInt(two, 16) / 255
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4
  })
  return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!
}
function contrast(a: string, b: string): number {
  const [dark, light] = [luminance(a), luminance(b)].sort((x, y) => x - y)
  return (light! + 0.05) / (dark! + 0.05)
}

it('knows black on white, and a gray that is just enough', () => {
  expect(contrast('#000', '#ffffff')).toBeCloseTo(21, 9)
  expect(contrast('#767676', '#fff')).toBeCloseTo(4.54, 2)
})

/** Words, and what they stand on. */
const WORDS = ['ink', 'soft', 'oxide', 'sage', 'water-ink', 'grass-ink']
const GROUNDS = ['paper', 'card', 'post']
it.each(Object.entries(THEMES).map(([theme, own]) => [theme, theme === 'sun' ? 7 : 4.5, own] as const))(
  'in the %s look words can be told from what they stand on, %d to 1',
  (_, least, own) => {
    const low = WORDS.flatMap((word) =>
      GROUNDS.filter((ground) => contrast(own[word]!, own[ground]!) < least).map(
        (ground) => `${word} on ${ground}`,
      ),
    )
    expect(low).toEqual([])
    // What was chosen, what has been gone past, and what has the focus.
    expect(contrast(own.ink!, own.select!)).toBeGreaterThan(least)
    expect(contrast(own.ink!, own.over!)).toBeGreaterThan(least)
    for (const ground of GROUNDS) expect(contrast(own.focus!, own[ground]!)).toBeGreaterThan(3)
    // Words on what is filled: a main button, a hatched tank.
    expect(contrast(own.paper!, own.ink!)).toBeGreaterThan(least)
    for (const [hatch, line] of [
      ['water', 'water-ink'],
      ['grass', 'grass-ink'],
    ] as const)
      expect(contrast(own[hatch]!, own[line]!)).toBeGreaterThan(3)
  },
)

it('what is pressed has an outline of 3 to 1: keys, marks of the panel, choices', () => {
  for (const [theme, own] of Object.entries(THEMES))
    for (const ground of GROUNDS) expect(contrast(own.soft!, own[ground]!), theme).toBeGreaterThan(3)
  const pressed = ['parts/log/LogKeys', 'parts/log/PanelForm', 'ui/AppChoices', 'features/camp/DemoClock']
  for (const name of pressed) {
    const buttons = readFileSync(`src/${name}.vue`, 'utf8').match(/<(?:button|RadioGroupOption)[^<]*>/g) ?? []
    expect(buttons.length, name).toBeGreaterThan(0)
    for (const button of buttons) expect(button).not.toMatch(/\bborder(-2)? border-line/)
  }
})

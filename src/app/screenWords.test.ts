// @vitest-environment happy-dom
import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { WORDS_OF } from '@/parts/screenWords'
import { en } from '@/texts'
import { createAppRouter } from './router'

it('every word of the glossary is led to from a screen that there is', () => {
  const routes = new Set(
    createAppRouter()
      .getRoutes()
      .map(({ name }) => String(name)),
  )
  for (const route of Object.keys(WORDS_OF)) expect(routes).toContain(route)
  const led = new Set(Object.values(WORDS_OF).flat())
  expect(Object.keys(en.terms).filter((term) => !led.has(term as never))).toEqual([])
  for (const words of Object.values(WORDS_OF)) expect(new Set(words).size).toBe(words.length)
})

it('the glossary has each word once, in the order of the alphabet', () => {
  const rows = readFileSync('docs/glossary.md', 'utf8')
    .split('\n')
    .filter((line) => line.startsWith('| '))
    .slice(1)
  const words = rows.map((row) => row.split('|')[1]!.replace(/\(.*/, '').trim().toLowerCase())
  expect(words.length).toBeGreaterThan(100)
  expect(words).toEqual([...new Set(words)].sort())
})

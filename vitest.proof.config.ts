import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { defineConfig } from 'vitest/config'
import { alias } from './vitest.config.ts'

// Tests of every run that do more here read it from the environment.
process.env.DRY_COUNT_PROOF = '1'

/** Tests that do more here than in every run: those that ask how often. */
function readsOften(folder: string): string[] {
  const files = readdirSync(folder, { recursive: true, encoding: 'utf8' })
  return files
    .filter((file) => file.endsWith('.test.ts'))
    .map((file) => join(folder, file))
    .filter((file) => readFileSync(file, 'utf8').includes('support/thorough'))
}

/** Studies too long for every run, and floods that every run has a few of: `npm run proof`, on a build. */
export default defineConfig({
  resolve: { alias },
  test: {
    include: [
      'tests/proof/**/*.test.ts',
      ...readsOften('src'),
      ...readsOften('cli'),
      ...readsOften('tests/laws'),
      // All their shares.
      'tests/e2e/**/*.test.ts',
    ],
    globalSetup: ['tests/e2e/support/serveBuild.ts'],
    setupFiles: ['tests/support/zod.ts'],
    environment: 'node',
    fileParallelism: false,
    testTimeout: 1_800_000,
    hookTimeout: 60_000,
    // Patience with a busy disk or browser, as in every run.
    expect: { poll: { timeout: 10_000 } },
  },
})

import { defineConfig } from 'vitest/config'
import { alias } from './vitest.config.ts'

// Tests of every run that do more here read it from the environment.
process.env.DRY_COUNT_PROOF = '1'

/** Studies too long for every run, and floods that every run has a few of: `npm run proof`, on a build. */
export default defineConfig({
  resolve: { alias },
  test: {
    include: [
      'tests/proof/**/*.test.ts',
      'src/document/fuzz.test.ts',
      'src/document/extremes.test.ts',
      'src/core/explain/explain.test.ts',
      'src/core/risk/calibration.test.ts',
      'src/core/reach/reach.test.ts',
      'tests/e2e/kills.test.ts',
    ],
    globalSetup: ['tests/e2e/support/serveBuild.ts'],
    setupFiles: ['tests/support/zod.ts'],
    environment: 'node',
    fileParallelism: false,
    testTimeout: 1_800_000,
    hookTimeout: 60_000,
  },
})

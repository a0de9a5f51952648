import { defineConfig } from 'vitest/config'
import { alias } from './vitest.config.ts'

export default defineConfig({
  resolve: { alias },
  test: {
    include: ['tests/e2e/**/*.test.ts'],
    globalSetup: ['tests/e2e/support/serveBuild.ts'],
    environment: 'node',
    // One browser keeps two cores busy: two side by side only get in each other's way.
    fileParallelism: false,
    // One browser, and pages whose code is compiled already, from file to file.
    isolate: false,
    testTimeout: 90_000,
    hookTimeout: 60_000,
    // Once more on a machine that stood still for a moment; the report says so.
    retry: 1,
    // Patience with a busy disk or browser; nothing is measured by it.
    expect: { poll: { timeout: 10_000 } },
  },
})

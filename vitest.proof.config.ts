import { defineConfig } from 'vitest/config'
import { alias } from './vitest.config.ts'

/** Studies too long for every run: `npm run proof`. */
export default defineConfig({
  resolve: { alias },
  test: { include: ['tests/proof/**/*.test.ts'], environment: 'node', testTimeout: 1_800_000 },
})

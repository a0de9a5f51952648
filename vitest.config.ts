import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

export const alias = { '@': fileURLToPath(new URL('./src', import.meta.url)) }

export default defineConfig({
  plugins: [vue()],
  resolve: { alias },
  test: {
    include: ['src/**/*.test.ts', 'server/**/*.test.ts', 'cli/**/*.test.ts', 'tests/acceptance/**/*.test.ts'],
    environment: 'node',
    setupFiles: ['tests/support/zod.ts'],
    testTimeout: 30_000,
    maxWorkers: '100%',
  },
})

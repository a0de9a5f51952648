import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

export const alias = { '@': fileURLToPath(new URL('./src', import.meta.url)) }

const PURE = ['core', 'document', 'solver', 'texts'].map((folder) => `src/${folder}/**/*.test.ts`)
const usual = {
  environment: 'node' as const,
  setupFiles: ['tests/support/zod.ts'],
  testTimeout: 30_000,
  // Modules are read once a worker, not once a file.
  isolate: false,
}

export default defineConfig({
  test: {
    maxWorkers: '100%',
    projects: [
      { resolve: { alias }, test: { ...usual, name: 'pure', include: PURE } },
      {
        plugins: [vue()],
        resolve: { alias },
        test: {
          ...usual,
          name: 'others',
          include: ['src/**/*.test.ts', 'server/**/*.test.ts', 'cli/**/*.test.ts'],
          exclude: PURE,
        },
      },
    ],
  },
})

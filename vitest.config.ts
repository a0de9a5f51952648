import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

export const alias = { '@': fileURLToPath(new URL('./src', import.meta.url)) }

const PURE = [
  ...['core', 'document', 'engines', 'texts'].map((folder) => `src/${folder}/**/*.test.ts`),
  'tests/laws/**/*.test.ts',
]
// Patience with a busy machine; nothing is measured by it.
const usual = {
  environment: 'node' as const,
  setupFiles: ['tests/support/zod.ts', 'tests/support/luck.ts'],
  testTimeout: 120_000,
}

export default defineConfig({
  test: {
    maxWorkers: '100%',
    projects: [
      // What is pure shares its modules: they are read once a worker, not once a file.
      { resolve: { alias }, test: { ...usual, name: 'pure', include: PURE, isolate: false } },
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

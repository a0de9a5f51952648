import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import { VitePWA } from 'vite-plugin-pwa'
import { defineConfig } from 'vite'

/**
 * What every first count needs, in one file: forty small ones compress worse, each by itself. What is fetched later stays
 * apart.
 */
const FIRST_LOAD = new RegExp(
  `/node_modules/(pinia|immer|nanoid)/|/src/(${[
    'core/((calendar|compile|domain|count|runs)/(?!questions|reading)|slices)',
    // Whether a run can be done at all is asked before anything is counted.
    'core/places/(judged|journey|visit|open|plainHours|way|refusals|distance|position)',
    'core/(chain/(chain|passedOn)|underway/(phase|knownCase|caseNow|made)|habits/switchHabit|learn/effects)',
    'core/log/(entry|completeness)',
    'texts/(format|group|locale|plural|language|en/(words|count|app|camp|now|numbers|levels)[.])',
    'data/((workspace|forecast|underWay|hours|log|job|clock|settings|typing|notice)Store|lastKnown|seed)',
    'data/(waitingEdits|useAnswer|checks|keptLog|keptValue|report|newId|safeStorage|atRest)[.]',
    'data/storage/(logStore|faults|changes|entryRows|begun|documentStore)',
    'core/(risk/planOn|quantities/units)',
    'workers/inSlices',
    'ui/(nextFrame|whenNeeded)',
  ].join('|')})`,
)

export default defineConfig({
  base: './',
  plugins: [
    vue(),
    tailwindcss(),
    VitePWA({
      registerType: 'prompt',
      injectRegister: false,
      includeAssets: ['icon.svg', 'icon-192.png', 'icon-512.png'],
      manifest: {
        name: 'Dry Count',
        short_name: 'Dry Count',
        description: 'How many dry days your tanks give you, and what stops you first.',
        display: 'standalone',
        start_url: './',
        scope: './',
        background_color: '#f1ebdd',
        theme_color: '#f1ebdd',
        icons: [
          { src: './icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: './icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: './icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
          { src: './icon.svg', sizes: 'any', type: 'image/svg+xml' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff2,wasm,webmanifest,json}'],
        maximumFileSizeToCacheInBytes: 8 * 1024 * 1024,
        importScripts: ['addresses.js'],
        navigateFallback: 'index.html',
        navigateFallbackDenylist: [/\/api\//, /\/mqtt/],
        cleanupOutdatedCaches: true,
      },
    }),
  ],
  resolve: {
    alias: [
      { find: '@', replacement: fileURLToPath(new URL('./src', import.meta.url)) },
      // Its build for today's browsers, a tenth lighter than the one its package names.
      { find: /^dexie$/, replacement: 'dexie/dist/modern/dexie.mjs' },
    ],
  },
  worker: { format: 'es' },
  build: {
    chunkSizeWarningLimit: 1600,
    target: 'es2022',
    sourcemap: false,
    assetsInlineLimit: 0,
    // Names of what each chunk will import are five kilobytes of the first load; a browser finds them in the chunk itself.
    modulePreload: {
      polyfill: false,
      resolveDependencies: (_, dependencies, { hostType }) =>
        hostType === 'html' ? dependencies : dependencies.filter((name) => name.endsWith('.css')),
    },
    rolldownOptions: {
      output: {
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [{ name: 'base', test: FIRST_LOAD }],
        },
      },
    },
  },
})

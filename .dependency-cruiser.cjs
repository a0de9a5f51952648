/** Who may import whom: docs/architecture.md. Each layer lists what it may use besides itself. */
const LAYERS = {
  core: [],
  document: ['core'],
  engines: ['core', 'document'],
  workers: ['core', 'document', 'engines'],
  data: ['core', 'document', 'engines', 'workers'],
  actions: ['core', 'document', 'data'],
  texts: ['core', 'document'],
  ui: [],
  parts: ['core', 'document', 'data', 'actions', 'texts', 'ui', 'workers'],
  features: ['core', 'document', 'data', 'actions', 'texts', 'ui', 'parts', 'workers'],
  app: ['core', 'document', 'data', 'actions', 'texts', 'ui', 'parts', 'features', 'workers'],
}
const inside = (names) => `^src/(${names.join('|')})/`

const arrows = Object.entries(LAYERS).map(([layer, allowed]) => ({
  name: `${layer}-imports-only-what-it-may`,
  severity: 'error',
  from: { path: `^src/${layer}/`, pathNot: '\\.test\\.ts$' },
  to: { path: '^(src|server|cli)/', pathNot: inside([layer, ...allowed]) },
}))

module.exports = {
  forbidden: [
    ...arrows,
    {
      name: 'no-circular',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'core-is-pure',
      severity: 'error',
      comment: 'No interface, storage, network or platform in the core.',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: { path: '(node_modules/(vue|pinia|dexie|zod|fastify|@vueuse|@headlessui)|^(fs|path|crypto|os)$)' },
    },
    {
      name: 'screens-act-by-actions',
      severity: 'error',
      comment: 'What an owner can do is a named function of src/actions; no screen edits a draft.',
      from: { path: '^src/(parts|features|app)/', pathNot: '\\.test\\.ts$' },
      to: { path: '(^src/document/edits/|node_modules/immer/)' },
    },
    {
      name: 'features-stay-apart',
      severity: 'error',
      from: { path: '^src/features/([^/]+)/' },
      to: { path: '^src/features/', pathNot: '^src/features/$1/' },
    },
    {
      name: 'nobody-imports-app',
      severity: 'error',
      from: { pathNot: '^src/app/' },
      to: { path: '^src/app/' },
    },
    {
      name: 'server-and-cli-use-the-lower-layers',
      severity: 'error',
      from: { path: '^(server|cli)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/', pathNot: inside(['core', 'document', 'engines', 'texts']) },
    },
    {
      name: 'not-own-index',
      severity: 'error',
      from: { path: '^src/(.+)/[^/]+\\.ts$', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/$1/index\\.ts$' },
    },
    {
      name: 'unresolvable',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '\\?|^virtual:|^plotly\\.js$' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    exclude: { path: '(^dist/|\\.d\\.ts$)' },
    enhancedResolveOptions: {
      extensions: ['.ts', '.vue', '.js', '.mjs', '.json'],
      exportsFields: ['exports'],
      conditionNames: ['import', 'module', 'browser', 'default', 'types'],
    },
  },
}

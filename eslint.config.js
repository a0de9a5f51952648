import eslintConfigPrettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import tseslint from 'typescript-eslint'
import vueParser from 'vue-eslint-parser'

/** The core is pure: what it may not name (docs/architecture.md). */
const IMPURE = [
  'window',
  'document',
  'navigator',
  'localStorage',
  'indexedDB',
  'fetch',
  'performance',
  'setTimeout',
  'process',
  'self',
]

export default tseslint.config(
  { ignores: ['dist/**', 'node_modules/**', '.cache/**'] },
  ...tseslint.configs.strictTypeChecked,
  ...vue.configs['flat/recommended'],
  eslintConfigPrettier,
  {
    languageOptions: {
      parser: vueParser,
      parserOptions: {
        parser: tseslint.parser,
        projectService: { allowDefaultProject: ['*.js', '*.cjs', 'scripts/*.mjs', 'public/*.js'] },
        extraFileExtensions: ['.vue'],
      },
      globals: { ...globals.browser, ...globals.node },
    },
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unnecessary-condition': 'off',
      '@typescript-eslint/no-unnecessary-type-parameters': 'off',
      // There are no enums, and hardly a class: a sixth of the time of the lint looked for them.
      '@typescript-eslint/no-unsafe-enum-assignment': 'off',
      '@typescript-eslint/no-unsafe-class-instance-assignment': 'off',
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      'vue/one-component-per-file': 'off',
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', ...IMPURE],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Chance is an argument of the core.' },
        { object: 'Date', property: 'now', message: 'Time is an argument of the core.' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'Time is an argument of the core.',
        },
      ],
    },
  },
  {
    // What the compiler makes sure of in tests needs no second look; that a test waits for what it asserts does.
    files: ['**/*.test.ts', 'tests/**/*.ts'],
    rules: {
      ...tseslint.configs.disableTypeChecked.rules,
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/await-thenable': 'error',
      '@typescript-eslint/no-misused-promises': 'error',
    },
  },
  { files: ['**/*.vue', '**/*.js', '**/*.mjs', '**/*.cjs'], ...tseslint.configs.disableTypeChecked },
  { files: ['**/*.vue'], rules: { 'no-undef': 'off', '@typescript-eslint/no-unused-vars': 'error' } },
)

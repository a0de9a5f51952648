import { defineConfig, globalIgnores } from 'eslint/config'
import eslintConfigPrettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import tseslint from 'typescript-eslint'
import vueParser from 'vue-eslint-parser'

// What oxlint cannot look at: templates, and how the core asks for the time. All else is in .oxlintrc.json.
export default defineConfig(
  globalIgnores(['dist/**', 'node_modules/**', '.cache/**']),
  {
    files: ['**/*.vue'],
    extends: [...vue.configs['flat/recommended'], eslintConfigPrettier],
    languageOptions: { parser: vueParser, parserOptions: { parser: tseslint.parser } },
    plugins: { '@typescript-eslint': tseslint.plugin },
    rules: {
      '@typescript-eslint/no-unused-vars': 'error',
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      'vue/one-component-per-file': 'off',
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    languageOptions: { parser: tseslint.parser },
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'Time is an argument of the core.',
        },
      ],
    },
  },
)

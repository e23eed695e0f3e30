import js from '@eslint/js'
import reactHooks from 'eslint-plugin-react-hooks'
import globals from 'globals'
import tseslint from 'typescript-eslint'

const noClock = {
  selector: 'NewExpression[callee.name="Date"][arguments.length=0]',
  message: 'The core has no clock.',
}

export default tseslint.config(
  { ignores: ['**/dist/', '**/node_modules/', '.data/', '.cache/', 'playwright-report/', 'test-results/'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  {
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
      '@typescript-eslint/no-explicit-any': 'error',
      eqeqeq: 'error',
    },
  },
  { files: ['**/*.cjs'], languageOptions: { sourceType: 'commonjs' } },
  {
    // The engine has no clock, no dice and no process.
    files: ['core/src/**/*.ts'],
    ignores: ['core/src/**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'process', 'window', 'document', 'fetch', 'console', 'performance'],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'The core has no clock: take today as an argument.' },
        {
          object: 'Math',
          property: 'random',
          message: 'The core rolls no dice: take random as an argument.',
        },
      ],
      'no-restricted-syntax': ['error', noClock],
    },
  },
  {
    // What a plan makes for every slot keeps one shape, or the engine is several times as slow: see docs/architecture.md.
    files: ['core/src/plan/**/*.ts', 'core/src/evidence/**/*.ts'],
    ignores: ['core/src/**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        noClock,
        {
          selector:
            'ObjectExpression > SpreadElement[argument.type=/^(LogicalExpression|ConditionalExpression)$/]',
          message: 'Objects that are spread on a condition have a shape each: assign what may be missing.',
        },
      ],
    },
  },
  {
    // Only one file reads the environment.
    files: ['server/src/**/*.ts'],
    ignores: ['server/src/settings.ts', 'server/src/**/*.test.ts', 'server/src/testing/**'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'process', property: 'env', message: 'settings.ts reads it.' },
      ],
    },
  },
  {
    // A promise that nobody waits for fails unseen: it is awaited, returned, or said to be left (void).
    files: ['web/src/**/*.{ts,tsx}', 'server/src/**/*.ts'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: { '@typescript-eslint/no-floating-promises': 'error' },
  },
  { files: ['web/src/**/*.{ts,tsx}'], ...reactHooks.configs.flat['recommended-latest'] },
)

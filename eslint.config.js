import js from '@eslint/js'
import hooks from 'eslint-plugin-react-hooks'
import tseslint from 'typescript-eslint'

export default tseslint.config(
  { ignores: ['build/**', 'data/**', '.work/**', '.react-router', 'node_modules', 'tests/*.tmp.ts'] },
  js.configs.recommended,
  tseslint.configs.recommended,
  hooks.configs.flat.recommended,
  {
    files: ['**/*.ts', '**/*.tsx'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      '@typescript-eslint/await-thenable': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'error',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    // The clock and chance come in as arguments, so that a test can set them.
    files: ['core/**/*.ts', 'onsite/**/*.tsx', 'server/**/*.ts'],
    ignores: ['**/*.test.ts', 'server/services.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'Take the moment as an argument.' },
        { object: 'Math', property: 'random', message: 'Take chance as an argument.' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: 'NewExpression[callee.name="Date"][arguments.length=0]',
          message: 'Take the moment as an argument.',
        },
      ],
    },
  },
  {
    // A route parses, calls one use case and renders: no SQL lives there.
    files: ['app/**/*.ts', 'app/**/*.tsx'],
    rules: {
      'no-restricted-imports': ['error', { paths: ['knex', 'better-sqlite3'] }],
    },
  },
  {
    // Tables are known to the repositories and to the job list alone.
    files: ['server/**/*.ts', 'cli/**/*.ts'],
    ignores: [
      'server/services.ts',
      'server/data/**',
      'server/jobs/queue.ts',
      '**/*.test.ts',
      'server/testing.ts',
    ],
    rules: {
      'no-restricted-syntax': [
        'error',
        { selector: 'CallExpression[callee.name=/^(db|trx)$/]', message: 'Ask a repository in server/data.' },
        {
          selector: 'NewExpression[callee.name="Date"][arguments.length=0]',
          message: 'Take the moment as an argument.',
        },
      ],
    },
  },
  // The message catalogue is one list, and tables of examples are as long as they are.
  { files: ['**/*.test.ts'], rules: { 'max-lines': 'off' } },
  {
    files: ['**/*.mjs', 'eslint.config.js'],
    languageOptions: {
      globals: { process: 'readonly', console: 'readonly', fetch: 'readonly', setTimeout: 'readonly' },
    },
  },
  {
    files: ['**/*.cjs'],
    languageOptions: { globals: { module: 'writable' } },
  },
)

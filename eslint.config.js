/** One lint configuration. The layering core <- schema <- server and web is part of it. */
import { createRequire } from 'node:module';
import expo from 'eslint-config-expo/flat.js';

const require = createRequire(import.meta.url);

/** Forbids imports by pattern in some files, saying why. */
const forbid = (files, group, message, ignores = []) => ({
  files,
  ignores,
  rules: { 'no-restricted-imports': ['error', { patterns: [{ group, message }] }] },
});

const INTERFACE = ['react', 'react-*', 'react-native*', 'expo*', '@expo/*', '@rneui/*', '@tanstack/*', '@/*'];
const IO = ['node:*', 'fs', 'path', 'express', 'drizzle-orm*', 'better-sqlite3', 'pino', 'uuid'];

export default [
  {
    ignores: [
      '**/node_modules/',
      '**/dist/',
      'data*/',
      '.check/',
      'apps/web/public/',
      'apps/web/.expo/',
      'apps/web/expo-env.d.ts',
      'apps/server/src/db/migrations/',
      // AssemblyScript, which its own compiler checks.
      'packages/core/assembly/',
    ],
  },
  ...expo,
  // The type checker knows these better (unused, declared twice, not to be found), and following every import of every file takes
  // longer than all other rules.
  {
    rules: {
      ...{ 'import/namespace': 'off', 'import/export': 'off', 'import/default': 'off', 'import/no-named-as-default-member': 'off' },
      ...{
        'import/no-named-as-default': 'off',
        'import/no-unresolved': 'off',
        '@typescript-eslint/no-unused-vars': 'off',
        '@typescript-eslint/no-redeclare': 'off',
      },
    },
  },
  {
    files: ['**/*.{ts,tsx}'],
    languageOptions: { parserOptions: { project: './tsconfig.json', tsconfigRootDir: import.meta.dirname ?? process.cwd() } },
    plugins: { '@typescript-eslint': require('@typescript-eslint/eslint-plugin') },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/ban-ts-comment': 'error',
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      'no-empty': ['error', { allowEmptyCatch: false }],
      eqeqeq: 'error',
    },
  },
  // What the compiler is told to take on trust says why, by a comment that lets it; see the test of how many there are.
  {
    files: ['packages/**/*.ts', 'apps/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}', '**/test/**'],
    rules: {
      'no-restricted-syntax': [
        'error',
        { selector: 'TSAsExpression > TSAsExpression > TSUnknownKeyword', message: 'A cast past the compiler: find the type, or say why there is none.' },
        ...["[left.name='look']", "[left.property.name='look']"].map((left) => ({
          selector: `BinaryExpression[operator=/^[!=]==$/]${left}[right.value=/./]`,
          message: 'What is peculiar to a kind of firing stands in its recipe.',
        })),
        ...["[discriminant.name='look']", "[discriminant.property.name='look']"].map((of) => ({
          selector: `SwitchStatement${of}`,
          message: 'What is peculiar to a kind of firing stands in its recipe.',
        })),
      ],
    },
  },
  forbid(
    ['packages/core/**'],
    [...INTERFACE, ...IO, '@torvin/*', 'zod', '**/contract', '**/contract/*'],
    'core has no interface, no I/O and no other layer; only contracts know of Zod, and they are read where strangers ask.',
    ['packages/core/src/contract/**', 'packages/core/src/calculators/**/contract.ts', 'packages/core/src/calculators/samples.ts'],
  ),
  // Types cost a worker nothing.
  {
    files: ['packages/core/src/calculators/**'],
    ignores: ['**/contract.ts', '**/samples.ts'],
    rules: {
      'no-restricted-imports': 'off',
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: [...INTERFACE, ...IO, '@torvin/*', 'zod', '**/contract', '**/contract/*'],
              message: 'the worker carries the function only.',
              allowTypeImports: true,
            },
          ],
        },
      ],
    },
  },
  forbid(
    ['packages/core/src/contract/**', 'packages/core/src/calculators/**/contract.ts'],
    [...INTERFACE, ...IO, '@torvin/*'],
    'core has no interface, no I/O and no other layer.',
  ),
  forbid(['packages/schema/**'], [...INTERFACE, ...IO, '@torvin/server', '@torvin/web', '**/apps/**'], 'schema builds on core alone.'),
  forbid(['apps/server/**'], [...INTERFACE, '@torvin/web', '**/web/**'], 'the server knows nothing of the web app.'),
  forbid(
    ['apps/web/src/**'],
    [...IO.filter((name) => name !== 'uuid'), '@torvin/server', '@torvin/schema/server', '**/server/**'],
    'the web app reaches the server by HTTP alone.',
  ),
  forbid(['apps/web/src/engine/worker.ts'], ['@torvin/schema', 'zod'], 'the worker carries the engine only.'),
  {
    files: ['packages/core/src/**'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'Date', 'performance', 'fetch', 'window', 'document', 'process', 'setTimeout'],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random', message: 'The same input gives the same answer.' }],
    },
  },
];

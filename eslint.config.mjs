import nextVitals from 'eslint-config-next/core-web-vitals';
import nextTypescript from 'eslint-config-next/typescript';

const clock = [
  { object: 'Math', property: 'random', message: 'Pass randomness in as an argument.' },
  { object: 'Date', property: 'now', message: 'Pass the time in as an argument.' },
];
const environment = {
  object: 'process',
  property: 'env',
  message: 'Read settings through src/server/env.ts.',
};

/** One import list per layer. A later entry for the same rule and file replaces an earlier one, so each layer has its own. */
const layer = (files, folders, packages, message, ignores = []) => ({
  files,
  ignores,
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          { group: folders.flatMap((f) => [`@/${f}`, `@/${f}/**`, `**/../${f}/**`]), message },
          ...(packages.length ? [{ group: packages, message }] : []),
        ],
      },
    ],
  },
});

const database = ['drizzle-orm', 'drizzle-orm/**', '@libsql/**'];
const surface = ['react', 'react-dom', 'react-dom/**', 'next', 'next/**', '@mui/**', '@emotion/**'];

const config = [
  { ignores: ['.next/**', 'node_modules/**', 'data/**', 'generated/**', 'next-env.d.ts', 'test-output/**'] },
  ...nextVitals,
  ...nextTypescript,
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', ignoreRestSiblings: true }],
      'no-console': 'error',
      eqeqeq: 'error',
    },
  },
  {
    files: ['src/**'],
    ignores: ['src/server/env.ts'],
    rules: { 'no-restricted-properties': ['error', environment] },
  },
  layer(
    ['src/core/**'],
    ['ui', 'places', 'app', 'server', 'workers', 'cli'],
    [...surface, ...database, 'node:*', 'fs', 'path', 'comlink', 'recharts'],
    'core is pure.',
    ['**/*.test.ts'],
  ),
  {
    files: ['src/core/**'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-properties': ['error', environment, ...clock],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'Pass the time in as an argument.',
        },
      ],
      'no-restricted-globals': [
        'error',
        'fetch',
        'window',
        'document',
        'localStorage',
        'process',
        'performance',
      ],
    },
  },
  layer(
    ['src/workers/**'],
    ['ui', 'places', 'app', 'server', 'cli'],
    [...surface, ...database, 'node:*'],
    'workers carry core only.',
    ['**/*.test.ts'],
  ),
  layer(['src/ui/**'], ['places', 'app', 'server', 'cli'], database, 'ui gets data as props.'),
  layer(
    ['src/server/**'],
    ['ui', 'places', 'app', 'cli'],
    ['react', 'react-dom', '@mui/**'],
    'server knows no screens.',
  ),
  layer(
    ['src/places/**'],
    ['server', 'app', 'cli'],
    database,
    'only queries.ts and actions.ts reach the server.',
    ['src/places/**/queries.ts', 'src/places/**/actions.ts', 'src/places/**/*-actions.ts'],
  ),
  {
    files: ['src/**/*.tsx'],
    ignores: ['src/ui/shell/link.tsx'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "ImportDeclaration[source.value='next/link']",
          message: 'Links are ui/shell/link: it asks for no page before it is followed.',
        },
      ],
    },
  },
  {
    files: ['scripts/**', 'src/cli/**', 'tests/**', '*.mjs', '*.cjs'],
    rules: { 'no-console': 'off', '@typescript-eslint/no-require-imports': 'off' },
  },
];

export default config;

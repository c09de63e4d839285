import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const ROOMS = ['core', 'contracts', 'server', 'web', 'demo'];
/** Imports go one way; a room not named here is closed to the one that asks. */
const MAY_IMPORT = {
  core: [],
  contracts: ['core'],
  server: ['contracts', 'core'],
  web: ['contracts', 'core'],
  demo: ['contracts', 'core'],
};

const closedTo = (room, extra = []) => ({
  files: [`${room}/src/**/*.{ts,tsx}`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            group: ROOMS.filter((r) => r !== room && !MAY_IMPORT[room].includes(r)).map((r) => `@winter-jar/${r}`),
            message: `${room} may import ${MAY_IMPORT[room].join(', ') || 'nothing of ours'}.`,
          },
          { group: ROOMS.map((r) => `**/${r}/src/**`), message: 'Go through the other room’s door, its package name.' },
          ...extra,
        ],
      },
    ],
  },
});

export default tseslint.config(
  {
    ignores: [
      '**/dist/**',
      '**/node_modules/**',
      'web/src/api/generated.ts',
      'data/**',
      '.cache/**',
      'test-results/**',
      '**/*.mjs',
      '**/*.cjs',
    ],
  },
  ...tseslint.configs.recommendedTypeChecked,
  {
    languageOptions: {
      parserOptions: {
        project: [
          'core/tsconfig.json',
          'contracts/tsconfig.json',
          'server/tsconfig.json',
          'demo/tsconfig.json',
          'web/tsconfig.json',
          'tsconfig.tests.json',
        ],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_', argsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': [
        'error',
        { fixStyle: 'separate-type-imports', disallowTypeAnnotations: false },
      ],
      'no-console': 'error',
    },
  },
  closedTo('core', [
    {
      group: ['react', 'react-*', '@nestjs/*', 'typeorm', 'better-sqlite3', 'node:*'],
      message: 'core knows no interface, no database and no machine.',
    },
  ]),
  closedTo('contracts'),
  closedTo('server'),
  closedTo('web'),
  closedTo('demo'),
  // The rooms inside core: the journal and the oil know nothing of care's rules, units know nothing at all.
  {
    files: ['core/src/units/**'],
    ignores: ['**/*.test.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns: ['../*'] }] },
  },
  {
    files: ['core/src/{oil,journal}/**'],
    ignores: ['**/*.test.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns: ['../care/*', '../simulate/*'] }] },
  },
  {
    files: ['**/*.test.ts', '**/*.test.tsx', 'e2e/**'],
    rules: { 'no-restricted-imports': 'off', '@typescript-eslint/no-unsafe-assignment': 'off' },
  },
  {
    files: ['web/src/**/*.tsx', 'web/src/**/*.ts'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  { files: ['server/src/main.ts'], rules: { 'no-console': 'off' } },
  { files: ['server/src/**/*.ts'], rules: { '@typescript-eslint/consistent-type-imports': 'off' } },
);

import { fileURLToPath } from 'node:url';

const transform = {
  '^.+\\.tsx?$': [
    fileURLToPath(new URL('scripts/test-transform.mjs', import.meta.url)),
    {
      jsc: {
        parser: { syntax: 'typescript', tsx: true, decorators: true },
        transform: {
          legacyDecorator: true,
          decoratorMetadata: true,
          react: { runtime: 'automatic' },
          useDefineForClassFields: false,
        },
        target: 'es2022',
        experimental: { keepImportAttributes: true },
      },
      module: { type: 'es6' },
    },
  ],
};

const FIXED_SEEDS = fileURLToPath(new URL('scripts/fixed-seeds.mjs', import.meta.url));

const room = (name, more = {}) => ({
  displayName: name,
  rootDir: `<rootDir>/${name}`,
  roots: ['<rootDir>/src'],
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  testPathIgnorePatterns: ['\\.slow\\.test\\.ts$'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  moduleNameMapper: { '^(\\.{1,2}/.*)\\.js$': '$1' },
  testEnvironmentOptions: { customExportConditions: ['winter-jar-source', 'node', 'node-addons'] },
  transform,
  setupFiles: [FIXED_SEEDS],
  ...more,
});

export default {
  // Servers start and files are forced to disk: slow machines need more than the usual five seconds.
  testTimeout: 120_000,
  projects: [
    // Simulations and searches through many histories: seconds each. `npm run unit` leaves them out, `npm test` does not.
    room('slow', {
      rootDir: '<rootDir>',
      roots: ['core/src', 'contracts/src', 'demo/src'].map((r) => `<rootDir>/${r}`),
      testMatch: ['**/*.slow.test.ts'],
      testPathIgnorePatterns: [],
    }),
    // Devices and the house together, without a browser.
    room('e2e', { roots: ['<rootDir>'], setupFiles: ['<rootDir>/../web/test-globals.mjs', FIXED_SEEDS] }),
    // What the repository says of itself.
    room('scripts', { roots: ['<rootDir>'] }),
    room('core'),
    room('contracts'),
    room('demo'),
    room('server'),
    room('web', {
      testEnvironment: 'jest-environment-jsdom',
      setupFiles: ['<rootDir>/test-globals.mjs', FIXED_SEEDS],
      testEnvironmentOptions: { customExportConditions: ['winter-jar-source', 'node'] },
    }),
  ],
};

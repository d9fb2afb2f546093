/** @type {import('jest').Config} */
export default {
  testEnvironment: 'node',
  // the views are driven key by key, and a busy machine is slow at it
  testTimeout: 90_000,
  // nothing else runs beside the tests; one processor is otherwise left idle
  maxWorkers: '100%',
  // modules of a file that is done are never let go of: two workers grew to 5 GB over the suite, so a large one makes way for a fresh one
  workerIdleMemoryLimit: '900MB',
  setupFiles: ['fake-indexeddb/auto', '<rootDir>/scripts/jest-properties.mjs'],
  roots: [
    '<rootDir>/core',
    '<rootDir>/app',
    '<rootDir>/cli',
    '<rootDir>/demo',
    '<rootDir>/scripts',
    '<rootDir>/server',
    '<rootDir>/sim',
    '<rootDir>/words',
    '<rootDir>/ops',
  ],
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  reporters: ['default', '<rootDir>/scripts/jest-report.mjs'],
  transform: {
    '^.+\\.tsx?$': [
      '<rootDir>/scripts/jest-transform.mjs',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          target: 'es2022',
          transform: { react: { runtime: 'automatic' } },
        },
        module: { type: 'es6' },
      },
    ],
  },
};

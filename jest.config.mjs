const common = {
  testEnvironment: 'node',
  transform: {
    '^.+\\.tsx?$|node_modules/(d3-[a-z]+|internmap)/.+\\.m?js$': [
      '@swc/jest',
      { jsc: { target: 'es2022', parser: { syntax: 'typescript', tsx: true } } },
    ],
  },
  // These are ES modules only.
  transformIgnorePatterns: ['/node_modules/(?!d3-|internmap)'],
  setupFiles: ['<rootDir>/tests/support/properties.ts'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
};

/** Unit tests stand beside the file they test; tests/db needs a real PostgreSQL (scripts/test.ts starts one). */
export default {
  // Properties over a real database take as long as the machine is busy; only a hang is a failure.
  testTimeout: 120_000,
  // By itself it leaves a core free, which on two is half of them.
  maxWorkers: '100%',
  projects: [
    {
      ...common,
      displayName: 'core',
      testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/scripts/**/*.test.ts'],
    },
    { ...common, displayName: 'db', testMatch: ['<rootDir>/tests/db/**/*.test.ts'] },
  ],
};

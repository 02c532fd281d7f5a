const swc = tsx => [
  '@swc/jest',
  {
    sourceMaps: 'inline',
    jsc: {
      target: 'es2022',
      parser: { syntax: 'typescript', tsx },
      transform: { react: { runtime: 'automatic' } },
    },
  },
];

const base = {
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
  transform: { '\\.tsx$': swc(true), '\\.(ts|mts|js|mjs)$': swc(false) },
  transformIgnorePatterns: ['/node_modules/(?!(uuid|ml-levenberg-marquardt|is-any-array)/)'],
};

export default {
  // A shared machine has slow seconds; a test that never ends still fails.
  testTimeout: 60_000,
  coverageProvider: 'babel',
  collectCoverageFrom: ['src/**/*.{ts,tsx}', '!src/**/*.d.ts'],
  projects: [
    {
      ...base,
      displayName: 'plain',
      // The sandbox of a test looks a global up slowly: what sums ask for a million times is handed in.
      sandboxInjectedGlobals: ['Math', 'Number', 'Float64Array'],
      testEnvironment: 'node',
      testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/scripts/**/*.test.ts'],
      setupFilesAfterEnv: ['<rootDir>/reference/significant-digits.ts'],
    },
    {
      ...base,
      displayName: 'screen',
      testEnvironment: 'jsdom',
      testMatch: ['<rootDir>/src/**/*.test.tsx'],
      setupFilesAfterEnv: ['<rootDir>/jest.setup.screen.ts'],
    },
  ],
};

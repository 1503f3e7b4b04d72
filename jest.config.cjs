/** Unit tests beside the code and reference checks in tests/reference; browser tests run in Playwright. */
const common = {
  testEnvironment: 'node',
  transform: { '^.+\\.(t|j|mj)sx?$': '<rootDir>/tests/support/transform.cjs' },
  transformIgnorePatterns: [
    '/node_modules/(?!(culori|d3-array|d3-contour|internmap|colorjs\\.io|spectral\\.js|use-intl|intl-messageformat|icu-minify|@formatjs|@schummar|nspell|dictionary-[a-z-]+)/)',
    '/tests/support/.*\\.mjs$',
    '<rootDir>/launcher/',
  ],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/$1' },
};

module.exports = {
  testTimeout: 300_000,
  maxWorkers: 2,
  projects: [
    {
      ...common,
      displayName: 'core',
      testMatch: ['<rootDir>/{core,headless,words,atelier,ui}/**/*.test.ts', '<rootDir>/tests/reference/**/*.test.ts'],
    },
    {
      ...common,
      displayName: 'server',
      testMatch: ['<rootDir>/server/**/*.test.ts', '<rootDir>/tests/launcher/**/*.test.ts'],
      globalSetup: '<rootDir>/tests/support/databaseSetup.mjs',
      globalTeardown: '<rootDir>/tests/support/databaseTeardown.mjs',
    },
  ],
};

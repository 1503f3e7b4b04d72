/** Unit tests beside the code and reference checks in tests/reference; browser tests run in Playwright. */
module.exports = {
  testEnvironment: 'node',
  testMatch: ['<rootDir>/{core,server,headless,atelier,ui}/**/*.test.ts', '<rootDir>/tests/reference/**/*.test.ts'],
  transform: { '^.+\\.(t|j|mj)sx?$': '<rootDir>/tests/support/transform.cjs' },
  transformIgnorePatterns: ['/node_modules/(?!(culori|colorjs\\.io|spectral\\.js)/)'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/$1' },
  testTimeout: 300_000,
  maxWorkers: 2,
};

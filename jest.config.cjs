/** Unit tests beside the code and reference checks in tests/reference; browser tests run in Playwright. */
module.exports = {
  testEnvironment: 'node',
  testMatch: ['<rootDir>/{core,server,headless,atelier,ui}/**/*.test.ts', '<rootDir>/tests/reference/**/*.test.ts'],
  transform: {
    '^.+\\.(t|j|mj)sx?$': [
      '@swc/jest',
      { jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'commonjs' } },
    ],
  },
  transformIgnorePatterns: ['/node_modules/(?!(culori|colorjs\\.io|spectral\\.js)/)'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/$1' },
  maxWorkers: 2,
};

export default {
  rootDir: 'build/test',
  testMatch: ['**/*.test.js'],
  testPathIgnorePatterns: process.env.DENSE_GLYPH_TESTS === 'thorough' ? [] : ['\\.thorough\\.test\\.js$'],
  transform: {},
  testTimeout: 900_000,
  maxWorkers: 2,
  globalSetup: '<rootDir>/../test-support/before-all.js',
  reporters: [['default', { summaryThreshold: 1 }]],
};

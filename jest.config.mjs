export default {
  rootDir: 'build/test',
  testMatch: ['**/*.test.js'],
  transform: {},
  testTimeout: 120_000,
  maxWorkers: 2,
  reporters: [['default', { summaryThreshold: 1 }]],
};

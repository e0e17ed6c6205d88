// The tests of core alone, for mutations: in the same transform as all tests.
const { join } = require('node:path');

const root = join(__dirname, '..', '..');

module.exports = {
  rootDir: join(root, 'core'),
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  testEnvironment: 'node',
  setupFiles: [join(root, 'jest.setup.cjs')],
  transform: {
    '\\.[tj]sx?$': [
      join(root, 'jest.transform.cjs'),
      {
        jsc: { parser: { syntax: 'typescript' }, target: 'es2022' },
        module: { type: 'commonjs' },
      },
    ],
  },
};

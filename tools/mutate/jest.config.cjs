// The tests of core alone, for mutations: in the same transform as all tests.
const { join } = require('node:path');

const root = join(__dirname, '..', '..');

module.exports = {
  rootDir: join(root, 'core'),
  // A room's own tests are to notice what is changed in it.
  testMatch: (process.env.HUERTA_MUTATE ?? 'core/src')
    .split(',')
    .map((folder) => join(root, folder, '**/*.test.ts')),
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

import { join } from 'node:path';
import { writeKinds } from './tools/kinds.mjs';

writeKinds();

export default {
  // Both processors: they have nothing else to do meanwhile.
  maxWorkers: '100%',
  // Nothing is measured by these: a slow disk must not fail a test that waits for it.
  testTimeout: 300_000,
  projects: ['core', 'contract', 'server', 'web'].map((name) => ({
    displayName: name,
    rootDir: `<rootDir>/${name}`,
    testMatch: ['<rootDir>/src/**/*.test.{ts,tsx}'],
    testEnvironment: 'node',
    setupFiles: [join(import.meta.dirname, 'jest.setup.cjs')],
    // A package that comes as a module alone, which Jest cannot load as it is.
    transformIgnorePatterns: ['/node_modules/(?!property-graph/)'],
    moduleNameMapper: { '\\.css$': join(import.meta.dirname, 'jest.css.cjs') },
    transform: {
      '\\.([tj]sx?|mjs)$': [
        join(import.meta.dirname, 'jest.transform.cjs'),
        {
          jsc: {
            parser: { syntax: 'typescript', tsx: true },
            target: 'es2022',
            transform: { react: { runtime: 'automatic' } },
          },
          module: { type: 'commonjs' },
        },
      ],
    },
  })),
};

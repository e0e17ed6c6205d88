import { readdirSync } from 'node:fs';
import js from '@eslint/js';
import globals from 'globals';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/**
 * Which folders of core each folder may import from, bottom to top. A folder may use those listed
 * before it and itself, never those after it.
 */
const CORE_LAYERS = [
  'units',
  'numerics',
  'catalog',
  'document',
  'geometry/vessels',
  'physics/soil',
  'geometry/packing',
  'physics/wick',
  'physics/overflow',
  'physics/pipes',
  'physics/crop',
  'physics/climate',
  'physics/column',
  'assembly',
  'assessment',
  'simulation/season',
  'simulation/waterLine',
  'journal',
  'simulation/moisture',
  'fabrication',
  'planning',
  'drawing',
  'testing',
];

const refuse = (group, message) => ({ group, message });

/** What an import from `layer` says of `above`: its whole path, or its last part beside it in one folder. */
const namesOf = (layer, above) => {
  const [group, name] = above.split('/');
  const beside = name && layer.startsWith(`${group}/`) ? [`../${name}`, `../${name}/**`] : [];
  return [`**/../${above}`, `**/../${above}/**`, ...beside];
};

/** Each layer refuses imports of the layers above it; tests may also use `testing`. */
const coreDirections = CORE_LAYERS.map((layer, i) => ({
  files: [`core/src/${layer}/**/*.ts`],
  ignores: ['**/*.test.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          refuse(
            CORE_LAYERS.slice(i + 1).flatMap((above) => namesOf(layer, above)),
            'Imports in core go one way: see docs/architecture.md.',
          ),
          refuse(['react', 'react-dom', 'node:*', 'express', 'sequelize'], 'core is pure.'),
          refuse(['@huerta/*'], 'core is at the bottom.'),
        ].filter((pattern) => pattern.group.length > 0),
      },
    ],
  },
}));

/** The layers of the pages, bottom to top; features besides never import each other. */
const WEB_LAYERS = ['data/offline', 'data/api', 'compute', 'ui', 'drawing', 'features', 'app'];
const FEATURES = readdirSync(new URL('web/src/features', import.meta.url));
const NOT_THE_PAGES = refuse(
  ['@huerta/server', 'express', 'sequelize'],
  'web may not import this: see docs/architecture.md.',
);

const upwards = (layer, above) =>
  refuse(
    above.flatMap((one) => namesOf(layer, one)),
    'Imports of the pages go one way: see docs/architecture.md.',
  );

const webRule = (files, patterns) => ({
  files,
  ignores: ['**/*.test.{ts,tsx}'],
  rules: { 'no-restricted-imports': ['error', { patterns: [NOT_THE_PAGES, ...patterns] }] },
});

const webDirections = [
  webRule(['web/src/**/*.{ts,tsx}'], []),
  ...WEB_LAYERS.filter((layer) => layer !== 'features').map((layer) =>
    webRule(
      [`web/src/${layer}/**/*.{ts,tsx}`],
      [upwards(layer, WEB_LAYERS.slice(WEB_LAYERS.indexOf(layer) + 1))].filter(
        ({ group }) => group.length > 0,
      ),
    ),
  ),
  ...FEATURES.map((feature) =>
    webRule(
      [`web/src/features/${feature}/**/*.{ts,tsx}`],
      [
        upwards('features', ['app']),
        refuse(
          FEATURES.filter((other) => other !== feature).flatMap((other) => [
            `../${other}/**`,
            `../../${other}/**`,
          ]),
          'Features do not import each other.',
        ),
      ],
    ),
  ),
];

const room = (folder, forbidden) => ({
  files: [`${folder}/**/*.{ts,tsx}`],
  rules: {
    'no-restricted-imports': [
      'error',
      { patterns: [refuse(forbidden, `${folder} may not import this: see docs/architecture.md.`)] },
    ],
  },
});

export default tseslint.config(
  {
    ignores: ['**/dist', '**/node_modules', '.cache', '.data', 'test-results', 'playwright-report'],
  },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  {
    languageOptions: { globals: globals.node },
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { varsIgnorePattern: '^_', argsIgnorePattern: '^_' },
      ],
    },
  },
  {
    files: ['**/*.test.ts', '**/*.test.tsx'],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off' },
  },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    languageOptions: { globals: globals.browser },
    rules: reactHooks.configs.recommended.rules,
  },
  // A longer one says why above it.
  {
    files: ['core/src/**/*.ts', 'contract/src/**/*.ts', 'server/src/**/*.ts', 'web/src/**/*.ts'],
    ignores: ['**/*.test.ts', '**/testing/**'],
    rules: { 'max-lines-per-function': ['error', 80] },
  },
  {
    files: ['web/src/**/*.tsx'],
    ignores: ['**/*.test.tsx', '**/testing/**'],
    rules: { 'max-lines-per-function': ['error', 120] },
  },
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  ...coreDirections,
  room('contract', ['@huerta/server', '@huerta/web', 'react', 'express']),
  room('server', ['@huerta/web', 'react']),
  ...webDirections,
);

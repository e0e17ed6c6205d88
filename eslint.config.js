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
  'physics/crop',
  'physics/climate',
  'physics/column',
  'assembly',
  'assessment',
  'simulation/season',
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
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  ...coreDirections,
  room('contract', ['@huerta/server', '@huerta/web', 'react', 'express']),
  room('server', ['@huerta/web', 'react']),
  room('web', ['@huerta/server', 'express', 'sequelize']),
);

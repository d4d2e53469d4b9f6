const expo = require('eslint-config-expo/flat')

/** The rooms of the core, from the ground up: each may look into those before it and not into those behind. */
const floors = [
  'electric',
  'physics',
  'parts',
  'diagram',
  'circuit',
  'changes',
  'visit',
  'places',
  'world',
  'diagnosis',
  'formats',
  'bench',
  'families',
  'units',
]
const coreRooms = floors.flatMap((room, floor) =>
  floors.slice(floor + 1).map((above) => [`packages/core/${room}`, `packages/core/${above}`]),
)

/** Which room may not look into which: arrows point one way. */
const rooms = [
  ...coreRooms,
  ['packages/core', 'packages/contract'],
  ['packages/core', 'apps'],
  ['packages/contract', 'apps'],
  ['apps/field', 'apps/server'],
  ['apps/field', 'apps/cli'],
  ['apps/server', 'apps/field'],
  ['apps/server', 'apps/cli'],
  ['apps/cli', 'apps/field'],
  ['apps/cli', 'apps/server'],
  ['apps/server/services', 'apps/server/routes'],
  ['apps/server/archive', 'apps/server/routes'],
  ['apps/server/services', 'apps/server/archive'],
  ['apps/server/paper', 'apps/server/services'],
  ['apps/server/paper', 'apps/server/routes'],
  ['apps/server/requests', 'apps/server/routes'],
  ['apps/server/requests', 'apps/server/services'],
  ['apps/field/ui', 'apps/field/features'],
  ['apps/field/ui', 'apps/field/app'],
  ['apps/field/workers', 'apps/field/features'],
]

/**
 * Words of the diagnosis that the screens use themselves. All else of it is the worker's: with one function
 * of the solver its whole code would come in the first load.
 */
const forScreens = ['words', 'schools', 'provenStops', 'reasoning', 'hotFromVolts']
const solverIsTheWorkers = (group) => ({
  '@typescript-eslint/no-restricted-imports': [
    'error',
    {
      patterns: [
        { regex: group, allowTypeImports: true, message: 'the solver is not part of the first load' },
      ],
    },
  ],
})

/** Rules about components are for the application without its tests: elsewhere there are none to look for. */
const ofTheApplication = (config) =>
  config.plugins?.react
    ? { ...config, files: ['apps/field/**/*.{js,ts,tsx}'], ignores: ['**/*.test.{ts,tsx}'] }
    : config

module.exports = [
  {
    ignores: [
      '**/node_modules/**',
      '**/dist/**',
      '**/generated/**',
      '**/.expo/**',
      '.jokulgale/**',
      '**/test-results/**',
    ],
  },
  ...expo.map(ofTheApplication),
  {
    settings: {
      'import/resolver': {
        typescript: {
          project: ['packages/*/tsconfig.json', 'apps/*/tsconfig.json', 'e2e/tsconfig.json'],
          noWarnOnMultipleProjects: true,
        },
      },
    },
    rules: {
      // oxlint and its compiler look for these, a hundred times as fast
      'import/no-cycle': 'off',
      'import/no-named-as-default-member': 'off',
      'import/namespace': 'off',
      'import/named': 'off',
      'import/default': 'off',
      'import/no-unresolved': 'off',
      'import/no-named-as-default': 'off',
      'no-redeclare': 'off',
      '@typescript-eslint/no-redeclare': 'off',
      'no-unused-vars': 'off',
      '@typescript-eslint/no-unused-vars': 'off',
      'import/no-restricted-paths': [
        'error',
        {
          zones: rooms.map(([room, from]) => ({
            target: `./${room}/**/!(*.test).{ts,tsx}`,
            from: `./${from}`,
          })),
        },
      ],
      'max-lines': ['error', { max: 400, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    files: ['packages/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['node:*', 'react', 'react-native'],
              message: 'the core has no files, no interface, no clock',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['apps/field/**/*.{ts,tsx}'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          paths: [
            {
              name: 'react-native',
              importNames: [
                'FlatList',
                'SectionList',
                'VirtualizedList',
                'CheckBox',
                'Switch',
                'ProgressBar',
              ],
              message: 'metro.config.js leaves it out of the bundle',
            },
            {
              name: 'expo-router',
              importNames: ['Stack', 'Tabs', 'Sitemap'],
              message: 'metro.config.js leaves it out of the bundle',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['apps/field/{app,features,ui}/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}'],
    rules: solverIsTheWorkers(`^@jokulgale/core/diagnosis/(?!(${forScreens.join('|')})$)`),
  },
  {
    files: [`packages/core/diagnosis/{${forScreens.join(',')}}.ts`],
    rules: solverIsTheWorkers(`^\\./(?!(${forScreens.join('|')})$)`),
  },
  {
    files: ['**/*.ts', '**/*.tsx'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
    },
  },
  {
    files: ['apps/server/**/*.ts'],
    ignores: ['apps/server/db/ofShop.ts', '**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "CallExpression[callee.name='eq'][arguments.0.property.name='shopId']",
          message: 'a shop’s rows are asked for through ofShop',
        },
      ],
    },
  },
  { files: ['**/*.ts', '**/*.tsx'], rules: { complexity: ['error', 20] } },
]

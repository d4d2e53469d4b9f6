const expo = require('eslint-config-expo/flat')

/** Which room may look into which: arrows point one way. */
const rooms = [
  [
    'packages/core/electric',
    [
      'packages/core/diagram',
      'packages/core/parts',
      'packages/core/circuit',
      'packages/core/diagnosis',
      'packages/core/visit',
      'packages/core/formats',
      'packages/core/units',
    ],
  ],
  [
    'packages/core/parts',
    [
      'packages/core/circuit',
      'packages/core/diagnosis',
      'packages/core/visit',
      'packages/core/formats',
      'packages/core/units',
    ],
  ],
  [
    'packages/core/diagram',
    [
      'packages/core/circuit',
      'packages/core/diagnosis',
      'packages/core/visit',
      'packages/core/formats',
      'packages/core/units',
    ],
  ],
  ['packages/core/circuit', ['packages/core/diagnosis', 'packages/core/formats', 'packages/core/visit']],
  [
    'packages/core/bench',
    [
      'packages/core/circuit',
      'packages/core/diagnosis',
      'packages/core/visit',
      'packages/core/parts',
      'packages/core/diagram',
    ],
  ],
  ['packages/core', ['packages/contract', 'apps']],
  ['packages/contract', ['apps']],
  ['apps/field', ['apps/server', 'apps/cli']],
  ['apps/server', ['apps/field', 'apps/cli']],
  ['apps/cli', ['apps/field', 'apps/server']],
  ['apps/server/services', ['apps/server/routes']],
  ['apps/server/requests', ['apps/server/routes', 'apps/server/services']],
  ['apps/field/ui', ['apps/field/features', 'apps/field/app']],
]

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
  ...expo,
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
      'import/no-cycle': 'error',
      'import/no-named-as-default-member': 'off',
      'import/no-restricted-paths': [
        'error',
        {
          zones: rooms.flatMap(([target, from]) =>
            from.map((room) => ({ target: `./${target}/**/!(*.test).{ts,tsx}`, from: `./${room}` })),
          ),
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
    files: ['**/*.ts', '**/*.tsx'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
    },
  },
]

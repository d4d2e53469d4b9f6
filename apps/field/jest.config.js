module.exports = {
  displayName: 'field',
  preset: 'jest-expo',
  // the tree above has a plain babel configuration of its own
  transform: {
    '/packages/.*\\.[jt]s$': require.resolve('../../scripts/house/jestTypeScript.cjs'),
    '\\.m?[jt]sx?$': [
      'babel-jest',
      {
        configFile: require.resolve('./babel.config.js'),
        caller: { name: 'metro', bundler: 'metro', platform: 'ios' },
      },
    ],
  },
  testMatch: ['<rootDir>/**/*.test.ts', '<rootDir>/**/*.test.tsx'],
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
  transformIgnorePatterns: [
    '/node_modules/(?!(.pnpm|react-native|@react-native|@react-native-community|expo|@expo|@expo-google-fonts|react-navigation|@react-navigation|@rneui|react-redux|@reduxjs/toolkit|immer|redux|redux-thunk|reselect|standard-navigation|native-base|d3-[a-z-]+|internmap|@jokulgale)/?)',
  ],
}

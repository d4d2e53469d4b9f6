const plain = (name, folder) => ({
  displayName: name,
  rootDir: folder,
  testEnvironment: 'node',
  testMatch: ['<rootDir>/**/*.test.ts'],
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
  transform: { '\\.[jt]s$': require.resolve('./scripts/house/jestTypeScript.cjs') },
  transformIgnorePatterns: ['/node_modules/(?!(@jokulgale)/)'],
})

module.exports = {
  // a loaded machine is slow, not wrong
  testTimeout: 60_000,
  projects: [
    plain('core', 'packages/core'),
    plain('contract', 'packages/contract'),
    plain('cli', 'apps/cli'),
    plain('server', 'apps/server'),
    '<rootDir>/apps/field',
  ],
}

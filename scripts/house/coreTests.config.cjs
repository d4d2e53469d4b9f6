const { testTimeout, projects } = require('../../jest.config')

const [core] = projects

/** Jest for the core's tests as one file. */
module.exports = {
  ...core,
  testTimeout,
  rootDir: '../..',
  roots: ['<rootDir>/packages/core', '<rootDir>/scripts/house'],
  testMatch: ['<rootDir>/scripts/house/coreTests.cjs'],
}

const { readdirSync } = require('node:fs')
const path = require('node:path')
const { describe } = require('@jest/globals')

/**
 * The core's tests, or a share of them, as one file: on the same modules, which are read, compiled and warmed once for
 * all. The core keeps no state, so that no test can tell. `TESTS_PART` is which share, as 1/2.
 */
const core = path.resolve('packages/core')

const testFilesBelow = (folder) =>
  readdirSync(folder, { withFileTypes: true })
    .filter(({ name }) => name !== 'node_modules')
    .flatMap((entry) => {
      const file = path.join(folder, entry.name)
      if (entry.isDirectory()) return testFilesBelow(file)
      return entry.name.endsWith('.test.ts') ? [file] : []
    })
    .sort()

const [part, of] = (process.env.TESTS_PART ?? '1/1').split('/').map(Number)

for (const file of testFilesBelow(core).filter((_, k) => k % of === part - 1))
  describe(path.relative(core, file), () => {
    require(file)
  })

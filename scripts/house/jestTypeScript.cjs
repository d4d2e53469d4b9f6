const { createHash } = require('node:crypto')
const { transformSync, version } = require('esbuild')

/**
 * Each test file runs in a context of its own, in which every look at a global goes through an interceptor:
 * numerical code is two to three times as slow there. So each module takes once what the language itself brings;
 * no test puts anything else in its place.
 */
const takenOnce = [
  ['Array', 'Map', 'Math', 'Number', 'Set', 'String', 'Symbol', 'JSON'],
  ['Float32Array', 'Float64Array', 'Int32Array', 'Uint8Array', 'Uint32Array'],
  ['Error', 'RangeError', 'TypeError', 'Infinity', 'NaN'],
].flat()

/** @type {import('esbuild').TransformOptions} */
const options = {
  banner: `const ${takenOnce.map((name) => `${name} = globalThis.${name}`).join(', ')};`,
  format: 'cjs',
  loader: 'ts',
  // `undefined` is a global as well, and becomes `void 0`
  minifySyntax: true,
  platform: 'node',
  sourcemap: 'inline',
  target: 'node20',
}

/** What a file was made with: another esbuild or other options make it anew. */
const madeWith = JSON.stringify([version, options])

/** How Jest reads the plain packages: with esbuild, which takes less time for a file than Babel. */
module.exports = {
  getCacheKey: (source, file, { configString }) =>
    createHash('sha1').update([madeWith, configString, file, source].join('\0')).digest('hex'),
  process: (source, sourcefile) => transformSync(source, { ...options, sourcefile }),
}

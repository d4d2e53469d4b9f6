// For tests of the plain packages; the application has its own.
module.exports = {
  plugins: [require.resolve('./scripts/house/takeGlobalsOnce.cjs')],
  presets: [['@babel/preset-env', { targets: { node: 'current' } }], '@babel/preset-typescript'],
}

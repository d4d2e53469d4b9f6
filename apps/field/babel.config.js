module.exports = (api) => {
  api.cache.using(() => process.env.NODE_ENV ?? '')
  return {
    presets: ['babel-preset-expo'],
    // tests run without modules of the engine’s own, and load a lazy piece like any other
    env: { test: { plugins: [require.resolve('@babel/plugin-transform-dynamic-import')] } },
  }
}

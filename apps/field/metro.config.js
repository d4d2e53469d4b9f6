const { getDefaultConfig } = require('expo/metro-config')

const config = getDefaultConfig(__dirname)

// React Native Elements asks for every icon set there is; the application registers the one it uses.
const left = /^(react-native-vector-icons|@react-native-vector-icons|react-native-linear-gradient)(\/|$)/
config.resolver.resolveRequest = (context, name, platform) => {
  if (left.test(name) && context.originModulePath.includes('@rneui')) return { type: 'empty' }
  return context.resolveRequest(context, name, platform)
}

module.exports = config

const { getDefaultConfig } = require('expo/metro-config')

const config = getDefaultConfig(__dirname)

// React Native Elements asks for every icon set there is; the application registers the one it uses.
const left = /^(react-native-vector-icons|@react-native-vector-icons|react-native-linear-gradient)(\/|$)/
config.resolver.resolveRequest = (context, name, platform) => {
  if (left.test(name) && context.originModulePath.includes('@rneui')) return { type: 'empty' }
  return context.resolveRequest(context, name, platform)
}

// A module is run when it is first used, and not while the application starts.
const { getTransformOptions } = config.transformer
config.transformer.getTransformOptions = async (...given) => {
  const { transform, ...rest } = await getTransformOptions(...given)
  return { ...rest, transform: { ...transform, inlineRequires: true } }
}

// While the application is worked on, the API stands behind it on the same address.
const api = process.env.API_ORIGIN
if (api) {
  const { createProxyMiddleware } = require('http-proxy-middleware')
  const toApi = createProxyMiddleware({ target: api })
  config.server.enhanceMiddleware = (metro) => (request, response, next) =>
    request.url.startsWith('/api/') ? toApi(request, response, next) : metro(request, response, next)
}

module.exports = config

const { readdirSync } = require('node:fs')
const path = require('node:path')
const { getDefaultConfig } = require('expo/metro-config')

const config = getDefaultConfig(__dirname)

// React Native Elements asks for every icon set there is; the application registers the one it uses.
const left = /^(react-native-vector-icons|@react-native-vector-icons|react-native-linear-gradient)(\/|$)/
config.resolver.resolveRequest = (context, name, platform) => {
  if (left.test(name) && context.originModulePath.includes('@rneui')) return { type: 'empty' }
  // what is imported and handed on would come in twice, as a module and for require
  if (name === 'immer') return context.resolveRequest({ ...context, isESMImport: true }, name, platform)
  return context.resolveRequest(context, name, platform)
}

// A module of the screens is run when it is first used, and not while the application starts. What solves
// circuits is left as it is: looking a function up anew at each use would cost more than it saves.
const solving = path.join(__dirname, '..', '..', 'packages', 'core')
const blockList = Object.fromEntries(
  readdirSync(solving, { recursive: true })
    .filter((name) => name.endsWith('.ts'))
    .map((name) => [path.join(solving, name), true]),
)
const { getTransformOptions } = config.transformer
config.transformer.getTransformOptions = async (...given) => {
  const { transform, ...rest } = await getTransformOptions(...given)
  return { ...rest, transform: { ...transform, inlineRequires: { blockList } } }
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

const { readdirSync } = require('node:fs')
const path = require('node:path')
const { getDefaultConfig } = require('expo/metro-config')

const config = getDefaultConfig(__dirname)

// React Native Elements asks for every icon set there is; the application registers the one it uses.
const left = /^(react-native-vector-icons|@react-native-vector-icons|react-native-linear-gradient)(\/|$)/
// The router hands on every kind of navigator that it has, and React Native every kind of list. The
// application goes by one screen at a time and windows no list: these stay out of what a phone loads first.
const unused = new RegExp(
  [
    'expo-router/build/(native-tabs|split-view|standard-navigation)/',
    'expo-router/build/react-navigation/(bottom-tabs|native-stack|elements)/',
    'expo-router/build/layouts/(stack-utils|experimental-stack|TabsClient)',
    'expo-router/build/(views/Sitemap|link/preview/HrefPreview)',
    'react-native-web/dist/exports/(FlatList|SectionList|VirtualizedList|CheckBox|Switch|ProgressBar)/',
  ].join('|'),
)
const found = (context, name, platform) => {
  // what is imported and handed on would come in twice, as a module and for require
  if (name === 'immer') return context.resolveRequest({ ...context, isESMImport: true }, name, platform)
  return context.resolveRequest(context, name, platform)
}
config.resolver.resolveRequest = (context, name, platform) => {
  if (left.test(name) && context.originModulePath.includes('@rneui')) return { type: 'empty' }
  const module = found(context, name, platform)
  return unused.test(module.filePath) ? { type: 'empty' } : module
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

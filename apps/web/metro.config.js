/**
 * Metro for the web target. The component kit names every icon family and the schema library every language of its
 * own messages; neither is used here, so neither is bundled.
 */
const { getDefaultConfig } = require('expo/metro-config');
const { readFileSync } = require('node:fs');
const path = require('node:path');

const config = getDefaultConfig(__dirname);
const ICON_FAMILY = /^(@expo\/vector-icons|react-native-vector-icons|@react-native-vector-icons)(\/|$)/;
config.resolver.assetExts.push('woff2');
// What Babel is told is not in the key that Metro keeps its files under.
config.cacheVersion = readFileSync(path.join(__dirname, 'babel.config.js'), 'utf8');
const noIcons = path.join(__dirname, 'src/ui/noIcons.js');

const wasResolving = config.resolver.resolveRequest;
config.resolver.resolveRequest = (context, name, platform) => {
  if (ICON_FAMILY.test(name) && context.originModulePath.includes(`${path.sep}@rneui${path.sep}`)) {
    return { type: 'sourceFile', filePath: noIcons };
  }
  if (/locales\/index\.js$/.test(name) && context.originModulePath.includes(`${path.sep}zod${path.sep}`)) {
    return { type: 'sourceFile', filePath: path.join(path.dirname(context.originModulePath), '../locales/en.js') };
  }
  return (wasResolving ?? context.resolveRequest)(context, name, platform);
};

// In development the server runs beside: what is asked of the API goes there, under the page's own name.
if (process.env.TORVIN_API) {
  const { createProxyMiddleware } = require('http-proxy-middleware');
  const toServer = createProxyMiddleware({ target: process.env.TORVIN_API, pathFilter: '/api' });
  config.server.enhanceMiddleware = (metro) => (request, response, next) => toServer(request, response, () => metro(request, response, next));
}

module.exports = config;

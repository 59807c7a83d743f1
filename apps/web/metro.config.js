/**
 * Metro for the web target. The component kit names every icon family, the schema library every language of its own messages,
 * the router tabs and stacks of phones: none is used here, so none is bundled.
 */
const { getDefaultConfig } = require('expo/metro-config');
const { readFileSync } = require('node:fs');
const path = require('node:path');

const config = getDefaultConfig(__dirname);
const ICON_FAMILY = /^(@expo\/vector-icons|react-native-vector-icons|@react-native-vector-icons)(\/|$)/;
config.resolver.assetExts.push('woff2');
// A module is set up when what it holds is first wanted, not when a page that might want it is read.
config.transformer.getTransformOptions = async () => ({ transform: { experimentalImportSupport: true, inlineRequires: true } });
// What Babel is told is not in the key that Metro keeps its files under.
config.cacheVersion = readFileSync(path.join(__dirname, 'babel.config.js'), 'utf8') + require('./pastIndexes').digest();

/** A module's name within its package, as one that imports it writes it. */
const within = (...names) => new RegExp(`(^|/)(${names.join('|')})(/index)?(\\.js)?$`);
/** What is replaced: where it is asked for from, by which names, and by what. */
const INSTEAD = [
  [/@rneui\//, ICON_FAMILY, 'noIcons.js'],
  [/expo-router\/build\//, within('layouts/Stack', 'layouts/Tabs', 'views/Sitemap', 'useSitemap', 'Toast', 'HrefPreview'), 'notShown.js'],
  [/expo-router\/build\//, within('createNativeStackNavigator', 'NativeTabTrigger', '@react-navigation/bottom-tabs'), 'notShown.js'],
  [/expo-router\/build\//, /^react-native(-web(\/dist\/index)?)?$/, 'native.js'],
  [/@rneui\//, within('ListItem.ButtonGroup', 'ListItem.CheckBox', 'ListItem.Input', 'ListItem.Swipeable', 'ListItem.Accordion'), 'notShown.js'],
  [/@rneui\//, within('getIconType'), 'noIcons.js'],
  [/@rneui\//, /^color$/, 'colour.js'],
  [/react-native-web\/dist\/vendor\/react-native\/Animated\//, within('AnimatedFlatList', 'AnimatedSectionList'), 'notShown.js'],
  [/uuid\/dist\/index\.js$/, within('v1', 'v3', 'v4', 'v5', 'v6', 'v1ToV6', 'v6ToV1'), 'notShown.js'],
  [/react-native-svg\/lib\//, /^buffer$/, 'notShown.js'],
].map(([from, name, file]) => ({ from, name, filePath: path.join(__dirname, 'instead', file) }));

const wasResolving = config.resolver.resolveRequest;
config.resolver.resolveRequest = (context, name, platform) => {
  const origin = context.originModulePath.split(path.sep).join('/');
  const instead = INSTEAD.find((one) => one.name.test(name) && one.from.test(origin));
  if (instead) return { type: 'sourceFile', filePath: instead.filePath };
  if (/locales\/index\.js$/.test(name) && origin.includes('/zod/')) {
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

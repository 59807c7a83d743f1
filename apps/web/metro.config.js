/** Metro for the web target. The component kit names every icon family; none of them is used here, so none is bundled. */
const { getDefaultConfig } = require('expo/metro-config');
const path = require('node:path');

const config = getDefaultConfig(__dirname);
const ICON_FAMILY = /^(@expo\/vector-icons|react-native-vector-icons|@react-native-vector-icons)(\/|$)/;
const noIcons = path.join(__dirname, 'src/ui/noIcons.js');

const wasResolving = config.resolver.resolveRequest;
config.resolver.resolveRequest = (context, name, platform) => {
  if (ICON_FAMILY.test(name) && context.originModulePath.includes(`${path.sep}@rneui${path.sep}`)) {
    return { type: 'sourceFile', filePath: noIcons };
  }
  return (wasResolving ?? context.resolveRequest)(context, name, platform);
};

module.exports = config;

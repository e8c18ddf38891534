const { dirname, join } = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);

/**
 * What packages bring and the application never asks for: the whole font of seven
 * thousand icons (ours are drawn by `src/ui/Icon.tsx`), messages of the schema
 * library in forty languages, and its way back from JSON Schema.
 */
const isLeftOut = (name, from) =>
  name === '@react-native-vector-icons/material-design-icons' ||
  (/[\\/]zod[\\/]v4[\\/]/.test(from) && ['../locales/index.js', './from-json-schema.js'].includes(name));

config.resolver.resolveRequest = (context, name, platform) =>
  isLeftOut(name, context.originModulePath) ? { type: 'empty' } : context.resolveRequest(context, name, platform);

/** Asks the page at once where its script came from: later it is not told any more. */
const atOnce = join(dirname(require.resolve('expo/package.json')), 'src/winter/ImportMetaRegistry.ts');

// A module is run when something of it is first used, not when the page begins: most of them are not needed then.
config.transformer.getTransformOptions = async () => ({
  transform: { experimentalImportSupport: true, inlineRequires: { blockList: { [atOnce]: true } } },
});

module.exports = config;

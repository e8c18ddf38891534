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

module.exports = config;

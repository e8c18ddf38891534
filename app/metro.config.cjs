const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);

// The component library would bring the whole font of seven thousand icons; ours are drawn by `src/ui/Icon.tsx`.
config.resolver.resolveRequest = (context, name, platform) =>
  name === '@react-native-vector-icons/material-design-icons'
    ? { type: 'empty' }
    : context.resolveRequest(context, name, platform);

module.exports = config;

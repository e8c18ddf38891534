module.exports = (api) => {
  api.cache(true);
  return {
    presets: ['babel-preset-expo'],
    // Each control of the component library is brought by itself, not the whole of it.
    env: { production: { plugins: [['react-native-paper/babel', { mappings: require.resolve('./paperParts.cjs') }]] } },
  };
};

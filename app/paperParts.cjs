const { name, index, mappings } = require('react-native-paper/lib/mappings.json');

/** Where each thing of the component library lies; the library's own list leaves its themes out. */
const theme = (key) => ({ path: 'lib/module/styles/themes', name: key });

module.exports = {
  name,
  index,
  mappings: { ...mappings, MD3DarkTheme: theme('MD3DarkTheme'), MD3LightTheme: theme('MD3LightTheme') },
};

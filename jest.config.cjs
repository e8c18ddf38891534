const coreMap = {
  '^@harbor-latch/core$': '<rootDir>/../core/src/index.ts',
  '^@harbor-latch/core/(.*)$': '<rootDir>/../core/src/$1.ts',
  '^@harbor-latch/server/(.*)$': '<rootDir>/../server/src/$1.ts',
};
const node = (name) => ({
  displayName: name,
  rootDir: `<rootDir>/${name}`,
  testEnvironment: 'node',
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  transform: { '\\.(tsx?|js)$': '<rootDir>/../tools/jestEsbuild.cjs' },
  // Shipped as modules alone.
  transformIgnorePatterns: ['node_modules/(?!(d3-random|uuid|@noble|json-canonicalize|fflate)/)'],
  moduleNameMapper: coreMap,
});

// What the app's packages ship in modules, which Jest does not take.
const shippedAsModules = [
  'react-hotkeys-hook',
  'react-native-(?!reanimated|worklets)[^/]+',
  'expo(?!-router)[^/]*',
  '@expo/[^/]+',
  '@expo-google-fonts/[^/]+',
  'react-navigation',
  '@react-navigation/[^/]+',
  '@react-native-vector-icons/[^/]+',
  'd3-[^/]+',
  'internmap',
  'comlink',
  'uuid',
  '@noble/[^/]+',
  'json-canonicalize',
  'fflate',
];
// What esbuild cannot translate: types of another kind, routes read from folders.
const shippedAsSource = [
  'jest-react-native',
  'react-native',
  '@react-native(-community)?',
  'expo-router',
  '@harbor-latch',
];
const translated = [...shippedAsModules, ...shippedAsSource];

module.exports = {
  testTimeout: 120_000,
  // Jest leaves one core free; here most files wait for other processes, so all cores are used.
  maxWorkers: '100%',
  projects: [
    node('core'),
    {
      ...node('server'),
      globalSetup: '<rootDir>/../tools/src/jestDatabase.ts',
      globalTeardown: '<rootDir>/../tools/src/jestDatabaseStop.ts',
    },
    node('cli'),
    node('tools'),
    {
      displayName: 'app',
      rootDir: '<rootDir>/app',
      preset: 'jest-expo/web',
      testMatch: ['<rootDir>/src/**/*.test.{ts,tsx}'],
      transform: {
        '\\.mjs$': '<rootDir>/../tools/jestEsbuild.cjs',
        // In a third of Babel's time, which is left for tests: it puts their mocks before what they bring.
        '/(core|server)/(src|testing)/.*\\.ts$': '<rootDir>/../tools/jestEsbuild.cjs',
        '/app/src/(?!.*\\.test\\.)(?!.*fixture).*\\.tsx?$': '<rootDir>/../tools/jestEsbuild.cjs',
        [`node_modules/(${shippedAsModules.join('|')})/.*\\.js$`]: '<rootDir>/../tools/jestEsbuild.cjs',
      },
      transformIgnorePatterns: [`node_modules/(?!(${translated.join('|')}))`],
      // As the translator of the screens has it.
      moduleNameMapper: { ...coreMap, '^react-native$': 'react-native-web/dist/index.js' },
    },
  ],
};

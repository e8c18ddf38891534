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

// What the app's packages ship untranspiled and Jest must translate itself.
const translated = [
  'react-hotkeys-hook',
  '(jest-)?react-native',
  '@react-native(-community)?',
  'expo(nent)?',
  '@expo(nent)?/.*',
  '@expo-google-fonts/.*',
  'react-navigation',
  '@react-navigation/.*',
  'react-native-svg',
  'react-native-paper',
  '@react-native-vector-icons/.*',
  '@harbor-latch/.*',
  'd3-.*',
  'internmap',
  'comlink',
  'uuid',
  '@noble',
  'json-canonicalize',
  'fflate',
];

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
        // What has no interface needs nothing of Babel.
        '/(core|server)/(src|testing)/.*\\.ts$': '<rootDir>/../tools/jestEsbuild.cjs',
      },
      transformIgnorePatterns: [`node_modules/(?!(${translated.join('|')}))`],
      moduleNameMapper: coreMap,
    },
  ],
};

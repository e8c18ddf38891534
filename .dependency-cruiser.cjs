// Imports run downwards only. Ground floor first; a floor knows only those below it.
const coreFloors = [
  'units',
  'reference',
  'job',
  'wiring',
  'circuit',
  'water',
  'schemes',
  'file',
  'records',
  'wire',
  'findings',
  'sizing',
  'explain',
  'assess',
  'runs',
  'build',
  'prove',
  'log',
  'trace',
  'drawing',
  'documents',
];

const floorRules = coreFloors.map((floor, index) => ({
  name: `core-${floor}-knows-only-below`,
  severity: 'error',
  from: { path: `^core/src/${floor}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^core/src/(${coreFloors.slice(index + 1).join('|') || 'none'})/` },
}));

module.exports = {
  forbidden: [
    ...floorRules,
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'no-orphans',
      severity: 'error',
      from: { orphan: true, pathNot: ['\\.d\\.ts$', 'endless\\.fixture', '\\.config\\.', 'babel', 'metro'] },
      to: {},
    },
    {
      name: 'core-without-interface-or-machine',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: { path: 'node_modules/(react|react-native|expo|express|pg|drizzle)', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'core-without-input-output',
      severity: 'error',
      from: { path: '^core/', pathNot: '(\\.test|^core/testing/.*\\.fixture)\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-knows-no-other-house',
      severity: 'error',
      from: { path: '^core/' },
      to: { path: '^(app|server|cli|tools|e2e)/' },
    },
    {
      name: 'app-knows-core-only',
      severity: 'error',
      from: { path: '^app/' },
      to: { path: '^(server|cli|tools|e2e)/' },
    },
    {
      name: 'server-knows-core-only',
      severity: 'error',
      from: { path: '^server/', pathNot: '\\.test\\.ts$' },
      to: { path: '^(app|cli|tools|e2e)/' },
    },
    {
      name: 'cli-knows-core-only',
      severity: 'error',
      from: { path: '^cli/' },
      to: { path: '^(app|server|tools|e2e)/' },
    },
    { name: 'routes-are-thin', severity: 'error', from: { path: '^app/src/app/' }, to: { path: '^app/src/drawing/' } },
    {
      name: 'ui-knows-no-feature',
      severity: 'error',
      from: { path: '^app/src/ui/' },
      to: { path: '^app/src/(features|app|data|drawing)/' },
    },
    {
      name: 'data-knows-no-screen',
      severity: 'error',
      from: { path: '^app/src/data/' },
      to: { path: '^app/src/(features|app|drawing|ui)/' },
    },
    {
      name: 'drawing-knows-no-feature',
      severity: 'error',
      from: { path: '^app/src/drawing/' },
      to: { path: '^app/src/(features|app)/' },
    },
    {
      name: 'features-know-no-route',
      severity: 'error',
      from: { path: '^app/src/features/' },
      to: { path: '^app/src/app/' },
    },
    {
      // The table of stations puts them together; nothing else of one feature asks another.
      name: 'features-know-no-other',
      severity: 'error',
      from: { path: '^app/src/features/([^/]+)/', pathNot: '^app/src/features/circuit/stations\\.tsx$' },
      to: { path: '^app/src/features/[^/]+/', pathNot: '^app/src/features/$1/' },
    },
    {
      name: 'fields-and-saving-know-no-feature',
      severity: 'error',
      from: { path: '^app/src/(fields|saving|workers)/' },
      to: { path: '^app/src/(features|app)/' },
    },
    {
      name: 'no-test-in-code',
      severity: 'error',
      from: { pathNot: '\\.test\\.tsx?$' },
      to: { path: '\\.test\\.tsx?$' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|\\.expo|\\.local|assets|migrations)/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.cjs', '.mjs', '.json'],
    },
  },
};

import { runTogether, type Step } from './run';

const workspaces = ['core', 'server', 'cli', 'app', 'tools', 'e2e'];
const steps: readonly Step[] = [
  // The longest first, so that the others fill the time beside it.
  { what: 'Lint', script: 'eslint/bin/eslint.js', args: ['.'] },
  // By the native compiler, a third of the time; what else reads TypeScript needs the one before, which is a library.
  // Of a workspace that others use, these read what it declares; the service worker is checked apart, as it runs where
  // there is no page.
  { what: 'Types', script: 'typescript-native/bin/tsc', args: ['-b', ...workspaces, 'app/sw'] },
  // Its newer command formats several files at once.
  {
    what: 'Format',
    script: 'prettier/bin/prettier.cjs',
    args: ['--experimental-cli', '--check', '--log-level', 'warn', '.'],
  },
  {
    what: 'Direction of imports',
    script: 'dependency-cruiser/bin/dependency-cruise.mjs',
    args: [...workspaces.map((workspace) => (workspace === 'e2e' ? workspace : `${workspace}/src`))],
  },
  {
    what: 'Dead code',
    script: 'ts-unused-exports/bin/ts-unused-exports',
    args: [
      'tools/deadCode.json',
      '--allowUnusedTypes',
      '--excludePathsFromReport=core/src/index;app/src/app/;jestDatabase;config',
    ],
  },
];

/** Types, lint, format, imports and dead code; all of them, also after one failed. */
export function allChecks(): Promise<boolean> {
  return runTogether(steps);
}

import { runTogether, type Step } from './run';

const workspaces = ['core', 'server', 'cli', 'app', 'tools', 'e2e'];
/** What is checked apart: it runs where there is no page. */
const typed = [...workspaces, 'app/sw'];

const steps: readonly Step[] = [
  // The longest first, so that the others fill the time beside it.
  { what: 'Lint', script: 'eslint/bin/eslint.js', args: ['.'] },
  ...typed.map((workspace) => ({
    what: `Types of ${workspace}`,
    script: 'typescript/bin/tsc',
    args: ['-p', workspace],
  })),
  { what: 'Format', script: 'prettier/bin/prettier.cjs', args: ['--check', '--log-level', 'warn', '.'] },
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

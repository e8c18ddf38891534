import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export const root = join(__dirname, '../..');
export const folder = mkdtempSync(join(tmpdir(), 'latch-cli-'));
// Translated once for all calls, since translating at each start takes seconds; beside the packages that it asks for.
const bundled = mkdtempSync(join(root, 'node_modules/.latch-cli-'));
const translated = join(bundled, 'main.mjs');
afterAll(() => [folder, bundled].forEach((path) => rmSync(path, { recursive: true })));

beforeAll(() => {
  const esbuild = join(root, 'node_modules/esbuild/bin/esbuild');
  const banner =
    "--banner:js=import { createRequire as requireBy } from 'node:module'; const require = requireBy(import.meta.url);";
  const own = '--alias:@harbor-latch/core=./core/src';
  const options = [
    '--bundle',
    // What only some verbs need is brought by them, as untranslated.
    '--splitting',
    '--out-extension:.js=.mjs',
    '--platform=node',
    '--format=esm',
    '--log-level=error',
    '--external:pdfmake',
    own,
    banner,
  ];
  const made = spawnSync(esbuild, ['cli/src/main.ts', ...options, `--outdir=${bundled}`], {
    cwd: root,
    encoding: 'utf8',
  });
  if (made.status !== 0) throw new Error(made.stderr);
});

/** A program run to its end. */
export const run = (program: string, ...args: readonly string[]) => {
  const { status, stdout, stderr } = spawnSync(program, args, { cwd: root, encoding: 'utf8' });
  return { status, stdout, stderr };
};
/** The headless command, as it is built. */
export const latch = (...args: readonly string[]) => run(process.execPath, translated, ...args);

/** A file of a text in a folder that goes. */
export function fileOf(name: string, text: string): string {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
}

/** What the command says against what it was asked. */
export function refusal(...args: readonly string[]) {
  const { status, stdout, stderr } = latch(...args);
  expect(status).toBe(2);
  expect(stdout).toBe('');
  expect(stderr).not.toMatch(/\n\s+at /);
  return (JSON.parse(stderr) as { error: { code: string; message: string; path: string } }).error;
}

import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { latch as asked, type Answer } from './latch';

export const root = join(__dirname, '../..');
export const folder = mkdtempSync(join(tmpdir(), 'latch-cli-'));
beforeAll(() => process.chdir(root));
afterAll(() => rmSync(folder, { recursive: true }));

/** A program run to its end. */
export const run = (program: string, ...args: readonly string[]) => {
  const { status, stdout, stderr } = spawnSync(program, args, { cwd: root, encoding: 'utf8' });
  return { status, stdout, stderr };
};
/** The headless command without a process of its own, which takes longer to start than most answers do. */
export const latch = (...args: readonly string[]): Promise<Answer> => asked(args);

/** The headless command as the scripts of the package run it. */
export const latchRun = (...args: readonly string[]) =>
  run(process.execPath, '--import', 'tsx', 'cli/src/main.ts', ...args);

/** A file of a text in a folder that goes. */
export function fileOf(name: string, text: string): string {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
}

/** What the command says against what it was asked. */
export async function refusal(...args: readonly string[]) {
  const { status, stdout, stderr } = await latch(...args);
  expect(status).toBe(2);
  expect(stdout).toBe('');
  expect(stderr).not.toMatch(/\n\s+at /);
  return (JSON.parse(stderr) as { error: { code: string; message: string; path: string } }).error;
}

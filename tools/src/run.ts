import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { root } from './places';
import { say } from './say';

/** A command line of one of the repository's packages, run by Node itself so that no wrapper keeps its processes. */
export interface Step {
  readonly what: string;
  /** Path of the script under node_modules. */
  readonly script: string;
  readonly args: readonly string[];
  readonly env?: Readonly<Record<string, string>>;
}

/** Runs a step with its output shown. @returns whether it succeeded. */
export function run({ what, script, args, env }: Step): boolean {
  say(`\n${what} …`);
  const { status } = spawnSync(process.execPath, [join(root, 'node_modules', script), ...args], {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  });
  if (status !== 0) say(`${what}: failed.`);
  return status === 0;
}

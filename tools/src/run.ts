import { spawn } from 'node:child_process';
import { availableParallelism } from 'node:os';
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

const commandOf = ({ script, args }: Step) => [join(root, 'node_modules', script), ...args];
const placeOf = ({ env }: Step) => ({ cwd: root, env: { ...process.env, ...env } });

/** Runs a step with its output shown; servers of this process answer meanwhile. @returns whether it succeeded. */
export function run(step: Step): Promise<boolean> {
  const { what } = step;
  say(`\n${what} …`);
  const child = spawn(process.execPath, commandOf(step), { ...placeOf(step), stdio: ['ignore', 'inherit', 'inherit'] });
  return new Promise((resolve) => {
    const end = (succeeded: boolean) => {
      if (!succeeded) say(`${what}: failed.`);
      resolve(succeeded);
    };
    child.once('error', () => end(false));
    child.once('close', (status) => end(status === 0));
  });
}

/** Runs steps that do not need one another, as many at a time as there are cores; each one's output is shown when it ends. */
export async function runTogether(steps: readonly Step[]): Promise<boolean> {
  const waiting = [...steps];
  let good = true;
  const takeTurns = async () => {
    for (let step = waiting.shift(); step; step = waiting.shift()) good = (await runInTurn(step)) && good;
  };
  await Promise.all(Array.from({ length: availableParallelism() }, takeTurns));
  return good;
}

function runInTurn(step: Step): Promise<boolean> {
  const child = spawn(process.execPath, commandOf(step), { ...placeOf(step), stdio: ['ignore', 'pipe', 'pipe'] });
  const printed: Buffer[] = [];
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (piece: Buffer) => printed.push(piece));
  return new Promise((resolve) => {
    const end = (succeeded: boolean) => {
      process.stdout.write(Buffer.concat(printed));
      say(`${step.what}: ${succeeded ? 'good' : 'failed'}.`);
      resolve(succeeded);
    };
    child.once('error', () => end(false));
    child.once('close', (status) => end(status === 0));
  });
}

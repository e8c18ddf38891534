import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Volts of every node, by its name. */
export type NodeVolts = ReadonlyMap<string, number>;

/**
 * The operating points of SPICE decks, found by ngspice in one batch.
 * @returns one map a deck, in the order given
 * @throws Error when ngspice is not there or a deck has no answer
 */
export function ngspicePoints(decks: readonly string[]): NodeVolts[] {
  const folder = mkdtempSync(join(tmpdir(), 'latch-spice-'));
  try {
    const commands = decks.flatMap((deck, index) => {
      const file = join(folder, `${index}.cir`);
      writeFileSync(file, deck);
      return [`source ${file}`, 'op', `echo deck ${index}`, 'print all', 'destroy all', 'remcirc'];
    });
    const batch = join(folder, 'batch.cir');
    writeFileSync(batch, ['batch', '.control', 'set numdgt=12', ...commands, 'quit', '.endc', '.end', ''].join('\n'));
    const { stdout, stderr, error } = spawnSync('ngspice', ['-b', batch], {
      encoding: 'utf8',
      maxBuffer: 256 * 1024 * 1024,
    });
    if (error) throw error;
    return readPoints(stdout, decks.length, stderr);
  } finally {
    rmSync(folder, { recursive: true });
  }
}

/** What ngspice prints when it is given one deck as it is, in batch mode. */
export function ngspiceAlone(deck: string): { readonly status: number | null; readonly output: string } {
  const folder = mkdtempSync(join(tmpdir(), 'latch-spice-'));
  try {
    const file = join(folder, 'alone.cir');
    writeFileSync(file, deck);
    const { status, stdout } = spawnSync('ngspice', ['-b', file], { encoding: 'utf8' });
    return { status, output: stdout };
  } finally {
    rmSync(folder, { recursive: true });
  }
}

function readPoints(output: string, count: number, complaints: string): NodeVolts[] {
  const points = Array.from({ length: count }, () => new Map<string, number>());
  let current: Map<string, number> | undefined;
  for (const line of output.split('\n')) {
    const [, deck] = /^deck (\d+)/.exec(line) ?? [];
    if (deck !== undefined) current = points[Number(deck)];
    const [, name, value] = /^(\S+) = (\S+)/.exec(line) ?? [];
    if (current && name !== undefined && !name.includes('#')) current.set(name, Number(value));
  }
  points.forEach((point, index) => {
    if (point.size === 0)
      throw new Error(`ngspice found no operating point of deck ${index}: ${complaints.slice(0, 2000)}`);
  });
  return points;
}

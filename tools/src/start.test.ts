import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { root } from './places';

function isThere(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
}

async function until(what: () => boolean, mostMs: number): Promise<boolean> {
  for (const end = Date.now() + mostMs; Date.now() < end;) {
    if (what()) return true;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  return what();
}

describe('what npm runs', () => {
  it.each(['SIGTERM', 'SIGKILL'] as const)('ends when npm itself is ended by %s', async (signal) => {
    const folder = mkdtempSync(join(tmpdir(), 'latch-npm-'));
    const hold = `node ${join(root, 'tools/start.mjs')} endless.fixture`;
    writeFileSync(join(folder, 'package.json'), JSON.stringify({ name: 'held', scripts: { hold } }));
    const npm = spawn('npm', ['run', '--silent', 'hold'], { cwd: folder, stdio: ['ignore', 'pipe', 'ignore'] });
    try {
      let said = '';
      npm.stdout.on('data', (piece: Buffer) => (said += piece.toString()));
      expect(await until(() => /pid \d+/.test(said), 20_000)).toBe(true);
      const pid = Number(/pid (\d+)/.exec(said)?.[1]);
      expect(isThere(pid)).toBe(true);
      npm.kill(signal);
      expect(await until(() => !isThere(pid), 10_000)).toBe(true);
    } finally {
      npm.kill('SIGKILL');
      rmSync(folder, { recursive: true, force: true });
    }
  });
});

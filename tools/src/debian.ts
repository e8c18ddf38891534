import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { say } from './say';

/** A program and the Debian package that brings it. */
export interface DebianProgram {
  readonly path: string;
  readonly debianPackage: string;
  readonly what: string;
}

export const postgresProgram: DebianProgram = {
  path: '/usr/lib/postgresql/15/bin/initdb',
  debianPackage: 'postgresql-15',
  what: 'PostgreSQL 15',
};

export const chromiumProgram: DebianProgram = {
  path: '/usr/bin/chromium',
  debianPackage: 'chromium',
  what: 'Chromium',
};

export const ngspiceProgram: DebianProgram = {
  path: '/usr/bin/ngspice',
  debianPackage: 'ngspice',
  what: 'ngspice',
};

/** Reads papers back in tests. */
export const popplerProgram: DebianProgram = {
  path: '/usr/bin/pdftotext',
  debianPackage: 'poppler-utils',
  what: 'Poppler',
};

/** Installs a Debian package when its program is missing. @throws with the command to run when it cannot. */
export function needProgram({ path, debianPackage, what }: DebianProgram): void {
  if (existsSync(path)) return;
  if (process.getuid?.() !== 0) {
    throw new Error(
      `${what} is missing. Install it once with: sudo apt-get update && sudo apt-get install ${debianPackage}`,
    );
  }
  say(`Installing ${what} from Debian's packages …`);
  const run = (args: readonly string[]) =>
    spawnSync('apt-get', [...args], {
      stdio: ['ignore', 'ignore', 2],
      // Debian would otherwise start a cluster of its own beside ours.
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    }).status === 0;
  run(['update', '-q']);
  if (!run(['install', '-y', '-q', '--no-install-recommends', debianPackage]) || !existsSync(path)) {
    throw new Error(`${what} could not be installed. Try: apt-get update && apt-get install ${debianPackage}`);
  }
}

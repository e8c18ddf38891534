// First step of `npm start` and `npm test` on a fresh machine: packages first, since nothing else runs without them.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = dirname(dirname(fileURLToPath(import.meta.url)));
const [script, ...args] = process.argv.slice(2);

function installPackages() {
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const mark = join(root, 'node_modules', '.installed-lock');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === lock) return;
  process.stderr.write('Installing npm packages (two minutes or so on a fresh machine) …\n');
  const { status } = spawnSync('npm', ['ci', '--loglevel=error'], { cwd: root, stdio: ['ignore', 2, 2] });
  if (status !== 0) {
    process.stderr.write('npm packages could not be installed. Check the network and try again.\n');
    process.exit(1);
  }
  writeFileSync(mark, lock);
}

installPackages();
const child = spawn(process.execPath, ['--import', 'tsx', join(root, 'tools', 'src', `${script}.ts`), ...args], {
  cwd: root,
  stdio: 'inherit',
});
// A terminal's Ctrl-C reaches the child by itself; a signal sent to this process alone is passed on.
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) {
  process.on(signal, () => {
    if (signal !== 'SIGINT' || !process.stdin.isTTY) child.kill(signal);
  });
}
// npm hands a signal to the shell it runs this in, which passes nothing on, and killed it hands on nothing at all: with
// the shell gone, or npm behind it, this ends too.
if (process.env['npm_lifecycle_event'] !== undefined) {
  const above = ancestors();
  setInterval(() => {
    if (ancestors() !== above) child.kill('SIGTERM');
  }, 500).unref();
}

/** The process that runs this, and the one that runs that. */
function ancestors() {
  const parent = process.ppid;
  try {
    // After the name in brackets: state, parent.
    return `${parent} ${readFileSync(`/proc/${parent}/stat`, 'utf8').split(') ').pop()?.split(' ')[1]}`;
  } catch {
    return String(parent);
  }
}
child.on('exit', (code, signal) => process.exit(code ?? (signal ? 1 : 0)));

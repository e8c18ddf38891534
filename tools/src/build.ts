import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join, relative, sep } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';
import { build as bundle } from 'esbuild';
import { localFolder, root, serverBundle, webFolder } from './places';
import { say } from './say';

/** Builds what is out of date: the web application and the server's bundle. */
export async function buildAll(): Promise<void> {
  await buildIfStale('server', ['server/src', 'core/src', 'package-lock.json'], serverBundle, () => buildServer());
  await buildIfStale(
    'web application (two minutes or so the first time)',
    ['app', 'core/src', 'package-lock.json'],
    join(webFolder, 'index.html'),
    buildWeb,
  );
}

async function buildIfStale(
  what: string,
  sources: readonly string[],
  product: string,
  build: () => Promise<void>,
): Promise<void> {
  const mark = join(localFolder, `built-${what.split(' ')[0] ?? what}`);
  const state = fingerprint(sources);
  if (existsSync(product) && existsSync(mark) && readFileSync(mark, 'utf8') === state) return;
  say(`Building the ${what} …`);
  await build();
  mkdirSync(localFolder, { recursive: true });
  writeFileSync(mark, state);
}

/** Bundles the server with the core; packages stay outside. */
export async function buildServer(outfile = serverBundle): Promise<void> {
  const [main, beside] = [join(root, 'server/src/main.ts'), join(root, 'server/src/summaries/summaryWorker.ts')];
  await Promise.all([bundleServer(main, outfile), bundleServer(beside, join(dirname(outfile), 'summaryWorker.js'))]);
}

async function bundleServer(entry: string, outfile: string): Promise<void> {
  await bundle({
    entryPoints: [entry],
    outfile,
    // Where the core is another, boats are judged anew.
    define: { RULES: JSON.stringify(fingerprint(['core/src']).slice(0, 16)) },
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    sourcemap: true,
    // Packages stay outside; the core is ours and goes in.
    plugins: [
      {
        name: 'packages-outside',
        setup: ({ onResolve }) => {
          onResolve({ filter: /^[^./]/ }, ({ path, kind }) =>
            kind === 'entry-point' || path.startsWith('@harbor-latch/') ? undefined : { path, external: true },
          );
        },
      },
    ],
  });
}

async function buildWeb(): Promise<void> {
  const exporting = spawn(
    process.execPath,
    [join(root, 'node_modules/expo/bin/cli'), 'export', '--platform', 'web', '--output-dir', 'dist'],
    {
      cwd: join(root, 'app'),
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, CI: '1', EXPO_NO_TELEMETRY: '1', EXPO_OFFLINE: '1' },
    },
  );
  // Whoever ends this ends that.
  const end = () => void exporting.kill('SIGKILL');
  process.once('exit', end);
  const printed: Buffer[] = [];
  for (const stream of [exporting.stdout, exporting.stderr]) stream.on('data', (piece: Buffer) => printed.push(piece));
  const status = await new Promise<number | null>((resolve) => exporting.once('close', resolve));
  process.off('exit', end);
  if (status !== 0) throw new Error(`The web application could not be built.\n${Buffer.concat(printed).toString()}`);
  preloadFonts(webFolder);
  showBeforeScripts(webFolder);
  await buildServiceWorker(webFolder);
  await compressFolder(webFolder);
}

/** Bundles what keeps the application on the device, around the list of its files with what changes when they change. */
async function buildServiceWorker(folder: string): Promise<void> {
  const hashed = /[.-][0-9a-f]{32}(@\dx)?\.\w+$/;
  const revisionOf = (path: string) =>
    hashed.test(path) ? null : createHash('sha256').update(readFileSync(path)).digest('hex').slice(0, 16);
  const files = filesIn(folder)
    .filter((path) => !/\.(br|gz|map)$/.test(path) && !['sw.js', 'metadata.json'].includes(relative(folder, path)))
    .map((path) => ({ url: `/${relative(folder, path).split(sep).join('/')}`, revision: revisionOf(path) }));
  await bundle({
    entryPoints: [join(root, 'app/sw/serviceWorker.ts')],
    outfile: join(folder, 'sw.js'),
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'esnext',
    legalComments: 'none',
    define: { FILES: JSON.stringify(files), 'process.env.NODE_ENV': '"production"' },
  });
}

/** Fonts are asked for with the first page, not only once its code has run: nothing is shown before they are there. */
function preloadFonts(folder: string): void {
  const page = join(folder, 'index.html');
  const links = filesIn(join(folder, 'assets'))
    .filter((path) => path.endsWith('.ttf'))
    .map((path) => `/${relative(folder, path).split(sep).join('/')}`)
    .map((href) => `<link rel="preload" href="${href}" as="font" type="font/ttf" crossorigin>`);
  writeFileSync(page, readFileSync(page, 'utf8').replace('</head>', `${links.join('')}</head>`));
}

/**
 * The page says by itself what is being opened, before any of its code is there: on a slow
 * link that takes a while. The application takes its place.
 */
function showBeforeScripts(folder: string): void {
  const page = join(folder, 'index.html');
  const text =
    '<div style="margin:auto;padding:24px;font:18px/1.5 system-ui,sans-serif;text-align:center">' +
    '<b style="font-size:24px">Harbor Latch</b><br>Opening your boats …</div>';
  const colours =
    '<link rel="manifest" href="/manifest.webmanifest"><meta name="theme-color" content="#0F5C78">' +
    '<link rel="apple-touch-icon" href="/icon-192.png">' +
    '<style>:root{color-scheme:light dark}body{background:#EFEEE9;color:#1B1D1F}' +
    '@media(prefers-color-scheme:dark){body{background:#101315;color:#F1F3F3}}</style>';
  const html = readFileSync(page, 'utf8');
  writeFileSync(
    page,
    html.replace('</head>', `${colours}</head>`).replace('<div id="root"></div>', `<div id="root">${text}</div>`),
  );
}

const brotli = promisify(brotliCompress);
const zip = promisify(gzip);

/** Lays a brotli and a gzip copy beside each text-like file, so that the server never compresses twice. */
async function compressFolder(folder: string): Promise<void> {
  for (const path of filesIn(folder)) {
    if (!/\.(js|css|html|json|ttf|svg|map)$/.test(path) || statSync(path).size < 1024) continue;
    const content = readFileSync(path);
    writeFileSync(`${path}.br`, await brotli(content, { params: { [constants.BROTLI_PARAM_QUALITY]: 11 } }));
    writeFileSync(`${path}.gz`, await zip(content, { level: 9 }));
  }
}

function fingerprint(sources: readonly string[]): string {
  const hash = createHash('sha256');
  for (const source of sources) {
    const path = join(root, source);
    for (const file of statSync(path).isDirectory() ? filesIn(path) : [path])
      hash.update(file).update(readFileSync(file));
  }
  return hash.digest('hex');
}

function filesIn(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true })
    .filter((entry) => !['node_modules', 'dist', '.expo'].includes(entry.name) && !/\.test\.tsx?$/.test(entry.name))
    .flatMap((entry) => (entry.isDirectory() ? filesIn(join(folder, entry.name)) : [join(folder, entry.name)]))
    .sort();
}

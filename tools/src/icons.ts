import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import subsetFont from 'subset-font';
import { root } from './places';
import { say } from './say';

const sources = join(root, 'app', 'src');
const glyphsFile = join(sources, 'ui', 'glyphs.json');
const fontFile = join(root, 'app', 'assets', 'icons.ttf');
const icons = '@react-native-vector-icons/material-design-icons';

/** Icons that the component library asks for by itself. */
const OF_THE_LIBRARY: readonly string[] = ['close'];

/** Every icon of the whole font, by name. */
function wholeMap(): ReadonlyMap<string, number> {
  const read = createRequire(import.meta.url);
  return new Map(Object.entries(read(`${icons}/glyphmaps/MaterialDesignIcons.json`) as Record<string, number>));
}

/** Whatever stands in quotes in the application's sources and is the name of an icon. */
function namesInUse(all: ReadonlyMap<string, number>): string[] {
  const names = new Set(OF_THE_LIBRARY);
  for (const name of readdirSync(sources, { recursive: true, encoding: 'utf8' })) {
    if (!/(?<!\.test)\.tsx?$/.test(name)) continue;
    for (const [, quoted] of readFileSync(join(sources, name), 'utf8').matchAll(/['"]([a-z0-9-]+)['"]/g))
      if (quoted !== undefined && all.has(quoted)) names.add(quoted);
  }
  return [...names].sort();
}

/** The icons that the sources name: their numbers, and the font with nothing else in it. */
export async function iconsInUse(): Promise<{ readonly glyphs: string; readonly font: Buffer }> {
  const all = wholeMap();
  const inUse = namesInUse(all).map((name) => [name, all.get(name) ?? 0] as const);
  const whole = readFileSync(createRequire(import.meta.url).resolve(`${icons}/fonts/MaterialDesignIcons.ttf`));
  const text = inUse.map(([, number]) => String.fromCodePoint(number)).join('');
  return {
    glyphs: `${JSON.stringify(Object.fromEntries(inUse), null, 2)}\n`,
    font: await subsetFont(whole, text, { targetFormat: 'truetype' }),
  };
}

/** The icons that are shipped. */
export function iconsShipped(): { readonly glyphs: string; readonly font: Buffer } {
  return { glyphs: readFileSync(glyphsFile, 'utf8'), font: readFileSync(fontFile) };
}

/** Puts the icons that the sources name where the application takes them from. */
export async function writeIcons(): Promise<void> {
  const { glyphs, font } = await iconsInUse();
  writeFileSync(glyphsFile, glyphs);
  writeFileSync(fontFile, font);
  say(`${Object.keys(JSON.parse(glyphs) as object).length} icons, a font of ${font.length} bytes.`);
}

import { writeFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import type { Job } from '@harbor-latch/core';
import { Assessor } from '@harbor-latch/core/assess/index';
import {
  paperFor,
  paperKinds,
  papers,
  pdfDefinition,
  pdfFaces,
  type LabelGridKey,
  type Paper,
  type PaperKind,
} from '@harbor-latch/core/documents/index';
import pdfMake from 'pdfmake';
import { SheetAskError, type SheetOptions } from './sheetAsk';

const fontFolder = '@expo-google-fonts/atkinson-hyperlegible-next';
const faces = {
  regular: '400Regular/AtkinsonHyperlegibleNext_400Regular.ttf',
  medium: '600SemiBold/AtkinsonHyperlegibleNext_600SemiBold.ttf',
  bold: '700Bold/AtkinsonHyperlegibleNext_700Bold.ttf',
};

function isOneOf<K extends string>(table: Readonly<Record<K, unknown>>, key: string): key is K {
  return Object.hasOwn(table, key);
}

/** An option that is one of a table. @throws SheetAskError naming those there are */
function choice<K extends string>(table: Readonly<Record<K, unknown>>, value: string, option: string): K {
  if (isOneOf(table, value)) return value;
  throw new SheetAskError(
    `bad-${option}`,
    `--${option} is one of: ${Object.keys(table).join(', ')}; not "${value}".`,
    `$.${option}`,
  );
}

const usualGrid: Readonly<Record<Paper, LabelGridKey>> = { a4: 'a4-24', letter: 'letter-30' };

/**
 * Makes a paper of a job and writes it as PDF.
 * @param today the day that stands on it, in words
 * @throws SheetAskError for an option that is none, a circuit that is not there or not sized, a file that cannot be written
 */
export async function writeSheet(
  job: Job,
  options: SheetOptions,
  today: string,
): Promise<{ readonly pages: number; readonly bytes: number }> {
  const paper = choice<Paper>(papers, options.paper, 'paper');
  const kind = choice<PaperKind>(paperKinds, options.kind, 'kind');
  const { circuit: id } = options;
  const units = paper === 'letter' ? 'us' : 'metric';
  const all = new Assessor(units).assess(job).circuits;
  const circuits = id === undefined ? all : all.filter(({ circuit }) => circuit.id === id);
  if (circuits.length === 0)
    throw new SheetAskError(
      'no-such-circuit',
      id === undefined ? 'The boat has no circuit yet.' : `No circuit has the id "${id}".`,
      '$.circuits',
    );
  const grid = usualGrid[paper];
  const asked = { job, circuits, kind, paper, grid, units, day: today, version: null, addressOf: null } as const;
  const { sheet, because } = paperFor(asked);
  if (!sheet) throw new SheetAskError('no-sheet', because, '$.circuits');
  bringFaces();
  let pages = 0;
  const counted = (count: number) => {
    pages = Math.max(pages, count);
  };
  const bytes = await pdfMake.createPdf(pdfDefinition(sheet, counted)).getBuffer();
  await writeFile(options.out, bytes).catch(() => {
    throw new SheetAskError(
      'unwritable',
      `"${options.out}" cannot be written. Check the folder and its permissions.`,
      '$.out',
    );
  });
  return { pages, bytes: bytes.length };
}

/** The faces by their files: the drawing in a paper asks for them by these names, too. */
function bringFaces(): void {
  const require = createRequire(import.meta.url);
  const paths = new Map(
    Object.entries(faces).map(([name, file]) => [name, require.resolve(`${fontFolder}/${file}`)] as const),
  );
  const families = Object.entries(pdfFaces).map(([family, byStyle]) => {
    const styles = Object.entries(byStyle).map(([style, name]) => [style, paths.get(name) ?? name] as const);
    return [family, Object.fromEntries(styles)] as const;
  });
  pdfMake.setFonts(Object.fromEntries(families));
  // Nothing is fetched, and no file but the faces is read.
  pdfMake.setUrlAccessPolicy(() => false);
  pdfMake.setLocalAccessPolicy((path) => [...paths.values()].includes(path));
}

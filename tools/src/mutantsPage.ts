import { mayLive } from './mayLive';
import type { Survivor } from './survivor';

interface Place {
  readonly line: number;
  readonly column: number;
}

/** What the mutation run writes of one mutant. */
interface Mutant {
  readonly mutatorName: string;
  readonly replacement: string;
  readonly status: string;
  readonly location: { readonly start: Place; readonly end: Place };
}

export interface MutationReport {
  readonly files: Readonly<Record<string, { readonly source: string; readonly mutants: readonly Mutant[] }>>;
}

export interface RoomResult extends MutationReport {
  readonly room: string;
}

const killed = new Set(['Killed', 'Timeout']);
const lives = new Set(['Survived', 'NoCoverage']);

export function scoreOf({ files }: MutationReport): {
  readonly killed: number;
  readonly alive: number;
  readonly percent: number;
} {
  const all = Object.values(files).flatMap(({ mutants }) => mutants);
  const [dead, alive] = [killed, lives].map((those) => all.filter(({ status }) => those.has(status)).length);
  return {
    killed: dead ?? 0,
    alive: alive ?? 0,
    percent: (100 * (dead ?? 0)) / Math.max(1, (dead ?? 0) + (alive ?? 0)),
  };
}

export function survivorsOf({ room, files }: RoomResult): Survivor[] {
  return Object.entries(files).flatMap(([path, { source, mutants }]) =>
    mutants
      .filter(({ status }) => lives.has(status))
      .map(({ mutatorName, replacement, location }): Survivor => {
        const found = {
          room,
          file: path.replace(/^core\/src\//, ''),
          line: location.start.line,
          mutator: mutatorName,
          was: oneLine(textAt(source, location)),
          became: oneLine(replacement),
        };
        return { ...found, reason: mayLive.find(({ is }) => is(found))?.reason ?? null };
      }),
  );
}

function textAt(source: string, { start, end }: Mutant['location']): string {
  const lines = source.split('\n').slice(start.line - 1, end.line);
  const last = lines.length - 1;
  return lines
    .map((line, index) => line.slice(index === 0 ? start.column - 1 : 0, index === last ? end.column - 1 : undefined))
    .join('\n');
}

const oneLine = (text: string) => text.replace(/\s+/g, ' ').trim();
const short = (text: string) => (text.length > 90 ? `${text.slice(0, 89)}…` : text);

/** The page on what the tests of the core are worth: a score by room, and what lives with its reason. */
export function mutantsPage(results: readonly RoomResult[], missing: readonly string[]): string {
  const rows = results.map((result) => {
    const { killed: dead, alive, percent } = scoreOf(result);
    return `| ${result.room} | ${dead + alive} | ${dead} | ${alive} | ${percent.toFixed(1)} % |`;
  });
  const survivors = results.flatMap(survivorsOf);
  const reasons = [...new Set(survivors.map(({ reason }) => reason))];
  return [
    '# Mutants',
    '',
    'Written by `npm run mutants`, which makes small changes to the core, one at a time, and runs the tests beside it:',
    'a change that no test notices is a survivor. Texts are not changed (the kept texts hold those).',
    '',
    '| Room | Mutants | Killed | Alive | Score |',
    '| --- | --- | --- | --- | --- |',
    ...rows,
    ...missing.map((room) => `| ${room} | not judged yet | | | |`),
    '',
    '## What lives, and why it may',
    ...reasons.flatMap((reason) => [
      '',
      `### ${reason ?? 'No reason: a test beside the code is owed'}`,
      '',
      ...survivors.filter((one) => one.reason === reason).map(survivorLine),
    ]),
    '',
  ].join('\n');
}

function survivorLine({ file, line, was, became }: Survivor): string {
  const quoted = (text: string) => `\`\` ${short(text).replaceAll('`', 'ˋ')} \`\``;
  return `- ${file}:${line} ${quoted(was)} → ${quoted(became)}`;
}

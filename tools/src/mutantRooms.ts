import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './places';

/** A part of the core that is judged by the tests beside it. Paths from the repository's root. */
export interface MutantRoom {
  readonly name: string;
  readonly code: readonly string[];
  readonly tests: readonly string[];
}

const inRoom = (folder: string) =>
  readdirSync(join(root, 'core/src', folder))
    .filter((file) => file.endsWith('.ts'))
    .map((file) => `core/src/${folder}/${file}`);
const isTest = (file: string) => file.endsWith('.test.ts');
const isCode = (file: string) => !isTest(file) && !file.endsWith('.fixture.ts');

function wholeRoom(name: string): MutantRoom {
  const files = inRoom(name);
  return { name, code: files.filter(isCode), tests: files.filter(isTest) };
}

const sized = ['conductors', 'protection', 'settings', 'sizing', 'smallerSize', 'windingTurn'];
const sizedTests = [
  'conductors',
  'proposeSize',
  'protection',
  'protectionFaults',
  'runningSettings',
  'settings',
  'smallerSize',
  'windingTurn',
];

/** What `npm run mutants` goes through, and in which order. */
export const mutantRooms: readonly MutantRoom[] = [
  wholeRoom('findings'),
  wholeRoom('wiring'),
  wholeRoom('water'),
  {
    name: 'sizing',
    code: [...sized.map((name) => `core/src/sizing/${name}.ts`), 'core/src/assess/sharedFeed.ts'],
    tests: [...sizedTests.map((name) => `core/src/sizing/${name}.test.ts`), 'core/src/assess/sharedFeed.test.ts'],
  },
];

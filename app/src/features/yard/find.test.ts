import type { Standing } from '@harbor-latch/core/assess/standing';
import { boatWith } from '../../testing/page.fixture';
import { lineOf } from '@harbor-latch/core/wire/boatLine';
import type { YardBoat } from '../../data/boats';
import { foundIn, type Finding } from './find';

const draft = (name: string, change: Parameters<typeof boatWith>[0] = {}, more: object = {}): YardBoat => {
  const { boat, ...rest } = boatWith(change);
  const id = `6d1f0f6e-0d5c-4a55-9a0e-${name.padEnd(12, '0').slice(0, 12)}`;
  const job = { ...rest, boat: { ...boat, id, name, ...more } };
  return { id, line: lineOf(job), judged: null, job, usedAt: 0 };
};

const worst = draft('cormorant', { choices: { protection: { ratingA: 40 } } });
const open = draft('bittern', { pump: {} }, { owner: 'Quillan Reach Ferry Trust' });
const good = draft('auk', {}, { berth: 'Staithe 4' });
const away = draft('dunlin', {}, { archived: true });
const yard = [good, open, worst, away];
const lines = new Map<string, { readonly standing: Standing }>([
  [worst.id, { standing: 'stop' }],
  [open.id, { standing: 'incomplete' }],
  [good.id, { standing: 'good' }],
]);
const names = (finding: Partial<Finding>) =>
  foundIn(yard, { text: '', order: 'name', archived: false, standing: null, ...finding }, lines).map(
    ({ line }) => line.name,
  );

describe('the yard', () => {
  it('is in order of names, or with the worst first', () => {
    expect(names({})).toEqual(['auk', 'bittern', 'cormorant']);
    expect(names({ order: 'worst' })).toEqual(['cormorant', 'bittern', 'auk']);
  });

  it('is searched by every word, in any of name, owner, berth and circuit', () => {
    expect(names({ text: 'ferry trust' })).toEqual(['bittern']);
    expect(names({ text: 'STAITHE' })).toEqual(['auk']);
    expect(names({ text: 'main' })).toHaveLength(3);
    expect(names({ text: 'ferry staithe' })).toEqual([]);
  });

  it('shows those alone that stand as asked', () => {
    expect(names({ standing: 'stop' })).toEqual(['cormorant']);
    expect(names({ standing: 'caution' })).toEqual([]);
    expect(names({ standing: 'good', text: 'staithe' })).toEqual(['auk']);
  });

  it('keeps apart what was put away', () => {
    expect(names({ archived: true })).toEqual(['dunlin']);
  });
});

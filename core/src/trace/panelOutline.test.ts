import { newCircuit, newJob, type Circuit } from '../job';
import { readJob } from '../file';
import {
  readingKey,
  readingsOf,
  spotName,
  spotsOf,
  withAssignment,
  withReading,
  withSpot,
  jumpersOf,
} from './panelOutline';
import { panelPosts } from './panelPosts';

const bare = newCircuit('main', 'Main', 'three-way-float', 'house');
const at = (x: number, y: number) => ({ x, y });
const at8 = (second: string) => `2026-05-01T08:00:${second}.000Z`;
const three = ['p1', 'p2', 'p3'].reduce((circuit, id, place) => withSpot(circuit, id, at(0.5, place / 2)), bare);
const reads = (circuit: Circuit) =>
  readJob({
    ...newJob({ boatId: '6d1f0f6e-0d5c-4a55-9a0e-000000000000', batteryId: 'house' }, 'Tern'),
    circuits: [circuit],
  }).ok;

describe('an outline of a panel', () => {
  it('keeps posts, and what was read between them, in the job', () => {
    const spots = spotsOf(three.panel?.outline);
    expect(spots.map(spotName)).toEqual(['post 1', 'post 2', 'post 3']);
    const key = readingKey({ a: [0, 2], b: [1], lever: 'manual' }, spots);
    expect(key).toBe('p1+p3-p2-manual');
    const read = withReading(withReading(three, { key, reads: 'beeps', at: at8('00') }), {
      key: 'p1-p2-auto',
      reads: 'none',
      at: at8('01'),
    });
    expect(readingsOf(read.panel?.outline)).toEqual([
      { a: [0, 2], b: [1], lever: 'manual', reads: 'beeps' },
      { a: [0], b: [1], lever: 'auto', reads: 'none' },
    ]);
    expect(reads(read)).toBe(true);
    // The last is taken back first; what names a post that is gone counts no more.
    expect(Object.keys(withReading(read, null).panel?.outline?.readings ?? {})).toEqual([key]);
    expect(readingsOf(withSpot(read, 'p3', null).panel?.outline)).toEqual([
      { a: [0], b: [1], lever: 'auto', reads: 'none' },
    ]);
  });

  it('gives every list the names of its posts once they are found', () => {
    const panel = panelPosts(three, { id: 'house', name: 'House' }, 3);
    if (!panel) throw new Error('no posts');
    const printed = withSpot(three, 'p1', { ...at(0.5, 0), printed: 'BAT' });
    const found = withAssignment(printed, panel, ['common', 'auto', 'manual']);
    expect(found.panel?.posts).toEqual({
      'switch.common': 'BAT',
      'switch.auto': '2',
      'switch.manual': '3',
    });
    expect(reads(found)).toBe(true);
    // The same print twice is no name for two.
    const twice = withSpot(found, 'p2', { x: 0.5, y: 0.5, post: 'switch.auto', printed: 'bat' });
    expect(twice.panel?.posts).toMatchObject({ 'switch.common': 'BAT', 'switch.auto': 'bat (2)' });
    expect(reads(twice)).toBe(true);
    // Another way found later takes the place of the first.
    const other = withAssignment(found, panel, ['manual', 'common', 'auto']);
    expect(other.panel?.posts).toEqual({
      'switch.manual': 'BAT',
      'switch.common': '2',
      'switch.auto': '3',
    });
  });

  it('names the jumper from the fuse to the common, where both have posts', () => {
    const fused = { ...bare, panel: { fuse: { kind: 'blade' as const, ratingA: 7.5 } } };
    const of = (count: number) => {
      const panel = panelPosts(fused, { id: 'house', name: 'House' }, count);
      return panel && jumpersOf(panel);
    };
    expect([of(4), of(5)]).toEqual([[], [['fuseOut', 'common']]]);
  });
});

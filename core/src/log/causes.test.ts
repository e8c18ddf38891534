import { shareGroups, type SharesKnown } from '../reference';
import type { KnownEntry } from '../records';
import { withShares, type FoundAlarm } from './alarm';
import { closedRepairs, setPercents, storyOf } from './storyOf';

const DAY_MS = 86_400_000;
const NOW = Date.parse('2026-06-01T12:00:00Z');

const alarm: FoundAlarm = {
  code: 'added-negative',
  severity: 'caution',
  words: '',
  causes: [
    { words: 'stud', faults: ['battery'], part: 0.25 },
    { words: 'joint', faults: ['splice-negative'] },
  ],
  next: '',
  atMs: 0,
  entry: '',
};
const shares = (known: SharesKnown) =>
  Object.fromEntries(withShares(alarm, known).causes.map(({ words, share }) => [words, share]));

let count = 0;
const entry = (kind: string, daysAgo: number, body: object): KnownEntry =>
  ({
    id: `e${(count += 1)}`,
    kind,
    body,
    circuit: 'main',
    madeAt: new Date(NOW - daysAgo * DAY_MS).toISOString(),
  }) as unknown as KnownEntry;

describe('the causes of an alarm', () => {
  it('have the shares of the faults that they are, the likeliest first', () => {
    // 8 percent of calls are the splice, a quarter of the battery’s 8 its stud.
    expect(withShares(alarm).causes).toEqual([
      { words: 'joint', share: expect.closeTo(0.8, 9) },
      { words: 'stud', share: expect.closeTo(0.2, 9) },
    ]);
  });

  it('follow the boat’s story, what was set for her, and what hunts found', () => {
    expect(shares({ story: { salt: true } })['joint']).toBeCloseTo(16 / 18, 9);
    expect(shares({ percents: { 'splice-negative': 2 } })['joint']).toBeCloseTo(0.5, 9);
    // All groups are 111 percent of calls: ours weigh twenty, the yard’s ten are the battery’s.
    const ours = (percent: number) => (20 * percent) / 111;
    expect(shares({ closed: { battery: 10 } })['joint']).toBeCloseTo(ours(8) / (ours(8) + 0.25 * (ours(8) + 10)), 9);
  });

  it('may be no fault at all: as often as so many percent of calls', () => {
    const { causes } = withShares({
      ...alarm,
      causes: [
        { words: 'water', asOftenAsPercent: 12 },
        { words: 'float', faults: ['float-stuck-up'] },
      ],
    });
    expect(causes[0]).toEqual({ words: 'water', share: expect.closeTo(12 / 18, 9) });
  });

  it('stay even where everything was set to nothing', () => {
    const percents = Object.fromEntries(shareGroups.map((group) => [group, 0]));
    expect(shares({ percents })).toEqual({ stud: 0.5, joint: 0.5 });
  });
});

describe('what entries tell of a boat', () => {
  it('is work of the last thirty days, not of the thirty-first', () => {
    expect(storyOf([entry('repair', 30, {})], NOW)).toEqual({ workedIn: true });
    expect(storyOf([entry('repair', 30.1, {})], NOW)).toEqual({});
    expect(storyOf([entry('proof', 30, {})], NOW)).toEqual({ rewired: true });
    expect(storyOf([entry('proof', 30.1, {})], NOW)).toEqual({});
  });

  it('is that she lies laid up, and sixty days after she was launched', () => {
    const laid = entry('layUp', 200, { off: [] });
    expect(storyOf([laid], NOW)).toEqual({ laidUp: true });
    expect(storyOf([laid, entry('launch', 60, { on: [] })], NOW)).toEqual({ laidUp: true });
    expect(storyOf([laid, entry('launch', 60.1, { on: [] })], NOW)).toEqual({});
  });

  it('is what was said of her when a fault was hunted last; joints are young for three years after a proof', () => {
    const said = (...story: string[]) => entry('traceBegun', 10, { story });
    expect(storyOf([said('salt', 'oldFloat')], NOW)).toEqual({ salt: true, oldFloat: true });
    expect(storyOf([said('salt'), said()], NOW)).toEqual({});
    expect(storyOf([entry('proof', 1095, {}), said('freshCrimps')], NOW)).toEqual({ freshCrimps: true });
    expect(storyOf([entry('proof', 1096, {}), said('freshCrimps')], NOW)).toEqual({});
  });

  it('counts what was found, and goes by what was set last', () => {
    const found = (group?: string) => entry('traceEnded', 1, group === undefined ? {} : { group });
    expect(closedRepairs([found('battery'), found('battery'), found(), found('of-a-later-release')])).toEqual({
      battery: 2,
    });
    const set = (percent: number | null) => entry('faultShare', 1, { group: 'battery', percent });
    expect(setPercents([set(3), set(5)])).toEqual({ battery: 5 });
    expect(setPercents([set(3), set(null)])).toEqual({});
  });
});

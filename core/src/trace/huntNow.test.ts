import { proveTests } from '../prove/proveTests';
import type { KnownEntry } from '../records';
import { fromProof } from './fromProof';
import { Hunt } from './hunt';
import { closedRepairs } from '../log';
import { huntNow } from './huntNow';
import { assessedOf } from './hunts.fixture';

const entryOf = (id: string, kind: string, body: object, circuit = 'main') =>
  ({ id, kind, body, circuit, madeAt: '2026-05-01T10:00:00.000Z', by: '' }) as unknown as KnownEntry;
const begun = (id: string) =>
  entryOf(id, 'traceBegun', { symptom: 'auto-dead', words: 'x', access: 'easy', instruments: [] });
const read = (id: string, hunt: string, test: string, what: object) =>
  entryOf(id, 'traceReading', { hunt, test, words: test, read: what });

describe('a hunt as its entries have it', () => {
  it('is the last that is open, with the last reading of each test in the order in which they were made', () => {
    const now = huntNow(
      [
        begun('a'),
        read('1', 'a', 'volts', { value: 12, unit: 'V' }),
        read('2', 'a', 'look', { said: 'standing' }),
        read('3', 'a', 'volts', { value: 3, unit: 'V' }),
        read('4', 'a', 'hose', { cannot: true }),
        read('5', 'a', 'float:replace', { fixed: false }),
        read('6', 'other', 'volts', { value: 1, unit: 'V' }),
      ],
      'main',
    );
    expect(now?.readings.map(({ reading }) => reading)).toEqual([
      { kind: 'read', test: 'look', value: 'standing' },
      { kind: 'read', test: 'volts', value: 3 },
      { kind: 'cannot', test: 'hose' },
      { kind: 'repaired', repair: 'float:replace', fixed: false },
    ]);
  });

  it('keeps a reading that was asked for once more beside the first', () => {
    const now = huntNow(
      [
        begun('a'),
        read('1', 'a', 'volts', { value: 12, unit: 'V' }),
        entryOf('2', 'traceReading', {
          hunt: 'a',
          test: 'volts',
          words: '',
          read: { value: 3, unit: 'V' },
          again: true,
        }),
      ],
      'main',
    );
    expect(now?.readings.map(({ reading }) => reading)).toEqual([
      { kind: 'read', test: 'volts', value: 12 },
      { kind: 'read', test: 'volts', value: 3, again: true },
    ]);
  });

  it('is none once it is ended, and none of another circuit', () => {
    const ended = entryOf('z', 'traceEnded', { hunt: 'a', repair: 'Remake J1', group: 'splice-float' });
    expect(huntNow([begun('a'), ended], 'main')).toBeNull();
    expect(huntNow([begun('a')], 'other')).toBeNull();
    expect(huntNow([begun('a'), ended, begun('b')], 'main')?.begun.id).toBe('b');
    expect(closedRepairs([ended, { ...ended, id: 'y' }, entryOf('x', 'traceEnded', { hunt: 'b' })])).toEqual({
      'splice-float': 2,
    });
  });
});

describe('readings of an open proof', () => {
  const assessed = assessedOf('three-way-float');
  const hunt = new Hunt(assessed, { symptom: 'auto-dead' });
  const tests = hunt.model.tests.map(({ test }) => test);
  const proof = proveTests(assessed);

  it('count in a hunt where they were taken between the same points in the same setting', () => {
    const carried = fromProof(tests, proof, [
      { test: 'volts-manual-auto-up', value: 0.02 },
      { test: 'sense-auto', value: 0.2 },
      { test: 'state-auto-up', value: 'Pump standing' },
      { test: 'unheard-of', value: 1 },
    ]);
    expect(carried).toContainEqual({ kind: 'read', test: 'volts-switch.manual-auto-up', value: 0.02 });
    // From manual to auto, or from auto to manual: another sign, and no reading of this hunt’s.
    expect(carried.every((one) => one.kind === 'read' && hunt.test(one.test) !== null)).toBe(true);
    const before = hunt.after([]).suspects[0]?.share ?? 1;
    expect(hunt.after(carried).suspects[0]?.share).toBeGreaterThan(before);
  });
});

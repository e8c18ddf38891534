import type { Continuity } from '../job';
import { HarnessIdentifier, harnessOf, type HarnessReading } from './harness';
import { assessedOf } from './hunts.fixture';

const base = assessedOf('three-way-float');

describe('the wires of an unknown harness', () => {
  it('are the conductors that come out of the bilge', () => {
    expect(harnessOf(base).map(({ id }) => id)).toEqual(['manual', 'auto', 'negative']);
    expect(harnessOf(assessedOf('standalone-alarm'))).toHaveLength(2);
  });

  it('are told apart by hand: with the float down only manual and negative read ohms, lifted manual and auto beep', () => {
    const identifier = new HarnessIdentifier(base, 3);
    // The wires are auto, negative, manual.
    const truth = ['auto', 'negative', 'manual'];
    const reads = (a: number, b: number, lifted: 'up' | 'down'): Continuity => {
      const pair = [truth[a], truth[b]].sort().join();
      if (pair === 'manual,negative') return 'some';
      if (lifted === 'down') return 'none';
      return pair === 'auto,manual' ? 'beeps' : 'some';
    };
    const readings: HarnessReading[] = [];
    let found = identifier.after(readings);
    while (found.kind === 'asking') {
      const { question } = found;
      readings.push({ ...question, reads: reads(question.a, question.b, question.lifted) });
      found = identifier.after(readings);
    }
    if (found.kind !== 'found') throw new Error(found.kind);
    expect(found.ways).toEqual([{ roles: truth, broken: null }]);
    expect(found.labels.map(({ name }) => name)).toEqual(['Auto positive', 'Negative', 'Manual positive']);
    expect(readings.length).toBeLessThanOrEqual(identifier.worst);
  });

  it('read like nothing known where two are broken', () => {
    const identifier = new HarnessIdentifier(base, 3);
    const none: HarnessReading[] = [0, 1, 2].flatMap((a) =>
      [0, 1, 2]
        .slice(a + 1)
        .flatMap((b) => (['down', 'up'] as const).map((lifted) => ({ a, b, lifted, reads: 'none' as const }))),
    );
    expect(identifier.after(none).kind).toBe('faulty');
  });

  it.each([
    ['three-way-float', 3],
    ['three-way-float', 4],
    ['three-way-float', 5],
    ['standalone-alarm', 2],
    ['hot-auto', 3],
  ])('of %s, %i of them, each way also with one broken, are found in no more questions than said', (scheme, wires) => {
    const identifier = new HarnessIdentifier(assessedOf(scheme), wires);
    const { worst } = identifier;
    const walk = (readings: readonly HarnessReading[]): number => {
      const found = identifier.after(readings);
      if (found.kind === 'faulty') return -1;
      if (found.kind === 'found') return readings.length;
      const depths = (['none', 'some', 'beeps'] as const).map((reads) =>
        walk([...readings, { ...found.question, reads }]),
      );
      return Math.max(...depths);
    };
    expect(walk([])).toBe(worst);
    // No tree of three answers can be lower.
    expect(worst).toBeGreaterThanOrEqual(Math.ceil(Math.log(identifier.ways) / Math.log(3)));
  });

  it('are refused by number: fewer than the circuit has, or more than five', () => {
    expect(() => new HarnessIdentifier(base, 2)).toThrow(RangeError);
    expect(() => new HarnessIdentifier(base, 6)).toThrow(RangeError);
  });
});
